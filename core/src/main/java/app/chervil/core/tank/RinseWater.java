package app.chervil.core.tank;

/** What media is rinsed in. */
public enum RinseWater {
    /** Always water of the tank. */
    TANK_WATER,
    /** Tap water where it harms no bacteria that matter. */
    TAP_WHERE_SAFE
}
