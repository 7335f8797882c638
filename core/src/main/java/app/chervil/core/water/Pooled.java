package app.chervil.core.water;

import app.chervil.core.calc.Check;
import app.chervil.core.calc.Normal;
import java.util.List;

/**
 * One difference seen in several tanks, each with both ways in turn: tanks that differ widen the band
 * (docs/sources.md#trials).
 *
 * @param between variance between tanks, beyond what each is unsure of
 */
public record Pooled(RiseFit.Band difference, double between) {
    private static final double HALF = 1.1 * 1.2816;
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
        Check.within("number of tanks", tanks.size(), 1, 10_000);
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
        return new Pooled(RiseFit.Band.around(pooled / total, HALF / Math.sqrt(total)), between);
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
