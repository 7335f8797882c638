/**
 * A site as its people know it: tanks, their filters with stages and tasks, and what was done. Read
 * {@link app.chervil.core.site.SiteBook} first: it answers what follows from all of it on a day.
 */
package app.chervil.core.site;
