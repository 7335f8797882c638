package app.chervil.server.procedure;

import app.chervil.core.procedure.FollowUp;
import app.chervil.core.procedure.GuidedWork;
import app.chervil.core.procedure.Step.Effect;
import app.chervil.core.site.Filter;
import app.chervil.server.account.SignedIn;
import app.chervil.server.filter.FilterOperations;
import app.chervil.server.followup.FollowUpOperations;
import app.chervil.server.problem.NotFound;
import app.chervil.server.problem.Rejected;
import app.chervil.server.procedure.GuidedView.Coming;
import app.chervil.server.procedure.ProcedureOperations.Around;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** Services of a tank's filters that follow each other: what was before, what comes, and a heater that waits meanwhile. */
@Component
class GuidedLine {
    private final GuidedMapper mapper;
    private final FilterOperations filters;
    private final FollowUpOperations followUps;

    GuidedLine(GuidedMapper mapper, FilterOperations filters, FollowUpOperations followUps) {
        this.mapper = mapper;
        this.filters = filters;
        this.followUps = followUps;
    }

    /** What is served around a service that begins. */
    Around around(SignedIn who, GuidedStart input) {
        if (input.after() == null) {
            return input.next().isEmpty() ? Around.NOTHING : new Around(List.of(), input.next());
        }
        GuidedRow before = before(who, input.after());
        List<Long> rest = new ArrayList<>(before.thenTasks().ids());
        rest.removeAll(input.tasks());
        return new Around(served(who, before), rest);
    }

    /** What is served around one that goes on. */
    Around around(SignedIn who, GuidedRow row) {
        List<Long> before = row.afterId() == null
                ? List.of()
                : mapper.find(who.siteId(), row.afterId())
                        .map(earlier -> served(who, earlier))
                        .orElse(List.of());
        List<Long> then = coming(who, row).stream()
                .flatMap(coming -> coming.tasks().stream())
                .toList();
        return before.isEmpty() && then.isEmpty() ? Around.NOTHING : new Around(before, then);
    }

    /** Why work is done that is on hold: what was written at the first holds for all that follow. */
    @Nullable
    String reason(SignedIn who, GuidedStart input) {
        return input.overrideReason() == null && input.after() != null
                ? before(who, input.after()).overrideReason()
                : input.overrideReason();
    }

    /**
     * Checks that a service may follow the one it says.
     *
     * @throws Rejected if the one before is of another tank, asked for something else, or its filter is still off
     */
    void checkAfter(SignedIn who, long tank, GuidedStart input) {
        if (input.after() == null) {
            return;
        }
        GuidedRow before = before(who, input.after());
        new Rejected.Gatherer()
                .check(
                        before.tankId() == tank && before.thenTasks().ids().containsAll(input.tasks()),
                        "after",
                        "not-asked-for",
                        "The service before did not ask for this. Begin it by itself.")
                .check(
                        before.offSince() == null,
                        "after",
                        "still-off",
                        "The filter before is still off. Start it first, so that never two stand.")
                .done();
    }

    /** Nobody is asked for the heater once somebody goes on. */
    void goesOn(SignedIn who, GuidedStart input) {
        if (input.after() != null) {
            followUps.forget(who, heater(input.after()));
        }
    }

    /** Filters that follow a service, those that are still there. */
    List<Coming> coming(SignedIn who, GuidedRow row) {
        List<Long> tasks = row.thenTasks().ids();
        if (tasks.isEmpty()) {
            return List.of();
        }
        List<Filter> there = filters.list(who, row.tankId());
        return tasks.stream()
                .flatMap(task ->
                        there.stream().filter(filter -> filter.task(task).isPresent()))
                .distinct()
                .map(filter -> new Coming(
                        filter.id(),
                        filter.name(),
                        tasks.stream()
                                .filter(task -> filter.task(task).isPresent())
                                .toList()))
                .toList();
    }

    /** A heater that was to go on with the next filter is asked for until somebody goes on. */
    void heaterWaits(SignedIn who, GuidedRow row, GuidedWork work) {
        boolean off = work.did(Effect.HEATER_OFF) && !work.did(Effect.HEATER_ON);
        Optional<Coming> next = coming(who, row).stream().findFirst();
        if (off && next.isPresent()) {
            Filter filter = filters.find(who, row.filterId());
            followUps.ask(
                    who,
                    filter,
                    heater(row.id()),
                    List.of(FollowUp.ofHeater(filter.name(), next.get().filterName())));
        }
    }

    private GuidedRow before(SignedIn who, UUID id) {
        return mapper.find(who.siteId(), id).orElseThrow(() -> new NotFound("guided service"));
    }

    /** Tasks of a service and of all before it, first to last. */
    private List<Long> served(SignedIn who, GuidedRow last) {
        List<Long> tasks = new ArrayList<>(last.tasks().ids());
        if (last.afterId() != null) {
            mapper.find(who.siteId(), last.afterId()).ifPresent(earlier -> tasks.addAll(0, served(who, earlier)));
        }
        return tasks;
    }

    private static UUID heater(UUID service) {
        return UUID.nameUUIDFromBytes((service + " heater").getBytes(StandardCharsets.UTF_8));
    }
}
