/**
 * Puts tasks on real days. Read {@link app.chervil.core.plan.Planner} first, then {@link app.chervil.core.plan.Instance} for
 * what it is given. Every day here is counted from the first day of the plan, which is 0. Origin of the model and its weights:
 * docs/sources.md#planning.
 */
package app.chervil.core.plan;
