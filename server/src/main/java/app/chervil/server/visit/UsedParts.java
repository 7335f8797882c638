package app.chervil.server.visit;

import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Set;
import java.util.UUID;

/**
 * What a service did and used, as the stores need it.
 *
 * @param recordedAt when it was first written down
 * @param tasks that were done
 * @param parts written down, some perhaps as 0; empty if nobody said
 */
public record UsedParts(
        UUID id, LocalDate doneOn, Instant recordedAt, String doneBy, Set<Long> tasks, List<ServiceInput.Part> parts) {}
