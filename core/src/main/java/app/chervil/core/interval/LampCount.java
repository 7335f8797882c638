package app.chervil.core.interval;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Optional;

/**
 * What a counter told of a lamp's hours since it was new. A counter that was set back counts from nothing; none runs faster than
 * the day. docs/sources.md#other-lives.
 *
 * @param on the day of the last count
 * @param counter what it read then
 * @param hours lit since the lamp was new, up to that day; before the first count they are guessed
 * @param days of them on which it was counted
 * @param counted hours that were counted on those days
 */
record LampCount(LocalDate on, double counter, double hours, double days, double counted) {
    /** A counter that reads less had only begun, and says nothing of the time before. */
    private static final double JUST_BEGUN = 24;

    private static final double HOURS_A_DAY = 24;
    private static final double DAYS_FOR_A_PACE = 7;

    /**
     * Adds up the counts of a lamp.
     *
     * @param looks oldest first
     * @param guessADay lit hours a day where nothing was counted
     * @return empty if nothing was counted since the lamp was new
     */
    static Optional<LampCount> of(List<Look> looks, LocalDate since, LocalDate today, double guessADay) {
        List<Look> counts = looks.stream()
                .filter(look -> look.sign() == Sign.BURNT && !look.on().isAfter(today))
                .toList();
        if (counts.isEmpty() || !counts.get(counts.size() - 1).on().isAfter(since)) {
            return Optional.empty();
        }
        double hours = 0;
        double days = 0;
        double counted = 0;
        Look before = counts.get(0);
        if (before.on().isAfter(since)) {
            double span = ChronoUnit.DAYS.between(since, before.on());
            boolean ofThisLamp = before.amount() >= JUST_BEGUN && before.amount() <= HOURS_A_DAY * (span + 1);
            hours = ofThisLamp ? before.amount() : guessADay * span;
            days = ofThisLamp ? span : 0;
            counted = ofThisLamp ? before.amount() : 0;
        }
        for (Look count : counts.subList(1, counts.size())) {
            double span = ChronoUnit.DAYS.between(before.on(), count.on());
            LocalDate from = before.on().isAfter(since) ? before.on() : since;
            double mine = Math.max(0.0, (double) ChronoUnit.DAYS.between(from, count.on()));
            double lit = Math.min(
                    count.amount() >= before.amount() ? count.amount() - before.amount() : count.amount(),
                    HOURS_A_DAY * Math.max(1, span));
            double share = span == 0 ? (count.on().isAfter(since) ? 1 : 0) : mine / span;
            hours += share * lit;
            counted += share * lit;
            days += mine;
            before = count;
        }
        return Optional.of(new LampCount(before.on(), before.amount(), hours, days, counted));
    }

    /** Lit hours a day as counted; a guess stands until a week was. */
    double aDay(double guess) {
        return days >= DAYS_FOR_A_PACE ? counted / days : guess;
    }
}
