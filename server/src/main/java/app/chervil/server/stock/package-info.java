/** What lies in the stores of a site. Read {@link app.chervil.server.stock.ShelfOperations} first. */
@NullMarked
package app.chervil.server.stock;

import org.jspecify.annotations.NullMarked;
