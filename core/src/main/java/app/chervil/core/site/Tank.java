package app.chervil.core.site;

import app.chervil.core.calc.Check;
import app.chervil.core.tank.Animals;
import app.chervil.core.tank.BacteriaHome;
import app.chervil.core.tank.Feeding;
import app.chervil.core.tank.RinseWater;
import app.chervil.core.tank.Schools;
import app.chervil.core.tank.Stocking;
import app.chervil.core.tank.TapWater;
import app.chervil.core.tank.Thoroughness;
import app.chervil.core.tank.WaterKind;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.Optional;
import java.util.Set;

/**
 * A tank.
 *
 * @param version raised with every change of it
 * @param room empty where the site has none
 * @param netVolumeL water held, 1 to 100,000 L
 * @param quarantine whether what was in it goes into no other tank
 * @param deletedAt empty while it is in use
 */
public record Tank(
        long id,
        int version,
        String name,
        String room,
        double netVolumeL,
        LocalDate establishedOn,
        Setting setting,
        Practice practice,
        boolean quarantine,
        Optional<Instant> deletedAt) {
    /** The order in which tanks are walked: by room, then by name. */
    public static final Comparator<Tank> AS_WALKED =
            Comparator.comparing(Tank::room).thenComparing(Tank::name).thenComparing(Tank::id);

    public Tank {
        Check.within("netVolumeL", netVolumeL, 1, 100_000);
    }

    /**
     * How it is kept.
     *
     * @param bucketL the keeper's bucket, 0.5 to 60 L, two thirds of which are used
     * @param drawShare the most of the tank that a service may draw for rinsing, 0.05 to 0.5
     * @param animals in it that ask for care of their own
     */
    public record Setting(
            WaterKind water,
            Stocking stocking,
            Feeding feeding,
            BacteriaHome bacteriaHome,
            TapWater tapWater,
            double bucketL,
            double drawShare,
            Set<Animals> animals) {
        /** With no animals that ask for more than most do. */
        public Setting(
                WaterKind water,
                Stocking stocking,
                Feeding feeding,
                BacteriaHome bacteriaHome,
                TapWater tapWater,
                double bucketL,
                double drawShare) {
            this(water, stocking, feeding, bacteriaHome, tapWater, bucketL, drawShare, Set.of());
        }

        public Setting {
            animals = Set.copyOf(animals);
            Check.within("bucketL", bucketL, 0.5, 60);
            Check.within("drawShare", drawShare, 0.05, 0.5);
        }
    }

    /**
     * What its keeper chose where competent keepers disagree.
     *
     * @param measuresFlow whether a service asks for the flow before and after
     */
    public record Practice(Schools schools, RinseWater rinse, Thoroughness thoroughness, boolean measuresFlow) {
        /** A practice that measures flow. */
        public Practice(Schools schools, RinseWater rinse, Thoroughness thoroughness) {
            this(schools, rinse, thoroughness, true);
        }
    }
}
