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
        DRAW("the rinse water is drawn"),
        STOP("it is unplugged"),
        SHUT("the water is shut in"),
        OPEN("it is opened"),
        TAKE_OUT("the first part comes out"),
        PUT_BACK("the parts are back"),
        FILL("it is filled"),
        LID("it is closed"),
        START("it is started"),
        HEATER_ON("the heater is on");

        private final String words;

        Moment(String words) {
            this.words = words;
        }

        /** Follows "before" or "after". */
        public String words() {
            return words;
        }
    }
}
