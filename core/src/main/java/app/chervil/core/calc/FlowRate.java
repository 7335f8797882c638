package app.chervil.core.calc;

/**
 * Water moved by a filter, in litres per hour.
 *
 * @param litresPerHour above zero, at most {@link #MOST}
 */
public record FlowRate(double litresPerHour) {
    /** Largest accepted flow in L/h; our judgement, ten times a large pond pump. */
    public static final double MOST = 1_000_000;

    public FlowRate {
        Check.positive("litresPerHour", litresPerHour);
        Check.within("litresPerHour", litresPerHour, 0, MOST);
    }

    public static FlowRate of(double litresPerHour) {
        return new FlowRate(litresPerHour);
    }

    /**
     * Flow caught in a container: q = litres ÷ seconds × 3600.
     *
     * @param litres caught at the outlet; above zero
     * @param seconds the catch took; above zero
     * @throws IllegalArgumentException if either is out of range or the flow is
     */
    public static FlowRate timed(double litres, double seconds) {
        return new FlowRate(Check.positive("litres", litres) / Check.positive("seconds", seconds) * 3600);
    }

    /** This flow as a share of the clean one; above zero, more than 1 if it runs faster than then. */
    public double shareOf(FlowRate clean) {
        return litresPerHour / clean.litresPerHour;
    }
}
