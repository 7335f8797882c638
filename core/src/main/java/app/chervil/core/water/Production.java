package app.chervil.core.water;

import app.chervil.core.water.Amount.Below;
import app.chervil.core.water.Amount.Step;
import app.chervil.core.water.RiseQuestion.Change;
import app.chervil.core.water.RiseQuestion.Kept;
import app.chervil.core.water.RiseQuestion.Tap;
import java.time.Duration;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * What a tank makes of a parameter each week, with water changes allowed for (docs/sources.md#production).
 *
 * @param perWeek rise in the unit of the parameter a week; below zero if the tank takes it up
 * @param low lower end of the band in which the truth lies in four of five cases
 * @param high its upper end
 * @param readings how many it rests on
 * @param coarse whether a colour card, or a limit, hides slow changes
 * @param unlogged days about which water may have been changed without being logged
 */
public record Production(
        double perWeek, double low, double high, int readings, boolean coarse, List<LocalDate> unlogged) {
    private static final double MINUTES_A_DAY = 24 * 60;
    private static final double LEAST_HALF = 1e-6;

    public Production {
        unlogged = List.copyOf(unlogged);
    }

    /** How much it counts among others: by the square of how well it is known. */
    public double weight() {
        double half = Math.max(LEAST_HALF, (high - low) / 2);
        return 1 / (half * half);
    }

    /**
     * Two ways of keeping a tank against each other.
     *
     * @param difference a week's rise under {@code way} less that under {@code less}; bands of all pairs hold together in four
     *     of five cases
     * @param percent the same in percent of the rise under {@code less}; empty if that may be nothing
     * @param error standard error of the difference
     */
    public record Pair(int way, int less, Production difference, Optional<Production> percent, double error) {
        /** Whether the difference is more than chance would usually make. */
        public boolean apart() {
            return difference.low() > 0 || difference.high() < 0;
        }
    }

    /**
     * Ways of keeping the same tank, tried in turns.
     *
     * @param rises a week's rise under each
     * @param pairs each way against each that comes before it
     */
    public record Tried(List<Production> rises, List<Pair> pairs) {
        public Tried {
            rises = List.copyOf(rises);
            pairs = List.copyOf(pairs);
        }

        /** A pair. */
        public Pair pair(int way, int less) {
            return pairs.stream()
                    .filter(one -> one.way() == way && one.less() == less)
                    .findFirst()
                    .orElseThrow();
        }
    }

    /**
     * Fits production to a stretch of time.
     *
     * @param readings of one parameter, those read early left out by this method
     * @param changes of the same tank; those outside the readings do not matter
     * @return empty with fewer than four readings, or where they lie too close together
     */
    public static Optional<Production> fit(List<Reading> readings, List<WaterChange> changes, Tap tap) {
        return question(readings, changes, tap, new Turns(List.of(new Phase(LocalDateTime.MIN, 0)), 0, List.of()))
                .flatMap(asked ->
                        RiseFit.of(asked.question()).map(fit -> asked.told(fit, fit.rate(0), unlogged(asked))));
    }

    private static List<LocalDate> unlogged(Asked asked) {
        return RiseFit.lookingForUnlogged(asked.question()).map(RiseFit::unlogged).orElse(List.of()).stream()
                .map(asked::day)
                .toList();
    }

    /**
     * Fits the production of ways that took turns.
     *
     * @param readings of one parameter, those read early left out by this method
     * @param changes of the same tank; those outside the readings do not matter
     * @param phases of all ways, from 0 on, oldest first
     * @param settleDays after a switch that count for no way
     * @return empty while the readings of some way are too few
     */
    public static Optional<Tried> compare(
            List<Reading> readings, List<WaterChange> changes, Tap tap, List<Phase> phases, int settleDays) {
        return compare(readings, changes, tap, new Turns(phases, settleDays, List.of()));
    }

    /**
     * Fits the production of ways that took turns while other things changed.
     *
     * @param readings of one parameter, those read early left out by this method
     * @param changes of the same tank; those outside the readings do not matter
     * @return empty while the readings of some way are too few
     */
    public static Optional<Tried> compare(List<Reading> readings, List<WaterChange> changes, Tap tap, Turns turns) {
        return question(readings, changes, tap, turns)
                .flatMap(asked -> RiseFit.of(asked.question()).map(asked::tried));
    }

    /**
     * How a tank was kept.
     *
     * @param phases of all ways, from 0 on, oldest first
     * @param settleDays after a switch that count for no way
     * @param shifts days from which on it makes more or less for another reason: food, animals; what they did is taken out of
     *     the comparison, and its rises are told as they were before
     */
    public record Turns(List<Phase> phases, int settleDays, List<LocalDate> shifts) {
        /** More than so many could hardly be told from the ways; the first are allowed for. */
        public static final int MOST_SHIFTS = 3;

        public Turns {
            phases = List.copyOf(phases);
            shifts = shifts.stream().distinct().sorted().limit(MOST_SHIFTS).toList();
        }
    }

    /** A question with the moment from which its days count. */
    private record Asked(RiseQuestion question, LocalDateTime origin) {
        Production told(RiseFit fit, RiseFit.Band band, List<LocalDate> unlogged) {
            return new Production(band.estimate(), band.low(), band.high(), fit.readings(), fit.coarse(), unlogged);
        }

        Tried tried(RiseFit fit) {
            int ways = question.ways();
            List<Production> rises = new ArrayList<>();
            List<Pair> pairs = new ArrayList<>();
            for (int way = 0; way < ways; way++) {
                rises.add(told(fit, fit.rate(way), List.of()));
                for (int less = 0; less < way; less++) {
                    pairs.add(new Pair(
                            way,
                            less,
                            told(fit, fit.difference(way, less), List.of()),
                            fit.percent(way, less).map(band -> told(fit, band, List.of())),
                            fit.error(way, less)));
                }
            }
            return new Tried(rises, pairs);
        }

        LocalDate day(double days) {
            return origin.plusMinutes(Math.round(days * MINUTES_A_DAY)).toLocalDate();
        }
    }

    private static Optional<Asked> question(List<Reading> readings, List<WaterChange> changes, Tap tap, Turns turns) {
        List<Reading> trusted = readings.stream()
                .filter(Reading::trusted)
                .sorted(Comparator.comparing(Reading::at))
                .toList();
        if (trusted.isEmpty()) {
            return Optional.empty();
        }
        LocalDateTime origin = trusted.get(0).at();
        Reading last = trusted.get(trusted.size() - 1);
        int ways = turns.phases().stream().mapToInt(Phase::way).max().orElse(0) + 1;
        return Optional.of(new Asked(
                new RiseQuestion(
                        last.parameter().noise(),
                        last.noise(),
                        trusted.stream().map(one -> seen(one, origin)).toList(),
                        changes.stream()
                                .map(change -> new Change(days(origin, change.at()), change.share()))
                                .toList(),
                        turns.phases().stream()
                                .map(phase -> new Kept(begins(origin, phase), phase.way()))
                                .toList(),
                        ways,
                        tap,
                        turns.settleDays(),
                        kits(trusted, origin),
                        turns.shifts().stream()
                                .map(day -> days(origin, day.atStartOfDay()))
                                .toList()),
                origin));
    }

    /** The first way reaches back to the first reading. */
    private static double begins(LocalDateTime origin, Phase phase) {
        return phase.from().equals(LocalDateTime.MIN) ? -1 : days(origin, phase.from());
    }

    private static double days(LocalDateTime origin, LocalDateTime at) {
        return Duration.between(origin, at).toMinutes() / MINUTES_A_DAY;
    }

    private static Seen seen(Reading reading, LocalDateTime origin) {
        double day = days(origin, reading.at());
        if (reading.amount() instanceof Below below) {
            return Seen.below(day, below.limit(), reading.noise());
        }
        return reading.amount() instanceof Step step
                ? new Seen(day, step.low(), step.high())
                : Seen.exact(day, reading.value());
    }

    /** Days from which another test was used: it shows by its noise. */
    private static List<Double> kits(List<Reading> readings, LocalDateTime origin) {
        List<Double> kits = new ArrayList<>();
        for (int i = 1; i < readings.size(); i++) {
            if (readings.get(i).noise() != readings.get(i - 1).noise() && kits.size() < MOST_KITS) {
                kits.add(days(origin, readings.get(i).at()));
            }
        }
        return kits;
    }

    private static final int MOST_KITS = 4;
}
