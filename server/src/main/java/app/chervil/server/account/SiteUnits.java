package app.chervil.server.account;

import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Pattern;

/**
 * Units a site reads and types in; values are stored metric whatever they are.
 *
 * @param currency of all prices, by its code of ISO 4217
 */
public record SiteUnits(
        @NotNull(message = "Choose one.") Temperature temperature,
        @NotNull(message = "Choose one.") Concentration concentration,
        @NotNull(message = "Choose one.") Hardness hardness,

        @NotNull(message = "Three letters, such as EUR.")
        @Pattern(regexp = "[A-Z]{3}", message = "Three letters, such as EUR.")
        String currency) {

    /** Of water. */
    public enum Temperature {
        CELSIUS,
        FAHRENHEIT
    }

    /** Of what is dissolved; in water the two are the same number. */
    public enum Concentration {
        MG_PER_L,
        PPM
    }

    /** German degrees, or mg/L of calcium carbonate. */
    public enum Hardness {
        DH,
        PPM
    }
}
