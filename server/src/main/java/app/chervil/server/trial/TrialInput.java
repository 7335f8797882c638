package app.chervil.server.trial;

import app.chervil.core.trial.Design;
import app.chervil.core.water.Parameter;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotNull;
import java.time.LocalDate;

/**
 * Two intervals of one task to be tried in turns.
 *
 * @param parameter whose rise is compared
 * @param began first day
 * @param periods four, eight, twelve or sixteen
 */
public record TrialInput(
        @NotNull(message = "Which task?") Long taskId,
        @NotNull(message = "What is to be compared?") Parameter parameter,
        @NotNull(message = "From which day?") LocalDate began,

        @Min(value = Design.LEAST_PERIOD_DAYS, message = "At least 7 days.")
        @Max(value = Design.MOST_PERIOD_DAYS, message = "At most 84 days.")
        int periodDays,

        @Min(value = Design.ROUND, message = "At least 4.") @Max(value = Design.MOST_PERIODS, message = "At most 16.")
        int periods,

        @Min(value = 1, message = "At least 1 day.") @Max(value = Design.MOST_PERIOD_DAYS, message = "At most 84 days.")
        int firstDays,

        @Min(value = 1, message = "At least 1 day.") @Max(value = Design.MOST_PERIOD_DAYS, message = "At most 84 days.")
        int otherDays) {}
