package app.chervil.core.plan;

import java.util.List;
import java.util.SplittableRandom;
import java.util.stream.IntStream;

/**
 * Searches a site several times from nothing, puts the plans of single tanks that were seen on the way together anew, and searches
 * on from there. On which days each tank is visited, when half of people's time is taken, is a packing that turns around a few
 * lanes seldom mend; other searches have packed other tanks well. A start may break rules at first: from one plan without a fault
 * to a better one there is often no way but through plans with some.
 */
final class LongSearch {
    /** Lanes of all starts together: the fewer there are of a site, the oftener it is searched from nothing. */
    private static final int STARTED_LANES = 1000;

    private static final int LEAST_STARTS = 4;
    private static final int MOST_STARTS = 24;

    /** Turns of all starts, out of all turns. */
    private static final double STARTS_SHARE = 0.8;

    /** Steps of a start; in all but the last of them a hard point costs so many soft ones, divided by the heat. */
    private static final int STEPS = 20;

    private static final int SOFT_STEPS = 18;
    private static final double HARD_POINT = 1000;

    /** Other days for each tank that are thought of before a choice, and what a hard point costs then. */
    private static final int IMAGINED = 100;

    private static final long IMAGINED_HARD_POINT = 10;

    /** How hot each choice, and the search after it, begins. */
    private static final double FIRST_CHOICE = 150;

    private static final double SECOND = 60;
    private static final double SECOND_SHARE = 0.12;
    private static final double THIRD = 30;
    private static final double THIRD_SHARE = 0.08;

    private final Board board;
    private final int turns;
    private final List<Integer> all;
    private final SplittableRandom random;
    private final TankPlans plans;
    private Best best;

    private record Best(List<int[]> days, Score score) {}

    /**
     * For a board with nothing on it.
     *
     * @param turns for each lane, together
     */
    LongSearch(Board board, int turns, long seed) {
        this.board = board;
        this.turns = turns;
        all = board.all();
        random = new SplittableRandom(seed);
        plans = new TankPlans(board);
        best = new Best(List.of(), new Score(Long.MAX_VALUE, Long.MAX_VALUE));
    }

    /** Leaves the plan that it found on the board. */
    Search run() {
        int starts = Math.max(LEAST_STARTS, Math.min(MOST_STARTS, STARTED_LANES / Math.max(1, all.size())));
        for (int i = 0; i < starts; i++) {
            start(STARTS_SHARE / starts);
        }
        choose(FIRST_CHOICE);
        searchOn(SECOND_SHARE, SECOND);
        choose(SECOND);
        searchOn(THIRD_SHARE, THIRD);
        choose(THIRD);
        return from(best.days);
    }

    private void start(double share) {
        Search search = onEmptyBoard();
        search.construct();
        search.sweep();
        search.repair();
        int times = times(share / STEPS);
        for (int step = 0; step < STEPS; step++) {
            double hot = heat(step);
            search.priceRules(step < SOFT_STEPS ? Math.round(HARD_POINT / hot) : Board.RULE);
            search.cool(all, times, hot, heat(step + 1), plans::look);
        }
        finish(search);
    }

    private static double heat(int step) {
        return Search.HOT * Math.pow(Search.COLD / Search.HOT, (double) step / STEPS);
    }

    private void searchOn(double share, double hot) {
        Search search = from(best.days);
        search.cool(all, times(share), hot, Search.COLD, plans::look);
        finish(search);
    }

    private int times(double share) {
        return (int) Math.round(share * turns * all.size());
    }

    private void choose(double hot) {
        imagine(from(best.days));
        List<List<TankPlan>> offered =
                IntStream.range(0, board.sites().tanks).mapToObj(plans::good).toList();
        List<TankPlan> chosen = new Choice(board, offered, plans.asTheyLie(), random).best(hot);
        int[][] days = new int[all.size()][];
        for (int tank = 0; tank < chosen.size(); tank++) {
            List<Integer> lanes = board.sites().lanesOfTank.get(tank);
            for (int i = 0; i < lanes.size(); i++) {
                days[lanes.get(i)] = chosen.get(tank).days[i];
            }
        }
        finish(from(List.of(days)));
    }

    /** Thinks of other days for each tank as if rules might be broken: it takes two that change places to fill a day to the brim. */
    private void imagine(Search search) {
        board.priceRules(IMAGINED_HARD_POINT);
        for (int tank = 0; tank < board.sites().tanks; tank++) {
            int one = tank;
            search.imagine(one, IMAGINED, () -> plans.look(one));
        }
        board.priceRules(Board.RULE);
    }

    private void finish(Search search) {
        search.restoreBest();
        search.sweep();
        plans.look();
        if (search.score().compareTo(best.score) < 0) {
            best = new Best(search.days(), search.score());
        }
    }

    private Search from(List<int[]> days) {
        Search search = onEmptyBoard();
        search.put(days);
        return search;
    }

    private Search onEmptyBoard() {
        board.clear();
        Search search = new Search(board, random.nextLong());
        search.searchLong();
        return search;
    }
}
