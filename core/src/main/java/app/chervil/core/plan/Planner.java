package app.chervil.core.plan;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * Plans visits. Every chain is put on its best days by an exact shortest path given all others; then a few at a time are taken
 * off and put back, by seed, for as many turns as the effort says. The same instance, effort and seed give the same plan.
 */
public final class Planner {
    private static final int REPLANS_A_LANE = 10;

    /** Turns for each chain of a tank on which a replan left a rule broken. */
    private static final int REPAIRS_A_LANE = 60;

    /** Turns for each chain that are worth more in several searches than in one. */
    private static final int LONG = 300;

    private Planner() {}

    /** How long to look. */
    public enum Effort {
        /** A first plan to be shown at once: a few sweeps, no search. */
        USABLE(0),
        /** While somebody waits. */
        INTERACTIVE(30),
        /** While nobody waits. */
        BACKGROUND(800);

        /** With so few chains that this many turns are not reached, each has more, but at most so many. */
        private static final int FEWEST_TURNS = 60_000;

        private static final int MOST_A_LANE = 3000;

        private final int turnsALane;

        Effort(int turnsALane) {
            this.turnsALane = turnsALane;
        }

        private int turnsALane(int lanes) {
            return this == BACKGROUND
                    ? Math.max(turnsALane, Math.min(MOST_A_LANE, FEWEST_TURNS / Math.max(1, lanes)))
                    : turnsALane;
        }
    }

    /** Plans from nothing. */
    public static Plan plan(Instance instance, Effort effort, long seed) {
        return plan(instance, effort.turnsALane(instance.chains().size()), seed);
    }

    /**
     * Plans from nothing with so many turns for each chain.
     *
     * @param turnsALane zero or more
     */
    public static Plan plan(Instance instance, int turnsALane, long seed) {
        Board board = new Board(instance);
        if (turnsALane >= LONG) {
            return result(board, new LongSearch(board, turnsALane, seed).run());
        }
        Search search = new Search(board, seed);
        search.construct();
        search.sweep();
        if (turnsALane > 0) {
            search.repair();
            search.anneal(board.all(), turnsALane * board.lanes.size());
            search.sweep();
        }
        return result(board, search);
    }

    /**
     * Plans anew from the days published in the instance, after something changed on some tanks. Work on others stays where
     * people were told it is, unless it no longer may.
     *
     * @param touched tanks on which it changed
     */
    public static Plan replan(Instance instance, Collection<Long> touched, long seed) {
        Board board = new Board(instance);
        Search search = new Search(board, seed);
        List<Integer> settled = search.start(published(board));
        List<Integer> near = near(board, touched);
        settled.addAll(near);
        search.settle(settled);
        return searched(board, search, near);
    }

    /** The same after a day has passed or people have other hours: each chain is looked at once more. */
    public static Plan replanAll(Instance instance, Collection<Long> touched, long seed) {
        Board board = new Board(instance);
        Search search = new Search(board, seed);
        search.start(published(board));
        search.sweep(1);
        return searched(board, search, near(board, touched));
    }

    private static List<Integer> near(Board board, Collection<Long> touched) {
        Set<Long> tanks = new HashSet<>(touched);
        List<Integer> near = new ArrayList<>();
        for (Lane lane : board.lanes) {
            if (tanks.contains(lane.chain.place().tank())) {
                near.add(lane.index);
            }
        }
        return near;
    }

    private static Plan searched(Board board, Search search, List<Integer> near) {
        search.anneal(near, REPLANS_A_LANE * near.size());
        search.settle(near);
        search.repair(near, REPAIRS_A_LANE * near.size());
        return result(board, search);
    }

    /** The plan that the instance was published with, scored; chains whose days no longer fit are put on their best ones. */
    public static Plan kept(Instance instance) {
        Board board = new Board(instance);
        Search search = new Search(board, 0);
        search.start(published(board));
        return result(board, search);
    }

    private static List<int[]> published(Board board) {
        Map<ChainId, List<Integer>> published = board.instance().before().published();
        List<int[]> days = new ArrayList<>();
        for (Lane lane : board.lanes) {
            List<Integer> told = published.getOrDefault(lane.chain.id(), List.of());
            int[] on = new int[told.size()];
            Arrays.setAll(on, told::get);
            days.add(on);
        }
        return days;
    }

    /** The plan with exactly these days, scored. */
    static Plan scored(Instance instance, List<int[]> days) {
        Board board = new Board(instance);
        Search search = new Search(board, 0);
        search.put(days);
        return result(board, search);
    }

    private static Plan result(Board board, Search search) {
        return Plan.of(board.lanes, search.days(), search.score());
    }
}
