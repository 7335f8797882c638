package app.chervil.core.sums;

import java.util.Optional;

/** The surface of a tank, length by width within the glass. */
final class Footprint {
    private static final double MM3_A_LITRE = 1e6;

    private Footprint() {}

    /** Litres in a millimetre of its height. */
    static double litresAMm(double lengthMm, double widthMm) {
        return lengthMm * widthMm / MM3_A_LITRE;
    }

    /** What is missing of it. */
    static Optional<Refused> lacking(Given given, Field length, Field width) {
        if (!given.has(length)) {
            return Optional.of(Refused.missing(length));
        }
        return given.has(width) ? Optional.empty() : Optional.of(Refused.missing(width));
    }
}
