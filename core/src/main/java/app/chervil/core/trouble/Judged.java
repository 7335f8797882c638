package app.chervil.core.trouble;

/** The numbers by which the finder judges; their values and reasons stand in the network. */
public enum Judged {
    /** Share of answers that tell nothing, 0 to 1. */
    ANSWER_NOISE("answerNoise"),
    /** How likely a fault is complained of by a sign that it is not known for. */
    SHOW_LEAK("showLeak"),
    /** Share of faults that are none of the network's. */
    OTHER_SHARE("otherShare"),
    /** How much likelier two faults at once are than chance makes them. */
    PAIR_SCALE("pairScale"),
    /** Probability from which a repair is named. */
    NAMED_AT("namedAt"),
    STEP_OVERHEAD("stepOverheadMinutes"),
    DISTURBANCE("disturbanceMinutes"),
    PUMP_OFF("pumpOffMinutes"),
    BUY("buyMinutes"),
    SLOW("slowMinutes"),
    EXIT("exitMinutes"),
    /** Probability that the right repair mends. */
    FIX_WORKS("fixWorks"),
    /** Power to which every modifier is raised. */
    DAMP("damp"),
    /** Share of the clean flow from which a flow counts as near it. */
    FLOW_NEAR("flowNear"),
    /** Share of the clean flow below which a flow counts as low. */
    FLOW_LOW("flowLow"),
    /** Probability from which a danger is asked about. */
    ALARM_AT("alarmAt"),
    /** Probability of an answer times the number of answers below which it surprises. */
    CONTRADICTION_BELOW("contradictionBelow"),
    /** Steps after which asking somebody else is offered. */
    OFFER_EXIT_AFTER("offerExitAfterSteps");

    private final String id;

    Judged(String id) {
        this.id = id;
    }

    /** Its name in the network. */
    public String id() {
        return id;
    }
}
