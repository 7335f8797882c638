package app.chervil.server.visit;

import java.time.Instant;
import java.util.UUID;

/** A photo of a service, without its bytes. */
public record Photo(UUID id, Moment moment, Instant takenAt, String takenBy) {
    /** When in the service it was taken. */
    public enum Moment {
        BEFORE,
        AFTER
    }
}
