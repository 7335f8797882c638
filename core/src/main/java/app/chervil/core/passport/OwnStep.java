package app.chervil.core.passport;

/**
 * A step in the keeper's own words.
 *
 * @param words what to do; not empty
 * @param before whether it goes before that moment, or after it
 */
public record OwnStep(Moment moment, boolean before, String words) {
    /** Moments of a service that a step can be tied to. */
    public enum Moment {
        /** Rinse water is drawn. */
        DRAW,
        STOP,
        /** The water is shut in. */
        SHUT,
        OPEN,
        TAKE_OUT,
        PUT_BACK,
        FILL,
        LID,
        START,
        HEATER_ON
    }
}
