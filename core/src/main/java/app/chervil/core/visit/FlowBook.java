package app.chervil.core.visit;

import app.chervil.core.calc.FlowRate;
import app.chervil.core.filter.Learning.Graded;
import app.chervil.core.interval.Course;
import app.chervil.core.interval.Finding;
import app.chervil.core.interval.Note;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;

/**
 * What the flow of a filter says of its stages. A service is judged by what it gave back, and only as far as the dirt that
 * was seen can explain it; what it cannot explain is a fault of pump, hose, valve or air (docs/sources.md#flow).
 */
final class FlowBook {
    private static final double ABOVE_CLEAN = 1.1;
    private static final double FALLEN = 0.8;
    private static final int FITTING_DAYS = 2;
    private static final double MOST_LOADING = 1.5;
    private static final double MEASURING_SD = 0.1;
    private static final double METER_SD = 0.05;
    private static final double UNSURE = 1.5;
    private static final double EXPLAINED = 6;
    private static final double NEARLY_CLEAN = 1 / 0.9;
    private static final double RESTORED = 0.75;

    private final Optional<FlowRate> plate;
    private final Set<Note> notes;
    private Optional<FlowRate> clean = Optional.empty();
    private Optional<FlowRate> lastAfter = Optional.empty();
    private Optional<LocalDate> lastOn = Optional.empty();
    private int notRestored;

    /**
     * One stage that throttles the flow.
     *
     * @param task id of its task
     * @param shareAtOverload flow left when it is overloaded
     * @param course up to the day in question, exclusive
     */
    record Throttle(long task, double shareAtOverload, Course course) {
        static Optional<Throttle> of(BookedTask task, Course course) {
            return task.rule().learning() instanceof Graded graded
                            && graded.flowAtOverload().isPresent()
                    ? Optional.of(
                            new Throttle(task.id(), graded.flowAtOverload().getAsDouble(), course))
                    : Optional.empty();
        }

        /** Flow it costs at a loading, relative to the clean flow: κL². */
        private double resistance(double loading) {
            return (1 / shareAtOverload - 1) * loading * loading;
        }

        private double loadingOn(LocalDate day) {
            return Math.min(MOST_LOADING, Math.exp(course.logLoadingOn(day)));
        }

        private double explained(ServiceDay day) {
            Optional<Finding> finding = day.look(task).finding();
            return resistance(finding.map(Finding::centre).orElseGet(() -> loadingOn(day.on())));
        }
    }

    FlowBook(Optional<FlowRate> plate, Set<Note> notes) {
        this.plate = plate;
        this.notes = notes;
    }

    /**
     * The share of the clean flow that each served stage's dirt left, by task; empty where the flow says nothing. Days come
     * in order.
     *
     * @param throttles all stages that throttle this filter
     */
    Map<Long, Double> judge(ServiceDay day, List<Throttle> throttles) {
        Optional<FlowRate> before = credible(day, day.flowBefore()).filter(flow -> !isFitting(day, flow));
        Optional<FlowRate> after = credible(day, day.flowAfter());
        if (day.isMeasuringOnly()) {
            after.ifPresent(flow -> learnClean(flow, false));
            return Map.of();
        }
        List<Throttle> served =
                throttles.stream().filter(one -> day.did(one.task())).toList();
        Map<Long, Double> shares = before.isPresent() && clean.isPresent() && !served.isEmpty()
                ? shares(day, new Loss(ratio(before.get()), after.map(this::ratio)), served, throttles)
                : Map.of();
        after.ifPresent(flow -> learnClean(flow, served.size() == throttles.size()));
        lastAfter = after;
        lastOn = Optional.of(day.on());
        return shares;
    }

    /** Clean flow ÷ flow, before and after. */
    private record Loss(double before, Optional<Double> after) {
        double noise() {
            double rest = after.orElse(1.0);
            return UNSURE * MEASURING_SD * Math.sqrt(before * before + rest * rest);
        }
    }

    private double ratio(FlowRate flow) {
        return clean.orElseThrow().litresPerHour() / flow.litresPerHour();
    }

    private Map<Long, Double> shares(ServiceDay day, Loss loss, List<Throttle> served, List<Throttle> all) {
        double givenBack = Math.max(
                0,
                loss.after().map(after -> loss.before() - after).orElseGet(() -> loss.before() - 1 - others(day, all)));
        double explained =
                served.stream().mapToDouble(one -> one.explained(day)).sum();
        if (givenBack - loss.noise() > EXPLAINED * explained) {
            notes.add(Note.FLOW_UNEXPLAINED);
            return Map.of();
        }
        boolean clogged =
                served.stream().anyMatch(one -> day.look(one.task()).finding().equals(Optional.of(Finding.CLOGGED)));
        if (clogged && loss.before() < NEARLY_CLEAN) {
            notes.add(Note.FLOW_AROUND);
            return Map.of();
        }
        Map<Long, Double> shares = new HashMap<>();
        served.forEach(one -> shares.put(one.task(), 1 / (1 + givenBack * one.explained(day) / explained)));
        return shares;
    }

    private static double others(ServiceDay day, List<Throttle> all) {
        return expected(
                day.on(), all.stream().filter(one -> !day.did(one.task())).toList());
    }

    private Optional<FlowRate> credible(ServiceDay day, Optional<FlowRate> measured) {
        return measured.filter(flow -> {
            boolean overClean = !day.sureOfFlow()
                    && clean.map(usual -> flow.litresPerHour() > ABOVE_CLEAN * usual.litresPerHour())
                            .orElse(false);
            boolean overPlate = plate.map(most -> flow.litresPerHour() > most.litresPerHour())
                    .orElse(false);
            if (overClean || overPlate) {
                notes.add(Note.FLOW_DOUBTED);
            }
            return !overClean && !overPlate;
        });
    }

    private boolean isFitting(ServiceDay day, FlowRate before) {
        boolean soon = lastOn.map(on -> ChronoUnit.DAYS.between(on, day.on()) <= FITTING_DAYS)
                .orElse(false);
        boolean fallen = lastAfter
                .map(after -> before.litresPerHour() < FALLEN * after.litresPerHour())
                .orElse(false);
        if (soon && fallen) {
            notes.add(Note.FLOW_FITTING);
        }
        return soon && fallen;
    }

    private void learnClean(FlowRate after, boolean allServed) {
        if (clean.isEmpty()) {
            clean = Optional.of(after);
        } else if (allServed) {
            boolean low = after.litresPerHour() < RESTORED * clean.get().litresPerHour();
            notRestored = low ? notRestored + 1 : 0;
            if (low) {
                notes.add(Note.FLOW_NOT_RESTORED);
            }
            if (!low || notRestored == 2) {
                clean = Optional.of(after);
                notRestored = 0;
            }
        }
    }

    /**
     * The share of the clean flow that each stage's dirt leaves while nothing is being serviced, by task; empty where the clean
     * flow is not known, or more is lost than the dirt that is expected can explain.
     *
     * @param now the flow of these days, by a meter
     */
    Map<Long, Double> shares(LocalDate on, FlowRate now, List<Throttle> all) {
        Map<Long, Double> shares = new HashMap<>();
        double explained = expected(on, all);
        if (clean.isEmpty() || explained <= 0) {
            return shares;
        }
        double lost = Math.max(0, ratio(now) - 1);
        if (lost - UNSURE * METER_SD * Math.hypot(1, 1 + lost) > EXPLAINED * explained) {
            notes.add(Note.FLOW_UNEXPLAINED);
            return shares;
        }
        all.forEach(one -> shares.put(one.task(), 1 / (1 + lost * one.resistance(one.loadingOn(on)) / explained)));
        return shares;
    }

    /** Flow that stages cost by what is believed of them. */
    private static double expected(LocalDate on, List<Throttle> all) {
        return all.stream()
                .mapToDouble(one -> one.resistance(one.loadingOn(on)))
                .sum();
    }

    /** The flow of this filter when it is clean; empty if nobody measured it. */
    Optional<FlowRate> clean() {
        return clean;
    }

    static OptionalDouble shareOf(Map<Long, Double> shares, long task) {
        Double share = shares.get(task);
        return share == null ? OptionalDouble.empty() : OptionalDouble.of(share);
    }
}
