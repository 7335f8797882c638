package app.chervil.core.tank;

/** When to open a canister: by the calendar of its maker, or by the condition it was found in. */
public enum OpeningSchool {
    MAKERS_CALENDAR,
    CONDITION_LED
}
