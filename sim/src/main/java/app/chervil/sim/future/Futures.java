package app.chervil.sim.future;

import app.chervil.core.filter.CareAction;
import app.chervil.core.filter.CareCatalogue;
import app.chervil.core.interval.ContextEffect;
import app.chervil.core.interval.Course;
import app.chervil.core.interval.Serviced;
import app.chervil.core.tank.ContextChange;
import app.chervil.core.tank.ContextChange.Kind;
import app.chervil.sim.future.TankToday.AgedTask;
import app.chervil.sim.future.TankToday.GradedTask;
import app.chervil.sim.future.TankToday.Work;
import app.chervil.sim.tank.LivingWater;
import app.chervil.sim.truth.Eye;
import app.chervil.sim.truth.Randomness;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.SplittableRandom;

/**
 * Lives the coming year of a tank: how fast each stage truly fills is drawn from what is believed of it, then wanders and has
 * a season; whoever works as learned goes on learning.
 */
public final class Futures {
    /** Days of a year that is lived. */
    public static final int DAYS = 365;

    private static final double WALK_SD = 0.08;
    private static final double MISSED = 0.06;
    private static final double LATE_BY = 1.3;
    private static final double[] LOST_BY_DISTURBANCE = {0, 0.03, 0.12, 0.4};
    private static final Work PREFILTER_RINSE = new Work(5, 0, 1);
    private static final double PREFILTER_RINSE_DAYS = 14;

    private Futures() {}

    /** One year; the same for the same seed, and with the same luck for every way. */
    public static Outcome live(TankToday tank, Way way, long seed) {
        List<Stage> stages = new ArrayList<>();
        for (int i = 0; i < tank.graded().size(); i++) {
            stages.add(new Stage(tank, tank.graded().get(i), way, Randomness.of(seed, "stage", i)));
        }
        List<AgedTask> aged = new ArrayList<>(tank.byAge());
        if (way == Way.PREFILTER_ADDED) {
            aged.add(new AgedTask(PREFILTER_RINSE_DAYS, PREFILTER_RINSE));
        }
        double fed = way == Way.STOCKING_RAISED
                ? Math.exp(ContextEffect.of(raised(tank)).logRate())
                : 1;
        return new Year(tank, stages, aged, fed).live();
    }

    private static ContextChange raised(TankToday tank) {
        return new ContextChange(tank.on(), Kind.STOCKING, 1);
    }

    /** What a year adds up to. */
    private static final class Year {
        private final TankToday tank;
        private final List<Stage> stages;
        private final List<AgedTask> aged;
        private final double fed;
        private final LivingWater water;
        private double services;
        private double minutes;
        private double money;
        private double overloads;
        private double worstNitrate;
        private double worstAmmonia;

        Year(TankToday tank, List<Stage> stages, List<AgedTask> aged, double fed) {
            this.tank = tank;
            this.stages = stages;
            this.aged = aged;
            this.fed = fed;
            this.water = new LivingWater(
                    tank.water().nitrateAWeek(), 0.1, tank.water().nitrate(), 0.1);
        }

        Outcome live() {
            for (int day = 1; day <= DAYS; day++) {
                double kept = 1;
                double dirt = 0;
                for (Stage stage : stages) {
                    Optional<Boolean> served = stage.live(day);
                    if (served.isPresent()) {
                        count(stage.task.work(), 1);
                        overloads += served.get() ? 1 : 0;
                        kept *= 1 - LOST_BY_DISTURBANCE[stage.task.work().disturbance()];
                    }
                    dirt += Math.min(1.5, stage.loading()) / stages.size();
                }
                water.live(new LivingWater.Day(
                        stages.isEmpty() ? 0.5 : dirt,
                        day % 7 == 0 ? tank.water().weeklyChange() : 0,
                        1 - kept,
                        false,
                        fed));
                worstNitrate = Math.max(worstNitrate, water.nitrate());
                worstAmmonia = Math.max(worstAmmonia, water.ammonia());
            }
            aged.forEach(task -> count(task.work(), Math.floor(DAYS / task.days())));
            return new Outcome(services, minutes / 60, money, overloads, worstNitrate, worstAmmonia);
        }

        private void count(Work work, double times) {
            services += times;
            minutes += times * work.minutes();
            money += times * work.money();
        }
    }

    /** One stage through the year. */
    private static final class Stage {
        private final GradedTask task;
        private final LocalDate begin;
        private final Way way;
        private final Course course;
        private final SplittableRandom random;
        private final Eye eye;
        private final double season;
        private double logT;
        private double rate;
        private double filled;
        private LocalDate last;
        private LocalDate next;

        Stage(TankToday tank, GradedTask task, Way way, SplittableRandom random) {
            this.task = task;
            this.begin = tank.on();
            this.way = way;
            this.random = random;
            this.course = task.course().get();
            this.last = task.since();
            this.eye = new Eye(0.25 * random.nextGaussian(), 0, 0.1);
            this.season = 0.05 + 0.15 * random.nextDouble();
            this.logT = course.belief().mean() + course.belief().spreadOfARun() * random.nextGaussian();
            this.rate = course.exposureOn(begin.plusDays(1)) - course.exposureOn(begin);
            this.filled = course.exposureOn(begin) / Math.exp(logT);
            double luck = random.nextGaussian();
            way.change()
                    .filter(kind -> kind != Kind.PREFILTER || task.behindPrefilter())
                    .map(kind -> new ContextChange(begin, kind, 1))
                    .ifPresent(change -> change(change, luck));
            this.next = planned();
        }

        private void change(ContextChange change, double luck) {
            ContextEffect effect = ContextEffect.of(change);
            rate *= Math.exp(effect.logRate() + effect.sd() * luck);
            course.change(change);
        }

        /** Lives a day; tells, if it was served, whether it was overloaded by then. */
        Optional<Boolean> live(int day) {
            LocalDate today = begin.plusDays(day);
            filled += rate * (1 + season * Math.sin(2 * Math.PI * today.getDayOfYear() / DAYS)) / Math.exp(logT);
            logT += WALK_SD / Math.sqrt(30) * random.nextGaussian();
            if (today.isBefore(next)) {
                return Optional.empty();
            }
            boolean overloaded = filled >= 1;
            course.serve(Serviced.found(today, eye.grade(Math.max(filled, 1e-3), random)));
            filled = 0;
            last = today;
            next = planned();
            return Optional.of(overloaded);
        }

        double loading() {
            return filled;
        }

        private LocalDate planned() {
            double learned = ChronoUnit.DAYS.between(last, course.window().ideal());
            double days =
                    switch (way) {
                        case MAKERS_CALENDAR ->
                            task.rule().action() == CareAction.OPEN
                                    ? CareCatalogue.MAKERS_OPENING_DAYS
                                    : task.rule().startDays();
                        case HALF_AS_OFTEN -> 2 * learned;
                        case AS_LEARNED, PREFILTER_ADDED, STOCKING_RAISED -> learned;
                    };
            double slip = random.nextDouble() < MISSED ? LATE_BY : 1;
            LocalDate day = last.plusDays(Math.max(1, Math.round(days * slip)));
            return day.isAfter(begin) ? day : begin.plusDays(1);
        }
    }
}
