/** Filters, their water paths and care tasks. Read FilterOperations first. */
@org.jspecify.annotations.NullMarked
package app.chervil.server.filter;
