package app.chervil.core.tank;

/** How heavily a tank is stocked, lightest first; multiplies the rate at which dirt arrives (docs/sources.md#multipliers). */
public enum Stocking implements DirtLevel {
    LIGHT(0.7),
    NORMAL(1),
    HEAVY(1.7),
    OVER(2.3);

    private final double multiplier;

    Stocking(double multiplier) {
        this.multiplier = multiplier;
    }

    @Override
    public double multiplier() {
        return multiplier;
    }
}
