package app.chervil.server.interval;

import app.chervil.core.site.Opening;
import java.util.List;

/**
 * How large the next opening of a canister is to be.
 *
 * @param taskId the opening itself
 * @param along tasks to do with it that may not be due yet
 */
public record OpeningView(long taskId, Opening.Size size, List<Long> along, String why) {}
