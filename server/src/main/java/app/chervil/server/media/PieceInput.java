package app.chervil.server.media;

import app.chervil.core.sums.BioMedium;
import jakarta.validation.Valid;
import jakarta.validation.constraints.DecimalMax;
import jakarta.validation.constraints.DecimalMin;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * A piece of media whose record begins.
 *
 * @param since the day it was bought, or has been where it is
 * @param moveId id of its first move, made by the client
 */
public record PieceInput(
        @NotBlank(message = "What do you call it?") @Size(max = 60, message = "At most 60 characters.")
        String name,

        @NotNull(message = "What is it made of?") BioMedium kind,

        @NotNull(message = "How many grams?")
        @DecimalMin(value = "1", message = "At least 1 g.")
        @DecimalMax(value = "1000000", message = "At most 1,000 kg.")
        Double grams,

        @NotNull(message = "Since which day?") LocalDate since,

        @NotNull(message = "The first move has an id.") UUID moveId,
        @NotNull @Valid SpotInput spot,

        @Nullable @Size(max = 500, message = "At most 500 characters.")
        String why) {
    /**
     * Where something is laid.
     *
     * @param filterId of the filter, where it goes into one
     * @param forTankId the tank it is seeded for
     */
    public record SpotInput(
            @NotNull(message = "Where is it?") SpotKind kind,
            @Nullable Long filterId,
            @Nullable Long forTankId) {}

    /**
     * A move of a piece, or of a part of it.
     *
     * @param part what goes of it; absent if all of it goes
     * @param why the reason it is moved though something speaks against it
     */
    public record PieceMove(
            @NotNull(message = "On which day?") LocalDate on,
            @NotNull @Valid SpotInput to,
            @Nullable @Valid MediaPart part,

            @Nullable @Size(max = 500, message = "At most 500 characters.")
            String why) {}

    /**
     * A part that is split off as a piece of its own.
     *
     * @param id made by the client
     */
    public record MediaPart(
            @NotNull(message = "A part has an id.") UUID id,

            @NotBlank(message = "What do you call it?") @Size(max = 60, message = "At most 60 characters.")
            String name,

            @NotNull(message = "How many grams?")
            @DecimalMin(value = "1", message = "At least 1 g.")
            @DecimalMax(value = "1000000", message = "At most 1,000 kg.")
            Double grams) {}
}
