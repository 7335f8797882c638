package app.chervil.server.water;

import java.time.Instant;
import java.util.UUID;

/**
 * A condition check.
 *
 * @param amiss codes of the questions answered with no, parted by commas; empty if all was well
 */
public record ConditionView(UUID id, Instant checkedAt, String amiss, String note, String doneBy) {}
