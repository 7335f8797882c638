package app.chervil.server.tank;

import app.chervil.core.procedure.Tubs;
import app.chervil.core.tank.Animals;
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
import java.util.Set;
import org.jspecify.annotations.Nullable;

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

    /**
     * How a tank is kept.
     *
     * @param bucketL the keeper's bucket, two thirds of which are used; absent for 8 L
     * @param drawShare the most of the tank that a service may draw for rinsing; absent for a quarter
     * @param animals in it that ask for care of their own; absent for none
     */
    public record Setting(
            @NotNull WaterKind water,
            @NotNull Stocking stocking,
            @NotNull Feeding feeding,
            @NotNull BacteriaHome bacteriaHome,
            @NotNull TapWater tapWater,

            @Nullable
            @DecimalMin(value = "0.5", message = "At least half a litre.")
            @DecimalMax(value = "60", message = "At most 60 litres.")
            Double bucketL,

            @Nullable
            @DecimalMin(value = "0.05", message = "At least 5 %.")
            @DecimalMax(value = "0.5", message = "At most half of the tank.")
            Double drawShare,

            @Nullable Set<@NotNull Animals> animals) {
        /** With usual buckets. */
        public Setting(
                WaterKind water, Stocking stocking, Feeding feeding, BacteriaHome bacteriaHome, TapWater tapWater) {
            this(water, stocking, feeding, bacteriaHome, tapWater, null, null, null);
        }

        /** The keeper's bucket in litres. */
        public double bucket() {
            return bucketL == null ? Tubs.Means.USUAL_BUCKET_L : bucketL;
        }

        /** The animals in it that ask for care of their own. */
        public Living living() {
            return new Living(animals == null ? Set.of() : animals);
        }

        /** The most of the tank that a service may draw. */
        public double draw() {
            return drawShare == null ? Tubs.Means.USUAL_SHARE : drawShare;
        }
    }

    /**
     * Practices chosen for it.
     *
     * @param measuresFlow whether a service asks for the flow; absent for yes
     */
    public record Schools(
            @NotNull OpeningSchool opening,
            @NotNull SockSchool sock,
            @NotNull RinseWater rinse,
            @NotNull Thoroughness thoroughness,
            @Nullable Boolean measuresFlow) {
        /** With flow measured. */
        public Schools(OpeningSchool opening, SockSchool sock, RinseWater rinse, Thoroughness thoroughness) {
            this(opening, sock, rinse, thoroughness, null);
        }

        /** Whether a service asks for the flow. */
        public boolean asksFlow() {
            return !Boolean.FALSE.equals(measuresFlow);
        }
    }
}
