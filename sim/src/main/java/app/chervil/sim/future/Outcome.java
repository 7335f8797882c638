package app.chervil.sim.future;

/**
 * One year that might come.
 *
 * @param services visits to a stage
 * @param hours of work
 * @param money for parts thrown away
 * @param overloads times a stage was overloaded before it was served
 * @param worstNitrate highest of the year, in mg/L
 * @param worstAmmonia highest of the year, total, in mg/L
 */
public record Outcome(
        double services, double hours, double money, double overloads, double worstNitrate, double worstAmmonia) {
    /** Two tanks together: work adds up, of the water the worse counts. */
    public Outcome and(Outcome other) {
        return new Outcome(
                services + other.services,
                hours + other.hours,
                money + other.money,
                overloads + other.overloads,
                Math.max(worstNitrate, other.worstNitrate),
                Math.max(worstAmmonia, other.worstAmmonia));
    }
}
