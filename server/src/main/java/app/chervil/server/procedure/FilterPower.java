package app.chervil.server.procedure;

import app.chervil.server.account.SignedIn;
import java.time.Instant;
import java.util.Optional;

/** What is known of a filter's power without asking a person. */
public interface FilterPower {
    /** Since when a plug sees a filter stand; empty while it runs, or where no plug looks. */
    Optional<Instant> offSince(SignedIn who, long filter);
}
