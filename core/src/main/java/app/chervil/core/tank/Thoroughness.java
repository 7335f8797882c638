package app.chervil.core.tank;

/** How clean a service leaves a filter. */
public enum Thoroughness {
    /** Media swished and put back. */
    LIGHT,
    /** Housing and trays washed too. */
    FULL
}
