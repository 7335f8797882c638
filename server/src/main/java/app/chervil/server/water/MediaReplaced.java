package app.chervil.server.water;

import app.chervil.server.account.SignedIn;
import java.time.LocalDate;
import java.util.UUID;

/**
 * Bio media was exchanged; told within the same transaction.
 *
 * @param id of the exchange in the log
 */
public record MediaReplaced(SignedIn by, long tank, long stage, UUID id, LocalDate on) {}
