package app.chervil.core.trial;

import app.chervil.core.calc.Check;
import app.chervil.core.water.Phase;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;

/**
 * Who holds when. The two ways take turns in periods of equal length, in the order first, other, other, first, other,
 * first, first, other: so that whatever drifts slowly meanwhile, a season or growing animals, falls on both alike
 * (docs/sources.md#trials).
 *
 * @param began first day
 * @param periodDays of each period
 * @param periods a multiple of four, so that each way has half of them
 * @param firstDays interval of the first way
 * @param otherDays interval of the other way
 */
public record Design(LocalDate began, int periodDays, int periods, int firstDays, int otherDays) {
    public static final int LEAST_PERIOD_DAYS = 7;
    public static final int MOST_PERIOD_DAYS = 84;
    public static final int MOST_PERIODS = 16;
    /** Periods come in fours. */
    public static final int ROUND = 4;

    public Design {
        Check.within("periodDays", periodDays, LEAST_PERIOD_DAYS, MOST_PERIOD_DAYS);
        Check.within("periods", periods, ROUND, MOST_PERIODS);
        Check.within("firstDays", firstDays, 1, periodDays);
        Check.within("otherDays", otherDays, 1, periodDays);
        if (periods % ROUND != 0) {
            throw new IllegalArgumentException("periods must be a multiple of " + ROUND + " but was " + periods);
        }
        if (firstDays == otherDays) {
            throw new IllegalArgumentException("otherDays must differ from firstDays but both were " + firstDays);
        }
    }

    /**
     * One period.
     *
     * @param until the day after its last
     */
    public record Turn(LocalDate from, LocalDate until, Way way) {}

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

    /** The way that holds on a day; empty before and after the trial. */
    public Optional<Way> wayOn(LocalDate day) {
        return day.isBefore(began) || !day.isBefore(ends())
                ? Optional.empty()
                : Optional.of(wayIn((int) (ChronoUnit.DAYS.between(began, day) / periodDays)));
    }

    /** Interval of a way in days. */
    public int days(Way way) {
        return way == Way.FIRST ? firstDays : otherDays;
    }

    /** The periods as the water saw them: way 0 the first, way 1 the other. */
    public List<Phase> phases() {
        return all().stream()
                .map(period -> new Phase(period.from().atStartOfDay(), period.way() == Way.FIRST ? 0 : 1))
                .toList();
    }

    /** By the count of ones in the number of a period: odd or even. */
    private static Way wayIn(int period) {
        return Integer.bitCount(period) % 2 == 0 ? Way.FIRST : Way.OTHER;
    }
}
