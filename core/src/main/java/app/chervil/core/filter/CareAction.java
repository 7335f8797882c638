package app.chervil.core.filter;

/** What is done to a stage, or to the whole filter. */
public enum CareAction {
    OPEN,
    RINSE,
    CHANGE,
    CLEAR,
    SQUEEZE,
    DIP,
    REPLACE,
    REGENERATE,
    REBUILD,
    CLEAN,
    INSPECT,
    BRUSH,
    DESCALE,
    SIPHON,
    TEST
}
