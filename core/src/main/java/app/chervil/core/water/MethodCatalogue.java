package app.chervil.core.water;

import static app.chervil.core.water.Parameter.*;
import static app.chervil.core.water.TestMethod.What.SHAKE;
import static app.chervil.core.water.TestMethod.What.WAIT;

import app.chervil.core.water.TestMethod.TimedStep;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;

/**
 * Generic kits and meters to start from; a keeper changes their times to what the label says (docs/sources.md#methods).
 */
public final class MethodCatalogue {
    private MethodCatalogue() {}

    /** Every method, by parameter; the first of a parameter is taken unless another is chosen. */
    public static List<TestMethod> all() {
        return List.of(
                drops(AMMONIA, 0.2, shake(5), shake(5), rest(300)),
                card(AMMONIA, 0.25, 0, 0.25, 0.5, 1, 2, 4, 8),
                meter(AMMONIA, 0.05),
                drops(NITRITE, 0.1, shake(5), rest(300)),
                card(NITRITE, 0.25, 0, 0.25, 0.5, 1, 2, 5),
                meter(NITRITE, 0.02),
                drops(NITRATE, 5, shake(5), shake(30), shake(60), rest(300)),
                card(NITRATE, 5, 0, 5, 10, 20, 40, 80, 160),
                meter(NITRATE, 2),
                drops(PHOSPHATE, 0.05, shake(10), shake(10), rest(300)),
                card(PHOSPHATE, 0.25, 0, 0.25, 0.5, 1, 2, 5, 10),
                meter(PHOSPHATE, 0.02),
                drops(PH, 0, shake(5), rest(60)),
                meter(PH, 0),
                meter(TEMPERATURE, 0),
                drops(KH, 0, shake(5)),
                drops(GH, 0, shake(5)),
                meter(SALINITY, 0),
                meter(CONDUCTIVITY, 0));
    }

    /** The method of a name; empty if the catalogue has none. */
    public static Optional<TestMethod> find(Parameter parameter, String name) {
        return all().stream()
                .filter(method ->
                        method.parameter() == parameter && method.name().equals(name))
                .findFirst();
    }

    private static TestMethod card(Parameter parameter, double limit, double... steps) {
        return new TestMethod(
                parameter,
                "Colour card",
                limit,
                List.of(shake(5), rest(300)),
                Arrays.stream(steps).boxed().toList());
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
