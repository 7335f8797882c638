package app.chervil.core.compare;

import app.chervil.core.calc.Check;
import app.chervil.core.interval.Finding;
import java.util.EnumMap;
import java.util.Map;

/**
 * A run of a filter from one opening to the next at which somebody looked.
 *
 * @param filter its id
 * @param days above zero
 * @param startDays that the catalogue begins such a stage with, above zero, so that a sponge and a canister can be compared
 * @param found how full it was
 * @param levels how much of each factor there was; one that is not named was not there
 */
public record SeenRun(long filter, double days, double startDays, Finding found, Map<Factor, Double> levels) {
    public SeenRun {
        Check.positive("days", days);
        Check.positive("startDays", startDays);
        levels = Map.copyOf(levels);
    }

    double level(Factor factor) {
        return levels.getOrDefault(factor, 0.0);
    }

    /** Natural logarithm of the share of what overloads it that comes in the days the catalogue begins with. */
    double logRate() {
        return Math.log(found.centre()) - Math.log(days / startDays);
    }

    /** The same run with another level of one factor. */
    SeenRun with(Factor factor, double level) {
        Map<Factor, Double> other = new EnumMap<>(Factor.class);
        other.putAll(levels);
        other.put(factor, level);
        return new SeenRun(filter, days, startDays, found, other);
    }
}
