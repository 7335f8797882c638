package app.chervil.sim.future;

import app.chervil.core.tank.ContextChange.Kind;
import java.util.Optional;

/** A way of working for the coming year. */
public enum Way {
    AS_LEARNED("As learned"),
    MAKERS_CALENDAR("Maker's calendar"),
    HALF_AS_OFTEN("Half as often"),
    PREFILTER_ADDED("A pre-filter added"),
    STOCKING_RAISED("Stocking raised by a step");

    private final String words;

    Way(String words) {
        this.words = words;
    }

    /** What a keeper reads. */
    public String words() {
        return words;
    }

    /** What changes around the stages on the first day. */
    Optional<Kind> change() {
        return switch (this) {
            case PREFILTER_ADDED -> Optional.of(Kind.PREFILTER);
            case STOCKING_RAISED -> Optional.of(Kind.STOCKING);
            case AS_LEARNED, MAKERS_CALENDAR, HALF_AS_OFTEN -> Optional.empty();
        };
    }
}
