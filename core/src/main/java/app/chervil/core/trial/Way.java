package app.chervil.core.trial;

/** The two intervals of a trial. */
public enum Way {
    FIRST,
    OTHER
}
