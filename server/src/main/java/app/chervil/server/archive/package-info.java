/** Everything of a site in open formats, to be read by people and by other programs. Read ArchiveOperations first. */
@org.jspecify.annotations.NullMarked
package app.chervil.server.archive;
