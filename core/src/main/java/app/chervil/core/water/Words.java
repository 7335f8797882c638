package app.chervil.core.water;

import java.math.BigDecimal;
import java.math.MathContext;
import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.Locale;

/** Numbers and days in sentences. */
final class Words {
    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMM", Locale.ENGLISH);

    private Words() {}

    /** Up to three digits that count, without an exponent. */
    static String number(double value) {
        BigDecimal rounded = BigDecimal.valueOf(value).round(new MathContext(3));
        return rounded.signum() == 0 ? "0" : rounded.stripTrailingZeros().toPlainString();
    }

    static String day(LocalDate day) {
        return DAY.format(day);
    }

    static String percent(double share) {
        return Math.round(share * 100) + " %";
    }
}
