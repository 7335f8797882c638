package app.chervil.core.water;

import app.chervil.core.calc.Check;
import app.chervil.core.calc.Normal;
import java.util.List;

/**
 * One difference seen in several tanks, each with both ways in turn: tanks that differ widen the band
 * (docs/sources.md#trials).
 *
 * @param between variance between tanks, beyond what each is unsure of
 * @param error standard error of the difference
 */
public record Pooled(RiseFit.Band difference, double between, double error) {
    private static final double BETWEEN_WAYS = 1.1;
    private static final double FOR_TEN_PERCENT_AND_POWER = 1.1 * 2.1232;
    private static final double TEN_PERCENT = 1.2816;

    /**
     * One tank's difference.
     *
     * @param error its standard error, above zero
     */
    public record One(double difference, double error) {
        public One {
            Check.positive("error", error);
        }
    }

    /**
     * Pools tanks by DerSimonian and Laird.
     *
     * @throws IllegalArgumentException without any
     */
    public static Pooled of(List<One> tanks) {
        return of(tanks, 1);
    }

    /**
     * Pools tanks by DerSimonian and Laird, with a band that holds together with those of other pairs of ways.
     *
     * @param pairs of ways that are told, 1 or more
     * @throws IllegalArgumentException without any tank
     */
    public static Pooled of(List<One> tanks, int pairs) {
        Check.within("number of tanks", tanks.size(), 1, 10_000);
        Check.within("pairs", pairs, 1, 10_000);
        double z = pairs == 1 ? TEN_PERCENT : Normal.quantile(1 - (1 - RiseFit.HELD) / pairs / 2);
        double sum = 0;
        double squares = 0;
        double mean = 0;
        for (One tank : tanks) {
            double weight = 1 / (tank.error() * tank.error());
            sum += weight;
            squares += weight * weight;
            mean += weight * tank.difference();
        }
        mean /= sum;
        double spread = 0;
        for (One tank : tanks) {
            double off = (tank.difference() - mean) / tank.error();
            spread += off * off;
        }
        double between = tanks.size() == 1 ? 0 : Math.max(0, (spread - tanks.size() + 1) / (sum - squares / sum));
        double total = 0;
        double pooled = 0;
        for (One tank : tanks) {
            double weight = 1 / (tank.error() * tank.error() + between);
            total += weight;
            pooled += weight * tank.difference();
        }
        double error = 1 / Math.sqrt(total);
        return new Pooled(RiseFit.Band.around(pooled / total, BETWEEN_WAYS * z * error), between, error);
    }

    /**
     * How many readings in all would tell a difference apart in four of five cases.
     *
     * @param readings so far
     * @param error standard error of the difference so far
     * @param wanted the difference that matters, above zero
     */
    public static int readingsWanted(int readings, double error, double wanted) {
        double needed = FOR_TEN_PERCENT_AND_POWER * error / Check.positive("wanted", wanted);
        return (int) Math.min(Integer.MAX_VALUE, Math.ceil(readings * needed * needed));
    }

    /** The chance that readings so far tell a difference of this size apart, 0 to 1. */
    public static double power(double error, double wanted) {
        return Normal.below(wanted / (1.1 * error) - TEN_PERCENT);
    }
}
