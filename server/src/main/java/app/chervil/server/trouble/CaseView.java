package app.chervil.server.trouble;

import app.chervil.core.trouble.Bearing;
import app.chervil.core.trouble.FilterHistory;
import app.chervil.core.trouble.Next;
import app.chervil.core.trouble.Standing;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * A case.
 *
 * @param known what was known of the filter when it began
 * @param weights on the rates of causes by the site's own cases, as they were when it began
 * @param events in the order in which the server got them
 * @param now where it stands
 * @param tasks care tasks of this filter that repairs are logged as, by repair
 * @param before earlier cases of this tank with the same complaint, newest first
 */
public record CaseView(
        CaseSummary summary,
        Known known,
        Map<String, Double> weights,
        List<TroubleEvent> events,
        StandingView now,
        Map<String, Long> tasks,
        List<CaseSummary> before) {

    /** What was known of the filter, as the finder has it. */
    public FilterHistory history() {
        return known.history();
    }

    /**
     * What a list tells of a case.
     *
     * @param repair that helped; null while none did
     * @param cause that it was; null where nobody knows
     * @param counts what is learned from its days
     * @param overruled whether its keeper said so
     */
    public record CaseSummary(
            UUID id,
            long tankId,
            long filterId,
            String filterName,
            String complaint,
            LocalDate noticedOn,
            Instant openedAt,
            String openedBy,
            CaseRow.Standing standing,
            @Nullable LocalDate closedOn,
            @Nullable String repair,
            @Nullable String cause,
            Bearing counts,
            boolean overruled) {}

    /**
     * Where a case stands.
     *
     * @param causes the three likeliest
     * @param id of the danger, question or repair that is next; whom to call once it is stopped
     * @param clash id of an earlier answer that does not fit the last one
     */
    public record StandingView(
            List<Standing.Likely> causes,
            Step step,
            String id,
            @Nullable String clash,
            boolean offersExit) {
        private static final int LIKELIEST = 3;

        /** What kind of step is next. */
        public enum Step {
            DANGER,
            QUESTION,
            REPAIR,
            STOP,
            SOLVED
        }

        static StandingView of(Standing standing) {
            List<Standing.Likely> top =
                    standing.causes().stream().limit(LIKELIEST).toList();
            Next next = standing.next();
            @Nullable String clash = standing.clash().orElse(null);
            if (next instanceof Next.AskDanger danger) {
                return new StandingView(top, Step.DANGER, danger.peril().id(), clash, standing.offersExit());
            } else if (next instanceof Next.Ask ask) {
                return new StandingView(top, Step.QUESTION, ask.question().id(), clash, standing.offersExit());
            } else if (next instanceof Next.Mend mend) {
                return new StandingView(top, Step.REPAIR, mend.repair().id(), clash, standing.offersExit());
            } else if (next instanceof Next.Stop stop) {
                return new StandingView(top, Step.STOP, stop.peril().exit().name(), clash, false);
            }
            return new StandingView(
                    top, Step.SOLVED, ((Next.Solved) next).repair().id(), clash, false);
        }
    }
}
