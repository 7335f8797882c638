package app.chervil.core.site;

import app.chervil.core.visit.Fault;

/** A fault with the filter that had it. */
public record FilterFault(long filterId, Fault what) {}
