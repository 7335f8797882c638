package app.chervil.core.water;

import app.chervil.core.water.Amount.Exact;
import java.time.LocalDateTime;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * What a tank makes of a parameter each week, with water changes taken out of the picture by a weighted fit that bears
 * with readings far off and below detection (docs/sources.md#production).
 *
 * @param perWeek rise in the unit of the parameter a week; below zero if the tank takes it up
 * @param low lower end of the band in which the truth lies in four of five cases
 * @param high its upper end
 * @param readings how many it rests on
 */
public record Production(double perWeek, double low, double high, int readings) {
    static final int LEAST_READINGS = 4;

    /**
     * Two ways of keeping the same tank against each other.
     *
     * @param first a week's rise while it is kept the first way
     * @param other a week's rise while it is kept the other way
     * @param difference other less first, with the band in which the truth lies in four of five cases
     */
    public record Compared(Production first, Production other, Production difference) {}

    /**
     * Fits production to a stretch of time.
     *
     * @param readings of one parameter, those read early left out by this method
     * @param changes of the same tank; those outside the readings do not matter
     * @param tap concentration in the new water, same unit, 0 or above
     * @return empty with fewer than four readings, fewer than three above detection, or readings that cannot tell c0 and p
     *     apart
     */
    public static Optional<Production> fit(List<Reading> readings, List<WaterChange> changes, double tap) {
        return fit(readings, changes, tap, List.of(new Phase(LocalDateTime.MIN, 0)), 1)
                .map(fit -> of(fit, fit.rise(0), fit.fourInFive(1)));
    }

    /**
     * Fits the production of two ways that took turns.
     *
     * @param readings of one parameter, those read early left out by this method
     * @param changes of the same tank; those outside the readings do not matter
     * @param tap concentration in the new water, same unit, 0 or above
     * @param phases of way 0 and way 1, oldest first; the first reaches back to the first reading
     * @return empty with fewer than five readings, fewer than four above detection, or readings that cannot tell the ways
     *     apart
     */
    public static Optional<Compared> compare(
            List<Reading> readings, List<WaterChange> changes, double tap, List<Phase> phases) {
        return fit(readings, changes, tap, phases, 2)
                .map(fit -> new Compared(
                        of(fit, fit.rise(0), fit.fourInFive(1, 0)),
                        of(fit, fit.rise(1), fit.fourInFive(0, 1)),
                        of(fit, fit.rise(1) - fit.rise(0), fit.fourInFive(-1, 1))));
    }

    private static Optional<DilutionFit> fit(
            List<Reading> readings, List<WaterChange> changes, double tap, List<Phase> phases, int ways) {
        List<Reading> trusted = readings.stream()
                .filter(Reading::trusted)
                .sorted(Comparator.comparing(Reading::at))
                .toList();
        long seen =
                trusted.stream().filter(one -> one.amount() instanceof Exact).count();
        int least = LEAST_READINGS + ways - 1;
        return trusted.size() < least || seen < least - 1
                ? Optional.empty()
                : DilutionFit.of(trusted, changes, tap, phases, ways);
    }

    private static Production of(DilutionFit fit, double rise, double half) {
        return new Production(rise, rise - half, rise + half, fit.readings());
    }
}
