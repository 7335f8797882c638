package app.chervil.server.trouble;

import app.chervil.core.trouble.Bearing;
import java.time.Instant;
import java.time.LocalDate;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * Table trouble_case.
 *
 * @param filterName of the filter, also once it is gone
 * @param known what was known of the filter when it was opened
 * @param weights how the site's own cases weighed then
 * @param closedOn the day of {@code closedAt} on the site
 * @param repair that helped
 * @param cause that it was; null where nobody knows
 * @param overruled what its keeper would have learned from it instead
 */
record CaseRow(
        UUID id,
        long tankId,
        long filterId,
        String filterName,
        String complaint,
        LocalDate noticedOn,
        Instant openedAt,
        String openedBy,
        Known known,
        CauseWeights weights,
        Standing standing,
        @Nullable Instant closedAt,
        @Nullable LocalDate closedOn,
        @Nullable String repair,
        @Nullable String cause,
        Bearing bearing,
        @Nullable Bearing overruled) {

    /** Where a case stands. */
    public enum Standing {
        OPEN,
        /** A repair helped. */
        SOLVED,
        /** A danger is there. */
        STOPPED,
        /** Given up. */
        LEFT
    }

    Bearing counts() {
        return overruled == null ? bearing : overruled;
    }

    CaseRow as(Verdict verdict, @Nullable Instant at, @Nullable LocalDate on) {
        return new CaseRow(
                id,
                tankId,
                filterId,
                filterName,
                complaint,
                noticedOn,
                openedAt,
                openedBy,
                known,
                weights,
                verdict.standing(),
                at,
                on,
                verdict.repair(),
                verdict.cause(),
                verdict.bearing(),
                overruled);
    }

    /** What the steps of a case come to. */
    record Verdict(
            Standing standing,
            @Nullable String repair,
            @Nullable String cause,
            Bearing bearing) {
        static final Verdict OPEN = new Verdict(Standing.OPEN, null, null, Bearing.IGNORE_FLOW);
        static final Verdict STOPPED = new Verdict(Standing.STOPPED, null, null, Bearing.IGNORE_FLOW);
        static final Verdict LEFT = new Verdict(Standing.LEFT, null, null, Bearing.IGNORE_FLOW);
    }
}
