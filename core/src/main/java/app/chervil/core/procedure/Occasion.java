package app.chervil.core.procedure;

/** What a guided service is for. */
public enum Occasion {
    /** Tasks that are due. */
    SERVICE,
    /** A filter is put together and started. */
    SET_UP
}
