package app.chervil.core.calc;

/** What is measured; each is stored in one unit whatever a site reads. */
public enum Quantity {
    /** Litres. */
    VOLUME,
    /** Litres an hour. */
    FLOW,
    /** Grams. */
    MASS,
    /** Metres: lifts, heads, lengths of hose and roll. */
    LENGTH,
    /** Millimetres: grains, holes, hoses, sheets of foam. */
    SIZE,
    /** Millilitres: doses. */
    DOSE,
    /** Degrees Celsius. */
    TEMPERATURE,
    /** Milligrams a litre. */
    CONCENTRATION,
    /** German degrees. */
    HARDNESS,
    /** Grams a litre. */
    SALINITY
}
