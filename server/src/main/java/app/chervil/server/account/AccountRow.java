package app.chervil.server.account;

import java.time.Instant;
import org.jspecify.annotations.Nullable;

/**
 * A person's place on a site.
 *
 * @param siteDeletedAt absent unless the site was deleted and can still be brought back
 */
record AccountRow(
        long id, long siteId, String siteName, @Nullable Instant siteDeletedAt, String login, String name, Role role) {
    SignedIn signedIn() {
        return new SignedIn(id, siteId, name, role);
    }

    /** A deleted site is shut to all but its keepers, who may bring it back. */
    boolean open() {
        return siteDeletedAt == null || role == Role.KEEPER;
    }
}
