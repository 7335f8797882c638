package app.chervil.server.visit;

import app.chervil.server.problem.NotFound;
import app.chervil.server.problem.Rejected;
import app.chervil.server.visit.ServiceInput.FlowInput;
import app.chervil.server.visit.ServiceInput.FlowReading;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/** Checks a service against the tank it is logged at. */
final class ServiceChecks {
    private ServiceChecks() {}

    /** What belongs to a tank, also what is no longer in use. */
    record Owned(Set<Long> tasks, Set<Long> filters) {}

    /**
     * Whether a service can be logged as it was typed.
     *
     * @throws NotFound if a task or filter is not the tank's
     * @throws Rejected with all that is wrong, each at its field
     */
    static void check(Owned owned, ServiceInput input) {
        if (!input.tasks().stream().allMatch(done -> owned.tasks().contains(done.taskId()))) {
            throw new NotFound("task");
        }
        if (!input.flows().stream().allMatch(flow -> owned.filters().contains(flow.filterId()))) {
            throw new NotFound("filter");
        }
        Rejected.Gatherer gatherer = new Rejected.Gatherer()
                .check(input.saysSomething(), "tasks", "too-few", "Tick at least one thing that was done.");
        checkTwice(
                gatherer,
                "tasks",
                input.tasks().stream().map(ServiceInput.Done::taskId).toList());
        checkTwice(
                gatherer,
                "flows",
                input.flows().stream().map(FlowInput::filterId).toList());
        checkTwice(
                gatherer,
                "circumstances.parts",
                input.known().parts().stream().map(ServiceInput.Part::thing).toList());
        for (int i = 0; i < input.flows().size(); i++) {
            checkReading(
                    gatherer, "flows[" + i + "].before", input.flows().get(i).before());
            checkReading(
                    gatherer, "flows[" + i + "].after", input.flows().get(i).after());
        }
        gatherer.done();
    }

    private static void checkTwice(Rejected.Gatherer gatherer, String field, List<?> ids) {
        gatherer.check(new HashSet<>(ids).size() == ids.size(), field, "twice", "The same is listed twice.");
    }

    private static void checkReading(Rejected.Gatherer gatherer, String field, @Nullable FlowReading reading) {
        if (reading != null && reading.litresPerHour() == null) {
            gatherer.check(reading.litres() != null, field + ".litres", "needed", "How many litres were caught?")
                    .check(reading.seconds() != null, field + ".seconds", "needed", "In how many seconds?");
        }
    }
}
