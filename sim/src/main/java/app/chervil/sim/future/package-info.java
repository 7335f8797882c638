/**
 * The coming year of a tank under several ways of working, many times over. Start with
 * {@link app.chervil.sim.future.Futures}; figures in docs/sources.md#what-if.
 */
package app.chervil.sim.future;
