package app.chervil.core.water;

import app.chervil.core.water.RiseQuestion.Tap;
import java.util.OptionalDouble;

/** What new water brings of a parameter (docs/sources.md#production). */
public final class TapWater {
    /** How unsure a value is that a keeper or a supplier states. */
    private static final double STATED_SHARE = 0.1;

    private TapWater() {}

    /**
     * Of a stated value, or where nobody stated one.
     *
     * @param stated in the unit of the parameter, 0 or above
     */
    public static Tap of(Parameter parameter, OptionalDouble stated) {
        if (stated.isPresent()) {
            return new Tap(stated.getAsDouble(), STATED_SHARE * stated.getAsDouble());
        }
        return switch (parameter) {
            case NITRATE -> new Tap(10, 10);
            case PHOSPHATE -> new Tap(0.1, 0.2);
            default -> new Tap(0, parameter.noise());
        };
    }
}
