package app.chervil.server.plan;

import app.chervil.core.plan.Instance;
import app.chervil.core.plan.Plan;
import app.chervil.server.plan.PlanMapper.VisitRow;
import java.util.List;

/**
 * The plan in force with what it was made from.
 *
 * @param rows its visits as stored
 */
record PlanForce(PlanInput input, Instance instance, Plan plan, List<VisitRow> rows) {}
