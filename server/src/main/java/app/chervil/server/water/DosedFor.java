package app.chervil.server.water;

/** The volume that conditioner was dosed for; its label says which. */
public enum DosedFor {
    NEW_WATER,
    WHOLE_TANK
}
