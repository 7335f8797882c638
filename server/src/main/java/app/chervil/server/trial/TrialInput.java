package app.chervil.server.trial;

import app.chervil.core.trial.Design;
import app.chervil.core.water.Parameter;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * Ways of doing one task, to be tried in turns.
 *
 * @param parameter whose rise is compared
 * @param began first day
 * @param periods a multiple of twice the ways
 * @param ways two to five, as days between two times; 0 where the thing is left out; the first is what the others are
 *     measured by
 * @param alsoTaskIds the same task on other tanks that try the same ways in the same weeks; absent for none
 * @param oneEach whether each tank keeps one of the ways, the first the first, until the tanks swap; then the periods are any
 *     number
 * @param watched what is read beside it and shown without a verdict; absent for nothing
 */
public record TrialInput(
        @NotNull(message = "Which task?") Long taskId,
        @NotNull(message = "What is to be compared?") Parameter parameter,
        @NotNull(message = "From which day?") LocalDate began,

        @Min(value = Design.LEAST_PERIOD_DAYS, message = "At least 7 days.")
        @Max(value = Design.MOST_PERIOD_DAYS, message = "At most 84 days.")
        int periodDays,

        @Min(value = Design.LEAST_PERIODS, message = "At least 4.")
        @Max(value = Design.MOST_PERIODS, message = "At most 40.")
        int periods,

        @NotNull @Size(min = Design.LEAST_WAYS, max = Design.MOST_WAYS, message = "Two to five ways.")
        List<
                        @NotNull(message = "Every how many days?") @Min(value = 0, message = "At least 1 day.")
                        @Max(value = Design.MOST_PERIOD_DAYS, message = "At most 84 days.") Integer>
                ways,

        @Nullable @Size(max = 20, message = "At most twenty tanks more.")
        List<@NotNull Long> alsoTaskIds,

        @Nullable Boolean oneEach,

        @Nullable @Size(max = MOST_WATCHED, message = "At most eight.")
        List<@NotNull Parameter> watched) {
    static final int MOST_WATCHED = 8;

    /** On one tank. */
    public TrialInput(
            Long taskId, Parameter parameter, LocalDate began, int periodDays, int periods, List<Integer> ways) {
        this(taskId, parameter, began, periodDays, periods, ways, null, null, null);
    }

    /** The same task on other tanks, none if nothing was said. */
    List<Long> also() {
        return alsoTaskIds == null ? List.of() : alsoTaskIds;
    }

    boolean isOneEach() {
        return Boolean.TRUE.equals(oneEach);
    }

    /** How the tank in that place of the trial is set up. */
    TrialSetup setup(int tank) {
        @Nullable Integer kept = isOneEach() ? (Integer) (tank % ways.size()) : null;
        return new TrialSetup(kept, List.of(), watched == null ? List.of() : watched);
    }

    /** From a day on, with all ways in turn. */
    Design inTurns(LocalDate day) {
        return new Design(
                day, periodDays, periods, ways.stream().map(WaysHandler::way).toList());
    }
}
