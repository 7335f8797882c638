package app.chervil.core.trouble;

/** What a keeper did in a case, in order. */
public sealed interface Step {
    /** The answer to any question that tells nothing. */
    String DONT_KNOW = "dont-know";

    /** A question was answered; a second answer to it replaces the first. */
    record Answered(String question, String answer) implements Step {}

    /** A danger was asked about. */
    record Asked(String peril, String answer) implements Step {}

    /** A repair was tried. */
    record Tried(String repair, Outcome outcome) implements Step {}

    /** Whether a repair helped. */
    enum Outcome {
        SOLVED("solved", 0.93, 0.05, 0.01),
        PARTLY("partly", 0.02, 0.65, 0.04),
        NO_CHANGE("no-change", 0.05, 0.30, 0.95);

        private final String id;
        private final double all;
        private final double one;
        private final double none;

        Outcome(String id, double all, double one, double none) {
            this.id = id;
            this.all = all;
            this.one = one;
            this.none = none;
        }

        /** Its name on the wire. */
        public String id() {
            return id;
        }

        /** How likely it is if the repair mends all causes that are there, one of two, or none. */
        public double likely(int mended, int causes) {
            return mended == 0 ? none : mended == causes ? all : one;
        }
    }
}
