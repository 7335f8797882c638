package app.chervil.server.account;

/** What a person may do on a site; each operation's line stands in {@link RightsTable}. */
public enum Role {
    /** Everything on the site. */
    KEEPER,
    /** Do and log work, and correct what they logged themselves. */
    HELPER,
    /** Read everything, change nothing: a committee, a vet. */
    VIEWER
}
