package app.chervil.core.sums;

/**
 * What a value of a sum is measured in, with the range that is taken where a field names no other: wide enough for a jar on a
 * sill and a public tank (our judgement).
 */
public enum Measure {
    LITRES(.05, 1e5),
    LITRES_PER_HOUR(1, 1e6),
    LITRES_PER_MINUTE(0, 1e5),
    MILLILITRES(.01, 1e6),
    MILLIMETRES(1, 1e4),
    METRES(.05, 30),
    METRES_PER_SECOND(0, 100),
    CELSIUS(0, 40),
    /** A difference of temperature. */
    KELVIN(0, 40),
    GRAMS_PER_LITRE(0, 45),
    MILLIGRAMS_PER_LITRE(0, 500),
    MILLIGRAMS(0, 1e9),
    /** Kilograms to a litre of media as it lies. */
    KILOGRAMS_PER_LITRE(.02, 2.5),
    /** Kilograms to 100 L of water. */
    KILOGRAMS_PER_100_LITRES(.05, 20),
    KILOGRAMS(0, 500),
    GRAMS(0, 1e6),
    SHARE(.01, 1),
    /** A percentage, 5 for 5 %. */
    PERCENT(1, 100),
    DAYS(1, 3650),
    YEARS(.5, 20),
    HOURS(0, 24),
    MINUTES(0, 600),
    SECONDS(.5, 600),
    WATTS(0, 5000),
    MONEY(0, 1e5),
    /** Whole things. */
    COUNT(1, 1000),
    /** A number without a unit. */
    NUMBER(0, 1e9),
    PH(4, 11),
    SPECIFIC_GRAVITY(.99, 1.04),
    /** Grams of salt in a kilogram of sea water. */
    PER_MILLE(0, 45),
    MILLISIEMENS_PER_CM(0, 100);

    private final double least;
    private final double most;

    Measure(double least, double most) {
        this.least = least;
        this.most = most;
    }

    /** Smallest value taken. */
    public double least() {
        return least;
    }

    /** Largest value taken. */
    public double most() {
        return most;
    }

    boolean isWhole() {
        return this == COUNT;
    }
}
