package app.chervil.core.filter;

/** How water runs through a canister. */
public enum FlowDirection {
    BOTTOM_UP,
    TOP_DOWN,
    SIDE_THEN_TRAYS,
    /** Foams stand beside each other, and the media in a chamber of its own. */
    TWO_CHAMBER
}
