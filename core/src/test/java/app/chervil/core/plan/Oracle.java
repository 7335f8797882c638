package app.chervil.core.plan;

import app.chervil.core.plan.Chain.Hands;
import app.chervil.core.plan.Chain.Reach;
import com.google.ortools.Loader;
import com.google.ortools.linearsolver.MPConstraint;
import com.google.ortools.linearsolver.MPObjective;
import com.google.ortools.linearsolver.MPSolver;
import com.google.ortools.linearsolver.MPSolver.ResultStatus;
import com.google.ortools.linearsolver.MPSolverParameters;
import com.google.ortools.linearsolver.MPVariable;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.TreeMap;

/**
 * The same rules told to an independent solver as a flow through days: proves optima, lower bounds, and what is impossible.
 * Three disturbing works within one week count as two pairs here, so its hard figure is a bound from below.
 */
final class Oracle {
    private static final double NEVER_MIND = 1e-6;

    /** On more tanks the relaxation takes minutes. */
    private static final int MOST_RELAXED = 5;

    private final Instance instance;
    private final MPSolver solver;
    private final List<Lane> lanes;
    private final Map<MPVariable, Double> hard = new HashMap<>();
    private final Map<MPVariable, Double> soft = new HashMap<>();
    private final List<List<Map<Integer, MPVariable>>> on = new ArrayList<>();

    /**
     * What was found.
     *
     * @param hard least, or a bound from below
     * @param soft likewise, with that least hard
     * @param proven whether both are the score of a plan
     * @param days of the best plan by lane
     */
    record Answer(double hard, double soft, boolean proven, List<int[]> days) {}

    private Oracle(Instance instance, int seconds) {
        this(instance, seconds, "SCIP");
    }

    private Oracle(Instance instance, int seconds, String engine) {
        Loader.loadNativeLibraries();
        this.instance = instance;
        solver = MPSolver.createSolver(engine);
        solver.setTimeLimit(1000L * seconds);
        lanes = new Board(instance).lanes;
        lanes.forEach(this::chain);
        for (int d = 0; d < instance.days(); d++) {
            day(d);
        }
        spacing();
        together();
    }

    static Answer solve(Instance instance, int seconds) {
        return new Oracle(instance, seconds).solve();
    }

    /** The bound of the linear relaxation, in which an occurrence may be shared out over days in fractions. */
    private static String relaxed(Instance instance, Plan plan, int seconds) {
        Answer answer = new Oracle(instance, seconds, "GLOP").solve();
        return String.format(
                Locale.ROOT,
                "linear relaxation: hard %.0f, soft %.0f; planned is %.0f %% over%n",
                answer.hard(),
                answer.soft(),
                100.0 * (plan.score().soft() - answer.soft()) / answer.soft());
    }

    /** Says how far the plan of one tank may be from the best, and for more tanks whether broken rules must be. */
    static String compare(Instance instance, Plan plan, int seconds) {
        long tanks = instance.chains().stream()
                .map(chain -> chain.place().tank())
                .distinct()
                .count();
        if (tanks > MOST_RELAXED) {
            return certify(instance, plan, seconds);
        }
        if (tanks > 1) {
            return relaxed(instance, plan, seconds) + certify(instance, plan, seconds);
        }
        Answer answer = solve(instance, seconds);
        double over = 100.0 * (plan.score().soft() - answer.soft()) / answer.soft();
        return relaxed(instance, plan, seconds)
                + String.format(
                        Locale.ROOT,
                        "oracle: hard %s %.0f, soft %s %.0f; planned (%d, %d) is %.2f %% over",
                        answer.proven() ? "least" : "at least",
                        answer.hard(),
                        answer.proven() ? "least" : "at least",
                        answer.soft(),
                        plan.score().hard(),
                        plan.score().soft(),
                        over);
    }

    /** For each tank on which a rule is broken: whether it must be, even if there were no other tank. */
    static String certify(Instance instance, Plan plan, int seconds) {
        StringBuilder told = new StringBuilder();
        Map<Long, List<Chain>> byTank = new TreeMap<>();
        for (Chain chain : instance.chains()) {
            byTank.computeIfAbsent(chain.place().tank(), tank -> new ArrayList<>())
                    .add(chain);
        }
        long explained = 0;
        for (Map.Entry<Long, List<Chain>> tank : byTank.entrySet()) {
            Instance alone = new Instance(
                    instance.publishedDays(), tank.getValue(), instance.hours(), instance.setUps(), instance.before());
            List<int[]> days = new ArrayList<>();
            for (Chain chain : tank.getValue()) {
                days.add(plan.of(chain.id()).stream().mapToInt(day -> day).toArray());
            }
            long broken = Planner.scored(alone, days).score().hard();
            if (broken > 0) {
                Oracle oracle = new Oracle(alone, seconds);
                Solved least = oracle.minimize(oracle.hard);
                explained += broken;
                told.append(String.format(
                        Locale.ROOT,
                        "tank %d: hard %d planned, %s %.0f by the oracle%n",
                        tank.getKey(),
                        broken,
                        least.optimal() ? "least" : "at least",
                        least.bound()));
            }
        }
        long rest = plan.score().hard() - explained;
        return told + "hard beyond single tanks: " + rest;
    }

    private Answer solve() {
        Solved first = minimize(hard);
        MPConstraint least = solver.makeConstraint(-MPSolver.infinity(), first.bound() + NEVER_MIND);
        hard.forEach((variable, points) -> least.setCoefficient(variable, points));
        Solved second = first.optimal() ? minimize(soft) : new Solved(false, 0);
        return new Answer(first.bound(), second.bound(), first.optimal() && second.optimal(), days());
    }

    private record Solved(boolean optimal, double bound) {}

    private Solved minimize(Map<MPVariable, Double> points) {
        MPObjective objective = solver.objective();
        objective.clear();
        points.forEach(objective::setCoefficient);
        objective.setMinimization();
        MPSolverParameters exact = new MPSolverParameters();
        exact.setDoubleParam(MPSolverParameters.DoubleParam.RELATIVE_MIP_GAP, 0);
        ResultStatus status = solver.solve(exact);
        if (status != ResultStatus.OPTIMAL && status != ResultStatus.FEASIBLE) {
            throw new IllegalStateException("the oracle found nothing: " + status);
        }
        boolean optimal = status == ResultStatus.OPTIMAL;
        return new Solved(optimal, optimal ? objective.value() : objective.bestBound());
    }

    private List<int[]> days() {
        List<int[]> days = new ArrayList<>();
        for (List<Map<Integer, MPVariable>> occurrences : on) {
            days.add(occurrences.stream()
                    .mapToInt(choices -> choices.entrySet().stream()
                            .max(java.util.Comparator.comparingDouble(
                                    one -> one.getValue().solutionValue()))
                            .orElseThrow()
                            .getKey())
                    .toArray());
        }
        return days;
    }

    private MPVariable share(double most) {
        return solver.makeNumVar(0, most, "");
    }

    private void chain(Lane lane) {
        List<Map<Integer, MPVariable>> occurrences = new ArrayList<>();
        for (int k = 0; k < lane.count(); k++) {
            Map<Integer, MPVariable> choices = new TreeMap<>();
            MPConstraint once = solver.makeConstraint(1, 1);
            for (int d = lane.from[k]; d <= lane.to[k]; d++) {
                MPVariable here = solver.makeBoolVar("");
                once.setCoefficient(here, 1);
                choices.put(d, here);
                if (k == 0) {
                    soft.put(here, (double) lane.own(0, 0, d));
                }
            }
            if (k > 0) {
                gaps(lane, occurrences.get(k - 1), choices);
            }
            occurrences.add(choices);
        }
        on.add(occurrences);
    }

    /** What flows out of a day of one occurrence flows into days of the next. */
    private void gaps(Lane lane, Map<Integer, MPVariable> before, Map<Integer, MPVariable> after) {
        Map<Integer, MPConstraint> out = new HashMap<>();
        before.forEach((d, here) -> out.put(d, balance(here)));
        after.forEach((d, here) -> {
            MPConstraint in = balance(here);
            before.keySet().stream().filter(prior -> prior < d).forEach(prior -> {
                MPVariable flow = share(1);
                in.setCoefficient(flow, 1);
                Objects.requireNonNull(out.get(prior)).setCoefficient(flow, 1);
                soft.put(flow, (double) Score.unpack(lane.gap(d - prior)).soft());
            });
        });
    }

    private MPConstraint balance(MPVariable here) {
        MPConstraint balance = solver.makeConstraint(0, 0);
        balance.setCoefficient(here, -1);
        return balance;
    }

    private List<MPVariable> on(Lane lane, int d) {
        return on.get(lane.index).stream()
                .map(choices -> choices.get(d))
                .filter(Objects::nonNull)
                .toList();
    }

    /** A share that is at least the sum of each group, less what frees it. */
    private MPVariable any(List<List<MPVariable>> groups, List<MPVariable> free) {
        MPVariable any = share(1);
        for (List<MPVariable> group : groups) {
            MPConstraint reaches = solver.makeConstraint(0, MPSolver.infinity());
            reaches.setCoefficient(any, 1);
            free.forEach(one -> reaches.setCoefficient(one, 1));
            group.forEach(one -> reaches.setCoefficient(one, -1));
        }
        return any;
    }

    private void day(int d) {
        Map<MPVariable, Double> minutes = new HashMap<>();
        Map<MPVariable, Double> keeper = new HashMap<>();
        Map<Long, List<List<MPVariable>>> tanks = new HashMap<>();
        Map<Long, List<MPVariable>> changes = new HashMap<>();
        Map<Long, List<List<MPVariable>>> openings = new HashMap<>();
        Map<Integer, List<List<MPVariable>>> rooms = new HashMap<>();
        for (Lane lane : lanes) {
            Chain chain = lane.chain;
            List<MPVariable> here = on(lane, d);
            if (here.isEmpty()) {
                continue;
            }
            long tank = chain.place().tank();
            here.forEach(one -> minutes.put(one, (double) chain.work().minutes()));
            if (chain.work().hands() == Hands.KEEPER) {
                here.forEach(one -> keeper.put(one, (double) chain.work().minutes()));
            }
            rooms.computeIfAbsent(instance.setUps().rooms().get(tank), one -> new ArrayList<>())
                    .add(here);
            if (chain.work().reach() == Reach.WATER_CHANGE) {
                changes.computeIfAbsent(tank, one -> new ArrayList<>()).addAll(here);
            } else {
                tanks.computeIfAbsent(tank, one -> new ArrayList<>()).add(here);
            }
            if (chain.work().reach() == Reach.OPENED) {
                openings.computeIfAbsent(chain.place().filter(), one -> new ArrayList<>())
                        .add(here);
            }
        }
        SetUps setUps = instance.setUps();
        rooms.values().forEach(room -> setUp(minutes, any(room, List.of()), setUps.roomMinutes()));
        tanks.forEach(
                (tank, work) -> setUp(minutes, any(work, changes.getOrDefault(tank, List.of())), setUps.tankMinutes()));
        openings.forEach((filter, work) ->
                setUp(minutes, any(work, List.of()), setUps.openingMinutes().getOrDefault(filter, 0)));
        price(instance.hours().days().get(d), minutes, keeper);
    }

    private void setUp(Map<MPVariable, Double> minutes, MPVariable needed, int each) {
        minutes.put(needed, (double) each);
        soft.put(needed, 10.0 * each);
    }

    private void price(Hours.Day hours, Map<MPVariable, Double> minutes, Map<MPVariable, Double> keeper) {
        int all = hours.all();
        if (all % 5 != 0) {
            throw new IllegalArgumentException("the oracle wants capacities in fives but was given " + all);
        }
        soft.put(above(minutes, all / 2.0), 2.0);
        soft.put(above(minutes, all * 0.8), 6.0);
        hard.put(above(minutes, all), all == 0 ? 3.0 : 1.0);
        hard.put(above(keeper, hours.keeper()), hours.keeper() == 0 ? 3.0 : 1.0);
    }

    private MPVariable above(Map<MPVariable, Double> sum, double level) {
        MPVariable above = share(MPSolver.infinity());
        MPConstraint reaches = solver.makeConstraint(-level, MPSolver.infinity());
        reaches.setCoefficient(above, 1);
        sum.forEach((one, minutes) -> reaches.setCoefficient(one, -minutes));
        return above;
    }

    /** Each stretch of seven days should hold one disturbance; two that stand g days apart share 7 - g stretches. */
    private void spacing() {
        Map<Long, Map<Long, List<Lane>>> byTank = new HashMap<>();
        for (Lane lane : lanes) {
            if (lane.chain.demand().spaced()) {
                byTank.computeIfAbsent(lane.chain.place().tank(), tank -> new HashMap<>())
                        .computeIfAbsent(
                                lane.chain.place().filter() == 0
                                        ? -lane.index
                                        : lane.chain.place().filter(),
                                filter -> new ArrayList<>())
                        .add(lane);
            }
        }
        byTank.values().forEach(byFilter -> {
            List<List<MPVariable>> disturbances = new ArrayList<>();
            for (int d = 0; d < instance.days(); d++) {
                int today = d;
                disturbances.add(byFilter.values().stream()
                        .map(same ->
                                any(same.stream().map(lane -> on(lane, today)).toList(), List.of()))
                        .toList());
            }
            for (int start = -6; start < instance.days(); start++) {
                Map<MPVariable, Double> within = new HashMap<>();
                for (int d = Math.max(0, start); d < Math.min(instance.days(), start + 7); d++) {
                    disturbances.get(d).forEach(one -> within.put(one, 1.0));
                }
                hard.put(above(within, 1), 10.0);
            }
        });
    }

    private void together() {
        Map<ChainId, Lane> byId = new HashMap<>();
        lanes.forEach(lane -> byId.put(lane.chain.id(), lane));
        for (Lane lane : lanes) {
            if (lane.chain.demand().with().isPresent()) {
                Lane partner = Objects.requireNonNull(
                        byId.get(lane.chain.demand().with().get()));
                for (int d = 0; d < instance.days(); d++) {
                    hard.put(any(List.of(on(lane, d)), on(partner, d)), (double) Weights.NOT_TOGETHER);
                }
            }
        }
    }
}
