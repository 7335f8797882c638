/** Tables in open formats: read leniently, written so that no spreadsheet runs what stands in them. */
@NullMarked
package app.chervil.server.table;

import org.jspecify.annotations.NullMarked;
