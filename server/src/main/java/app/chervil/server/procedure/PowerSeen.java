package app.chervil.server.procedure;

import java.time.Instant;
import java.util.UUID;

/**
 * What a plug saw of a filter's power.
 *
 * @param id by which it is known when it is told again
 */
public record PowerSeen(UUID id, boolean on, Instant at) {
    GuidedEvent event() {
        return GuidedEvent.seen(id, on, at);
    }
}
