package app.chervil.sim.tank;

import app.chervil.core.filter.CareRule;
import app.chervil.core.filter.Learning.Graded;
import app.chervil.core.interval.Course;
import app.chervil.core.interval.Finding;
import app.chervil.core.interval.Serviced;
import app.chervil.core.interval.StartingLoad;
import app.chervil.core.interval.Window;
import app.chervil.core.tank.ContextChange;
import app.chervil.sim.truth.Eye;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.SplittableRandom;
import java.util.function.BiPredicate;
import java.util.function.Function;
import java.util.function.Predicate;
import java.util.stream.Stream;

/**
 * One graded task kept by somebody who follows the engine: served on the first working day from its ideal day, graded from
 * the truth, now and then early or late. An opening has several parts and is judged by the fullest.
 *
 * @param <K> names a part
 */
public final class KeptStage<K> {
    private static final double EARLY = 0.06;
    private static final double MISSED = 0.05;
    private static final double FLOW_EXPONENT = 2.2;
    private static final int FARTHEST_BACK = 400;
    private static final int LIVES = 12;
    private static final int LEFT_OUT = 2;
    private static final int[] GRADES_OFF = {0, 1, -1, 2};

    private final Plan plan;
    private final Map<K, Truth> parts;
    private final Eye eye;
    private final SplittableRandom random;
    private long looks;

    /**
     * How it is kept.
     *
     * @param from the day it began
     * @param today the day up to which it was kept, exclusive
     * @param changes that were written down, oldest first
     * @param putIn the day the part came, if it came later than that
     * @param fixedDays the interval that is kept after a service on a day, whatever is found
     * @param flowMeasured share of services at which flow is measured
     * @param works whether somebody works on a day
     */
    public record Plan(
            CareRule rule,
            LocalDate from,
            LocalDate today,
            Optional<LocalDate> putIn,
            StartingLoad load,
            List<ContextChange> changes,
            Function<LocalDate, OptionalInt> fixedDays,
            double flowMeasured,
            Predicate<LocalDate> works) {}

    /**
     * One service.
     *
     * @param parts what was found; empty where a part was only put in
     * @param flowShare of clean flow before; empty if not measured
     */
    public record Done<K>(LocalDate on, Map<K, Finding> parts, OptionalDouble flowShare) {
        private Serviced serviced() {
            return new Serviced(on, parts.values().stream().max(Comparator.naturalOrder()), flowShare);
        }
    }

    public KeptStage(Plan plan, Map<K, Truth> parts, Eye eye, SplittableRandom random) {
        this.plan = plan;
        this.parts = new LinkedHashMap<>(parts);
        this.eye = eye;
        this.random = random;
        this.looks = random.nextLong();
    }

    /**
     * Lives up to today, with a last service such that the window stands as wanted. Where no last service can bring that about,
     * up to two before it are left out, and then it lives again with other eyes and slips.
     *
     * @param ending what the last service's day and the window after it must be like
     * @param sooner share of its interval within which the last service is not to lie, unless nothing else fits; 0 to 1
     * @return oldest first; as it went the first time where no life ends as wanted
     */
    public List<Done<K>> keep(BiPredicate<LocalDate, Window> ending, double sooner) {
        List<Done<K>> went = live();
        Optional<List<Done<K>>> wanted = ended(went, ending, sooner);
        for (int life = 1; wanted.isEmpty() && life < LIVES; life++) {
            looks = random.nextLong();
            wanted = ended(live(), ending, sooner);
        }
        return wanted.orElse(went);
    }

    private List<Done<K>> live() {
        List<Done<K>> done = new ArrayList<>();
        plan.putIn().ifPresent(day -> done.add(new Done<>(day, Map.of(), OptionalDouble.empty())));
        LocalDate next = due(done, served(done));
        while (next.isBefore(plan.today())) {
            done.add(serve(served(done), next, 0));
            next = due(done, next);
        }
        return done;
    }

    private Optional<List<Done<K>>> ended(List<Done<K>> done, BiPredicate<LocalDate, Window> ending, double sooner) {
        int putIn = plan.putIn().isPresent() ? 1 : 0;
        int first = (int) Math.max(1, Math.round(sooner * interval(done)));
        int most = Math.max(putIn, before(done));
        for (int kept = most; kept >= Math.max(putIn, most - LEFT_OUT); kept--) {
            List<Done<K>> earlier = done.subList(0, kept);
            Optional<Done<K>> last = last(earlier, ending, first).or(() -> last(earlier, ending, 1));
            if (last.isPresent()) {
                return last.map(
                        one -> Stream.concat(earlier.stream(), Stream.of(one)).toList());
            }
        }
        return Optional.empty();
    }

    /** How many were done before the last interval and half of the one before it. */
    private int before(List<Done<K>> done) {
        LocalDate cut = plan.today().minusDays(Math.max(3, Math.round(1.5 * interval(done))));
        return (int) done.stream().filter(one -> one.on().isBefore(cut)).count();
    }

    private Optional<Done<K>> last(List<Done<K>> kept, BiPredicate<LocalDate, Window> ending, int firstAgo) {
        LocalDate oldest = served(kept).plusDays(1);
        for (int off : GRADES_OFF) {
            for (int ago = firstAgo; ago < FARTHEST_BACK; ago++) {
                LocalDate day = plan.today().minusDays(ago);
                if (day.isBefore(oldest)) {
                    break;
                }
                Done<K> candidate = serve(served(kept), day, off);
                List<Done<K>> all = new ArrayList<>(kept);
                all.add(candidate);
                if (ending.test(day, window(all))) {
                    return Optional.of(candidate);
                }
            }
        }
        return Optional.empty();
    }

    private LocalDate served(List<Done<K>> done) {
        return done.isEmpty() ? plan.from() : done.get(done.size() - 1).on();
    }

    private long interval(List<Done<K>> done) {
        return Truth.days(served(done), window(done).ideal());
    }

    private LocalDate due(List<Done<K>> done, LocalDate since) {
        double chance = random.nextDouble();
        double slip = chance < EARLY ? 0.65 : chance < EARLY + MISSED ? 1.25 : 1;
        LocalDate day = since.plusDays(Math.max(1, Math.round(interval(done) * slip)));
        for (int wait = 0; wait < 21 && !plan.works().test(day); wait++) {
            day = day.plusDays(1);
        }
        return day;
    }

    /** The window after these services. */
    private Window window(List<Done<K>> done) {
        OptionalInt fixed = plan.fixedDays().apply(served(done));
        if (fixed.isPresent()) {
            LocalDate day = served(done).plusDays(fixed.getAsInt());
            return new Window(day, day, day);
        }
        Course course = Course.begin(plan.rule(), plan.from(), plan.load());
        List<ContextChange> changes = plan.changes().stream()
                .filter(change -> change.on().isAfter(plan.from()))
                .toList();
        int next = 0;
        for (Done<K> one : done) {
            for (; next < changes.size() && !changes.get(next).on().isAfter(one.on()); next++) {
                course.change(changes.get(next));
            }
            course.serve(one.serviced());
        }
        LocalDate until = done.isEmpty() ? plan.from() : plan.today();
        for (; next < changes.size() && !changes.get(next).on().isAfter(until); next++) {
            course.change(changes.get(next));
        }
        return course.window();
    }

    private Done<K> serve(LocalDate served, LocalDate on, int gradesOff) {
        Map<K, Finding> found = new LinkedHashMap<>();
        double fullest = 0;
        SplittableRandom eyes = new SplittableRandom(looks + Truth.days(on, plan.today()));
        for (Map.Entry<K, Truth> part : parts.entrySet()) {
            double loading = part.getValue().loading(served, on);
            fullest = Math.max(fullest, loading);
            found.put(
                    part.getKey(),
                    Finding.ofGrade(eye.grade(Math.max(loading, 1e-3), eyes).grade() + gradesOff));
        }
        return new Done<>(on, found, flow(fullest, eyes));
    }

    private OptionalDouble flow(double loading, SplittableRandom eyes) {
        OptionalDouble atOverload = ((Graded) plan.rule().learning()).flowAtOverload();
        return atOverload.isPresent() && eyes.nextDouble() < plan.flowMeasured()
                ? OptionalDouble.of(Eye.flowShare(atOverload.getAsDouble(), loading, FLOW_EXPONENT)
                        * (1 + 0.02 * eyes.nextGaussian()))
                : OptionalDouble.empty();
    }
}
