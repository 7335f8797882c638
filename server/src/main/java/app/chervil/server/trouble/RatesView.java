package app.chervil.server.trouble;

import app.chervil.core.trouble.Experience;
import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * What a site's closed cases say of how often causes are met there.
 *
 * @param since when counting began anew; null where it never did
 * @param cases closed since and counted
 * @param priorCases how many cases our own numbers weigh as much as
 * @param causes that could have been found in any of them
 */
public record RatesView(@Nullable Instant since, int cases, double priorCases, List<Experience.Counted> causes) {}
