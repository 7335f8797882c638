/** How fast the packaged server answers, asked over HTTP from a process of its own: {@code ./chervil bench server}. */
@org.jspecify.annotations.NullMarked
package app.chervil.server.bench;
