package app.chervil.core.water;

import app.chervil.core.calc.Student;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * How fast a parameter rises in a tank under each way of keeping it, with water changes taken out of the picture, and with
 * bands that hold where errors hang together in time (docs/sources.md#production).
 */
public final class RiseFit {
    /** Share of cases in which the truth lies within a band. */
    public static final double HELD = 0.8;

    private static final double LEAST_MADE = 0.2;
    private static final int ROWS_OF_A_WAY = 2;
    private static final int READINGS_BESIDE_WAYS = 3;
    private static final int LEAST_FOR_UNLOGGED = 8;
    private static final int MOST_UNLOGGED = 2;
    private static final double UNLOGGED_SCORE = 2.7;
    private static final double BETWEEN_WAYS = 1.1;

    private final RiseQuestion question;
    private final Told told;
    private final double scale;
    private final List<Double> unlogged;
    /** Empty where a reading is a range. */
    private final Optional<CorrelatedRise> correlated;

    private RiseFit(
            RiseQuestion question,
            Told told,
            double scale,
            List<Double> unlogged,
            Optional<CorrelatedRise> correlated) {
        this.question = question;
        this.told = told;
        this.scale = scale;
        this.unlogged = List.copyOf(unlogged);
        this.correlated = correlated;
    }

    /**
     * A value with the band that holds the truth in four of five cases.
     *
     * @param low not above {@code estimate}
     * @param high not below it
     */
    public record Band(double estimate, double low, double high) {
        static Band around(double estimate, double half) {
            return new Band(estimate, estimate - half, estimate + half);
        }

        public double half() {
            return (high - low) / 2;
        }
    }

    /** Fits what was seen as it was logged. Empty with too few readings, in all or of a way. */
    public static Optional<RiseFit> of(RiseQuestion question) {
        return of(question, List.of());
    }

    /**
     * Fits what was seen, and looks for water changes that nobody logged: their days are in {@link #unlogged}, to be asked
     * about before the fit is believed. Empty with too few readings, in all or of a way.
     */
    public static Optional<RiseFit> lookingForUnlogged(RiseQuestion question) {
        List<Double> named = new ArrayList<>();
        Optional<RiseFit> fit = of(question, named);
        while (fit.isPresent() && named.size() < MOST_UNLOGGED) {
            Optional<Double> day = fit.get().unloggedDay();
            if (day.isEmpty()) {
                break;
            }
            named.add(day.get());
            fit = of(question, named);
        }
        return fit;
    }

    private static Optional<RiseFit> of(RiseQuestion question, List<Double> unlogged) {
        if (question.seen().size() < READINGS_BESIDE_WAYS + question.ways()) {
            return Optional.empty();
        }
        RiseRows rows = RiseRows.of(question, unlogged);
        boolean ranged = question.hasRanges();
        if (!tells(question, rows) || (ranged && rows.width() > RangedRise.MOST_COLUMNS)) {
            return Optional.empty();
        }
        WeightedRise fit = new WeightedRise(question, rows);
        if (ranged) {
            Told told = new RangedRise(question, fit).told();
            return Optional.of(new RiseFit(question, told, fit.scale, unlogged, Optional.empty()));
        }
        CorrelatedRise correlated = new CorrelatedRise(fit, days(question));
        return Optional.of(new RiseFit(question, correlated.told(), fit.scale, unlogged, Optional.of(correlated)));
    }

    private static boolean tells(RiseQuestion question, RiseRows rows) {
        for (int way = 0; way < question.ways(); way++) {
            int made = 0;
            for (double[] row : rows.columns()) {
                made += row[1 + way] > LEAST_MADE ? 1 : 0;
            }
            if (made < ROWS_OF_A_WAY) {
                return false;
            }
        }
        return true;
    }

    private static double[] days(RiseQuestion question) {
        return question.seen().stream().mapToDouble(Seen::day).toArray();
    }

    private Optional<Double> unloggedDay() {
        if (correlated.isEmpty() || question.seen().size() < LEAST_FOR_UNLOGGED) {
            return Optional.empty();
        }
        double[] days = days(question);
        double[] scores = correlated.get().unloggedScores(told);
        int best = -1;
        for (int i = 1; i < scores.length; i++) {
            double middle = (days[i - 1] + days[i]) / 2;
            boolean better = scores[i] > (best < 0 ? UNLOGGED_SCORE : scores[best]);
            best = better && !unlogged.contains(middle) ? i : best;
        }
        return best < 0 ? Optional.empty() : Optional.of((days[best - 1] + days[best]) / 2);
    }

    /** A week's rise while the tank is kept a way; below zero if the tank takes the parameter up. */
    public Band rate(int way) {
        double t = Student.twoSided(HELD, told.freedom());
        return Band.around(estimate(way), t * Math.sqrt(covariance(way, way)));
    }

    /** The rise of one way less that of another; bands of all pairs of ways hold together. */
    public Band difference(int way, int less) {
        return Band.around(estimate(way) - estimate(less), BETWEEN_WAYS * pairwise() * error(way, less));
    }

    /** Standard error of a difference between two ways. */
    public double error(int way, int less) {
        return Math.sqrt(covariance(way, way) + covariance(less, less) - 2 * covariance(way, less));
    }

    /**
     * How much less, below zero, or more one way makes than another, in percent of the other (Fieller); empty if the other
     * may make nothing.
     */
    public Optional<Band> percent(int way, int of) {
        double t = BETWEEN_WAYS * pairwise();
        double a = estimate(of) * estimate(of) - t * t * covariance(of, of);
        if (!(estimate(of) > 0) || !(a > 0)) {
            return Optional.empty();
        }
        double b = estimate(of) * estimate(way) - t * t * covariance(of, way);
        double c = estimate(way) * estimate(way) - t * t * covariance(way, way);
        double root = Math.sqrt(Math.max(0, b * b - a * c));
        return Optional.of(new Band(
                100 * (estimate(way) / estimate(of) - 1), 100 * ((b - root) / a - 1), 100 * ((b + root) / a - 1)));
    }

    private double pairwise() {
        int pairs = question.ways() * (question.ways() - 1) / 2;
        return Student.twoSided(1 - (1 - HELD) / pairs, told.freedom());
    }

    private double estimate(int way) {
        return told.solution()[1 + way];
    }

    private double covariance(int way, int other) {
        return told.covariance()[1 + way][1 + other];
    }

    /** Days about which water may have been changed without being logged. */
    public List<Double> unlogged() {
        return unlogged;
    }

    public int readings() {
        return question.seen().size();
    }

    /** Whether a colour card, or a limit, hides slow changes. */
    public boolean coarse() {
        return question.hasRanges();
    }

    /** How far readings lie off against what their kits promise, 0.4 to 3. */
    double scale() {
        return scale;
    }

    /** Correlation of errors a median gap apart. */
    double correlation() {
        return told.correlation();
    }
}
