/**
 * The sums of the bench over HTTP, the rules of thumb a site keeps in place of ours, and the vessels it measures with. Read
 * {@link app.chervil.server.sums.SumOperations} first.
 */
@org.jspecify.annotations.NullMarked
package app.chervil.server.sums;
