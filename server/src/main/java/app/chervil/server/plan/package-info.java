/** Visits on real days: the plan in force, and what keepers decide on it. Read {@link app.chervil.server.plan.PlanInForceOperations} first. */
@org.jspecify.annotations.NullMarked
package app.chervil.server.plan;
