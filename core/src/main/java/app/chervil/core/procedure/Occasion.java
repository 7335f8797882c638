package app.chervil.core.procedure;

/** What a guided service is for. */
public enum Occasion {
    /** Tasks that are due. */
    SERVICE,
    /** A filter that nobody looked after is looked over before its work is spread over weeks. */
    LOOK_OVER,
    /** A filter is put together and started. */
    SET_UP,
    /** A filter is taken down and goes along to another place, with what lives in it. */
    MOVE,
    /** A filter is taken down, dried and put away. */
    STORE;

    /** Whether the filter is taken down, and so does not run afterwards. */
    public boolean takesDown() {
        return this == MOVE || this == STORE;
    }

    /** Whether it does tasks; the others do none. */
    public boolean hasTasks() {
        return this == SERVICE;
    }
}
