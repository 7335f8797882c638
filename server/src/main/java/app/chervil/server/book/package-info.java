/**
 * The site's picture, kept in memory by a revision that every write raises. Read {@link app.chervil.server.book.SiteBooks}
 * first; what it loads comes from the features that own the tables, through the ports here.
 */
@org.jspecify.annotations.NullMarked
package app.chervil.server.book;
