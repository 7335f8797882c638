package app.chervil.server.media;

import app.chervil.core.sums.BioMedium;
import jakarta.validation.constraints.DecimalMax;
import jakarta.validation.constraints.DecimalMin;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotNull;
import java.time.LocalDate;
import org.jspecify.annotations.Nullable;

/**
 * An exchange of bio media that is wanted.
 *
 * @param grams of old media that go in all
 * @param oldKind what they are, where the new is another kind
 */
record ExchangeInput(
        @NotNull(message = "Which media?") Long stageId,

        @NotNull(message = "How many grams?")
        @DecimalMin(value = "1", message = "At least 1 g.")
        @DecimalMax(value = "1000000", message = "At most 1,000 kg.")
        Double grams,

        @NotNull(message = "In how many portions?")
        @Min(value = 1, message = "At least one portion.")
        @Max(value = 12, message = "At most twelve portions.")
        Integer portions,

        @NotNull(message = "From which day on?") LocalDate firstOn,
        @Nullable BioMedium oldKind,
        @Nullable BioMedium newKind) {}
