package app.chervil.core.agenda;

import app.chervil.core.plan.ChainId;
import app.chervil.core.plan.Plan;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;

/**
 * A plan as it was told: for each chain what it rested on and the days it was given.
 *
 * @param chains by chain id
 * @param hours a mark of the people's time
 * @param decisions a mark of what keepers decided
 */
public record PlanState(LocalDate madeOn, Map<ChainId, ChainState> chains, String hours, String decisions) {
    public static final PlanState NONE = new PlanState(LocalDate.EPOCH, Map.of(), "", "");

    /**
     * One chain.
     *
     * @param since the day its window was counted from
     * @param hold cause of the hold that kept it
     * @param days planned, in order; empty if it waits
     */
    public record ChainState(
            LocalDate since, LocalDate ideal, Optional<String> hold, String name, String tank, List<LocalDate> days) {
        /** Work that has no days yet. */
        static ChainState of(Agenda agenda, Agenda.Work work) {
            return new ChainState(
                    work.since(),
                    work.window().ideal(),
                    work.hold().map(hold -> hold.cause().name()),
                    work.subject().words(),
                    agenda.tank(work.chain().place().tank()).name(),
                    List.of());
        }

        ChainState on(List<LocalDate> other) {
            return new ChainState(since, ideal, hold, name, tank, other);
        }

        boolean restsOnTheSame(ChainState other) {
            return hold.equals(other.hold) && since.equals(other.since) && ideal.equals(other.ideal);
        }

        ChainState moved(LocalDate from, LocalDate to) {
            return on(days.stream().map(day -> day.equals(from) ? to : day).toList());
        }
    }

    /** The same with the days that a plan gives; what waits has none. */
    PlanState planned(Plan plan) {
        Map<ChainId, ChainState> given = new TreeMap<>(chains);
        given.replaceAll((id, chain) -> chain.on(dates(plan.of(id))));
        return new PlanState(madeOn, given, hours, decisions);
    }

    private List<LocalDate> dates(List<Integer> days) {
        List<LocalDate> dates = new ArrayList<>();
        for (int day : days) {
            dates.add(madeOn.plusDays(day));
        }
        return List.copyOf(dates);
    }

    /** The same with one occurrence on another day. */
    public PlanState moved(ChainId chain, LocalDate from, LocalDate to) {
        Map<ChainId, ChainState> other = new TreeMap<>(chains);
        other.computeIfPresent(chain, (id, state) -> state.moved(from, to));
        return new PlanState(madeOn, other, hours, decisions);
    }
}
