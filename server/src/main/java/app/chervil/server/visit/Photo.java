package app.chervil.server.visit;

import java.time.Instant;
import java.util.UUID;

/**
 * A photo of a service or of a filter, without its bytes.
 *
 * @param caption what it shows, at most {@link #LONGEST_CAPTION} characters; may be empty
 */
public record Photo(UUID id, Moment moment, Instant takenAt, String takenBy, String caption) {
    /** Characters that a caption may have. */
    public static final int LONGEST_CAPTION = 120;

    /** When in a service it was taken, or that it shows how a filter is built. */
    public enum Moment {
        BEFORE,
        AFTER,
        BUILT
    }

    /** What photos belong to. */
    public sealed interface Of {
        /** In the words of a refusal. */
        String words();

        /** A service, in progress or logged. */
        record Service(UUID id) implements Of {
            @Override
            public String words() {
                return "service";
            }
        }

        /** A filter in use. */
        record Filter(long id) implements Of {
            @Override
            public String words() {
                return "filter";
            }
        }
    }
}
