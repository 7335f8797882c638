package app.chervil.core.water;

import java.util.Optional;

/** What is measured, with its unit as stored and the values a kept tank can have (docs/sources.md#water). */
public enum Parameter {
    AMMONIA("Total ammonia", "mg/L", 0, 8, 0.2),
    NITRITE("Nitrite", "mg/L", 0, 5, 0.1),
    NITRATE("Nitrate", "mg/L", 0, 250, 5),
    PHOSPHATE("Phosphate", "mg/L", 0, 10, 0.05),
    PH("pH", "", 4, 9.5, 0.1),
    TEMPERATURE("Temperature", "°C", 2, 34, 0.2),
    KH("Carbonate hardness", "°dH", 0, 25, 0.5),
    GH("General hardness", "°dH", 0, 40, 0.5),
    SALINITY("Salinity", "g/L", 0, 42, 0.5),
    CONDUCTIVITY("Conductivity", "µS/cm", 10, 70_000, 5);

    private static final double LEAST_ON_EARTH = -5;

    private final String label;
    private final String unit;
    private final double least;
    private final double most;
    private final double noise;

    Parameter(String label, String unit, double least, double most, double noise) {
        this.label = label;
        this.unit = unit;
        this.least = least;
        this.most = most;
        this.noise = noise;
    }

    public String label() {
        return label;
    }

    /** Unit of the stored value; empty for pH. */
    public String unit() {
        return unit;
    }

    /** What a simple kit cannot tell from zero, or from the value beside it, in the unit of the parameter. */
    public double noise() {
        return noise;
    }

    /** Whether a value can be at all: finite, and not below zero unless it is a temperature. */
    public boolean possible(double value) {
        return Double.isFinite(value) && value >= (this == TEMPERATURE ? LEAST_ON_EARTH : 0);
    }

    /**
     * A doubt about a typed value; it is asked, and the value kept.
     *
     * @param value in the unit of the parameter
     * @param last the value before it on the same tank, above detection; empty if there is none
     * @return a question for the keeper, empty if nothing is odd
     */
    public Optional<String> doubt(double value, Optional<Double> last) {
        if (value < least || value > most) {
            return Optional.of(label + " " + measure(value) + " is outside what any tank has, " + measure(least)
                    + " to " + measure(most) + ". Did you type it as you read it?");
        }
        return last.filter(before -> jumped(value, before))
                .map(before -> "The last " + label + " was " + measure(before) + ". Is a jump to " + measure(value)
                        + " right?");
    }

    private boolean jumped(double value, double before) {
        return switch (this) {
            case PH -> Math.abs(value - before) > 0.95;
            case TEMPERATURE -> Math.abs(value - before) >= 6;
            default -> Math.max(value, before) > 4 * noise && (value >= 10 * before || before >= 10 * value);
        };
    }

    private String measure(double value) {
        return Words.number(value) + (unit.isEmpty() ? "" : " " + unit);
    }
}
