package app.chervil.server.account;

import jakarta.validation.constraints.NotNull;

/** Units a site reads and types in; values are stored metric whatever they are. */
public record SiteUnits(
        @NotNull(message = "Choose one.") Temperature temperature,
        @NotNull(message = "Choose one.") Concentration concentration,
        @NotNull(message = "Choose one.") Hardness hardness) {

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
