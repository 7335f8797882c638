package app.chervil.server.upkeep;

import java.time.Instant;
import org.jspecify.annotations.Nullable;

/**
 * How the data is backed up.
 *
 * @param nightly whether it is done by itself
 * @param madeAt when it last worked; null if never
 * @param bytes how large that one is
 * @param failedAt when it last failed, if it did not work since
 * @param failure what was said then
 */
public record BackupView(
        boolean nightly,
        @Nullable Instant madeAt,
        @Nullable Long bytes,
        @Nullable Instant failedAt,
        @Nullable String failure) {}
