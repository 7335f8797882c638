package app.chervil.core.water;

import java.time.LocalDateTime;

/**
 * A stretch in which a tank is kept one of several ways, up to the next phase.
 *
 * @param way 0 or above
 */
public record Phase(LocalDateTime from, int way) {}
