/** Filters of a site compared over their history. */
@NullMarked
package app.chervil.server.compare;

import org.jspecify.annotations.NullMarked;
