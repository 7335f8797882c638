package app.chervil.core.trouble;

import app.chervil.core.calc.Check;
import app.chervil.core.filter.FilterKind;
import java.util.Map;

/**
 * What a step costs.
 *
 * @param minutes hands-on
 * @param byKind where a kind of filter takes longer or shorter
 * @param disturbance of the bacteria, 0 none to 3 severe
 * @param slow whether a day or more passes before it shows
 */
public record Cost(
        double minutes, Map<FilterKind, Double> byKind, int disturbance, boolean pumpOff, boolean buys, boolean slow) {
    public Cost {
        Check.notNegative("minutes", minutes);
        Check.within("disturbance", disturbance, 0, 3);
        byKind = Map.copyOf(byKind);
    }

    /** Hands-on minutes on a kind of filter. */
    public double minutes(FilterKind kind) {
        return byKind.getOrDefault(kind, minutes);
    }
}
