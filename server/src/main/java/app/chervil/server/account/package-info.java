/** Who may come in, and what a site's people are. Read AccountOperations first. */
@org.jspecify.annotations.NullMarked
package app.chervil.server.account;
