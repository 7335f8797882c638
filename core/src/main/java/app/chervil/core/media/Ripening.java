package app.chervil.core.media;

import app.chervil.core.calc.Check;
import app.chervil.core.sums.RuleBook;

/**
 * How bacteria settle on new media and are lost out of a filter (docs/sources.md#media-ripening). What is there is a share
 * of what such media carries in the end, 0 to 1.
 *
 * @param usualDays until new media in a normally stocked tank of 25 °C counts as ripe, 14 to 120
 */
public record Ripening(double usualDays) {
    public static final Ripening USUAL = new Ripening(RuleBook.RIPE_DAYS.ours());

    /** The share from which media counts as ripe. */
    public static final double RIPE = 0.9;

    /** Below it media is as good as new. */
    public static final double AS_NEW = 0.1;

    /** Days after which half is left on media that lies wet, without flow. */
    static final double WET_HALF_DAYS = 3;

    private static final double WARMTH = 25;
    private static final double PER_DEGREE = 1.07;
    private static final double LEAST_DAYS = 21;
    private static final double MOST_DAYS = 120;

    public Ripening {
        Check.within("usualDays", usualDays, RuleBook.RIPE_DAYS.least(), RuleBook.RIPE_DAYS.most());
    }

    /** Days until new media is ripe in a tank: fewer in warm water and with more to eat, 21 to 120. */
    public double days(Living tank) {
        double warmth = Math.pow(PER_DEGREE, WARMTH - tank.celsius());
        double food = 1 / Math.sqrt(tank.stocking().multiplier());
        return Math.min(MOST_DAYS, Math.max(LEAST_DAYS, usualDays * warmth * food));
    }

    /** The share after some days in a tank. */
    double after(double share, double days, Living tank) {
        return 1 - (1 - share) * Math.exp(-days * Math.log(1 / (1 - RIPE)) / days(tank));
    }

    /** Days in a tank until a share is ripe; 0 if it is. */
    double untilRipe(double share, Living tank) {
        return share >= RIPE ? 0 : days(tank) * Math.log((1 - share) / (1 - RIPE)) / Math.log(1 / (1 - RIPE));
    }

    /** The share left after some days wet on the shelf. */
    static double wet(double share, double days) {
        return share * Math.pow(0.5, days / WET_HALF_DAYS);
    }
}
