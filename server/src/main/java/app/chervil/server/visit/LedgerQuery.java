package app.chervil.server.visit;

import app.chervil.core.filter.StageKind;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import org.jspecify.annotations.Nullable;

/**
 * What to look for in the ledger; each may be absent.
 *
 * @param search part of a note, a person's, a tank's or a filter's name, case ignored
 * @param from first day, inclusive
 * @param to last day, inclusive
 * @param skip services before the page; absent is 0
 * @param limit services on the page, 1 to 100; absent is 50
 */
public record LedgerQuery(
        @Nullable @Size(max = 100, message = "At most 100 characters.")
        String search,

        @Nullable Long tank,
        @Nullable Long filter,
        @Nullable StageKind stage,
        @Nullable LocalDate from,
        @Nullable LocalDate to,
        @Nullable @Min(0) Integer skip,
        @Nullable @Min(1) @Max(100) Integer limit) {

    /** The search as a pattern for ilike, its own wildcards taken literally; null if there is none. */
    public @Nullable String pattern() {
        return search == null || search.isBlank()
                ? null
                : "%" + search.strip().replaceAll("([\\\\%_])", "\\\\$1") + "%";
    }

    public int skipped() {
        return skip == null ? 0 : skip;
    }

    public int limited() {
        return limit == null ? 50 : limit;
    }
}
