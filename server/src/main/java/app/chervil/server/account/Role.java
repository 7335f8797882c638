package app.chervil.server.account;

/** What a person may do. */
public enum Role {
    /** Everything on the site. */
    KEEPER,
    /** Do and log work, but not delete tanks or manage people. */
    HELPER
}
