package app.chervil.core.plan;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.Collections;
import java.util.Comparator;
import java.util.List;
import java.util.SplittableRandom;

/** Looks for a good plan on a board, by counts and a seed and never by the clock. */
final class Search {
    private static final int MOST_SWEEPS = 20;
    private static final int REPAIRS = 1000;
    private static final int REPAIRS_A_LANE = 30;

    /** In one of so many turns of a long search the work of a tank slips by some days, in another one two tanks are cleared. */
    private static final int ONE_IN = 5;

    /** How far around a day they are. */
    private static final int LEAST_CLEARED_DAYS = 4;

    private static final int MOST_CLEARED_DAYS = 10;

    /** One in so many of the other turns takes whole lanes off, the rest what lies within one to four weeks. */
    private static final int WHOLE_EVERY = 4;

    private static final int LEAST_WIDTH_DAYS = 7;
    private static final int MOST_WIDTH_DAYS = 28;
    private static final int MARGIN_DAYS = 7;
    /** Turns for each lane from one look on the way to the next. */
    private static final int LOOKS_EVERY = 3;

    static final double HOT = 300;
    static final double COLD = 2;

    private final Board board;
    private final Path path;
    private final SplittableRandom random;
    private final Ruin ruin;
    private final Bias bias;
    private long total;
    private long best;
    private final int[][] bestDays;
    private final BitSet sinceBest = new BitSet();
    private boolean isLong;
    private boolean mends;

    Search(Board board, long seed) {
        this.board = board;
        path = new Path(board);
        random = new SplittableRandom(seed);
        ruin = new Ruin(board, random);
        bias = new Bias(board, random);
        bestDays = new int[board.lanes.size()][];
    }

    /**
     * Lets the work of a tank slip by some days now and then from here on, and clears some days of two. Where people
     * were told of days it is better not tried: it finds, for a small gain, many other ones.
     */
    void searchLong() {
        isLong = true;
    }

    /** Puts every lane on the board: linked ones first, then those that come round soonest. */
    void construct() {
        List<Lane> order = new ArrayList<>(board.lanes);
        order.sort(Comparator.comparing((Lane lane) -> !board.sites().linked[lane.index])
                .thenComparing(Lane::interval)
                .thenComparing(lane -> lane.index));
        for (Lane lane : order) {
            int[] on = path.find(lane.index);
            board.place(lane.index, on);
            total += path.cost();
        }
        keepAll();
    }

    /**
     * Puts every lane where it lay before, as far as it still may; others where they fit best.
     *
     * @return those others
     */
    List<Integer> start(List<int[]> days) {
        List<Integer> others = new ArrayList<>();
        for (Lane lane : board.lanes) {
            int[] on = days.get(lane.index);
            if (!fits(lane, on)) {
                on = path.find(lane.index);
                others.add(lane.index);
            }
            total += board.cost(lane.index, on);
            board.place(lane.index, on);
        }
        keepAll();
        return others;
    }

    /** Puts every lane on exactly these days. */
    void put(List<int[]> days) {
        for (Lane lane : board.lanes) {
            total += board.cost(lane.index, days.get(lane.index));
            board.place(lane.index, days.get(lane.index));
        }
        keepAll();
    }

    private static boolean fits(Lane lane, int[] on) {
        boolean fits = on.length == lane.count();
        for (int k = 0; fits && k < on.length; k++) {
            fits = on[k] >= lane.from[k] && on[k] <= lane.to[k] && (k == 0 || on[k] > on[k - 1]);
        }
        return fits;
    }

    /** Moves one lane after the other to its best days until nothing is gained. */
    void sweep(int most) {
        boolean gained = true;
        for (int round = 0; gained && round < most; round++) {
            gained = false;
            for (Lane lane : board.lanes) {
                gained |= settle(lane.index);
            }
        }
        keep();
    }

    void sweep() {
        sweep(MOST_SWEEPS);
    }

    /** Moves each of some lanes to its best days once. */
    void settle(List<Integer> lanes) {
        lanes.forEach(this::settle);
        keep();
    }

    private boolean settle(int lane) {
        int[] was = board.remove(lane);
        long old = board.cost(lane, was);
        int[] on = path.find(lane);
        boolean better = path.cost() < old;
        board.place(lane, better ? on : was);
        if (better) {
            total += path.cost() - old;
            sinceBest.set(lane);
        }
        return better;
    }

    /** Works on tanks where rules are broken. */
    void repair() {
        List<Integer> broken = new ArrayList<>();
        for (int tank = 0; tank < board.sites().tanks; tank++) {
            if (breaksRules(board.sites().lanesOfTank.get(tank))) {
                broken.add(tank);
            }
        }
        int each = broken.isEmpty() ? 0 : Math.min(REPAIRS, REPAIRS_A_LANE * board.lanes.size() / broken.size());
        for (int tank : broken) {
            anneal(board.sites().lanesOfTank.get(tank), each);
        }
    }

    /**
     * Works on a few lanes while one of them breaks rules. All that disturbs a tank is taken off together now and then: where several
     * works must stand apart, none of them may find another day alone.
     */
    void repair(List<Integer> lanes, int times) {
        if (breaksRules(lanes)) {
            mends = true;
            anneal(lanes, times);
            mends = false;
            settle(lanes);
        }
    }

    private boolean breaksRules(List<Integer> lanes) {
        for (int lane : lanes) {
            int[] was = board.remove(lane);
            long cost = board.cost(lane, was);
            board.place(lane, was);
            if (Score.unpack(cost).hard() > 0) {
                return true;
            }
        }
        return false;
    }

    /**
     * Takes a few lanes off, whole or for some weeks, and puts them back one after the other, so many times, less and less willing
     * to lose, and goes back to the best plan in the end.
     */
    void anneal(List<Integer> seeds, int times) {
        cool(seeds, times, HOT, COLD, () -> {});
        restoreBest();
    }

    /**
     * The same, without going back.
     *
     * @param hot points that are lost lightly at first
     * @param cold and at last
     * @param onTheWay looks at what lies on the board, now and then
     */
    void cool(List<Integer> seeds, int times, double hot, double cold, Runnable onTheWay) {
        if (seeds.isEmpty()) {
            return;
        }
        double cooling = Math.pow(cold / hot, 1.0 / Math.max(1, times));
        double heat = hot;
        for (int turn = 0; turn < times; turn++) {
            int seed = seeds.get(random.nextInt(seeds.size()));
            attempt(taken(seed), heat);
            heat *= cooling;
            if (turn % (LOOKS_EVERY * seeds.size()) == 0) {
                onTheWay.run();
            }
        }
    }

    /** Prices each hard point of a day, in packed points; what lies is the best plan so far by that price. */
    void priceRules(long points) {
        board.priceRules(points);
        List<int[]> days = days();
        board.clear();
        total = 0;
        put(days);
    }

    /**
     * Thinks of other days for all work on a tank, so many times, each other one left where it lies, and puts it back.
     *
     * @param look at them while it lies there
     */
    void imagine(int tank, int times, Runnable look) {
        List<Piece> pieces = new ArrayList<>();
        for (int lane : board.sites().lanesOfTank.get(tank)) {
            pieces.add(Piece.whole(lane, board.placed(lane), board.days));
        }
        pieces.removeIf(Piece::isEmpty);
        for (int i = 0; i < times; i++) {
            pieces.forEach(piece -> board.remove(piece.lane));
            shuffle(pieces);
            if (random.nextBoolean()) {
                bias.slip(slipsFrom());
            } else {
                bias.disturb(pieces);
            }
            pieces.forEach(piece -> board.place(piece.lane, path.find(piece, bias.of(piece))));
            for (Piece piece : pieces) {
                board.remove(piece.lane);
                board.place(piece.lane, path.find(piece.lane));
            }
            look.run();
            putBack(pieces);
        }
    }

    private void attempt(List<Piece> pieces, double heat) {
        long delta = 0;
        for (Piece piece : pieces) {
            board.remove(piece.lane, piece.first, piece.end);
            delta -= board.cost(piece.lane, piece.was, piece.first, piece.end);
        }
        for (Piece piece : pieces) {
            int[] on = path.find(piece, bias.of(piece));
            delta += path.cost() - bias.points(piece, on);
            board.place(piece.lane, on, piece.first, piece.end);
        }
        if (accepts(Score.unpack(delta), heat)) {
            total += delta;
            pieces.forEach(piece -> sinceBest.set(piece.lane));
            if (total < best) {
                keep();
            }
        } else {
            putBack(pieces);
        }
    }

    /** Puts pieces back to where they lay before. */
    private void putBack(List<Piece> pieces) {
        for (Piece piece : pieces) {
            if (!Arrays.equals(board.placed(piece.lane), piece.was)) {
                board.remove(piece.lane, piece.first, piece.end);
                board.place(piece.lane, piece.was, piece.first, piece.end);
            }
        }
    }

    private List<Piece> taken(int seed) {
        if (mends && random.nextBoolean()) {
            return disturbed(ruin.ofTank(seed));
        }
        return switch (isLong ? random.nextInt(ONE_IN) : ONE_IN) {
            case 0 -> slipping(seed);
            case 1 -> cleared(seed);
            default -> disturbed(ruin.around(seed));
        };
    }

    /** Lanes, whole or what of them lies within some weeks, some days made dearer for all. */
    private List<Piece> disturbed(int[] ruined) {
        boolean whole = random.nextInt(WHOLE_EVERY) == 0;
        int width = random.nextInt(LEAST_WIDTH_DAYS, MOST_WIDTH_DAYS + 1);
        int from = random.nextInt(board.days) - width / 2;
        List<Piece> pieces = whole ? pieces(ruined, 0, board.days) : pieces(ruined, from, from + width);
        bias.disturb(pieces);
        return pieces;
    }

    /** Lanes of a tank that are to slip together. */
    private List<Piece> slipping(int seed) {
        int from = slipsFrom();
        List<Piece> pieces = pieces(ruin.ofTank(seed), from, board.days);
        bias.slip(from);
        return pieces;
    }

    /** What lies around a day of a lane on its tank and another one that is visited then: they may change places. */
    private List<Piece> cleared(int seed) {
        int[] on = board.placed(seed);
        if (on.length == 0) {
            return List.of();
        }
        int day = on[random.nextInt(on.length)];
        int width = random.nextInt(LEAST_CLEARED_DAYS, MOST_CLEARED_DAYS + 1);
        List<Piece> pieces = pieces(ruin.near(seed, day), day - width, day + width + 1);
        bias.disturb(pieces);
        return pieces;
    }

    private int slipsFrom() {
        return random.nextBoolean() ? random.nextInt(board.days) : 0;
    }

    private List<Piece> pieces(int[] ruined, int from, int until) {
        List<Piece> pieces = new ArrayList<>();
        for (int lane : ruined) {
            int[] was = board.placed(lane);
            Piece piece = from == 0 && until == board.days
                    ? Piece.whole(lane, was, board.days)
                    : Piece.within(lane, was, from, until, MARGIN_DAYS);
            if (!piece.isEmpty()) {
                pieces.add(piece);
            }
        }
        shuffle(pieces);
        return pieces;
    }

    private boolean accepts(Score delta, double heat) {
        if (delta.hard() != 0) {
            return delta.hard() < 0;
        }
        return delta.soft() <= 0 || random.nextDouble() < Math.exp(-delta.soft() / heat);
    }

    private void shuffle(List<Piece> pieces) {
        for (int i = pieces.size() - 1; i > 0; i--) {
            Collections.swap(pieces, i, random.nextInt(i + 1));
        }
    }

    /** Remembers the plan as it lies as the best so far. */
    private void keep() {
        for (int lane = sinceBest.nextSetBit(0); lane >= 0; lane = sinceBest.nextSetBit(lane + 1)) {
            bestDays[lane] = board.placed(lane);
        }
        sinceBest.clear();
        best = total;
    }

    private void keepAll() {
        board.lanes.forEach(lane -> sinceBest.set(lane.index));
        keep();
    }

    /** Goes back to the best plan so far. */
    void restoreBest() {
        sinceBest.stream().forEach(board::remove);
        sinceBest.stream().forEach(lane -> board.place(lane, bestDays[lane]));
        sinceBest.clear();
        total = best;
    }

    Score score() {
        return Score.unpack(total);
    }

    List<int[]> days() {
        List<int[]> days = new ArrayList<>();
        for (Lane lane : board.lanes) {
            days.add(Arrays.copyOf(board.placed(lane.index), lane.count()));
        }
        return days;
    }
}
