package app.chervil.core.tank;

/** What the tap water holds that harms bacteria. */
public enum TapWater {
    CHLORAMINE,
    CHLORINE,
    NEITHER
}
