/** How values the database driver does not know are stored. */
@org.jspecify.annotations.NullMarked
package app.chervil.server.storage;
