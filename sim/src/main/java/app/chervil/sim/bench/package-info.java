/**
 * Ways of deciding when to serve a stage, lived through hidden truths and compared. Start with
 * {@link app.chervil.sim.bench.IntervalBench}.
 */
package app.chervil.sim.bench;
