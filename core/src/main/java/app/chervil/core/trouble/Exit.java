package app.chervil.core.trouble;

/** Whom to ask where hands of our own end. */
public enum Exit {
    ELECTRICIAN,
    PROFESSIONAL,
    VET
}
