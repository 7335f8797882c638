/** A spreadsheet kept before, read with its keeper's help and logged as history. Read NotebookOperations first. */
@NullMarked
package app.chervil.server.notebook;

import org.jspecify.annotations.NullMarked;
