package app.chervil.server.visit;

import java.util.List;

/**
 * A page of the ledger, latest first.
 *
 * @param total services found in all
 */
public record LedgerView(long total, List<LedgerEntry> entries) {
    /** A service with its tank's name. */
    public record LedgerEntry(String tankName, ServiceView service) {}
}
