package app.chervil.server.future;

import app.chervil.sim.future.Way;
import jakarta.validation.constraints.DecimalMax;
import jakarta.validation.constraints.DecimalMin;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * What to compare.
 *
 * @param tankId absent for the whole site
 * @param ways one to three, each once
 * @param futures lived for each way
 * @param partPrice of a part that is thrown away and has no price in the stores, in the site's currency
 */
public record FutureInput(
        @Nullable Long tankId,

        @NotNull @Size(min = 1, max = 3, message = "Choose one to three ways.")
        List<@NotNull Way> ways,

        @Min(value = 20, message = "At least 20.") @Max(value = 1000, message = "At most 1,000.")
        int futures,

        @DecimalMin(value = "0", message = "Not below 0.") @DecimalMax(value = "10000", message = "At most 10,000.")
        double partPrice) {}
