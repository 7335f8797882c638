package app.chervil.server.interval;

import app.chervil.core.interval.Sign;
import jakarta.validation.constraints.DecimalMax;
import jakarta.validation.constraints.DecimalMin;
import jakarta.validation.constraints.NotNull;
import java.time.LocalDate;
import org.jspecify.annotations.Nullable;

/**
 * A look at a stage between services.
 *
 * @param amount percent, metres or hours, where the sign has one
 */
public record LookInput(
        @NotNull Long stageId,
        @NotNull(message = "Say when.") LocalDate on,
        @NotNull(message = "Choose what you saw.") Sign sign,

        @Nullable
        @DecimalMin(value = "0", message = "Not below 0.")
        @DecimalMax(value = "200000", message = "At most 200,000.")
        Double amount) {}
