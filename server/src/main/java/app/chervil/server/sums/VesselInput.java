package app.chervil.server.sums;

import jakarta.validation.constraints.DecimalMax;
import jakarta.validation.constraints.DecimalMin;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;

/**
 * Something the keeper measures with.
 *
 * @param kind tubs and buckets hold rinse water; caps, spoons and pump strokes hold a dose
 * @param name as it is called at the tank
 * @param millilitres that it holds to its brim or mark
 */
public record VesselInput(
        @NotNull(message = "Choose one.") Kind kind,

        @NotBlank(message = "What is it called?") @Size(max = 40, message = "At most 40 characters.")
        String name,

        @NotNull(message = "How much does it hold?")
        @DecimalMin(value = "0.01", message = "At least 0.01 mL.")
        @DecimalMax(value = "100000", message = "At most 100 L.")
        Double millilitres) {

    /** What it is for. */
    public enum Kind {
        TUB,
        CAP
    }
}
