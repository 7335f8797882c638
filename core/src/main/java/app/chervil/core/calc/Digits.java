package app.chervil.core.calc;

import java.math.BigDecimal;
import java.math.MathContext;

/** Numbers in sentences. */
public final class Digits {
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
}
