/** What slows or speeds the filling of a site's filters, from all their runs together. Read Effects first. */
package app.chervil.core.compare;
