/**
 * What lies on the shelf, how long it lasts and what a year of it costs. Read {@link app.chervil.core.stock.Shelf} first:
 * what is there is never stored, it follows from what was counted, bought, used and washed.
 */
package app.chervil.core.stock;
