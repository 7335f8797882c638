package app.chervil.core.plan;

import java.util.List;
import java.util.SplittableRandom;

/**
 * Chooses for every tank one of the ways in which it was seen planned, so that all together cost little. Tanks meet only in how
 * full their days are and in whose room somebody is, so a way is priced in a few steps, where planning a tank anew takes thousands.
 */
final class Choice {
    private static final int VISITS_A_TANK = 1000;
    private static final int TRIES_A_VISIT = 16;
    private static final double COLD = 2;

    /** What a hard point costs, divided by the heat: at first it is lost almost as lightly as others, at last never. */
    private static final double HARD_POINT = 1500;

    private final Board board;
    private final SplittableRandom random;
    private final TankPlan[][] offered;

    /** What each way costs at least. */
    private final long[][] least;

    private final TankPlan[] chosen;
    private final int[] load;
    private final int[] keeperLoad;

    /** Packed points of each day for how full it is. */
    private final long[] full;

    /** How many tanks of its room are visited, by tank and day; tanks of one room share their counts. */
    private final int[][] inRoom;

    private final int roomMinutes;
    private long hardPoint;

    /**
     * Starts from one choice.
     *
     * @param offered ways by tank
     * @param start a way for each tank, which need not be one of those offered
     */
    Choice(Board board, List<List<TankPlan>> offered, List<TankPlan> start, SplittableRandom random) {
        this.board = board;
        this.random = random;
        this.offered =
                offered.stream().map(ways -> ways.toArray(TankPlan[]::new)).toArray(TankPlan[][]::new);
        least = offered.stream()
                .map(ways -> ways.stream().mapToLong(way -> way.least(board)).toArray())
                .toArray(long[][]::new);
        chosen = start.toArray(TankPlan[]::new);
        load = new int[board.days];
        keeperLoad = new int[board.days];
        full = new long[board.days];
        int[][] byRoom = new int[board.sites().rooms][board.days];
        inRoom = board.sites().lanesOfTank.stream()
                .map(lanes -> byRoom[board.sites().roomOf[lanes.get(0)]])
                .toArray(int[][]::new);
        roomMinutes = board.instance().setUps().roomMinutes();
        for (int tank = 0; tank < chosen.length; tank++) {
            count(tank, 1);
        }
    }

    /**
     * Gives one tank after the other, by chance, another way, less and less willing to lose.
     *
     * @param hot points that are lost lightly at first
     * @return the best choice that it came by; the start, if none was better
     */
    List<TankPlan> best(double hot) {
        List<TankPlan> best = List.of(chosen);
        long gained = 0;
        long most = 0;
        int visits = VISITS_A_TANK * chosen.length;
        double cooling = Math.pow(COLD / hot, 1.0 / visits);
        double heat = hot;
        for (int i = 0; i < visits; i++) {
            gained += visit(random.nextInt(chosen.length), heat);
            if (gained > most) {
                most = gained;
                best = List.of(chosen);
            }
            heat *= cooling;
        }
        return best;
    }

    /** Packed points gained; fewer than none if some were lost. */
    private long visit(int tank, double heat) {
        TankPlan[] ways = offered[tank];
        if (ways.length == 0) {
            return 0;
        }
        count(tank, -1);
        hardPoint = Math.round(HARD_POINT / heat);
        long was = price(tank, chosen[tank], Long.MAX_VALUE);
        long now = was;
        for (int i = 0; i < TRIES_A_VISIT; i++) {
            int other = random.nextInt(ways.length);
            long most = softened(now) - (long) (heat * Math.log(1 - random.nextDouble()));
            if (softened(least[tank][other]) > most) {
                continue;
            }
            long price = price(tank, ways[other], most);
            if (softened(price) <= most) {
                chosen[tank] = ways[other];
                now = price;
            }
        }
        count(tank, 1);
        return was - now;
    }

    private void count(int tank, int sign) {
        TankPlan way = chosen[tank];
        int[] there = inRoom[tank];
        for (int i = 0; i < way.on.length; i++) {
            int day = way.on[i];
            there[day] += sign;
            boolean changes = there[day] == (sign > 0 ? 1 : 0);
            load[day] += sign * (way.minutes[i] + (changes ? roomMinutes : 0));
            keeperLoad[day] += sign * way.keeperMinutes[i];
            full[day] = board.fullness(day, load[day]) + board.overKeeper(day, keeperLoad[day]);
        }
    }

    /** Points, hard ones among them. */
    private long softened(long packed) {
        Score score = Score.unpack(packed);
        return score.soft() + hardPoint * score.hard();
    }

    /**
     * Packed points of a tank that is not counted.
     *
     * @param most points after which the rest of its days is not looked at
     */
    private long price(int tank, TankPlan way, long most) {
        int[] there = inRoom[tank];
        long points = way.own;
        for (int i = 0; i < way.on.length && softened(points) <= most; i++) {
            int day = way.on[i];
            int room = there[day] == 0 ? roomMinutes : 0;
            points += (long) Weights.POINTS_A_MINUTE * room
                    + board.fullness(day, load[day] + way.minutes[i] + room)
                    + board.overKeeper(day, keeperLoad[day] + way.keeperMinutes[i])
                    - full[day];
        }
        return points;
    }
}
