package app.chervil.core.agenda;

import app.chervil.core.agenda.PlanState.ChainState;
import app.chervil.core.plan.Audit;
import app.chervil.core.plan.Instance;
import app.chervil.core.plan.Plan;
import app.chervil.core.plan.Planner;
import app.chervil.core.plan.Planner.Effort;
import java.time.Instant;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;

/**
 * From the plan that people were told to the plan in force. The same plan, agenda and decisions give the same answer on every
 * server, so that it may be worked out at every question and kept by whoever comes first.
 *
 * @param told empty before the first plan
 * @param decisions of keepers, by day
 */
public record Replanning(Optional<Told> told, List<Decided> decisions) {
    public static final int MOST_WEEKS = 26;
    public static final int USUAL_WEEKS = 8;

    /** Days for which a work left out still counts as done. */
    public static final int SKIPS_COUNT_DAYS = 400;

    static final long SEED = 26_1126;

    /** Sites with more chains than this are first planned without a search, and searched a little while nobody waits. */
    private static final int MOST_AT_ONCE = 600;

    /** Sites with no more chains than this are searched to the end at once: a second. */
    private static final int MOST_THOROUGHLY = 60;

    /** Sites with no more chains than this, and more than those, are searched a little and left at that. */
    private static final int MOST_LEFT = 150;

    public Replanning {
        decisions = List.copyOf(decisions);
    }

    /**
     * The plan in force.
     *
     * @param weeks asked for, 1 to 26; as many as were told before are planned in any case
     */
    public Standing of(Agenda gathered, int weeks, Instant now) {
        int horizon = Math.max(weeks, told.map(Told::weeks).orElse(USUAL_WEEKS));
        PlanState before = told.map(Told::state).orElse(PlanState.NONE);
        Agenda agenda = CarriedOver.skipped(gathered, decisions);
        Instance instance = agenda.instance(horizon, CarriedOver.before(agenda, before, decisions));
        String mark = Marks.of(agenda, decisions, horizon);
        if (told.isPresent() && told.get().mark().equals(mark)) {
            return new Standing(agenda, new Audit(instance, Planner.kept(instance)), told.get(), Optional.empty());
        }
        boolean hasty = instance.chains().size() > MOST_LEFT;
        PlanState unplanned = state(agenda);
        Plan plan = told.isEmpty() ? first(instance) : again(instance, agenda, new Difference(before, unplanned));
        Audit audit = new Audit(instance, plan);
        PlanState state = unplanned.planned(plan);
        Difference difference = new Difference(before, state);
        List<Moved.Move> moves =
                told.isEmpty() ? List.of() : difference.moves(agenda.today().plusDays(instance.publishedDays()));
        return new Standing(
                agenda,
                audit,
                new Told(
                        mark,
                        horizon,
                        state,
                        visits(agenda, audit, now),
                        told.map(Told::rough).orElse(hasty),
                        List.of()),
                moves.isEmpty()
                        ? Optional.empty()
                        : Optional.of(new Moved(
                                now, difference.causes(told.map(Told::decided).orElse(List.of())), moves)));
    }

    /**
     * A better plan for a site that was first planned in haste. The one before stands for seconds and is said not to be final, so
     * its days are not held on to.
     */
    public Told better(Standing rough, Instant now) {
        Instance instance = rough.instance().untold();
        boolean large = instance.chains().size() > MOST_AT_ONCE;
        Plan plan = Planner.plan(instance, large ? Effort.INTERACTIVE : Effort.BACKGROUND, SEED);
        return new Told(
                rough.told().mark(),
                rough.told().weeks(),
                state(rough.agenda()).planned(plan),
                visits(rough.agenda(), new Audit(rough.instance(), plan), now),
                false,
                List.of());
    }

    private List<BookedVisit> visits(Agenda agenda, Audit audit, Instant now) {
        return new Visits(agenda, audit).booked(told.map(Told::visits).orElse(List.of()), now);
    }

    private static Plan first(Instance instance) {
        int chains = instance.chains().size();
        Effort effort = chains > MOST_AT_ONCE
                ? Effort.USABLE
                : chains > MOST_THOROUGHLY ? Effort.INTERACTIVE : Effort.BACKGROUND;
        return Planner.plan(instance, effort, SEED);
    }

    private Plan again(Instance instance, Agenda agenda, Difference difference) {
        boolean everywhere = difference.inHours() && instance.chains().size() <= MOST_AT_ONCE;
        Set<String> names = difference.touched();
        Set<Long> touched = agenda.tanks().values().stream()
                .filter(tank -> everywhere || names.contains(tank.name()))
                .map(tank -> tank.id())
                .collect(Collectors.toCollection(HashSet::new));
        if (difference.inDecisions()) {
            decisions.stream()
                    .flatMap(decision -> agenda.find(decision.chain()).stream())
                    .forEach(work -> touched.add(work.chain().place().tank()));
        }
        return difference.inHours() || difference.inDays()
                ? Planner.replanAll(instance, touched, SEED)
                : Planner.replan(instance, touched, SEED);
    }

    /** What a plan rests on, before any day is given. */
    private PlanState state(Agenda agenda) {
        Map<Long, ChainState> chains = new TreeMap<>();
        agenda.work().forEach((id, work) -> chains.put(id, ChainState.of(agenda, work)));
        agenda.waiting().forEach(work -> chains.put(work.chain().id(), ChainState.of(agenda, work)));
        return new PlanState(agenda.today(), chains, Marks.hours(agenda.people()), Marks.decisions(decisions));
    }
}
