package app.chervil.server.filter;

import app.chervil.core.interval.Start;
import app.chervil.core.interval.Start.Sureness;
import java.time.LocalDate;
import org.jspecify.annotations.Nullable;

/**
 * When a filter was last cleaned, as far as anyone knows.
 *
 * @param on of an unknown day, the day of entry
 */
record Cleaned(LocalDate on, Sureness sureness) {
    /** How far off an age that is only about right may be, as a share of it. */
    private static final double ABOUT = 0.3;

    static Cleaned of(@Nullable LocalDate on, @Nullable Sureness sureness, LocalDate today) {
        if (on == null || sureness == Sureness.UNKNOWN) {
            return new Cleaned(today, Sureness.UNKNOWN);
        }
        return new Cleaned(on, sureness == null ? Sureness.EXACT : sureness);
    }

    static Cleaned of(Start start) {
        return new Cleaned(start.on(), start.sureness());
    }

    Start start() {
        return switch (sureness) {
            case EXACT -> Start.exact(on);
            case ABOUT -> Start.about(on, ABOUT);
            case UNKNOWN -> Start.unknown(on);
        };
    }
}
