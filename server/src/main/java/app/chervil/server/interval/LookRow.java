package app.chervil.server.interval;

import app.chervil.core.interval.Look;
import app.chervil.core.interval.Sign;
import java.time.LocalDate;
import java.util.UUID;

/**
 * Table stage_look.
 *
 * @param amount 0 for signs without one
 */
record LookRow(UUID id, long stageId, LocalDate lookedOn, Sign sign, double amount, String lookedBy) {
    Look look() {
        return new Look(lookedOn, sign, amount);
    }
}
