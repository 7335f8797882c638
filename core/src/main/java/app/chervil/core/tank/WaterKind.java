package app.chervil.core.tank;

/** Kind of water a tank holds. */
public enum WaterKind {
    FRESH,
    COLD_FRESH,
    BRACKISH,
    MARINE
}
