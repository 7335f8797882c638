package app.chervil.core.water;

import app.chervil.core.calc.Digits;
import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.Locale;

/** Numbers and days in sentences. */
final class Words {
    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMM", Locale.ENGLISH);

    private Words() {}

    /** Up to three digits that count, without an exponent. */
    static String number(double value) {
        return Digits.of(value, 3);
    }

    static String day(LocalDate day) {
        return DAY.format(day);
    }

    static String percent(double share) {
        return Math.round(share * 100) + " %";
    }
}
