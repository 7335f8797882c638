package app.chervil.core.plan;

import java.util.Arrays;
import java.util.List;
import java.util.SplittableRandom;

/** Chooses which lanes are taken off together. */
final class Ruin {
    private static final int MOST_RUINED = 5;
    private static final int TRIES = 8;
    private static final int FREQUENT_DAYS = 14;
    private static final int MOST_FREQUENT = 20;

    /** Days apart at which tanks are visited at about the same time. */
    private static final int NEAR_DAYS = 3;

    private final Board board;
    private final List<Lane> lanes;
    private final Sites sites;
    private final SplittableRandom random;
    private final boolean[] isChosen;
    private final int[] chosen;
    private int count;

    Ruin(Board board, SplittableRandom random) {
        this.board = board;
        lanes = board.lanes;
        sites = board.sites();
        this.random = random;
        isChosen = new boolean[lanes.size()];
        chosen = new int[lanes.size()];
    }

    /**
     * A few lanes around one: of its tank, its filter, what disturbs its tank, or what is frequent on two or three tanks; linked
     * lanes go together.
     */
    int[] around(int seed) {
        add(seed);
        int tank = sites.tankOf[seed];
        List<Integer> ofTank = sites.lanesOfTank.get(tank);
        switch (random.nextInt(6)) {
            case 0 -> addSome(ofTank);
            case 1 -> addOfFilter(seed, ofTank);
            case 2, 5 -> addFrequentOfTwoOrThree(seed, tank);
            case 3 -> addAll(ofTank, ofTank);
            default -> addAll(sites.spacedOfTank.get(tank), ofTank);
        }
        return taken();
    }

    /** All lanes of the tank of one, or all that disturb it; linked lanes go together. */
    int[] ofTank(int seed) {
        int tank = sites.tankOf[seed];
        (random.nextBoolean() ? sites.lanesOfTank : sites.spacedOfTank)
                .get(tank)
                .forEach(this::add);
        return taken();
    }

    /** All lanes of the tank of one, and of another that is visited about a day, if a few tries find one; linked lanes go together. */
    int[] near(int seed, int day) {
        addTankOf(seed);
        boolean found = false;
        for (int i = 0; i < TRIES && !found; i++) {
            int lane = random.nextInt(lanes.size());
            found = !isChosen[lane] && lies(board.placed(lane), day - NEAR_DAYS, day + NEAR_DAYS);
            if (found) {
                addTankOf(lane);
            }
        }
        return taken();
    }

    /** A loop, since this is asked at every fifth turn, and a stream takes several times as long. */
    private static boolean lies(int[] days, int from, int to) {
        for (int on : days) {
            if (on >= from && on <= to) {
                return true;
            }
        }
        return false;
    }

    private void addTankOf(int lane) {
        sites.lanesOfTank.get(sites.tankOf[lane]).forEach(this::add);
    }

    private int[] taken() {
        for (int i = 0; i < count; i++) {
            isChosen[chosen[i]] = false;
        }
        int[] ruined = Arrays.copyOf(chosen, count);
        count = 0;
        return ruined;
    }

    private void addSome(List<Integer> ofTank) {
        int more = random.nextInt(MOST_RUINED);
        for (int i = 0; i < more; i++) {
            add(ofTank.get(random.nextInt(ofTank.size())));
        }
    }

    private void addOfFilter(int seed, List<Integer> ofTank) {
        for (int other : ofTank) {
            if (sites.filterOf[other] == sites.filterOf[seed] && count < 2 * MOST_RUINED) {
                add(other);
            }
        }
    }

    private void addAll(List<Integer> some, List<Integer> ofTank) {
        if (ofTank.size() <= 3 * MOST_RUINED) {
            some.forEach(this::add);
        }
    }

    private void addFrequentOfTwoOrThree(int seed, int tank) {
        int other = alike(seed);
        add(other);
        addFrequent(sites.tankOf[other]);
        addFrequent(tank);
        if (random.nextBoolean()) {
            addFrequent(sites.tankOf[alike(seed)]);
        }
    }

    /** A lane anywhere that comes round as often, if a few tries find one. */
    private int alike(int seed) {
        int interval = lanes.get(seed).interval();
        int other = random.nextInt(lanes.size());
        for (int i = 0; i < TRIES && lanes.get(other).interval() != interval; i++) {
            other = random.nextInt(lanes.size());
        }
        return other;
    }

    /** What comes round every other week or oftener on a tank: it decides on which days the tank is visited at all. */
    private void addFrequent(int tank) {
        for (int lane : sites.lanesOfTank.get(tank)) {
            if (count < MOST_FREQUENT && lanes.get(lane).interval() <= FREQUENT_DAYS) {
                add(lane);
            }
        }
    }

    private void add(int lane) {
        addOne(lane);
        if (sites.linked[lane]) {
            for (int other : sites.partners[lane]) {
                addOne(other);
            }
            if (sites.partner[lane] >= 0) {
                addOne(sites.partner[lane]);
            }
        }
    }

    private void addOne(int lane) {
        if (!isChosen[lane]) {
            isChosen[lane] = true;
            chosen[count++] = lane;
        }
    }
}
