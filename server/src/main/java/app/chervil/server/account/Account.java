package app.chervil.server.account;

/**
 * A person of the site, as others may see them.
 *
 * @param login the name they sign in with
 */
public record Account(long id, String login, String name, Role role) {}
