package app.chervil.core.media;

import app.chervil.core.calc.Check;
import app.chervil.core.sums.BioMedium;
import app.chervil.core.tank.Stocking;
import java.util.List;

/** How much stocking media carries from the day it is laid in (docs/sources.md#sum-media). */
public final class Carries {
    private Carries() {}

    /**
     * Some media of one kind.
     *
     * @param grams above zero
     * @param share of the bacteria it holds in the end, 0 to 1
     */
    public record Load(BioMedium kind, double grams, double share) {
        public Load {
            Check.positive("grams", grams);
            Check.within("share", share, 0, 1);
        }
    }

    /**
     * Share of what a tank of this stocking needs: 1 is all of it.
     *
     * @param litres of the tank, above zero
     */
    public static double share(List<Load> media, double litres, Stocking stocking) {
        Check.positive("litres", litres);
        double carried = media.stream()
                .mapToDouble(
                        load -> load.grams() / 1000 * load.share() / load.kind().kilogramsPer100())
                .sum();
        return carried * 100 / (litres * stocking.multiplier());
    }

    /** What a share means for whoever stocks a new tank, as a sentence. */
    public static String told(double share) {
        return share >= 1
                ? "That carries all of its stocking from the first day, by rule of thumb. Test daily at first all the same."
                : "That carries about " + Math.round(share * 100)
                        + " % of its stocking from the first day, by rule of thumb. Stock and feed no more than that, and test daily at first.";
    }

    /**
     * Grams of a new kind that do the work of an old one.
     *
     * @param grams of the old, above zero
     */
    public static double instead(double grams, BioMedium old, BioMedium fresh) {
        return Check.positive("grams", grams) * fresh.kilogramsPer100() / old.kilogramsPer100();
    }
}
