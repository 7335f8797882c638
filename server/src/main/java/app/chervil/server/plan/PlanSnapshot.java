package app.chervil.server.plan;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * The plan in force as it is stored: for each chain what it rested on and the days it was given.
 *
 * @param chains by chain id
 * @param hours a mark of the people's time
 * @param decisions a mark of what keepers decided
 */
record PlanSnapshot(LocalDate madeOn, Map<Long, ChainState> chains, String hours, String decisions) {
    static final PlanSnapshot NONE = new PlanSnapshot(LocalDate.EPOCH, Map.of(), "", "");

    /**
     * One chain.
     *
     * @param since the day its window was counted from
     * @param hold cause of the hold that kept it; absent if none did
     * @param days planned, in order; empty if it waits
     */
    record ChainState(
            LocalDate since, LocalDate ideal, @Nullable String hold, String name, String tank, List<LocalDate> days) {}
}
