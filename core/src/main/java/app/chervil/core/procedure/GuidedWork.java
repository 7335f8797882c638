package app.chervil.core.procedure;

import app.chervil.core.filter.CareAction;
import app.chervil.core.procedure.Step.Effect;
import java.time.Duration;
import java.time.Instant;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.OptionalLong;
import java.util.Set;
import java.util.function.Predicate;

/**
 * What the events of a guided service add up to: the one reading of them, which the browser repeats from the same examples
 * (docs/sources.md#guided-work). Of a step, a tick stands until it is taken back or the step is skipped; a second tick of what
 * stands, from another hand or sent late, changes nothing. What a tick did to the filter goes with it.
 */
public final class GuidedWork {
    private final List<Step> steps;
    private final Map<String, Step> byId = new HashMap<>();
    /** Ticks that stand, in the order they came to stand. */
    private final Map<String, Event> standing = new LinkedHashMap<>();

    /** What stops and starts the filter, in the order it came: ticks of steps that do, and what a plug saw. */
    private final Map<String, Event> power = new LinkedHashMap<>();

    private final Set<String> skipped = new HashSet<>();
    private final Map<String, Instant> started = new HashMap<>();
    private final Map<Long, String> grades = new HashMap<>();
    private final Map<Kind, OptionalDouble> flows = new HashMap<>();
    private Optional<String> stray = Optional.empty();

    /** What can happen. */
    public enum Kind {
        DONE,
        UNDONE,
        SKIPPED,
        FINDING,
        FLOW_BEFORE,
        FLOW_AFTER,
        TIMER,
        TASK_ADDED,
        /** Where media came from that was in the pump; with no value, that there was none. */
        STRAY,
        /** A plug saw the filter stop. It ticks no step, since a switched plug is not a pulled one. */
        SEEN_OFF,
        /** A plug saw it run again. */
        SEEN_ON;

        /** Whether only a device can say it. */
        public boolean seen() {
            return this == SEEN_OFF || this == SEEN_ON;
        }
    }

    /**
     * Something that happened.
     *
     * @param step id of the step it is about; empty if about none
     * @param value grade, litres per hour or reason, as its kind has it; may be empty
     */
    public record Event(Kind kind, String step, String value, Instant at) {}

    /** Where a step stands. */
    public enum State {
        OPEN,
        DONE,
        SKIPPED
    }

    private GuidedWork(List<Step> steps) {
        this.steps = List.copyOf(steps);
        steps.forEach(step -> byId.put(step.id(), step));
    }

    /**
     * Replays a service.
     *
     * @param events in the order they arrived; those about a step that is not here are passed over
     */
    public static GuidedWork replay(List<Step> steps, List<Event> events) {
        GuidedWork work = new GuidedWork(steps);
        events.forEach(work::take);
        return work;
    }

    private void take(Event event) {
        switch (event.kind()) {
            case DONE -> {
                standing.putIfAbsent(event.step(), event);
                power.putIfAbsent(event.step(), event);
                skipped.remove(event.step());
            }
            case UNDONE -> {
                takeBack(event.step());
                skipped.remove(event.step());
            }
            case SKIPPED -> {
                takeBack(event.step());
                skipped.add(event.step());
            }
            case SEEN_OFF, SEEN_ON -> power.put("seen " + power.size() + event.at(), event);
            case TIMER -> started.put(event.step(), event.at());
            case FINDING -> stageOf(event.step()).ifPresent(stage -> grades.put(stage, event.value()));
            case FLOW_BEFORE, FLOW_AFTER -> flows.put(event.kind(), flow(event));
            case STRAY -> stray = Optional.of(event.value()).filter(place -> !place.isEmpty());
            case TASK_ADDED -> {}
        }
    }

    private void takeBack(String step) {
        standing.remove(step);
        power.remove(step);
    }

    private Optional<Long> stageOf(String step) {
        return Optional.ofNullable(byId.get(step))
                .map(one -> one.about().stage())
                .filter(OptionalLong::isPresent)
                .map(OptionalLong::getAsLong);
    }

    private static OptionalDouble flow(Event event) {
        return event.value().isEmpty() ? OptionalDouble.empty() : OptionalDouble.of(Double.parseDouble(event.value()));
    }

    /** Where a step stands. */
    public State stateOf(String step) {
        return standing.containsKey(step) ? State.DONE : skipped.contains(step) ? State.SKIPPED : State.OPEN;
    }

    /** The step to do next; empty at the end. */
    public Optional<Step> current() {
        return steps.stream().filter(step -> stateOf(step.id()) == State.OPEN).findFirst();
    }

    /** Since when the filter is off; empty while it runs. */
    public Optional<Instant> offSince() {
        return off().since();
    }

    /** Whole minutes the filter stood in all, until it started or until now; empty if it was never stopped. */
    public OptionalInt offMinutes(Instant now) {
        Off off = off();
        if (off.since().isEmpty() && !off.ever()) {
            return OptionalInt.empty();
        }
        Duration open = off.since().map(since -> positive(since, now)).orElse(Duration.ZERO);
        return OptionalInt.of(
                (int) Math.min(Integer.MAX_VALUE, off.past().plus(open).toMinutes()));
    }

    private record Off(Optional<Instant> since, Duration past, boolean ever) {}

    private Off off() {
        Optional<Instant> since = Optional.empty();
        Duration past = Duration.ZERO;
        boolean ever = false;
        for (Event event : power.values()) {
            boolean tick = event.kind() == Kind.DONE;
            boolean stops = event.kind() == Kind.SEEN_OFF || (tick && does(event.step(), Effect.POWER_OFF));
            boolean starts = event.kind() == Kind.SEEN_ON || (tick && does(event.step(), Effect.POWER_ON));
            if (stops && since.isEmpty()) {
                since = Optional.of(event.at());
            } else if (starts && since.isPresent()) {
                past = past.plus(positive(since.get(), event.at()));
                since = Optional.empty();
                ever = true;
            }
        }
        return new Off(since, past, ever);
    }

    /** Clocks of two hands differ; nothing took less than no time. */
    private static Duration positive(Instant from, Instant to) {
        return from.isAfter(to) ? Duration.ZERO : Duration.between(from, to);
    }

    private boolean does(String step, Effect effect) {
        return Optional.ofNullable(byId.get(step))
                .filter(one -> one.effects().contains(effect))
                .isPresent();
    }

    /** Whether a step with this effect was done. */
    public boolean did(Effect effect) {
        return standing.keySet().stream().anyMatch(step -> does(step, effect));
    }

    /** Where media came from that was found in the pump, in the keeper's words; empty if none was, or nobody said. */
    public Optional<String> stray() {
        return stray;
    }

    /**
     * A task is finished once one of its own steps is done; an opening, once the filter was opened; a clean of the whole filter,
     * once no step of it is left open.
     */
    public boolean finished(long task, CareAction action) {
        Predicate<Step> own = step -> step.about().task().equals(OptionalLong.of(task));
        return switch (action) {
            case OPEN -> did(Effect.FILTER_OPENED);
            case CLEAN ->
                anyDone(own)
                        && steps.stream()
                                .filter(own.and(step -> step.about().stage().isEmpty()))
                                .noneMatch(step -> stateOf(step.id()) == State.OPEN);
            default -> anyDone(own);
        };
    }

    private boolean anyDone(Predicate<Step> fits) {
        return steps.stream().filter(fits).anyMatch(step -> standing.containsKey(step.id()));
    }

    /** The last grade given to a stage, by its code; empty if nobody looked, or it was taken back. */
    public Optional<String> gradeOf(long stage) {
        return Optional.ofNullable(grades.get(stage)).filter(grade -> !grade.isEmpty());
    }

    /**
     * The last flow written down, in L/h.
     *
     * @param when {@link Kind#FLOW_BEFORE} or {@link Kind#FLOW_AFTER}
     */
    public OptionalDouble flow(Kind when) {
        return flows.getOrDefault(when, OptionalDouble.empty());
    }

    /** When the waits end that are running, by step. */
    public Map<String, Instant> timers() {
        Map<String, Instant> ends = new LinkedHashMap<>();
        for (Step step : steps) {
            Instant from = started.get(step.id());
            if (from != null
                    && stateOf(step.id()) == State.OPEN
                    && step.care().timerMinutes().isPresent()) {
                ends.put(
                        step.id(),
                        from.plus(Duration.ofMinutes(step.care().timerMinutes().getAsInt())));
            }
        }
        return ends;
    }
}
