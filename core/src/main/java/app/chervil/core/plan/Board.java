package app.chervil.core.plan;

import app.chervil.core.plan.Chain.Hands;
import app.chervil.core.plan.Instance.Logged;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * A plan in the making: which lanes lie on which days, with the counters from which the price of a further day follows. The
 * sum of what lanes cost when they are put on one after the other is the cost of the plan, in whatever order.
 */
final class Board {
    private static final int[] NOWHERE = {};

    /** Hard points for disturbing work by its distance from other such work, from so many days before to as many after. */
    private static final int[] CLOSE = new int[2 * Weights.APART_DAYS - 1];

    static {
        Arrays.setAll(CLOSE, i -> Weights.DAY_TOO_CLOSE * (Weights.APART_DAYS - Math.abs(i - Weights.APART_DAYS + 1)));
    }

    /** Stands for an occurrence that is off the board; no day comes near it. */
    private static final int OFF = -1000;

    /** What a hard point weighs in packed ones: no saving outweighs it. */
    static final long RULE = Score.pack(1, 0);

    final List<Lane> lanes;
    final int days;
    private final Instance instance;
    private final int[][] placed;
    private final int[] load;
    private final int[] keeperLoad;

    private final int[] capacity;

    private final Fullness[] fullness;

    /** Packed points of each day for how full it is. */
    private final long[] full;

    private final int[] keeperCapacity;

    private long rule = RULE;
    private final Sites sites;

    private final Spot[] spots;

    /** Hard points by day of each linked lane for missing what belongs to it, less those it takes from others. */
    private final int[][] apart;

    private final int[] minutes;
    private final boolean[] keeperOnly;
    private final DaySet everyDay;
    private final DaySet openDays;

    /** Whether a lane breaks a rule wherever nobody has time, and mends none there. */
    private final boolean[] needsTime;

    private final long[] prices;
    private final int[] tooClose;
    private final int[] nothingClose;
    private final int[] nothingMore;

    Board(Instance instance) {
        this(instance, lanes(instance));
    }

    private Board(Instance instance, List<Lane> lanes) {
        this.instance = instance;
        this.lanes = lanes;
        days = instance.days();
        placed = new int[lanes.size()][];
        Arrays.fill(placed, NOWHERE);
        load = new int[days];
        keeperLoad = new int[days];
        capacity = instance.hours().days().stream().mapToInt(Hours.Day::all).toArray();
        keeperCapacity =
                instance.hours().days().stream().mapToInt(Hours.Day::keeper).toArray();
        sites = new Sites(instance, lanes);
        Spot.Counts counts = new Spot.Counts(sites, instance.setUps(), days);
        spots = lanes.stream()
                .map(lane -> new Spot(counts, sites, instance.setUps(), lane))
                .toArray(Spot[]::new);
        apart = lanes.stream().map(lane -> nothingLies(lane.index)).toArray(int[][]::new);
        minutes = lanes.stream().mapToInt(lane -> lane.chain.work().minutes()).toArray();
        keeperOnly = new boolean[lanes.size()];
        for (Lane lane : lanes) {
            keeperOnly[lane.index] = lane.chain.work().hands() == Hands.KEEPER;
        }
        everyDay = DaySet.of(days, day -> true);
        openDays = DaySet.of(days, day -> capacity[day] > 0);
        needsTime = new boolean[lanes.size()];
        for (int lane = 0; lane < needsTime.length; lane++) {
            needsTime[lane] = minutes[lane] > spots[lane].mostSaved() && sites.partners[lane].length == 0;
        }
        fullness = new Fullness[days];
        full = new long[days];
        priceRules(RULE);
        prices = new long[days];
        tooClose = new int[days];
        nothingClose = new int[days];
        nothingMore = new int[days];
    }

    private int[] nothingLies(int lane) {
        int[] points = new int[sites.linked[lane] ? days : 0];
        Arrays.fill(points, sites.partner[lane] >= 0 ? Weights.NOT_TOGETHER : 0);
        return points;
    }

    private static List<Lane> lanes(Instance instance) {
        List<Lane> made = new ArrayList<>();
        Closures closures = new Closures(instance.hours());
        Timings timings = new Timings(instance.days());
        for (Chain chain : instance.chains()) {
            made.add(new Lane(instance, closures, timings, chain, made.size()));
        }
        return List.copyOf(made);
    }

    /**
     * The same lanes where no day is ever full and coming into a room takes no time: what those of one tank cost there, nothing else
     * on the board, they cost anywhere.
     */
    Board alone() {
        SetUps setUps = instance.setUps();
        Hours.Day endless = new Hours.Day(Hours.Day.MOST, Hours.Day.MOST);
        Instance elsewhere = new Instance(
                instance.publishedDays(),
                instance.chains(),
                new Hours(Collections.nCopies(days, endless)),
                new SetUps(0, setUps.tankMinutes(), setUps.openingMinutes(), setUps.rooms()),
                instance.before());
        return new Board(elsewhere, lanes);
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

    /** Numbers of all lanes. */
    List<Integer> all() {
        return lanes.stream().map(lane -> lane.index).toList();
    }

    /** Minutes that a day takes, set-up included. */
    int load(int day) {
        return load[day];
    }

    /** Minutes of a day that only a keeper may do. */
    int keeperLoad(int day) {
        return keeperLoad[day];
    }

    /** Packed points for filling a day to so many minutes. */
    long fullness(int day, int minutes) {
        return fullness[day].points(minutes);
    }

    /** Packed points for so many minutes of a keeper on a day. */
    long overKeeper(int day, int minutes) {
        return rule * Weights.over(minutes, keeperCapacity[day]);
    }

    /**
     * Prices each hard point of a day from now on, in packed points. A search that may break rules for a while passes from one plan to
     * another that no single step between plans without a fault would reach.
     */
    void priceRules(long points) {
        rule = points;
        Map<Integer, Fullness> byCapacity = new HashMap<>();
        for (int day = 0; day < days; day++) {
            fullness[day] = byCapacity.computeIfAbsent(capacity[day], minutes -> new Fullness(minutes, points));
            full[day] = fullness[day].points(load[day]);
        }
    }

    /** Takes everything off. */
    void clear() {
        lanes.forEach(lane -> remove(lane.index));
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
        return remove(lane, 0, placed[lane].length);
    }

    /**
     * Takes some occurrences of a lane off.
     *
     * @return the days of all of them
     */
    int[] remove(int lane, int first, int end) {
        int[] was = placed[lane];
        count(lane, was, first, end, -1);
        placed[lane] = first == 0 && end == was.length ? NOWHERE : without(was, first, end);
        return was;
    }

    private static int[] without(int[] days, int first, int end) {
        int[] left = days.clone();
        Arrays.fill(left, first, end, OFF);
        return left;
    }

    private void count(int lane, int[] on, int first, int end, int sign) {
        boolean[] skipped = lanes.get(lane).skipped;
        Spot spot = spots[lane];
        int own = sign * minutes[lane];
        int keeperOwn = keeperOnly[lane] ? own : 0;
        boolean linked = sites.linked[lane];
        for (int k = first; k < end; k++) {
            if (skipped[k]) {
                continue;
            }
            int day = on[k];
            load[day] += own + spot.count(day, sign);
            full[day] = fullness[day].points(load[day]);
            keeperLoad[day] += keeperOwn;
            if (linked) {
                link(lane, day, sign);
            }
        }
    }

    /** What a linked lane on a day is to those that belong to it, and to the one that it belongs to. */
    private void link(int lane, int day, int sign) {
        int points = sign * Weights.NOT_TOGETHER;
        if (sites.partner[lane] >= 0) {
            apart[sites.partner[lane]][day] -= points;
        }
        for (int other : sites.partners[lane]) {
            apart[other][day] -= points;
        }
    }

    /** Set-up minutes that an occurrence of a lane would add to a day; fewer than none if it saves some. */
    int addedSetUp(int lane, int day) {
        return spots[lane].added(day);
    }

    /** Points that an occurrence would add by filling a day. */
    int addedLevel(int day, int added) {
        return (int) Score.unpack(addedFullness(day, added)).soft();
    }

    /** Hard points that an occurrence would add by taking more time than there is. */
    int addedOver(int lane, int day, int added) {
        return (int) Score.unpack(addedFullness(day, added)).hard() + addedOverKeeper(lane, day);
    }

    private long addedFullness(int day, int added) {
        return fullness[day].points(load[day] + added) - full[day];
    }

    private int addedOverKeeper(int lane, int day) {
        return keeperOnly[lane]
                ? Weights.over(keeperLoad[day] + minutes[lane], keeperCapacity[day])
                        - Weights.over(keeperLoad[day], keeperCapacity[day])
                : 0;
    }

    /** Hard points of an occurrence for missing what belongs to it, less those it takes from others. */
    int addedApart(int lane, int day) {
        return sites.linked[lane] ? apart[lane][day] : 0;
    }

    /** Hard points by day for standing too close to disturbing work, from one day to another; valid until the next call. */
    int[] tooClose(int lane, int fromInclusive, int toInclusive) {
        if (!lanes.get(lane).chain.demand().spaced()) {
            return nothingClose;
        }
        Arrays.fill(tooClose, fromInclusive, toInclusive + 1, 0);
        int tank = sites.tankOf[lane];
        long filter = lanes.get(lane).chain.place().filter();
        for (Logged logged : sites.loggedOfTank.get(tank)) {
            markAround(logged.day(), logged.place().filter() == filter, fromInclusive, toInclusive);
        }
        for (int other : sites.spacedOfTank.get(tank)) {
            int[] on = other == lane ? NOWHERE : placed[other];
            boolean same = lanes.get(other).chain.place().filter() == filter;
            for (int k = 0; k < on.length; k++) {
                if (!lanes.get(other).skipped[k]) {
                    markAround(on[k], same, fromInclusive, toInclusive);
                }
            }
        }
        return tooClose;
    }

    /** One opening of one filter is one disturbance. */
    private void markAround(int day, boolean sameFilter, int from, int to) {
        int shift = Weights.APART_DAYS - 1 - day;
        int last = Math.min(to, day + Weights.APART_DAYS - 1);
        for (int near = Math.max(from, day - Weights.APART_DAYS + 1); near <= last; near++) {
            tooClose[near] += CLOSE[near + shift];
        }
        if (sameFilter && day >= from && day <= to) {
            tooClose[day] -= CLOSE[Weights.APART_DAYS - 1];
        }
    }

    /** Points by day where none costs anything more. */
    int[] nothingMore() {
        return nothingMore;
    }

    /** Every day. */
    DaySet everyDay() {
        return everyDay;
    }

    /** Days off which a lane breaks rules: those on which somebody has time, or every day. */
    DaySet openDays(int lane) {
        return needsTime[lane] ? openDays : everyDay;
    }

    /** Packed price of an occurrence for each of some days from one to another, given all that lies; valid until the next call. */
    long[] prices(int lane, DaySet of, int fromInclusive, int toInclusive) {
        int[] close = tooClose(lane, fromInclusive, toInclusive);
        boolean ruled = keeperOnly[lane] || sites.linked[lane] || close != nothingClose;
        int end = of.end(toInclusive);
        for (int i = of.first(fromInclusive); i < end; i++) {
            int day = of.day(i);
            prices[day] = timePrice(lane, day) + (ruled ? rulePrice(lane, day, close[day]) : 0);
        }
        return prices;
    }

    private long price(int lane, int day, int close) {
        return timePrice(lane, day) + rulePrice(lane, day, close);
    }

    /** For the time that an occurrence takes on a day. */
    private long timePrice(int lane, int day) {
        int setUp = spots[lane].added(day);
        return addedFullness(day, minutes[lane] + setUp) + (long) Weights.POINTS_A_MINUTE * setUp;
    }

    /** For rules that have nothing to do with how full a day is. */
    private long rulePrice(int lane, int day, int close) {
        return rule * (addedOverKeeper(lane, day) + addedApart(lane, day) + close);
    }

    /** Packed cost of a lane that is not on the board, if it lay on these days. */
    long cost(int lane, int[] on) {
        return cost(lane, on, 0, on.length);
    }

    /** Packed cost of some occurrences that are not on the board, if they lay on these days, with the gaps around them. */
    long cost(int lane, int[] on, int first, int end) {
        if (first == end) {
            return 0;
        }
        Lane one = lanes.get(lane);
        int[] close = tooClose(lane, on[first], on[end - 1]);
        long cost = end < on.length ? one.gap(on[end] - on[end - 1]) : 0;
        for (int k = first; k < end; k++) {
            cost += one.own(k, k == 0 ? 0 : on[k - 1], on[k]) + (one.skipped[k] ? 0 : price(lane, on[k], close[on[k]]));
        }
        return cost;
    }
}
