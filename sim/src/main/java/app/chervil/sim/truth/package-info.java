/**
 * What no keeper can see: how fast a stage truly fills, and how people look at it. Start with
 * {@link app.chervil.sim.truth.HiddenStage}. Every figure is our judgement (docs/sources.md#simulator).
 */
package app.chervil.sim.truth;
