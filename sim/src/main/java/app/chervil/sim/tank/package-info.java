/**
 * Tanks that were kept for a while: {@link app.chervil.sim.tank.KeptStage} writes what a keeper who follows the engine would
 * have logged, {@link app.chervil.sim.tank.LivingWater} what the water would have done. Figures are our judgement
 * (docs/sources.md#simulated-tanks).
 */
package app.chervil.sim.tank;
