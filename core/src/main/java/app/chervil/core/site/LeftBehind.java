package app.chervil.core.site;

import app.chervil.core.calc.Count;
import app.chervil.core.filter.FilterKind;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/** What a tank is left with when one of its filters is taken down (docs/sources.md#take-down). */
public final class LeftBehind {
    private static final int SETTLED_DAYS = 42;

    private LeftBehind() {}

    /**
     * A warning where what is left cannot carry the tank.
     *
     * @param goes the filter that is taken down
     * @param ofTank all filters in use there, it among them or not
     */
    public static Optional<String> warning(Filter goes, List<Filter> ofTank, LocalDate today) {
        if (goes.kind() == FilterKind.UV_UNIT) {
            return Optional.empty();
        }
        List<Filter> others = ofTank.stream()
                .filter(one -> one.id() != goes.id() && one.kind() != FilterKind.UV_UNIT)
                .toList();
        if (others.isEmpty()) {
            return Optional.of(
                    goes.name() + " is this tank’s only filter: most of what cleans its water lives in it. Animals"
                            + " that stay need another, run beside it for six weeks before.");
        }
        boolean settled = others.stream().anyMatch(one -> days(one, today) >= SETTLED_DAYS);
        return settled
                ? Optional.empty()
                : others.stream()
                        .max(Comparator.comparingLong(one -> days(one, today)))
                        .map(oldest -> oldest.name() + " has run here " + since(days(oldest, today))
                                + "; it takes six weeks until a new filter carries a tank.");
    }

    private static String since(long days) {
        return days < 1 ? "only since today" : "for only " + Count.days(days);
    }

    /** A filter of unknown age was there before anybody wrote it down. */
    private static long days(Filter filter, LocalDate today) {
        return filter.fittedOn().map(on -> ChronoUnit.DAYS.between(on, today)).orElse((long) SETTLED_DAYS);
    }
}
