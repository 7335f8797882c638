/**
 * Filters, their water paths, and the care each stage asks for. Read {@link app.chervil.core.filter.CareCatalogue}
 * first: every start interval, bound and minute of the product stands there.
 */
package app.chervil.core.filter;
