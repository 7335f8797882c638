package app.chervil.server.tank;

import java.time.Instant;
import org.jspecify.annotations.Nullable;

/**
 * A stored tank.
 *
 * @param version to send back with a change
 * @param deletedAt absent while it is in use
 */
public record TankView(
        long id, int version, TankInput tank, @Nullable Instant deletedAt) {}
