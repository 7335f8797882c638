package app.chervil.server.account;

/** A person who may sign in. */
record AccountRow(long id, long siteId, String login, String name, Role role, String passwordHash) {
    SignedIn signedIn() {
        return new SignedIn(id, siteId, name, role);
    }
}
