package app.chervil.core.trial;

import app.chervil.core.calc.Check;
import app.chervil.core.water.Phase;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.HashSet;
import java.util.List;
import java.util.OptionalInt;
import java.util.stream.IntStream;

/**
 * Which way holds when. Ways take turns in periods of equal length, so that whatever drifts slowly meanwhile, a season or
 * growing animals, falls on all alike: two go first, other, other, first, other, first, first, other; more go forth and back,
 * each round beginning with the next (docs/sources.md#trials).
 *
 * @param began first day
 * @param periodDays of each period
 * @param periods a multiple of twice the ways, so that each has as many, early and late
 * @param ways two to five, all different
 */
public record Design(LocalDate began, int periodDays, int periods, List<Way> ways) {
    public static final int LEAST_PERIOD_DAYS = 7;
    public static final int MOST_PERIOD_DAYS = 84;
    public static final int LEAST_PERIODS = 4;
    public static final int MOST_PERIODS = 40;
    public static final int LEAST_WAYS = 2;
    public static final int MOST_WAYS = 5;

    public Design {
        ways = List.copyOf(ways);
        Check.within("periodDays", periodDays, LEAST_PERIOD_DAYS, MOST_PERIOD_DAYS);
        Check.within("periods", periods, LEAST_PERIODS, MOST_PERIODS);
        Check.within("number of ways", ways.size(), LEAST_WAYS, MOST_WAYS);
        for (Way way : ways) {
            way.days().ifPresent(days -> Check.within("days of a way", days, 1, periodDays));
        }
        if (periods % round(ways.size()) != 0) {
            throw new IllegalArgumentException(
                    "periods must be a multiple of " + round(ways.size()) + " but was " + periods);
        }
        if (new HashSet<>(ways).size() < ways.size()) {
            throw new IllegalArgumentException("ways must differ but were " + ways);
        }
    }

    /** Periods after which every way had as many early as late. */
    public static int round(int ways) {
        return 2 * ways;
    }

    /**
     * One period.
     *
     * @param until the day after its last
     * @param way its place among the ways
     */
    public record Turn(LocalDate from, LocalDate until, int way) {
        /** Its days up to a day, that day left out. */
        public long livedBy(LocalDate day) {
            return Math.max(0, ChronoUnit.DAYS.between(from, day.isBefore(until) ? day : until));
        }
    }

    /** All periods, oldest first. */
    public List<Turn> all() {
        return IntStream.range(0, periods)
                .mapToObj(i -> new Turn(
                        began.plusDays((long) i * periodDays), began.plusDays((i + 1L) * periodDays), wayIn(i)))
                .toList();
    }

    /** The day after the last. */
    public LocalDate ends() {
        return began.plusDays((long) periods * periodDays);
    }

    /** The place of the way that holds on a day; empty before and after the trial. */
    public OptionalInt wayOn(LocalDate day) {
        return day.isBefore(began) || !day.isBefore(ends())
                ? OptionalInt.empty()
                : OptionalInt.of(wayIn((int) (ChronoUnit.DAYS.between(began, day) / periodDays)));
    }

    /** The periods as the water saw them. */
    public List<Phase> phases() {
        return all().stream()
                .map(turn -> new Phase(turn.from().atStartOfDay(), turn.way()))
                .toList();
    }

    private int wayIn(int period) {
        int count = ways.size();
        if (count == 2) {
            // By the count of ones in its number, odd or even: so that what drifts ever faster falls on both alike too.
            return Integer.bitCount(period) % 2;
        }
        int place = period % round(count);
        int forth = place < count ? place : round(count) - 1 - place;
        return (forth + period / round(count)) % count;
    }
}
