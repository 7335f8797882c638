package app.chervil.core.tank;

/** How much a tank is fed, least first; multiplies the rate at which dirt arrives (docs/sources.md#multipliers). */
public enum Feeding implements DirtLevel {
    LIGHT(0.8),
    NORMAL(1),
    HEAVY(1.4);

    private final double multiplier;

    Feeding(double multiplier) {
        this.multiplier = multiplier;
    }

    @Override
    public double multiplier() {
        return multiplier;
    }
}
