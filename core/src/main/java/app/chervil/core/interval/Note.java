package app.chervil.core.interval;

/** What was made of an entry of a log, where it was not taken as it stands (docs/sources.md#learning-notes). */
public enum Note {
    /** Dated after today: kept aside. */
    FUTURE,
    /** The same task twice on a day: the fuller grade counts. */
    SAME_DAY,
    /** A stage inside was served, so its filter was opened. */
    OPENING_IMPLIED,
    /** Opened for another reason: no dirt was taken out. */
    AGAIN,
    /** The first service tells when the stage began, no more. */
    START_IS_SERVICE,
    /** The age at the start is not known. */
    START_UNKNOWN,
    /** So soon after a service that it belongs to it. */
    MERGED,
    /** Full again within days of a service. */
    SOON_FULL,
    /** So long a run that a service is likely missing. */
    LONG_GAP,
    /** Further off than could be believed at once. */
    SURPRISE_HELD,
    /** Nobody looked. */
    NO_FINDING,
    /** Clean, as it should be so early. */
    EARLY_CLEAN,
    /** Clogged, as it would be so late. */
    LATE_FULL,
    /** The stage was replaced. */
    RENEWED,
    /** Above the clean flow or the plate. */
    FLOW_DOUBTED,
    /** Fell within days of a service: a hose, tap or impeller. */
    FLOW_FITTING,
    /** More was lost than the dirt explains. */
    FLOW_UNEXPLAINED,
    /** Clogged at nearly full flow: water goes around. */
    FLOW_AROUND,
    /** The service did not bring the flow back. */
    FLOW_NOT_RESTORED
}
