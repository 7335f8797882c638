/** Visits on real days: the keeper's time, chores, the plan in force, calendars. Read {@link app.chervil.server.plan.PlanOperations} first. */
@org.jspecify.annotations.NullMarked
package app.chervil.server.plan;
