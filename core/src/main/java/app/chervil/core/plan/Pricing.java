package app.chervil.core.plan;

import app.chervil.core.plan.Plan.Occurrence;
import app.chervil.core.plan.Price.Part;
import java.util.ArrayList;
import java.util.Collection;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;

/** Prices days with the very function that plans are made by. */
public final class Pricing {
    private final Board board;
    private final Map<ChainId, Lane> lanes = new HashMap<>();

    /** Prices against a plan. */
    public Pricing(Instance instance, Plan plan) {
        board = new Board(instance);
        for (Lane lane : board.lanes) {
            lanes.put(lane.chain.id(), lane);
            board.place(
                    lane.index,
                    plan.of(lane.chain.id()).stream().mapToInt(day -> day).toArray());
        }
    }

    /**
     * What it would cost to do occurrences together, for each published day that lies between their neighbours.
     *
     * @param moved of different chains
     * @return in the order of the days
     */
    public List<Price> of(Collection<Occurrence> moved) {
        List<Price> prices = new ArrayList<>();
        Map<Lane, int[]> were = moved.stream()
                .collect(Collectors.toMap(
                        one -> lane(one),
                        one -> board.remove(lane(one).index),
                        (a, b) -> a,
                        java.util.LinkedHashMap::new));
        Map<Lane, Integer> which = moved.stream().collect(Collectors.toMap(this::lane, Occurrence::k));
        for (int day = 0; day < board.instance().publishedDays(); day++) {
            if (between(were, which, day)) {
                prices.add(price(were, which, day));
            }
        }
        were.forEach((lane, days) -> board.place(lane.index, days));
        return prices;
    }

    private Lane lane(Occurrence one) {
        Lane lane = lanes.get(one.chain().id());
        if (lane == null) {
            throw new IllegalArgumentException("chain " + one.chain().id() + " is not in this plan");
        }
        return lane;
    }

    private static boolean between(Map<Lane, int[]> were, Map<Lane, Integer> which, int day) {
        return were.entrySet().stream().allMatch(entry -> {
            int[] days = entry.getValue();
            int k = which.getOrDefault(entry.getKey(), 0);
            return day >= entry.getKey().chain.demand().notBefore()
                    && (k == 0 ? day <= entry.getKey().chain.demand().notAfter() : day > days[k - 1])
                    && (k == days.length - 1 || day < days[k + 1]);
        });
    }

    private Price price(Map<Lane, int[]> were, Map<Lane, Integer> which, int day) {
        Map<Part, Long> parts = new EnumMap<>(Part.class);
        were.forEach((lane, days) -> {
            int[] on = days.clone();
            on[which.getOrDefault(lane, 0)] = day;
            add(parts, lane, on);
            board.place(lane.index, on);
        });
        were.keySet().forEach(lane -> board.remove(lane.index));
        parts.values().removeIf(points -> points == 0);
        long hard = 0;
        long soft = 0;
        for (Map.Entry<Part, Long> part : parts.entrySet()) {
            boolean isHard = part.getKey().compareTo(Part.TIMING) < 0;
            hard += isHard ? part.getValue() : 0;
            soft += isHard ? 0 : part.getValue();
        }
        return new Price(day, new Score(hard, soft), parts);
    }

    private void add(Map<Part, Long> parts, Lane lane, int[] on) {
        int[] close = board.tooClose(lane.index, 0, board.days - 1).clone();
        for (int k = 0; k < on.length; k++) {
            int day = on[k];
            Score own = Score.unpack(lane.own(k, k == 0 ? 0 : on[k - 1], day));
            long moved = lane.published[k] >= 0 ? Weights.moved(lane.published[k], day) : 0;
            parts.merge(Part.TIMING, own.soft() - moved, Long::sum);
            parts.merge(Part.MOVED, moved, Long::sum);
            parts.merge(Part.TOO_CLOSE, own.hard(), Long::sum);
            if (!lane.skipped[k]) {
                int setUp = board.addedSetUp(lane.index, day);
                int minutes = lane.chain.work().minutes() + setUp;
                parts.merge(Part.SET_UP, (long) Weights.POINTS_A_MINUTE * setUp, Long::sum);
                parts.merge(Part.FULL_DAY, (long) board.addedLevel(day, minutes), Long::sum);
                parts.merge(Part.NO_TIME, (long) board.addedOver(lane.index, day, minutes), Long::sum);
                parts.merge(Part.NOT_TOGETHER, (long) board.addedApart(lane.index, day), Long::sum);
                parts.merge(Part.TOO_CLOSE, (long) close[day], Long::sum);
            }
        }
    }
}
