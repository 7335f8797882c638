package app.chervil.server.filter;

import app.chervil.core.site.TaskMode;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotNull;
import org.jspecify.annotations.Nullable;

/**
 * What a keeper makes of a task.
 *
 * @param fixedDays 1 to 1,825; only with FIXED
 */
public record TaskSettingInput(
        int version,
        @NotNull TaskMode mode,

        @Nullable
        @Min(value = 1, message = "At least 1 day.")
        @Max(value = 1825, message = "At most five years, 1,825 days.")
        Integer fixedDays) {}
