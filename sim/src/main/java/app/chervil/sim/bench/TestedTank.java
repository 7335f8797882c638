package app.chervil.sim.bench;

import app.chervil.core.water.RiseQuestion;
import app.chervil.core.water.RiseQuestion.Change;
import app.chervil.core.water.RiseQuestion.Kept;
import app.chervil.core.water.RiseQuestion.Tap;
import app.chervil.core.water.Seen;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.SplittableRandom;

/**
 * A tank whose parameter rises at known rates and whose keeper tests it, as the cases of docs/sources.md#water-benchmark need
 * it. A quarter of the water is changed the day after each reading that falls on a week's first day.
 */
final class TestedTank {
    static final double NITRATE_NOISE = 5;
    private static final double CHANGED = 0.25;
    private static final double OF_THE_VALUE = 0.1;
    private static final double STEP_DAYS = 0.25;
    private static final double[] CARD = {0, 5, 10, 20, 40, 80, 160};

    private final Plan plan;
    private final SplittableRandom random;

    TestedTank(Plan plan, SplittableRandom random) {
        this.plan = plan;
        this.random = random;
    }

    /**
     * What is drawn from.
     *
     * @param rates a week, of each way
     * @param order ways in turn, each for {@code periodDays}
     * @param every days between readings
     * @param readings how many
     * @param together correlation of the errors of readings that follow each other, 0 to below 1
     * @param carry days in which the old way's rate fades after a switch; zero if at once
     */
    record Plan(
            List<Double> rates,
            List<Integer> order,
            double periodDays,
            double every,
            int readings,
            double together,
            double carry,
            Kit kit,
            Water water,
            double settleDays) {
        static Plan weekly(int readings, double together) {
            return new Plan(List.of(10.0), List.of(0), 1e5, 7, readings, together, 0, Kit.DROPS, Water.PLAIN, 0);
        }

        /** Eight fortnights of two ways, A B B A B A A B. */
        static Plan trial(double first, double other, int each, double together) {
            return new Plan(
                    List.of(first, other),
                    List.of(0, 1, 1, 0, 1, 0, 0, 1),
                    14,
                    14.0 / each,
                    8 * each,
                    together,
                    0,
                    Kit.DROPS,
                    Water.PLAIN,
                    0);
        }

        Plan with(Double... ofWays) {
            return new Plan(
                    List.of(ofWays), order, periodDays, every, readings, together, carry, kit, water, settleDays);
        }

        Plan ordered(Integer... ways) {
            return new Plan(rates, List.of(ways), periodDays, every, readings, together, carry, kit, water, settleDays);
        }

        Plan read(Kit with) {
            return new Plan(rates, order, periodDays, every, readings, together, carry, with, water, settleDays);
        }

        Plan filledFrom(Water source) {
            return new Plan(rates, order, periodDays, every, readings, together, carry, kit, source, settleDays);
        }

        Plan readEvery(double days) {
            return new Plan(rates, order, periodDays, days, readings, together, carry, kit, water, settleDays);
        }

        Plan carrying(double days, double settle) {
            return new Plan(rates, order, periodDays, every, readings, together, days, kit, water, settle);
        }

        double days() {
            return every * (readings - 1);
        }
    }

    /**
     * A test.
     *
     * @param limit below it nothing is seen
     * @param worse how many times more it errs than it promises
     * @param offset that another kit adds from half time on
     */
    record Kit(double noise, double limit, double worse, double offset, boolean card) {
        static final Kit DROPS = new Kit(NITRATE_NOISE, 0, 1, 0, false);
        static final Kit WORSE = new Kit(NITRATE_NOISE, 0, 2, 0, false);
        static final Kit CHANGED_KIT = new Kit(NITRATE_NOISE, 0, 1, 8, false);
        static final Kit COLOURS = new Kit(NITRATE_NOISE, 0, 1, 0, true);
        static final Kit PHOSPHATE = new Kit(0.05, 0.05, 1, 0, false);
    }

    /**
     * The water it starts with and is filled with.
     *
     * @param start mean of what is there first
     * @param startSd of the same
     * @param believed what the fit is told of the tap
     * @param unlogged share changed without being logged in the ninth week; zero if never
     * @param changed whether it is changed at all
     */
    record Water(double start, double startSd, double tap, Tap believed, double unlogged, boolean changed) {
        static final Water PLAIN = new Water(40, 5, 0, Tap.NONE, 0, true);
        static final Water RISING = new Water(5, 0, 0, Tap.NONE, 0, false);
        static final Water STANDING = new Water(40, 10, 0, Tap.NONE, 0, true);
        static final Water UNLOGGED = new Water(40, 5, 0, Tap.NONE, 0.4, true);

        static Water tap(double value, Tap believed) {
            return new Water(40 + value, 5, value, believed, 0, true);
        }
    }

    /** What its keeper logged. */
    RiseQuestion logged() {
        List<Seen> seen = new ArrayList<>();
        List<Change> changes = new ArrayList<>();
        double level = Math.max(0, plan.water.start + plan.water.startSd * random.nextGaussian());
        double rate = plan.rates.get(plan.order.get(0));
        double error = random.nextGaussian();
        int steps = (int) Math.round(plan.days() / STEP_DAYS);
        int perReading = (int) Math.round(plan.every / STEP_DAYS);
        int perWeek = (int) Math.round(7 / STEP_DAYS);
        for (int step = 0; step <= steps; step++) {
            double day = step * STEP_DAYS;
            if (plan.water.changed && step % perWeek == Math.round(1 / STEP_DAYS)) {
                level = level * (1 - CHANGED) + CHANGED * plan.water.tap;
                changes.add(new Change(day, CHANGED));
            }
            if (step == 8 * perWeek + perWeek / 2) {
                level *= 1 - plan.water.unlogged;
            }
            if (step % perReading == 0) {
                seen.add(read(day, level, error));
                error = plan.together * error + Math.sqrt(1 - plan.together * plan.together) * random.nextGaussian();
            }
            double aim = plan.rates.get(wayOn(day));
            rate = plan.carry > 0 ? aim + (rate - aim) * Math.exp(-STEP_DAYS / plan.carry) : aim;
            level = Math.max(0, level + rate * STEP_DAYS / 7);
        }
        return new RiseQuestion(
                plan.kit.noise,
                plan.kit.noise,
                seen,
                changes,
                phases(),
                plan.rates.size(),
                plan.water.believed,
                plan.settleDays,
                plan.kit.offset == 0 ? List.of() : List.of(halfTime()));
    }

    private double halfTime() {
        return plan.days() / 2 - 1;
    }

    private int wayOn(double day) {
        return plan.order.get(Math.min(plan.order.size() - 1, (int) (day / plan.periodDays)));
    }

    private List<Kept> phases() {
        List<Kept> phases = new ArrayList<>();
        for (int period = 0; period < plan.order.size(); period++) {
            phases.add(new Kept(period * plan.periodDays, plan.order.get(period)));
        }
        return phases;
    }

    private Seen read(double day, double level, double error) {
        Kit kit = plan.kit;
        double off = kit.worse * Math.hypot(kit.noise / 2, OF_THE_VALUE * level);
        double value = Math.max(0, level + off * error + (kit.offset > 0 && day >= halfTime() ? kit.offset : 0));
        if (kit.card) {
            return onCard(day, value);
        }
        return value < kit.limit ? Seen.below(day, kit.limit, kit.noise) : Seen.exact(day, value);
    }

    /** The step nearest in colour, as wide as half way to the steps beside it. */
    private static Seen onCard(double day, double value) {
        double[] ends = new double[CARD.length - 1];
        Arrays.setAll(ends, i -> (CARD[i] + CARD[i + 1]) / 2);
        int step = 0;
        while (step < ends.length && value >= ends[step]) {
            step++;
        }
        if (step == 0) {
            return Seen.below(day, ends[0], NITRATE_NOISE);
        }
        return new Seen(day, ends[step - 1], step == ends.length ? Seen.NO_END : ends[step]);
    }
}
