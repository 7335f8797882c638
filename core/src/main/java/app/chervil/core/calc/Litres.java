package app.chervil.core.calc;

/**
 * A volume of water in litres.
 *
 * @param value above zero, finite
 */
public record Litres(double value) {
    public Litres {
        Check.positive("litres", value);
    }

    public static Litres of(double value) {
        return new Litres(value);
    }

    /** This volume as a share of another, 0.1 for a tenth. */
    public double shareOf(Litres whole) {
        return value / whole.value;
    }
}
