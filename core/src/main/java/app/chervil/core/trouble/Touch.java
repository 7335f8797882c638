package app.chervil.core.trouble;

/** What hands were on lately. */
public enum Touch {
    /** Any work on the filter. */
    ANY,
    /** Its lid was off. */
    LID,
    HOSES,
    /** Media was taken out and put back. */
    MEDIA,
    NEW_MEDIA,
    IMPELLER,
    /** Bio media was disturbed. */
    BIO,
    /** The lamp bay was open. */
    LAMP,
    /** Rock was blown off. */
    ROCK,
    /** The sand was vacuumed. */
    VACUUM
}
