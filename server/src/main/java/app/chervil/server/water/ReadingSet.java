package app.chervil.server.water;

import jakarta.validation.Valid;
import jakarta.validation.constraints.DecimalMax;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * Values read in one go, each under an id its client made.
 *
 * @param takenAt now or earlier
 * @param confirmed whether the keeper was asked about what is odd in it, and stands by it; absent for no
 */
public record ReadingSet(
        @NotNull(message = "When was it read?") Instant takenAt,
        @NotNull Moment moment,

        @NotNull @Size(min = 1, message = "Type at least one value.") @Size(max = 40, message = "At most 40 values.")
        List<@Valid Value> values,

        @Nullable Boolean confirmed) {
    /** Values that nobody was asked about. */
    public ReadingSet(Instant takenAt, Moment moment, List<Value> values) {
        this(takenAt, moment, values, null);
    }

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
