package app.chervil.core.tank;

import app.chervil.core.calc.Check;
import app.chervil.core.calc.Litres;
import java.time.LocalDate;

/**
 * One body of water as far as its filters are concerned.
 *
 * @param netVolume water held, {@link #LEAST_LITRES} to {@link #MOST_LITRES}
 * @param establishedOn the day its water first ran
 */
public record Tank(Litres netVolume, LocalDate establishedOn, Setting setting, Schools schools) {
    /** Smallest accepted tank in litres; our judgement, below it a filter is a cup. */
    public static final double LEAST_LITRES = 1;

    /** Largest accepted tank in litres; our judgement, beyond it another trade keeps the filters. */
    public static final double MOST_LITRES = 100_000;

    public Tank {
        Check.within("netVolume", netVolume.value(), LEAST_LITRES, MOST_LITRES);
    }

    /** How a tank is kept now. */
    public record Setting(
            WaterKind water, Stocking stocking, Feeding feeding, BacteriaHome bacteriaHome, TapWater tapWater) {
        /** Factor on the dirt rate: stocking × feeding. */
        public double dirtRate() {
            return stocking.multiplier() * feeding.multiplier();
        }
    }
}
