package app.chervil.server.procedure;

import app.chervil.core.interval.Finding;
import app.chervil.core.procedure.GuidedWork;
import app.chervil.core.procedure.Occasion;
import app.chervil.core.procedure.Situation.Chore;
import app.chervil.core.procedure.Step.Effect;
import app.chervil.core.site.Filter;
import app.chervil.core.site.FilterTask;
import app.chervil.server.account.SignedIn;
import app.chervil.server.filter.FilterOperations;
import app.chervil.server.tank.TankOperations;
import app.chervil.server.visit.ServiceInput;
import java.time.Clock;
import java.time.Duration;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** What a finished guided service comes to in the log. */
@Component
class GuidedLog {
    private static final int MOST_OFF_MINUTES = 100_000;
    private static final int MOST_MINUTES = 24 * 60;

    private final FilterOperations filters;
    private final TankOperations tanks;
    private final Clock clock;

    GuidedLog(FilterOperations filters, TankOperations tanks, Clock clock) {
        this.filters = filters;
        this.tanks = tanks;
        this.clock = clock;
    }

    ServiceInput told(SignedIn who, GuidedRow row, GuidedWork work, GuidedFinish input) {
        Filter filter = filters.find(who, row.filterId());
        List<Long> asked = row.tasks().ids();
        List<ServiceInput.Done> tasks = filter.tasks().stream()
                .filter(task -> asked.contains(task.id()) && work.finished(task.id(), task.action()))
                .map(task -> new ServiceInput.Done(task.id(), finding(work, task)))
                .toList();
        long minutes =
                Math.max(1, Duration.between(row.startedAt(), clock.instant()).toMinutes());
        ServiceInput.FlowInput flow = new ServiceInput.FlowInput(
                filter.id(),
                reading(work.flow(GuidedWork.Kind.FLOW_BEFORE)),
                reading(work.flow(GuidedWork.Kind.FLOW_AFTER)));
        return new ServiceInput(
                row.tankId(),
                tanks.today(),
                who.name(),
                (int) Math.min(minutes, MOST_MINUTES),
                note(input, work, row),
                tasks,
                List.of(flow),
                new ServiceInput.Circumstances(
                        offMinutes(work),
                        input.overrideReason() == null ? row.overrideReason() : input.overrideReason(),
                        input.parts()));
    }

    private @Nullable Integer offMinutes(GuidedWork work) {
        OptionalInt minutes = work.offMinutes(clock.instant());
        return minutes.isPresent() ? Math.min(MOST_OFF_MINUTES, minutes.getAsInt()) : null;
    }

    static boolean isSetUp(GuidedRow row, GuidedWork work) {
        return row.occasion() == Occasion.SET_UP && work.did(Effect.POWER_ON);
    }

    static boolean isTakenDown(GuidedRow row, GuidedWork work) {
        return row.occasion().takesDown() && work.did(Effect.POWER_OFF);
    }

    /** Chores belong to no filter, so the log tells them in its note. */
    private String note(GuidedFinish input, GuidedWork work, GuidedRow row) {
        Stream<String> told = row.occasion().hasTasks()
                ? row.chores().kinds().stream()
                        .sorted()
                        .filter(chore -> work.did(chore.work()))
                        .map(Chore::told)
                : told(row, work).stream();
        Stream<String> stray = work.stray().map(GuidedLog::stray).stream();
        return Stream.of(told, stray, Stream.of(input.note().strip()))
                .flatMap(Function.identity())
                .filter(part -> !part.isEmpty())
                .collect(Collectors.joining(" "));
    }

    private static String stray(String place) {
        return place.equals(GuidedAftermath.UNKNOWN_PLACE)
                ? "Media was in the pump; nobody could tell where from."
                : "Media was in the pump, from the " + place + ".";
    }

    private static Optional<String> told(GuidedRow row, GuidedWork work) {
        if (isSetUp(row, work)) {
            return Optional.of("Set up and started.");
        }
        if (row.occasion() == Occasion.LOOK_OVER) {
            return Optional.of("Looked over.");
        }
        return isTakenDown(row, work)
                ? Optional.of(row.occasion() == Occasion.MOVE ? "Taken down to be moved." : "Taken down and put away.")
                : Optional.empty();
    }

    private static @Nullable Finding finding(GuidedWork work, FilterTask task) {
        return task.stageId()
                .filter(stage -> task.graded())
                .flatMap(work::gradeOf)
                .map(Finding::valueOf)
                .orElse(null);
    }

    private static ServiceInput.@Nullable FlowReading reading(OptionalDouble litresPerHour) {
        return litresPerHour.isPresent() ? new ServiceInput.FlowReading(litresPerHour.getAsDouble(), null, null) : null;
    }
}
