package app.chervil.server.water;

/** When a reading was taken, as to a service. */
public enum Moment {
    PLAIN,
    BEFORE,
    AFTER
}
