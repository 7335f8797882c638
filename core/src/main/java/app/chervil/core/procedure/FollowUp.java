package app.chervil.core.procedure;

import app.chervil.core.calc.Check;
import app.chervil.core.filter.FilterKind;
import java.time.Duration;
import java.util.List;

/**
 * A look that a piece of work asks for some time after it.
 *
 * @param words what to do, naming the filter
 * @param after how long after the work, above zero
 */
public record FollowUp(String words, Duration after) {
    private static final Duration SOON = Duration.ofHours(1);
    private static final Duration NEXT_DAY = Duration.ofDays(1);

    public FollowUp {
        Check.positive("after", (double) after.toMinutes());
    }

    /** What new rings ask for, as a service after which a joint may weep. */
    public static List<FollowUp> ofNewRings(String name) {
        return List.of(
                new FollowUp("Press dry paper round every joint of " + name + ".", SOON),
                new FollowUp("Press dry paper round every joint of " + name + " once more.", NEXT_DAY));
    }

    /** What a set-up asks for: joints are looked at twice more, and what hangs on none once (docs/sources.md#set-up). */
    public static List<FollowUp> ofSetUp(FilterKind kind, String name) {
        return switch (kind) {
            case CANISTER, UV_UNIT -> ofNewRings(name);
            case SUMP ->
                List.of(new FollowUp("Check the level in " + name + " and that all is dry below it.", NEXT_DAY));
            case HANG_ON_BACK, INTERNAL, AIR_SPONGE ->
                List.of(new FollowUp("See that " + name + " still runs and sits tight.", NEXT_DAY));
        };
    }
}
