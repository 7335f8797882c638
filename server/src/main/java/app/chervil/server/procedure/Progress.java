package app.chervil.server.procedure;

import app.chervil.core.filter.CareAction;
import app.chervil.core.interval.Finding;
import app.chervil.core.procedure.Step.Effect;
import app.chervil.server.filter.FilterView.TaskView;
import app.chervil.server.procedure.ProcedureView.StepView;
import java.time.Duration;
import java.time.Instant;
import java.util.HashSet;
import java.util.List;
import java.util.Objects;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/** What the events of a guided service add up to. */
final class Progress {
    private final List<StepView> steps;
    private final List<GuidedEvent> events;
    private final Set<String> done = new HashSet<>();

    Progress(List<StepView> steps, List<GuidedEvent> events) {
        this.steps = steps;
        this.events = events;
        for (GuidedEvent event : events) {
            switch (event.kind()) {
                case DONE -> done.add(event.step());
                case UNDONE, SKIPPED -> done.remove(event.step());
                default -> {}
            }
        }
    }

    /** Since when the filter is off; null while it runs. Taking a step back takes its effect back. */
    @Nullable
    Instant offSince() {
        @Nullable Instant off = null;
        @Nullable Instant lastOff = null;
        for (GuidedEvent event : events) {
            boolean back = event.kind() == GuidedEvent.Kind.UNDONE;
            if (!back && event.kind() != GuidedEvent.Kind.DONE) {
                continue;
            }
            if (has(event, Effect.POWER_OFF)) {
                off = back ? null : event.happenedAt();
                lastOff = off;
            }
            if (has(event, Effect.POWER_ON)) {
                off = back ? lastOff : null;
            }
        }
        return off;
    }

    /** Whether a step of the catalogue was done, for whatever stage. */
    boolean done(@Nullable String code) {
        return done.stream().anyMatch(step -> step.equals(code) || step.startsWith(code + ":"));
    }

    /** Whole minutes the filter stood until it started or until now; null if it was never stopped. */
    @Nullable
    Integer offMinutes(Instant now) {
        @Nullable Instant since = null;
        @Nullable Duration total = null;
        for (GuidedEvent event : events) {
            boolean did = event.kind() == GuidedEvent.Kind.DONE;
            if (did && since == null && has(event, Effect.POWER_OFF)) {
                since = event.happenedAt();
            } else if (did && since != null && has(event, Effect.POWER_ON)) {
                total = sum(total, Duration.between(since, event.happenedAt()));
                since = null;
            }
        }
        total = since == null ? total : sum(total, Duration.between(since, now));
        return total == null ? null : (int) Math.min(100_000, Math.max(0, total.toMinutes()));
    }

    private static Duration sum(@Nullable Duration before, Duration more) {
        return before == null ? more : before.plus(more);
    }

    private boolean has(GuidedEvent event, Effect effect) {
        return steps.stream()
                .anyMatch(
                        step -> step.id().equals(event.step()) && step.effects().contains(effect));
    }

    /** A task is finished once one of its own steps is done; an opening, once the filter was opened. */
    boolean finished(TaskView task) {
        if (task.action() == CareAction.OPEN) {
            return done.stream().anyMatch(step -> step.startsWith("lid-off:") || step.startsWith("tip:"));
        }
        return steps.stream()
                .filter(step -> Objects.equals(step.taskId(), task.id()))
                .anyMatch(step -> done.contains(step.id()));
    }

    /** The last grade given to a stage; null if nobody looked. */
    @Nullable
    Finding findingOf(long stage) {
        Set<String> ofStage = new HashSet<>();
        steps.stream().filter(step -> Objects.equals(step.stageId(), stage)).forEach(step -> ofStage.add(step.id()));
        @Nullable Finding last = null;
        for (GuidedEvent event : events) {
            if (event.kind() == GuidedEvent.Kind.FINDING && ofStage.contains(event.step())) {
                last = event.value().isEmpty() ? null : Finding.valueOf(event.value());
            }
        }
        return last;
    }

    /** The last flow written down, in L/h; null if none was. */
    @Nullable
    Double flow(GuidedEvent.Kind when) {
        @Nullable Double last = null;
        for (GuidedEvent event : events) {
            if (event.kind() == when) {
                last = event.value().isEmpty() ? null : Double.valueOf(event.value());
            }
        }
        return last;
    }
}
