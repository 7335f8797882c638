package app.chervil.server.tank;

import app.chervil.core.tank.BacteriaHome;
import app.chervil.core.tank.Feeding;
import app.chervil.core.tank.OpeningSchool;
import app.chervil.core.tank.RinseWater;
import app.chervil.core.tank.SockSchool;
import app.chervil.core.tank.Stocking;
import app.chervil.core.tank.TapWater;
import app.chervil.core.tank.Thoroughness;
import app.chervil.core.tank.WaterKind;
import jakarta.validation.Valid;
import jakarta.validation.constraints.DecimalMax;
import jakarta.validation.constraints.DecimalMin;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;

/**
 * A tank as a keeper describes it.
 *
 * @param room may be empty
 * @param netVolumeL water held, 1 to 100,000 L
 */
public record TankInput(
        @NotBlank(message = "Give the tank a name.") @Size(max = 80, message = "At most 80 characters.")
        String name,

        @NotNull(message = "Leave the room empty rather than out.") @Size(max = 60, message = "At most 60 characters.")
        String room,

        @NotNull(message = "How much water does it hold?")
        @DecimalMin(value = "1", message = "At least 1 litre.")
        @DecimalMax(value = "100000", message = "At most 100,000 litres.")
        Double netVolumeL,

        @NotNull(message = "When was it set up?") LocalDate establishedOn,
        @NotNull @Valid Setting setting,
        @NotNull @Valid Schools schools) {

    /** How a tank is kept. */
    public record Setting(
            @NotNull WaterKind water,
            @NotNull Stocking stocking,
            @NotNull Feeding feeding,
            @NotNull BacteriaHome bacteriaHome,
            @NotNull TapWater tapWater) {}

    /** Practices chosen for it. */
    public record Schools(
            @NotNull OpeningSchool opening,
            @NotNull SockSchool sock,
            @NotNull RinseWater rinse,
            @NotNull Thoroughness thoroughness) {
        public app.chervil.core.tank.Schools toCore() {
            return new app.chervil.core.tank.Schools(opening, sock);
        }
    }
}
