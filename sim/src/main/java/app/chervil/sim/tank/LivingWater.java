package app.chervil.sim.tank;

import app.chervil.core.calc.Check;

/**
 * A tank's water from day to day, in mg/L. Feeding makes ammonia; bacteria turn it into nitrite and that into nitrate, each
 * at most {@link #CAPACITY} times what is fed and less where bacteria were lost, which grow back; dirt in the filter and on the
 * rock adds nitrate and phosphate; water changes thin all of it. Our judgement: docs/sources.md#simulated-tanks.
 */
public final class LivingWater {
    private static final double CAPACITY = 1.15;
    private static final double HALF_SPEED_AT = 0.01;
    private static final double GROWTH_A_DAY = 0.10;
    private static final double NITRITE_FROM_AMMONIA = 46.0 / 17;
    private static final double NITRATE_FROM_NITRITE = 62.0 / 46;
    private static final double DIRT_ADDS = 0.35;
    private static final double BLOWN_OFF = 0.10;

    private final double feed;
    private final double phosphateADay;
    private double bacteria = 1;
    private double ammonia;
    private double nitrite;
    private double nitrate;
    private double phosphate;

    /**
     * Water that has come to rest.
     *
     * @param nitrateAWeek what feeding makes of nitrate in a week, in mg/L; above zero
     * @param phosphateAWeek likewise of phosphate
     * @param nitrate at the start, in mg/L
     * @param phosphate at the start, in mg/L
     */
    public LivingWater(double nitrateAWeek, double phosphateAWeek, double nitrate, double phosphate) {
        this.feed = Check.positive("nitrateAWeek", nitrateAWeek) / 7 / NITRITE_FROM_AMMONIA / NITRATE_FROM_NITRITE;
        this.phosphateADay = phosphateAWeek / 7;
        this.nitrate = nitrate;
        this.phosphate = phosphate;
    }

    /**
     * What bears on it on a day.
     *
     * @param dirt mean loading of its filters, 0 clean, 1 overloaded
     * @param changed share of the water that is changed
     * @param lost share of the bacteria that is lost
     * @param blownOff whether dirt is blown off the rock and caught
     * @param fed feeding relative to the usual
     */
    public record Day(double dirt, double changed, double lost, boolean blownOff, double fed) {
        /** A day on which nothing is done. */
        public static final Day USUAL = new Day(0.5, 0, 0, false, 1);

        public Day {
            Check.within("changed", changed, 0, 1);
            Check.within("lost", lost, 0, 1);
        }
    }

    /** Lives one day. */
    public void live(Day day) {
        bacteria *= 1 - day.lost();
        double eaten = feed * day.fed();
        double oxidised = oxidised(ammonia + eaten, eaten);
        ammonia += eaten - oxidised;
        double made = oxidised * NITRITE_FROM_AMMONIA;
        double second = oxidised(nitrite + made, eaten * NITRITE_FROM_AMMONIA);
        nitrite += made - second;
        nitrate += second * NITRATE_FROM_NITRITE * (1 + DIRT_ADDS * (day.dirt() - 0.5));
        phosphate += phosphateADay * day.fed() * (1 + DIRT_ADDS * (day.dirt() - 0.5));
        if (day.blownOff()) {
            phosphate *= 1 - BLOWN_OFF;
        }
        double kept = 1 - day.changed();
        ammonia *= kept;
        nitrite *= kept;
        nitrate *= kept;
        phosphate *= kept;
        bacteria = Math.min(1, bacteria + GROWTH_A_DAY * bacteria * (1.2 - bacteria));
    }

    private double oxidised(double there, double usual) {
        return Math.min(there, CAPACITY * bacteria * usual * there / (there + HALF_SPEED_AT * usual));
    }

    /** Total ammonia in mg/L. */
    public double ammonia() {
        return ammonia;
    }

    /** In mg/L. */
    public double nitrite() {
        return nitrite;
    }

    /** In mg/L. */
    public double nitrate() {
        return nitrate;
    }

    /** In mg/L. */
    public double phosphate() {
        return phosphate;
    }
}
