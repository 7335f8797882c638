package app.chervil.core.calc;

/**
 * Units that sites read and type. A stored value is {@code size} times the shown one, plus {@code zero}. Factors of volume,
 * mass and length are exact by definition; sources of the others in docs/sources.md#units.
 */
public enum Unit {
    LITRE(Quantity.VOLUME, "L", 1),
    US_GALLON(Quantity.VOLUME, "gal", 3.785411784),
    UK_GALLON(Quantity.VOLUME, "imp gal", 4.54609),
    LITRES_AN_HOUR(Quantity.FLOW, "L/h", 1),
    US_GALLONS_AN_HOUR(Quantity.FLOW, "gal/h", 3.785411784),
    UK_GALLONS_AN_HOUR(Quantity.FLOW, "imp gal/h", 4.54609),
    GRAM(Quantity.MASS, "g", 1),
    OUNCE(Quantity.MASS, "oz", 28.349523125),
    METRE(Quantity.LENGTH, "m", 1),
    FOOT(Quantity.LENGTH, "ft", 0.3048),
    MILLIMETRE(Quantity.SIZE, "mm", 1),
    INCH(Quantity.SIZE, "in", 25.4),
    MILLILITRE(Quantity.DOSE, "mL", 1),
    /** One 768th of the US gallon. */
    US_TEASPOON(Quantity.DOSE, "tsp", 4.92892159375),
    /** One 160th of the imperial gallon. */
    UK_FLUID_OUNCE(Quantity.DOSE, "imp fl oz", 28.4130625),
    CELSIUS(Quantity.TEMPERATURE, "°C", 1),
    FAHRENHEIT(Quantity.TEMPERATURE, "°F", 5 / 9.0, -160 / 9.0),
    MG_PER_L(Quantity.CONCENTRATION, "mg/L", 1),
    PPM(Quantity.CONCENTRATION, "ppm", 1),
    DH(Quantity.HARDNESS, "°dH", 1),
    /** Of calcium carbonate. */
    PPM_CACO3(Quantity.HARDNESS, "ppm", 0.05603),
    MEQ_PER_L(Quantity.HARDNESS, "meq/L", 2.804),
    G_PER_L(Quantity.SALINITY, "g/L", 1),
    /** At 25 °C, against fresh water of 25 °C; straight from fresh to sea water. */
    SPECIFIC_GRAVITY(Quantity.SALINITY, "SG", 1358, -1358);

    private final Quantity quantity;
    private final String symbol;
    private final double size;
    private final double zero;

    Unit(Quantity quantity, String symbol, double size) {
        this(quantity, symbol, size, 0);
    }

    Unit(Quantity quantity, String symbol, double size, double zero) {
        this.quantity = quantity;
        this.symbol = symbol;
        this.size = size;
        this.zero = zero;
    }

    public Quantity quantity() {
        return quantity;
    }

    public String symbol() {
        return symbol;
    }

    /** Stored units in one of these. */
    public double size() {
        return size;
    }

    /** What is stored where this shows nought. */
    public double zero() {
        return zero;
    }

    /** A stored value as it is shown. */
    public double shown(double stored) {
        return (stored - zero) / size;
    }

    /** A shown value as it is stored. */
    public double stored(double shown) {
        return shown * size + zero;
    }
}
