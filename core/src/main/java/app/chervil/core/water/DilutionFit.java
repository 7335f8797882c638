package app.chervil.core.water;

import app.chervil.core.calc.Normal;
import app.chervil.core.water.Amount.Below;
import app.chervil.core.water.Amount.Exact;
import java.time.Duration;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * What a tank makes of a parameter, each way it was kept, with water changes taken out of the picture.
 *
 * <p>Between changes the concentration rises evenly, at the rate of the way the tank is kept; a change of share f leaves 1 − f
 * of it. So each reading is c0 · a + Σ p<sub>w</sub> · b<sub>w</sub> + noise with known a and b: a the share of the first water
 * still there, b the weeks of production still there. c0 and the rates p are fitted by least squares weighted by the kit's
 * error, readings far off count less (Huber), and readings below detection count as what is expected below the limit
 * (docs/sources.md#production).
 */
final class DilutionFit {
    private static final double RELATIVE_ERROR = 0.1;
    private static final double HUBER = 1.345;
    private static final int ROUNDS = 30;
    private static final double DAYS_A_WEEK = 7;
    private static final double INDEPENDENT = 1e-9;

    private final List<Row> rows;
    private final int unknowns;
    private double[] solution;
    private double[][] covariance;
    private double scale = 1;

    private DilutionFit(List<Row> rows, int unknowns) {
        this.rows = rows;
        this.unknowns = unknowns;
        this.solution = new double[unknowns];
        this.covariance = new double[unknowns][unknowns];
    }

    /**
     * Fits a stretch of time.
     *
     * @param trusted readings of one parameter, oldest first
     * @param changes of the same tank, in any order
     * @param tap concentration in the new water, same unit, 0 or above
     * @param phases ways the tank was kept, oldest first; the first reaches back to the first reading
     * @param ways how many there are
     * @return empty if the readings cannot tell the unknowns apart
     */
    static Optional<DilutionFit> of(
            List<Reading> trusted, List<WaterChange> changes, double tap, List<Phase> phases, int ways) {
        DilutionFit fit = new DilutionFit(new Walk(changes, tap, phases, ways).rows(trusted), ways + 1);
        for (int round = 0; round < ROUNDS; round++) {
            if (!fit.solve()) {
                return Optional.empty();
            }
            fit.reweigh();
        }
        return Optional.of(fit);
    }

    /** A week's rise while the tank is kept a way. */
    double rise(int way) {
        return solution[way + 1];
    }

    /** Half of the band in which a sum of rises, each with its sign, lies in four of five cases. */
    double fourInFive(double... signs) {
        double variance = 0;
        for (int i = 0; i < signs.length; i++) {
            for (int j = 0; j < signs.length; j++) {
                variance += signs[i] * signs[j] * covariance[i + 1][j + 1];
            }
        }
        return fourInFive(rows.size() - unknowns) * scale * Math.sqrt(variance);
    }

    int readings() {
        return rows.size();
    }

    /** One reading: what is in it of the first water and of each way's production, with the new water's part taken off. */
    private static final class Row {
        final double[] shares;
        final double shift;
        final double noise;
        final Amount amount;
        double error;
        double value;
        double weight = 1;
        double told = 1;

        Row(double[] shares, double shift, Reading reading) {
            this.shares = shares;
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

    /** Goes from reading to reading and keeps account of what is still in the water. */
    private static final class Walk {
        private final List<WaterChange> changes;
        private final double tap;
        private final List<Phase> phases;
        private final double[] shares;
        private double shift;

        Walk(List<WaterChange> changes, double tap, List<Phase> phases, int ways) {
            this.changes = changes.stream()
                    .sorted(Comparator.comparing(WaterChange::at))
                    .toList();
            this.tap = tap;
            this.phases = phases;
            this.shares = new double[ways + 1];
            this.shares[0] = 1;
        }

        List<Row> rows(List<Reading> readings) {
            LocalDateTime at = readings.get(0).at();
            int next = 0;
            while (next < changes.size() && !changes.get(next).at().isAfter(at)) {
                next++;
            }
            List<Row> rows = new ArrayList<>();
            for (Reading reading : readings) {
                for (; next < changes.size() && !changes.get(next).at().isAfter(reading.at()); next++) {
                    WaterChange change = changes.get(next);
                    make(at, change.at());
                    dilute(change);
                    at = change.at();
                }
                make(at, reading.at());
                at = reading.at();
                rows.add(new Row(shares.clone(), shift, reading));
            }
            return rows;
        }

        private void make(LocalDateTime from, LocalDateTime until) {
            for (int i = 0; i < phases.size(); i++) {
                LocalDateTime begins = i == 0 ? from : later(from, phases.get(i).from());
                LocalDateTime ends = i == phases.size() - 1
                        ? until
                        : earlier(until, phases.get(i + 1).from());
                if (begins.isBefore(ends)) {
                    shares[phases.get(i).way() + 1] += weeks(begins, ends);
                }
            }
        }

        private void dilute(WaterChange change) {
            for (int i = 0; i < shares.length; i++) {
                shares[i] = change.dilutes(shares[i], 0);
            }
            shift = change.dilutes(shift, tap);
        }

        private static LocalDateTime later(LocalDateTime one, LocalDateTime other) {
            return one.isAfter(other) ? one : other;
        }

        private static LocalDateTime earlier(LocalDateTime one, LocalDateTime other) {
            return one.isBefore(other) ? one : other;
        }

        private static double weeks(LocalDateTime from, LocalDateTime to) {
            return Duration.between(from, to).toMinutes() / (24 * 60 * DAYS_A_WEEK);
        }
    }

    /** Solves the normal equations by Gauss and Jordan; false if they do not tell the unknowns apart. */
    private boolean solve() {
        double[][] normal = new double[unknowns][unknowns];
        double[] right = new double[unknowns];
        for (Row row : rows) {
            double w = row.weight * row.told / (row.error * row.error);
            for (int i = 0; i < unknowns; i++) {
                right[i] += w * row.shares[i] * row.value;
                for (int j = 0; j < unknowns; j++) {
                    normal[i][j] += w * row.shares[i] * row.shares[j];
                }
            }
        }
        double[][] inverse = new double[unknowns][unknowns];
        if (!invert(normal, inverse)) {
            return false;
        }
        covariance = inverse;
        solution = new double[unknowns];
        for (int i = 0; i < unknowns; i++) {
            for (int j = 0; j < unknowns; j++) {
                solution[i] += inverse[i][j] * right[j];
            }
        }
        return true;
    }

    /** Inverts a symmetric matrix that is positive definite; false if a column hardly differs from those before it. */
    private static boolean invert(double[][] matrix, double[][] inverse) {
        int n = matrix.length;
        double[] own = new double[n];
        for (int i = 0; i < n; i++) {
            own[i] = matrix[i][i];
            inverse[i][i] = 1;
        }
        for (int column = 0; column < n; column++) {
            double pivot = matrix[column][column];
            if (!(pivot > INDEPENDENT * own[column])) {
                return false;
            }
            scale(matrix[column], 1 / pivot);
            scale(inverse[column], 1 / pivot);
            for (int row = 0; row < n; row++) {
                if (row != column) {
                    double factor = matrix[row][column];
                    subtract(matrix[row], matrix[column], factor);
                    subtract(inverse[row], inverse[column], factor);
                }
            }
        }
        return true;
    }

    private static void scale(double[] row, double factor) {
        for (int i = 0; i < row.length; i++) {
            row[i] *= factor;
        }
    }

    private static void subtract(double[] row, double[] other, double factor) {
        for (int i = 0; i < row.length; i++) {
            row[i] -= factor * other[i];
        }
    }

    private double expected(Row row) {
        double sum = 0;
        for (int i = 0; i < unknowns; i++) {
            sum += row.shares[i] * solution[i];
        }
        return sum;
    }

    private void reweigh() {
        scale = spread();
        for (Row row : rows) {
            double expected = expected(row);
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
    private double spread() {
        double[] off = rows.stream()
                .filter(row -> row.amount instanceof Exact)
                .mapToDouble(row -> Math.abs(row.value - expected(row)) / row.error)
                .sorted()
                .toArray();
        double median = off.length % 2 == 1 ? off[off.length / 2] : (off[off.length / 2 - 1] + off[off.length / 2]) / 2;
        double correction = 1.4826 * Math.sqrt((double) off.length / Math.max(1, off.length - unknowns));
        return Math.max(0.5, correction * median);
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
