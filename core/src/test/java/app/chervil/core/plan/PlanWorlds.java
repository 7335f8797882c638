package app.chervil.core.plan;

import app.chervil.core.plan.Chain.Demand;
import app.chervil.core.plan.Chain.Hands;
import app.chervil.core.plan.Chain.Place;
import app.chervil.core.plan.Chain.Reach;
import app.chervil.core.plan.Chain.Rhythm;
import app.chervil.core.plan.Chain.Times;
import app.chervil.core.plan.Chain.Work;
import app.chervil.core.plan.Instance.Before;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.random.RandomGenerator;

/**
 * Sites that never were, by seed: tanks with the filters, tasks and starting intervals of the care catalogue, each interval
 * spread by about a third as learning would, and people who have time on four days a week.
 */
final class PlanWorlds {
    private static final int ROOM_MINUTES = 2;
    private static final int TANK_MINUTES = 3;
    private static final int OPENING_MINUTES = 15;

    /** Share of the people's time that the work takes on average. */
    private static final double BUSY = 0.55;

    private final RandomGenerator random;
    private final int days;
    private final List<Chain> chains = new ArrayList<>();
    private final Map<Long, Integer> openings = new HashMap<>();
    private final Map<Long, Integer> rooms = new HashMap<>();
    private long nextId = 1;
    private long nextFilter = 1;

    private PlanWorlds(int weeks, long seed) {
        random = new java.util.SplittableRandom(seed);
        days = 7 * weeks + Instance.BEYOND_DAYS;
    }

    /** A site of so many tanks, planned for so many weeks. */
    static Instance of(int tanks, int weeks, long seed) {
        PlanWorlds world = new PlanWorlds(weeks, seed);
        for (int tank = 1; tank <= tanks; tank++) {
            world.tank(tank);
        }
        return new Instance(
                7 * weeks,
                world.chains,
                world.hours(),
                new SetUps(ROOM_MINUTES, TANK_MINUTES, world.openings, world.rooms),
                Before.NOTHING);
    }

    private void tank(long tank) {
        rooms.put(tank, (int) (tank - 1) / 6);
        int hold = random.nextInt(12) == 0 ? 3 + random.nextInt(30) : 0;
        ChainId change =
                again(new Place(tank, 0), random.nextInt(3) == 0 ? 14 : 7, work(25, Reach.WATER_CHANGE), Demand.NONE);
        switch (random.nextInt(4)) {
            case 0 -> canister(tank, hold);
            case 1 -> hangOn(tank, hold);
            case 2 -> sump(tank);
            default -> again(new Place(tank, nextFilter++), 21, work(8, Reach.OUTSIDE), spaced(hold));
        }
        if (random.nextInt(5) == 0) {
            hangOn(tank, hold);
        }
        if (random.nextInt(3) == 0) {
            again(new Place(tank, 0), 14, work(20, Reach.OUTSIDE), new Demand(true, hold, Optional.of(change)));
        }
        again(new Place(tank, 0), 30, work(10, Reach.OUTSIDE), Demand.NONE);
    }

    private void canister(long tank, int hold) {
        Place filter = new Place(tank, nextFilter++);
        openings.put(filter.filter(), OPENING_MINUTES);
        again(filter, 14, work(5, Reach.OUTSIDE), Demand.NONE);
        again(filter, 90, keeper(35), Demand.NONE);
        again(filter, 150, keeper(8), spaced(hold));
        again(filter, 120, keeper(10), Demand.NONE);
        again(filter, 180, work(20, Reach.OUTSIDE), Demand.NONE);
    }

    private void hangOn(long tank, int hold) {
        Place filter = new Place(tank, nextFilter++);
        again(filter, 30, work(3, Reach.OUTSIDE), Demand.NONE);
        again(filter, 60, work(8, Reach.OUTSIDE), Demand.NONE);
        again(filter, 21, work(5, Reach.OUTSIDE), Demand.NONE);
        again(filter, 150, work(8, Reach.OUTSIDE), spaced(hold));
    }

    private void sump(long tank) {
        Place filter = new Place(tank, nextFilter++);
        ChainId sock = again(filter, random.nextBoolean() ? 4 : 7, work(5, Reach.OUTSIDE), Demand.NONE);
        again(new Place(tank, 0), 7, work(10, Reach.OUTSIDE), new Demand(false, 0, Optional.of(sock)));
        again(filter, 180, work(30, Reach.OUTSIDE), Demand.NONE);
        again(filter, 180, work(8, Reach.OUTSIDE), spaced(0));
    }

    private static Work work(int minutes, Reach reach) {
        return new Work(minutes, reach, Hands.ANYONE);
    }

    private static Work keeper(int minutes) {
        return new Work(minutes, Reach.OPENED, Hands.KEEPER);
    }

    private static Demand spaced(int hold) {
        return new Demand(true, hold, Optional.empty());
    }

    private ChainId again(Place place, int usual, Work work, Demand demand) {
        int ideal = usual <= 14 ? usual : (int) Math.max(7, Math.round(usual * Math.exp(0.3 * random.nextGaussian())));
        int slack = usual <= 7 ? 1 : Math.max(2, ideal / 5);
        Span gap = new Span(Math.max(1, ideal - slack), ideal, ideal + slack);
        int since = (int) (random.nextDouble() * 1.05 * ideal);
        ChainId id = ChainId.ofTask(nextId++);
        chains.add(new Chain(id, place, new Rhythm(gap.plus(-since), gap, Times.AGAIN), work, demand));
        return id;
    }

    private Hours hours() {
        double week = 0;
        for (Chain chain : chains) {
            week += 7.0 * (chain.work().minutes() + 3) / chain.rhythm().gap().ideal();
        }
        int each = 15 * (int) Math.ceil(week / BUSY / 4 / 15);
        int away = 20 + random.nextInt(60);
        List<Hours.Day> all = new ArrayList<>();
        for (int day = 0; day < days; day++) {
            boolean works = day % 7 == 0 || day % 7 == 2 || day % 7 == 4 || day % 7 == 5;
            boolean holiday = day >= away && day < away + 6;
            int keeper = works && !holiday ? Math.max(30, each * 2 / 3) : 0;
            all.add(new Hours.Day(keeper, works ? Math.max(20, each / 3) : 0));
        }
        return new Hours(all);
    }
}
