package app.chervil.core.plan;

import java.nio.IntBuffer;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashSet;
import java.util.List;
import java.util.Set;

/** All ways in which each tank has been seen planned, every one once. */
final class TankPlans {
    /** Packed points by which a way may be dearer than the best of its tank and still be worth keeping. */
    private static final long MOST_DEARER = 400;

    private final Board board;
    private final Board alone;
    private final List<List<TankPlan>> seen = new ArrayList<>();
    private final List<Set<IntBuffer>> known = new ArrayList<>();

    TankPlans(Board board) {
        this.board = board;
        alone = board.alone();
        for (int tank = 0; tank < board.sites().tanks; tank++) {
            seen.add(new ArrayList<>());
            known.add(new HashSet<>());
        }
    }

    /** Looks at how every tank lies on the board. */
    void look() {
        for (int tank = 0; tank < seen.size(); tank++) {
            look(tank);
        }
    }

    /** Looks at how one lies. */
    void look(int tank) {
        int[][] days = days(tank);
        int[] inOne = Arrays.stream(days).flatMapToInt(Arrays::stream).toArray();
        if (known.get(tank).add(IntBuffer.wrap(inOne))) {
            seen.get(tank).add(of(tank, days));
        }
    }

    /** How every tank lies on the board. */
    List<TankPlan> asTheyLie() {
        List<TankPlan> lie = new ArrayList<>();
        for (int tank = 0; tank < seen.size(); tank++) {
            lie.add(of(tank, days(tank)));
        }
        return lie;
    }

    /** The ways of a tank that are not much dearer than the best of them would be if there were no other tank. */
    List<TankPlan> good(int tank) {
        long best =
                seen.get(tank).stream().mapToLong(one -> one.least(board)).min().orElse(0);
        return seen.get(tank).stream()
                .filter(one -> one.least(board) <= best + MOST_DEARER)
                .toList();
    }

    private TankPlan of(int tank, int[][] days) {
        return TankPlan.of(alone, board.sites().lanesOfTank.get(tank), days);
    }

    private int[][] days(int tank) {
        return board.sites().lanesOfTank.get(tank).stream().map(board::placed).toArray(int[][]::new);
    }
}
