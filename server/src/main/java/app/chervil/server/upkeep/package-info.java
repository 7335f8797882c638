/** Looking after the data: the nightly backup and how old it is. Read {@link app.chervil.server.upkeep.Backups} first. */
@org.jspecify.annotations.NullMarked
package app.chervil.server.upkeep;
