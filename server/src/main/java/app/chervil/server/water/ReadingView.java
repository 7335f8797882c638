package app.chervil.server.water;

import java.time.Instant;
import java.util.UUID;

/**
 * One stored reading.
 *
 * @param parameter code of a parameter
 * @param amount in the parameter's unit; the detection limit if it was below
 * @param early read before the kit's time; left out of every decision
 * @param method may be empty
 */
public record ReadingView(
        UUID id,
        long tankId,
        String parameter,
        double amount,
        boolean belowDetection,
        Instant takenAt,
        boolean early,
        String method,
        Moment moment,
        String takenBy) {}
