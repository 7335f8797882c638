package app.chervil.server.water;

import jakarta.validation.Valid;
import jakarta.validation.constraints.DecimalMax;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.Instant;
import java.util.List;
import java.util.UUID;

/**
 * Values read in one go, each under an id its client made.
 *
 * @param takenAt now or earlier
 */
public record ReadingSet(
        @NotNull(message = "When was it read?") Instant takenAt,
        @NotNull Moment moment,

        @NotNull
        @Size(min = 1, message = "Type at least one value.")
        @Size(max = 40, message = "At most 40 values.")
        @Valid
        List<Value> values) {

    /**
     * One value.
     *
     * @param parameter code of a parameter
     * @param amount in the parameter's unit; the detection limit if below
     * @param belowDetection nothing was seen
     * @param early read before the kit's time
     * @param method by name; may be empty
     */
    public record Value(
            @NotNull UUID id,
            @NotBlank @Size(max = 40) String parameter,

            @NotNull(message = "Type a number.") @DecimalMax(value = "1000000", message = "At most 1,000,000.")
            Double amount,

            boolean belowDetection,
            boolean early,

            @NotNull @Size(max = 60, message = "At most 60 characters.")
            String method) {}
}
