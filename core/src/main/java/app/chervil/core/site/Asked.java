package app.chervil.core.site;

/** What is asked about a service when a value surprises. */
public enum Asked {
    /** When a filter of unknown age was last cleaned. */
    START,
    /** Whether a flow above the clean flow, or above the plate, is right. */
    FLOW_DOUBTED,
    /** What took the flow that the dirt does not explain. */
    FLOW_UNEXPLAINED,
    /** Even after the service it flows far less than it did clean. */
    FLOW_NOT_RESTORED,
    /** Whether a stage full again within days was cleaned twice. */
    SOON_FULL,
    /** Whether a service is missing. */
    LONG_GAP;

    /** The answer that a flow was measured right. */
    public static final String SURE = "SURE";

    /** The answer that a stage filled again within days. */
    public static final String FULL_AGAIN = "FULL_AGAIN";
}
