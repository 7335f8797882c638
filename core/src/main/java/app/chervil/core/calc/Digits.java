package app.chervil.core.calc;

import java.math.BigDecimal;
import java.math.MathContext;
import java.util.Locale;

/** Numbers in sentences. */
public final class Digits {
    private static final BigDecimal THOUSAND = BigDecimal.valueOf(1000);

    private Digits() {}

    /**
     * A number with so many digits that count, without an exponent.
     *
     * @param digits 1 or more
     */
    public static String of(double value, int digits) {
        BigDecimal rounded = BigDecimal.valueOf(value).round(new MathContext(digits));
        return rounded.signum() == 0 ? "0" : rounded.stripTrailingZeros().toPlainString();
    }

    /** A number as it is, without an exponent, its thousands parted by commas; the same on every machine. */
    public static String grouped(BigDecimal value) {
        BigDecimal bare = value.stripTrailingZeros();
        // Most numbers are small and need no formatter.
        return bare.abs().compareTo(THOUSAND) < 0
                ? bare.toPlainString()
                : String.format(Locale.ROOT, "%,." + Math.max(0, bare.scale()) + "f", bare);
    }
}
