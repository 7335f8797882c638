package app.chervil.core.notebook;

import java.time.DateTimeException;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;

/** In which order day, month and year are written where all are numbers. */
public enum DayOrder {
    YEAR_FIRST,
    DAY_FIRST,
    MONTH_FIRST;

    private static final Pattern NUMBERS = Pattern.compile(
            "(?:[A-Za-z]{2,9},?\\s+)?(\\d{1,4})[./\\- ]\\s?(\\d{1,2})[./\\- ]\\s?(\\d{1,4})(?:[T ,].*)?");
    private static final Pattern DAY_THEN_MONTH = Pattern.compile(
            "(?:[A-Za-z]{2,9},?\\s+)?(\\d{1,2})(?:st|nd|rd|th)?[.\\- ]*([A-Za-z]{3,9})[.,\\- ]*(\\d{2,4})");
    private static final Pattern MONTH_THEN_DAY =
            Pattern.compile("(?:[A-Za-z]{2,9},?\\s+)?([A-Za-z]{3,9})[. ]*(\\d{1,2})(?:st|nd|rd|th)?[., ]+(\\d{2,4})");
    private static final Pattern SERIAL = Pattern.compile("\\d{5}(?:\\.\\d+)?");
    private static final List<String> MONTHS =
            List.of("jan", "feb", "mar", "apr", "may", "jun", "jul", "aug", "sep", "oct", "nov", "dec");

    /** From which spreadsheets count days; day 1 is the first of January 1900, and a leap day that never was is counted. */
    private static final LocalDate BEFORE_ALL = LocalDate.of(1899, 12, 30);

    private static final int CENTURY = 2000;

    /**
     * A day as somebody wrote it: "3/12/23", "12.3.2023", "March 12, 2023", "Sun 12 Mar 23", or a spreadsheet's number of days.
     *
     * @return empty if it is none in this order
     */
    public Optional<LocalDate> read(String text) {
        String written = text.strip();
        if (SERIAL.matcher(written).matches()) {
            return Optional.of(BEFORE_ALL.plusDays((long) Double.parseDouble(written)));
        }
        Matcher numbers = NUMBERS.matcher(written);
        if (numbers.matches()) {
            return ordered(numbers.group(1), numbers.group(2), numbers.group(3));
        }
        Matcher named = DAY_THEN_MONTH.matcher(written);
        if (named.matches()) {
            return month(named.group(2)).flatMap(month -> day(named.group(3), month, named.group(1)));
        }
        Matcher american = MONTH_THEN_DAY.matcher(written);
        return american.matches()
                ? month(american.group(1)).flatMap(month -> day(american.group(3), month, american.group(2)))
                : Optional.empty();
    }

    private Optional<LocalDate> ordered(String first, String second, String third) {
        if (first.length() > 2) {
            return day(first, Integer.parseInt(second), third);
        }
        return switch (this) {
            case YEAR_FIRST -> day(first, Integer.parseInt(second), third);
            case DAY_FIRST -> day(third, Integer.parseInt(second), first);
            case MONTH_FIRST -> day(third, Integer.parseInt(first), second);
        };
    }

    private static Optional<Integer> month(String name) {
        int at = MONTHS.indexOf(name.substring(0, 3).toLowerCase(Locale.ROOT));
        return at < 0 ? Optional.empty() : Optional.of(at + 1);
    }

    /** Years of two digits are of this century; of one or three there are none. */
    private static Optional<LocalDate> day(String year, int month, String day) {
        if ((year.length() != 2 && year.length() != 4) || day.length() > 2) {
            return Optional.empty();
        }
        int written = Integer.parseInt(year);
        try {
            return Optional.of(
                    LocalDate.of(year.length() == 2 ? CENTURY + written : written, month, Integer.parseInt(day)));
        } catch (DateTimeException noDay) {
            return Optional.empty();
        }
    }

    /**
     * The order in which most of these are days, and in which they follow one another best.
     *
     * @param written in the order of the table
     * @param usual taken where nothing tells them apart
     */
    public static DayOrder likeliest(List<String> written, DayOrder usual) {
        return Stream.concat(Stream.of(usual), Stream.of(values()))
                .distinct()
                .max(Comparator.<DayOrder>comparingLong(order -> order.readable(written))
                        .thenComparingLong(order -> -order.stepsBack(written))
                        // The first of equals is the usual one.
                        .thenComparing(order -> order == usual))
                .orElse(usual);
    }

    long readable(List<String> written) {
        return written.stream().filter(cell -> read(cell).isPresent()).count();
    }

    /** How often the days go against the way they mostly go. */
    private long stepsBack(List<String> written) {
        List<LocalDate> days =
                written.stream().map(this::read).flatMap(Optional::stream).toList();
        long down = 0;
        long up = 0;
        for (int i = 1; i < days.size(); i++) {
            int step = days.get(i).compareTo(days.get(i - 1));
            down += step < 0 ? 1 : 0;
            up += step > 0 ? 1 : 0;
        }
        return Math.min(down, up);
    }
}
