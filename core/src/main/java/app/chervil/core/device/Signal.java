package app.chervil.core.device;

import java.time.Instant;

/**
 * One reading of a device.
 *
 * @param value in the unit of its kind
 */
public record Signal(Instant at, double value) {}
