package app.chervil.core.plan;

import app.chervil.core.plan.Chain.Hands;
import app.chervil.core.plan.Chain.Reach;
import app.chervil.core.plan.Instance.Logged;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/**
 * A plan in the making: which lanes lie on which days, with the counters from which the price of a further day follows. The
 * sum of what lanes cost when they are put on one after the other is the cost of the plan, in whatever order.
 */
final class Board {
    private static final int[] NOWHERE = {};

    /** Stands for an occurrence that is off the board; no day comes near it. */
    private static final int OFF = -1000;

    final List<Lane> lanes;
    final int days;
    private final Instance instance;
    private final int[][] placed;
    private final int[] load;
    private final int[] keeperLoad;
    private final int[] capacity;
    private final int[] keeperCapacity;
    private final Sites sites;

    /** Occurrences by day at the filter, tank and room of each lane; lanes of one place share a row. */
    private final short[][] opened;

    private final short[][] atTank;
    private final short[][] waterChanges;
    private final short[][] inRoom;
    private final int[] minutes;
    private final boolean[] keeperOnly;
    private final boolean[] changesWater;
    private final int roomMinutes;
    private final int tankMinutes;
    private final long[] prices;
    private final int[] tooClose;
    private final int[] nothingClose;

    Board(Instance instance) {
        this.instance = instance;
        days = instance.days();
        List<Lane> made = new ArrayList<>();
        Closures closures = new Closures(instance.hours());
        Timings timings = new Timings(days);
        for (Chain chain : instance.chains()) {
            made.add(new Lane(instance, closures, timings, chain, made.size()));
        }
        lanes = List.copyOf(made);
        placed = new int[lanes.size()][];
        Arrays.fill(placed, NOWHERE);
        load = new int[days];
        keeperLoad = new int[days];
        capacity = instance.hours().days().stream().mapToInt(Hours.Day::all).toArray();
        keeperCapacity =
                instance.hours().days().stream().mapToInt(Hours.Day::keeper).toArray();
        sites = new Sites(instance, lanes);
        opened = rows(sites.filterOf, sites.filters);
        atTank = rows(sites.tankOf, sites.tanks);
        waterChanges = rows(sites.tankOf, sites.tanks);
        inRoom = rows(sites.roomOf, sites.rooms);
        minutes = lanes.stream().mapToInt(lane -> lane.chain.work().minutes()).toArray();
        keeperOnly = new boolean[lanes.size()];
        changesWater = new boolean[lanes.size()];
        for (Lane lane : lanes) {
            keeperOnly[lane.index] = lane.chain.work().hands() == Hands.KEEPER;
            changesWater[lane.index] = lane.chain.work().reach() == Reach.WATER_CHANGE;
        }
        roomMinutes = instance.setUps().roomMinutes();
        tankMinutes = instance.setUps().tankMinutes();
        prices = new long[days];
        tooClose = new int[days];
        nothingClose = new int[days];
    }

    private short[][] rows(int[] placeOf, int places) {
        short[][] byPlace = new short[places][days];
        short[][] byLane = new short[placeOf.length][];
        Arrays.setAll(byLane, lane -> byPlace[placeOf[lane]]);
        return byLane;
    }

    Sites sites() {
        return sites;
    }

    Instance instance() {
        return instance;
    }

    int[] placed(int lane) {
        return placed[lane];
    }

    /** Puts a lane on its days; it must not lie on any. */
    void place(int lane, int[] on) {
        place(lane, on, 0, on.length);
    }

    /** Puts some occurrences of a lane on their days; the others lie on theirs already. */
    void place(int lane, int[] on, int first, int end) {
        placed[lane] = on;
        count(lane, on, first, end, 1);
    }

    /** Takes a lane off. */
    int[] remove(int lane) {
        int[] was = remove(lane, 0, placed[lane].length);
        placed[lane] = NOWHERE;
        return was;
    }

    /**
     * Takes some occurrences of a lane off.
     *
     * @return the days of all of them
     */
    int[] remove(int lane, int first, int end) {
        int[] was = placed[lane];
        count(lane, was, first, end, -1);
        int[] left = was.clone();
        Arrays.fill(left, first, end, OFF);
        placed[lane] = left;
        return was;
    }

    private void count(int lane, int[] on, int first, int end, int sign) {
        Lane one = lanes.get(lane);
        for (int k = first; k < end; k++) {
            if (one.skipped[k]) {
                continue;
            }
            int day = on[k];
            int before = shared(lane, day);
            opened[lane][day] += (short) (one.chain.work().reach() == Reach.OPENED ? sign : 0);
            waterChanges[lane][day] += (short) (changesWater[lane] ? sign : 0);
            atTank[lane][day] += (short) sign;
            inRoom[lane][day] += (short) sign;
            load[day] += sign * minutes[lane] + shared(lane, day) - before;
            keeperLoad[day] += keeperOnly[lane] ? sign * minutes[lane] : 0;
        }
    }

    /** Set-up minutes of a day that a lane has a share in. */
    private int shared(int lane, int day) {
        boolean tank = atTank[lane][day] > 0 && waterChanges[lane][day] == 0;
        return (inRoom[lane][day] > 0 ? roomMinutes : 0)
                + (tank ? tankMinutes : 0)
                + (opened[lane][day] > 0 ? sites.openingMinutes[lane] : 0);
    }

    /** Set-up minutes that an occurrence of a lane would add to a day; fewer than none if it saves some. */
    int addedSetUp(int lane, int day) {
        int added =
                (inRoom[lane][day] == 0 ? roomMinutes : 0) + (opened[lane][day] == 0 ? sites.openingMinutes[lane] : 0);
        if (waterChanges[lane][day] > 0) {
            return added;
        }
        boolean there = atTank[lane][day] > 0;
        if (changesWater[lane]) {
            return there ? added - tankMinutes : added;
        }
        return there ? added : added + tankMinutes;
    }

    /** Points that an occurrence would add by filling a day. */
    int addedLevel(int day, int added) {
        return Weights.level(load[day] + added, capacity[day]) - Weights.level(load[day], capacity[day]);
    }

    /** Hard points that an occurrence would add by taking more time than there is. */
    int addedOver(int lane, int day, int added) {
        int all = Weights.over(load[day] + added, capacity[day]) - Weights.over(load[day], capacity[day]);
        return keeperOnly[lane]
                ? all
                        + Weights.over(keeperLoad[day] + minutes[lane], keeperCapacity[day])
                        - Weights.over(keeperLoad[day], keeperCapacity[day])
                : all;
    }

    /** Hard points of an occurrence for missing what belongs to it, less those it takes from others. */
    int addedApart(int lane, int day) {
        if (!sites.linked[lane]) {
            return 0;
        }
        int points = 0;
        int partner = sites.partner[lane];
        if (partner >= 0 && !liesOn(partner, day)) {
            points += Weights.NOT_TOGETHER;
        }
        for (int other : sites.partners.get(lane)) {
            points -= liesOn(other, day) ? Weights.NOT_TOGETHER : 0;
        }
        return points;
    }

    private boolean liesOn(int lane, int day) {
        int[] on = placed[lane];
        for (int k = 0; k < on.length; k++) {
            if (on[k] == day && !lanes.get(lane).skipped[k]) {
                return true;
            }
        }
        return false;
    }

    /** Hard points by day for standing too close to disturbing work; valid until the next call. */
    int[] tooClose(int lane) {
        if (!lanes.get(lane).chain.demand().spaced()) {
            return nothingClose;
        }
        Arrays.fill(tooClose, 0);
        int tank = sites.tankOf[lane];
        long filter = lanes.get(lane).chain.place().filter();
        for (Logged logged : sites.loggedOfTank.get(tank)) {
            markAround(logged.day(), logged.place().filter() == filter);
        }
        for (int other : sites.spacedOfTank.get(tank)) {
            int[] on = other == lane ? NOWHERE : placed[other];
            boolean same = lanes.get(other).chain.place().filter() == filter;
            for (int k = 0; k < on.length; k++) {
                if (!lanes.get(other).skipped[k]) {
                    markAround(on[k], same);
                }
            }
        }
        return tooClose;
    }

    /** One opening of one filter is one disturbance. */
    private void markAround(int day, boolean sameFilter) {
        int reach = Weights.APART_DAYS - 1;
        for (int near = Math.max(0, day - reach); near <= Math.min(days - 1, day + reach); near++) {
            int gap = Math.abs(near - day);
            tooClose[near] += gap == 0 && sameFilter ? 0 : Weights.DAY_TOO_CLOSE * (Weights.APART_DAYS - gap);
        }
    }

    /** Packed price of an occurrence for each day from one to another, given all that lies; valid until the next call. */
    long[] prices(int lane, int fromInclusive, int toInclusive) {
        int[] close = tooClose(lane);
        for (int day = fromInclusive; day <= toInclusive; day++) {
            prices[day] = price(lane, day, close[day]);
        }
        return prices;
    }

    private long price(int lane, int day, int close) {
        int setUp = addedSetUp(lane, day);
        int added = minutes[lane] + setUp;
        long soft = (long) Weights.POINTS_A_MINUTE * setUp + addedLevel(day, added);
        long hard = (long) addedOver(lane, day, added) + addedApart(lane, day) + close;
        return Score.pack(hard, soft);
    }

    /** Packed cost of a lane that is not on the board, if it lay on these days. */
    long cost(int lane, int[] on) {
        return cost(lane, on, 0, on.length);
    }

    /** Packed cost of some occurrences that are not on the board, if they lay on these days, with the gaps around them. */
    long cost(int lane, int[] on, int first, int end) {
        Lane one = lanes.get(lane);
        int[] close = tooClose(lane);
        long cost = end < on.length ? one.gap(on[end] - on[end - 1]) : 0;
        for (int k = first; k < end; k++) {
            cost += one.own(k, k == 0 ? 0 : on[k - 1], on[k]) + (one.skipped[k] ? 0 : price(lane, on[k], close[on[k]]));
        }
        return cost;
    }
}
