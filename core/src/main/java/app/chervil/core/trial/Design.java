package app.chervil.core.trial;

import app.chervil.core.calc.Check;
import app.chervil.core.water.Phase;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/**
 * Which way holds when. Ways take turns in periods of equal length, so that whatever drifts slowly meanwhile, a season or
 * growing animals, falls on all alike: two go first, other, other, first, other, first, first, other; more go forth and back,
 * each round beginning with the next (docs/sources.md#trials). A tank that keeps one way goes on to the next when the tanks
 * of the trial swap theirs, and then keeps that as long again.
 *
 * @param began first day
 * @param periodDays of each period
 * @param periods a multiple of twice the ways, so that each has as many, early and late; of a tank that keeps one way any
 *     number, from its begin or from the last swap on
 * @param ways two to five, all different
 * @param kept which way this tank keeps; empty where it has them all in turn
 */
public record Design(LocalDate began, int periodDays, int periods, List<Way> ways, Optional<Kept> kept) {
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
        int longest = kept.isPresent() ? periodDays * periods : periodDays;
        for (Way way : ways) {
            way.days().ifPresent(days -> Check.within("days of a way", days, 1, longest));
        }
        if (kept.isPresent()) {
            kept.get().check(began, longest, ways.size());
        } else if (periods % round(ways.size()) != 0) {
            throw new IllegalArgumentException(
                    "periods must be a multiple of " + round(ways.size()) + " but was " + periods);
        }
        if (new HashSet<>(ways).size() < ways.size()) {
            throw new IllegalArgumentException("ways must differ but were " + ways);
        }
    }

    /** All ways in turn. */
    public Design(LocalDate began, int periodDays, int periods, List<Way> ways) {
        this(began, periodDays, periods, ways, Optional.empty());
    }

    /**
     * What a tank keeps that has one way.
     *
     * @param way its place among the ways when the trial began
     * @param swapped days on which each tank went on to the next way, oldest first
     */
    public record Kept(int way, List<LocalDate> swapped) {
        public Kept {
            swapped = List.copyOf(swapped);
        }

        private void check(LocalDate began, int longest, int ways) {
            Check.within("way that is kept", way, 0, ways - 1);
            Check.within("number of swaps", swapped.size(), 0, ways - 1);
            LocalDate last = began;
            for (LocalDate day : swapped) {
                Check.within("days between swaps", (int) ChronoUnit.DAYS.between(last, day), 1, longest);
                last = day;
            }
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
        return kept.isPresent()
                ? stretches(kept.get())
                : IntStream.range(0, periods)
                        .mapToObj(i -> new Turn(
                                began.plusDays((long) i * periodDays), began.plusDays((i + 1L) * periodDays), wayIn(i)))
                        .toList();
    }

    private List<Turn> stretches(Kept one) {
        List<LocalDate> ends =
                Stream.concat(one.swapped().stream(), Stream.of(ends())).toList();
        List<Turn> turns = new ArrayList<>();
        for (int i = 0; i < ends.size(); i++) {
            LocalDate from = i == 0 ? began : ends.get(i - 1);
            turns.add(new Turn(from, ends.get(i), (one.way() + i) % ways.size()));
        }
        return turns;
    }

    /** The day after the last; tanks that swapped keep their new ways as long again. */
    public LocalDate ends() {
        LocalDate from = began;
        for (LocalDate day : kept.map(Kept::swapped).orElse(List.of())) {
            from = day;
        }
        return from.plusDays((long) periods * periodDays);
    }

    /** The period that a day lies in; empty before and after the trial. */
    public Optional<Turn> turnOn(LocalDate day) {
        return all().stream()
                .filter(turn -> !day.isBefore(turn.from()) && day.isBefore(turn.until()))
                .findFirst();
    }

    /** The place of the way that holds on a day; empty before and after the trial. */
    public OptionalInt wayOn(LocalDate day) {
        return turnOn(day).map(turn -> OptionalInt.of(turn.way())).orElseGet(OptionalInt::empty);
    }

    /** Days after a switch that count for neither way: so many, at most half a period. */
    public int settles(int days) {
        int longest = kept.isPresent() ? periodDays * periods : periodDays;
        return Math.min(days, longest / 2);
    }

    /** Whether every way was had by a day; only then can they be told apart. */
    public boolean hadAll(LocalDate day) {
        return had(day).size() == ways.size();
    }

    /** Places of the ways that this tank has had by a day, or will have in turn, in their order. */
    public List<Integer> had(LocalDate day) {
        return all().stream()
                .filter(turn -> kept.isEmpty() || turn.from().isBefore(day))
                .map(Turn::way)
                .distinct()
                .sorted()
                .toList();
    }

    /** The periods as the water saw them, of the ways that were had by a day, by their places among these. */
    public List<Phase> phases(LocalDate day) {
        List<Integer> had = had(day);
        return all().stream()
                .filter(turn -> had.contains(turn.way()))
                .map(turn -> new Phase(turn.from().atStartOfDay(), had.indexOf(turn.way())))
                .toList();
    }

    /** The periods as the water saw them. */
    public List<Phase> phases() {
        return phases(LocalDate.MAX);
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
