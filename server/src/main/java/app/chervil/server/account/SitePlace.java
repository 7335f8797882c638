package app.chervil.server.account;

import java.time.Instant;
import org.jspecify.annotations.Nullable;

/**
 * A site that a person may enter.
 *
 * @param here whether they are on it now
 * @param deletedAt absent unless it was deleted; its keepers can bring it back for thirty days
 */
public record SitePlace(
        long siteId,
        String name,
        Role role,
        boolean here,
        @Nullable Instant deletedAt) {}
