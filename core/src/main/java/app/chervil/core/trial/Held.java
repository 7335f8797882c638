package app.chervil.core.trial;

import app.chervil.core.water.Reading;
import java.util.DoubleSummaryStatistics;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.stream.IntStream;

/**
 * Where a parameter stood while a way was kept: one that is held rather than made, pH or hardness, is watched by its readings as
 * they are.
 *
 * @param mean of the readings, in the parameter's unit
 * @param low the least of them
 * @param high the greatest
 * @param readings how many, 1 or more
 */
public record Held(double mean, double low, double high, int readings) {
    /** Under each way in its order; empty where nothing was read. Readings taken too early do not count. */
    public static List<Optional<Held>> byWay(Design design, List<Reading> readings) {
        return IntStream.range(0, design.ways().size())
                .mapToObj(way -> of(design, way, readings))
                .toList();
    }

    private static Optional<Held> of(Design design, int way, List<Reading> readings) {
        DoubleSummaryStatistics seen = readings.stream()
                .filter(one -> one.trusted() && design.wayOn(one.on()).equals(OptionalInt.of(way)))
                .mapToDouble(Reading::value)
                .summaryStatistics();
        return seen.getCount() == 0
                ? Optional.empty()
                : Optional.of(new Held(seen.getAverage(), seen.getMin(), seen.getMax(), (int) seen.getCount()));
    }
}
