package app.chervil.core.device;

/** What people must hear of a device. */
public enum Alarm {
    /** Water where none should be. */
    LEAK(true),
    /** A filter stands. */
    FILTER_OFF(false),
    /** A filter has stood so long that its bacteria and the fish begin to feel it. */
    FILTER_OFF_LONG(true),
    /** A pump takes less power than it should after it came back: it moves air. */
    NO_WATER(true),
    /** The flow fell too suddenly to be dirt. */
    FLOW_FELL(false),
    TOO_COLD(true),
    TOO_WARM(true),
    /** A sump or a reserve runs low. */
    LOW(true),
    /** A device says nothing any more. */
    SILENT(false);

    private final boolean danger;

    Alarm(boolean danger) {
        this.danger = danger;
    }

    /** Whether it is worth a mail; a filter that has just gone off is seen on the screens alone. */
    public boolean mailed() {
        return this != FILTER_OFF;
    }

    /** Whether it is worth waking somebody. */
    public boolean danger() {
        return danger;
    }
}
