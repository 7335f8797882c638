package app.chervil.server.trouble;

import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import org.jspecify.annotations.Nullable;

/**
 * What somebody noticed.
 *
 * @param complaint its id in the network
 * @param noticedOn absent for today
 */
public record TroubleInput(
        @NotNull(message = "Which filter?") Long filterId,

        @NotBlank(message = "What is wrong?") @Size(max = 60)
        String complaint,

        @Nullable LocalDate noticedOn) {}
