package app.chervil.sim.truth;

/**
 * How unruly the simulated world is.
 *
 * @param scoring how people grade
 * @param driftSd spread of the log of the overload exposure that builds up in 30 days
 * @param stepsPerYear mean number of context changes
 * @param keeping how punctual people are
 */
public record World(Scoring scoring, double driftSd, double stepsPerYear, Keeping keeping) {
    /**
     * How people grade.
     *
     * @param harshness in grades, for every keeper; above zero grades too high
     * @param misclicks share of findings that are one grade off
     */
    public record Scoring(double harshness, double misclicks) {}

    /**
     * How punctual people are.
     *
     * @param early share of services done well before they were planned
     * @param missed share of services that slip
     */
    public record Keeping(double early, double missed) {}

    private static final Scoring FAIR = new Scoring(0, 0.10);
    private static final Keeping USUAL = new Keeping(0.08, 0.06);
    private static final double WALK_SD = 0.08;
    private static final double YEARLY_STEPS = 0.5;

    /** The world the bars are measured in. */
    public static final World BASE = new World(FAIR, WALK_SD, YEARLY_STEPS, USUAL);

    /** A named world. */
    public enum Named {
        BASE,
        HARSH,
        LENIENT,
        MISCLICKS,
        DRIFT,
        STEPS,
        EARLY;

        public World world() {
            return switch (this) {
                case BASE -> World.BASE;
                case HARSH -> new World(new Scoring(0.5, 0.10), WALK_SD, YEARLY_STEPS, USUAL);
                case LENIENT -> new World(new Scoring(-0.5, 0.10), WALK_SD, YEARLY_STEPS, USUAL);
                case MISCLICKS -> new World(new Scoring(0, 0.20), WALK_SD, YEARLY_STEPS, USUAL);
                case DRIFT -> new World(FAIR, 2.5 * WALK_SD, YEARLY_STEPS, USUAL);
                case STEPS -> new World(FAIR, WALK_SD, 3 * YEARLY_STEPS, USUAL);
                case EARLY -> new World(FAIR, WALK_SD, YEARLY_STEPS, new Keeping(0.25, 0.06));
            };
        }
    }
}
