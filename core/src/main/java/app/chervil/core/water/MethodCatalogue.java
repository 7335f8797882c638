package app.chervil.core.water;

import static app.chervil.core.water.Parameter.*;
import static app.chervil.core.water.TestMethod.What.SHAKE;
import static app.chervil.core.water.TestMethod.What.WAIT;

import app.chervil.core.water.TestMethod.TimedStep;
import java.util.List;

/**
 * Generic kits and meters to start from; a keeper changes their times to what the label says (docs/sources.md#methods).
 */
public final class MethodCatalogue {
    private MethodCatalogue() {}

    /** Every method, by parameter; the first of a parameter is taken unless another is chosen. */
    public static List<TestMethod> all() {
        return List.of(
                drops(AMMONIA, 0.2, shake(5), shake(5), rest(300)),
                meter(AMMONIA, 0.05),
                drops(NITRITE, 0.1, shake(5), rest(300)),
                meter(NITRITE, 0.02),
                drops(NITRATE, 5, shake(5), shake(30), shake(60), rest(300)),
                meter(NITRATE, 2),
                drops(PHOSPHATE, 0.05, shake(10), shake(10), rest(300)),
                meter(PHOSPHATE, 0.02),
                drops(PH, 0, shake(5), rest(60)),
                meter(PH, 0),
                meter(TEMPERATURE, 0),
                drops(KH, 0, shake(5)),
                drops(GH, 0, shake(5)),
                meter(SALINITY, 0),
                meter(CONDUCTIVITY, 0));
    }

    private static TestMethod drops(Parameter parameter, double limit, TimedStep... steps) {
        return new TestMethod(parameter, "Drop test", limit, List.of(steps));
    }

    private static TestMethod meter(Parameter parameter, double limit) {
        return new TestMethod(parameter, "Meter", limit, List.of());
    }

    private static TimedStep shake(int seconds) {
        return new TimedStep(SHAKE, seconds);
    }

    private static TimedStep rest(int seconds) {
        return new TimedStep(WAIT, seconds);
    }
}
