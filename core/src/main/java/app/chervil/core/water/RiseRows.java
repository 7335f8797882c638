package app.chervil.core.water;

import app.chervil.core.water.RiseQuestion.Change;
import app.chervil.core.water.RiseQuestion.Kept;
import java.util.ArrayList;
import java.util.List;

/**
 * What each reading holds of the first water, of each way's production, of tap water and of other things that are to be told
 * apart; goes from reading to reading and keeps account of what is still in the water.
 */
final class RiseRows {
    private static final double DAYS_A_WEEK = 7;

    private final double[][] columns;
    private final double[] shift;
    private final double[] first;
    private final Priors priors;

    /**
     * Rows.
     *
     * @param columns one array a reading, in the order of readings
     * @param shift what known tap water put into each reading
     * @param first share of the first water still in each
     * @param priors of the columns
     */
    private RiseRows(double[][] columns, double[] shift, double[] first, Priors priors) {
        this.columns = columns;
        this.shift = shift;
        this.first = first;
        this.priors = priors;
    }

    /** Means and standard deviations before any reading. */
    static final class Priors {
        private final double[] means;
        private final double[] sds;

        Priors(double[] means, double[] sds) {
            this.means = means;
            this.sds = sds;
        }

        double[] means() {
            return means;
        }

        double[] sds() {
            return sds;
        }

        double precision(int column) {
            return 1 / (sds[column] * sds[column]);
        }
    }

    double[][] columns() {
        return columns;
    }

    double[] shift() {
        return shift;
    }

    double[] first() {
        return first;
    }

    Priors priors() {
        return priors;
    }

    /**
     * Builds the rows.
     *
     * @param unlogged days on which water may have been changed without being logged
     */
    static RiseRows of(RiseQuestion question, List<Double> unlogged) {
        return new Walk(question, unlogged).rows();
    }

    int count() {
        return columns.length;
    }

    int width() {
        return priors.means().length;
    }

    private static final class Walk {
        private final RiseQuestion question;
        private final List<Double> unlogged;
        private final List<Double> kits;
        private final List<Double> shifts;
        private final double[] made;
        private final double[] shifted;
        private double first = 1;
        private double water;
        private double settling;
        private double settlesUntil = Double.NEGATIVE_INFINITY;
        private int way = -1;
        private double at;

        Walk(RiseQuestion question, List<Double> unlogged) {
            this.question = question;
            this.unlogged = unlogged;
            this.made = new double[question.ways()];
            this.at = question.seen().get(0).day();
            this.kits = question.kits().stream().filter(day -> day > at).toList();
            double last = question.seen().get(question.seen().size() - 1).day();
            this.shifts = question.shifts().stream()
                    .filter(day -> day > at && day < last)
                    .toList();
            this.shifted = new double[shifts.size()];
        }

        RiseRows rows() {
            int n = question.seen().size();
            double[][] columns = new double[n][];
            double[] shift = new double[n];
            double[] firsts = new double[n];
            int change = 0;
            int phase = 0;
            while (change < question.changes().size()
                    && question.changes().get(change).day() <= at) {
                change++;
            }
            while (phase < question.phases().size()
                    && question.phases().get(phase).from() <= at) {
                way = question.phases().get(phase++).way();
            }
            for (int i = 0; i < n; i++) {
                double day = question.seen().get(i).day();
                while (true) {
                    double nextChange = change < question.changes().size()
                            ? question.changes().get(change).day()
                            : Double.POSITIVE_INFINITY;
                    double nextPhase = phase < question.phases().size()
                            ? question.phases().get(phase).from()
                            : Double.POSITIVE_INFINITY;
                    if (Math.min(nextChange, nextPhase) > day) {
                        break;
                    }
                    if (nextChange <= nextPhase) {
                        dilute(question.changes().get(change++));
                    } else {
                        begin(question.phases().get(phase++));
                    }
                }
                produce(day);
                columns[i] = columns(day);
                shift[i] = question.tap().sd() > 0 ? 0 : water * question.tap().value();
                firsts[i] = first;
            }
            return new RiseRows(columns, shift, firsts, priors());
        }

        private void dilute(Change change) {
            produce(change.day());
            double kept = 1 - change.share();
            first *= kept;
            settling *= kept;
            for (int i = 0; i < made.length; i++) {
                made[i] *= kept;
            }
            for (int i = 0; i < shifted.length; i++) {
                shifted[i] *= kept;
            }
            water = water * kept + change.share();
        }

        private void begin(Kept phase) {
            produce(phase.from());
            if (way >= 0 && phase.way() != way && question.settles()) {
                settlesUntil = phase.from() + question.settleDays();
            }
            way = phase.way();
        }

        private void produce(double until) {
            if (way >= 0 && until > at) {
                double settles = Math.max(0, Math.min(until, settlesUntil) - at);
                settling += settles / DAYS_A_WEEK;
                made[way] += (until - at - settles) / DAYS_A_WEEK;
            }
            for (int i = 0; i < shifted.length; i++) {
                shifted[i] += Math.max(0, until - Math.max(at, shifts.get(i))) / DAYS_A_WEEK;
            }
            at = Math.max(at, until);
        }

        private double[] columns(double day) {
            List<Double> row = new ArrayList<>();
            row.add(first);
            for (double one : made) {
                row.add(one);
            }
            if (question.settles()) {
                row.add(settling);
            }
            if (question.tap().sd() > 0) {
                row.add(water);
            }
            kits.forEach(kit -> row.add(day >= kit ? 1.0 : 0.0));
            unlogged.forEach(one -> row.add(day > one ? -first : 0.0));
            for (double one : shifted) {
                row.add(one);
            }
            return row.stream().mapToDouble(Double::doubleValue).toArray();
        }

        private Priors priors() {
            double noise = question.noise();
            List<double[]> priors = new ArrayList<>();
            priors.add(new double[] {0, 100 * noise});
            for (int i = 0; i < made.length; i++) {
                priors.add(new double[] {0, 10 * noise});
            }
            if (question.settles()) {
                priors.add(new double[] {0, 10 * noise});
            }
            if (question.tap().sd() > 0) {
                priors.add(new double[] {question.tap().value(), question.tap().sd()});
            }
            kits.forEach(kit -> priors.add(new double[] {0, 3 * noise}));
            unlogged.forEach(one -> priors.add(new double[] {0, 10 * noise}));
            shifts.forEach(one -> priors.add(new double[] {0, 10 * noise}));
            return new Priors(
                    priors.stream().mapToDouble(prior -> prior[0]).toArray(),
                    priors.stream().mapToDouble(prior -> prior[1]).toArray());
        }
    }
}
