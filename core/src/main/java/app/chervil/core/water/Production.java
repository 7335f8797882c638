package app.chervil.core.water;

import app.chervil.core.calc.Normal;
import app.chervil.core.water.Amount.Below;
import app.chervil.core.water.Amount.Exact;
import java.time.Duration;
import java.time.LocalDateTime;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * What a tank makes of a parameter each week, with water changes taken out of the picture.
 *
 * <p>Between changes the concentration rises evenly; a change of share f leaves 1 − f of it. So each reading is c0 · a + p · b
 * + noise with known a and b: a the share of the first water still there, b the weeks of production still there. c0 and p
 * are fitted by least squares weighted by the kit's error, readings far off count less (Huber), and readings below
 * detection count as what is expected below the limit (docs/sources.md#production).
 *
 * @param perWeek rise in the unit of the parameter a week; below zero if the tank takes it up
 * @param low lower end of the band in which the truth lies in four of five cases
 * @param high its upper end
 * @param readings how many it rests on
 */
public record Production(double perWeek, double low, double high, int readings) {
    static final int LEAST_READINGS = 4;
    private static final double RELATIVE_ERROR = 0.1;
    private static final double HUBER = 1.345;
    private static final int ROUNDS = 30;
    private static final double DAYS_A_WEEK = 7;

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
        List<Reading> trusted = readings.stream()
                .filter(Reading::trusted)
                .sorted(Comparator.comparing(Reading::at))
                .toList();
        long seen =
                trusted.stream().filter(one -> one.amount() instanceof Exact).count();
        if (trusted.size() < LEAST_READINGS || seen < LEAST_READINGS - 1) {
            return Optional.empty();
        }
        Sums sums = new Sums(rows(trusted, changes, tap));
        for (int round = 0; round < ROUNDS; round++) {
            if (!sums.solve()) {
                return Optional.empty();
            }
            sums.reweigh();
        }
        return Optional.of(sums.answer());
    }

    /** One reading: shares of c0 and p in it, and what was read with the new water's part taken off. */
    private static final class Row {
        final double a;
        final double b;
        final double shift;
        final double noise;
        final Amount amount;
        double error;
        double value;
        double weight = 1;
        double told = 1;

        Row(double a, double b, double shift, Reading reading) {
            this.a = a;
            this.b = b;
            this.shift = shift;
            this.amount = reading.amount();
            this.value = (amount instanceof Exact exact ? exact.value() : ((Below) amount).limit() / 2) - shift;
            this.noise = reading.noise();
            errAround(value);
        }

        /** A kit errs by half its noise and by a tenth of what is there. */
        final void errAround(double expected) {
            error = Math.hypot(noise / 2, RELATIVE_ERROR * Math.abs(expected + shift));
        }
    }

    private static List<Row> rows(List<Reading> readings, List<WaterChange> changes, double tap) {
        List<WaterChange> ordered =
                changes.stream().sorted(Comparator.comparing(WaterChange::at)).toList();
        LocalDateTime at = readings.get(0).at();
        double a = 1;
        double b = 0;
        double shift = 0;
        int next = 0;
        while (next < ordered.size() && !ordered.get(next).at().isAfter(at)) {
            next++;
        }
        List<Row> rows = new java.util.ArrayList<>();
        for (Reading reading : readings) {
            for (; next < ordered.size() && !ordered.get(next).at().isAfter(reading.at()); next++) {
                WaterChange change = ordered.get(next);
                b = change.dilutes(b + weeks(at, change.at()), 0);
                a = change.dilutes(a, 0);
                shift = change.dilutes(shift, tap);
                at = change.at();
            }
            b += weeks(at, reading.at());
            at = reading.at();
            rows.add(new Row(a, b, shift, reading));
        }
        return rows;
    }

    private static double weeks(LocalDateTime from, LocalDateTime to) {
        return Duration.between(from, to).toMinutes() / (24 * 60 * DAYS_A_WEEK);
    }

    /** Iterated weighted least squares in two unknowns. */
    private static final class Sums {
        private final List<Row> rows;
        private double start;
        private double rise;
        private double varianceOfRise;
        private double scale = 1;

        Sums(List<Row> rows) {
            this.rows = rows;
        }

        /** Solves the normal equations; false if they do not tell the unknowns apart. */
        boolean solve() {
            double aa = 0;
            double ab = 0;
            double bb = 0;
            double ay = 0;
            double by = 0;
            for (Row row : rows) {
                double w = row.weight * row.told / (row.error * row.error);
                aa += w * row.a * row.a;
                ab += w * row.a * row.b;
                bb += w * row.b * row.b;
                ay += w * row.a * row.value;
                by += w * row.b * row.value;
            }
            double determinant = aa * bb - ab * ab;
            if (!(determinant > 1e-9 * aa * bb)) {
                return false;
            }
            start = (bb * ay - ab * by) / determinant;
            rise = (aa * by - ab * ay) / determinant;
            varianceOfRise = aa / determinant;
            return true;
        }

        void reweigh() {
            scale = scale();
            for (Row row : rows) {
                double expected = row.a * start + row.b * rise;
                row.errAround(expected);
                double spread = scale * row.error;
                if (row.amount instanceof Below below) {
                    fillIn(row, expected, spread, below.limit() - row.shift);
                } else {
                    double off = Math.abs(row.value - expected) / spread;
                    row.weight = off <= HUBER ? 1 : HUBER / off;
                }
            }
        }

        /** A reading below its limit counts as the mean of what may lie below, and tells as much as that narrows it. */
        private static void fillIn(Row row, double expected, double spread, double limit) {
            double z = (limit - expected) / spread;
            double hazard = Normal.hazardBelow(z);
            row.value = expected - spread * hazard;
            row.told = Math.min(1, Math.max(1e-6, hazard * (z + hazard)));
        }

        /** Spread of the readings against their expected error: a robust median, never below half of it. */
        private double scale() {
            double[] off = rows.stream()
                    .filter(row -> row.amount instanceof Exact)
                    .mapToDouble(row -> Math.abs(row.value - row.a * start - row.b * rise) / row.error)
                    .sorted()
                    .toArray();
            double median =
                    off.length % 2 == 1 ? off[off.length / 2] : (off[off.length / 2 - 1] + off[off.length / 2]) / 2;
            double correction = 1.4826 * Math.sqrt((double) off.length / Math.max(1, off.length - 2));
            return Math.max(0.5, correction * median);
        }

        Production answer() {
            double half = fourInFive(rows.size() - 2) * scale * Math.sqrt(varianceOfRise);
            return new Production(rise, rise - half, rise + half, rows.size());
        }
    }
    /** Student's t that holds four in five on both sides, by the expansion of Abramowitz and Stegun, 26.7.5. */
    private static double fourInFive(int freedom) {
        double z = 1.2815515655446004;
        double cubed = Math.pow(z, 3);
        double fifth = Math.pow(z, 5);
        return z
                + (cubed + z) / (4.0 * freedom)
                + (5 * fifth + 16 * cubed + 3 * z) / (96.0 * freedom * freedom)
                + (3 * Math.pow(z, 7) + 19 * fifth + 17 * cubed - 15 * z) / (384.0 * Math.pow(freedom, 3));
    }
}
