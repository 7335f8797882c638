/**
 * A table that somebody kept before, read as a log: which column says what, how its days are written, what its words mean.
 * Read {@link app.chervil.core.notebook.Notebook} and {@link app.chervil.core.notebook.Key} first: the same table and the same
 * key always give the same log.
 */
package app.chervil.core.notebook;
