package app.chervil.core.agenda;

import app.chervil.core.agenda.PlanState.ChainState;
import app.chervil.core.plan.Audit;
import app.chervil.core.plan.ChainId;
import app.chervil.core.plan.Instance;
import app.chervil.core.plan.Plan;
import app.chervil.core.plan.Planner;
import app.chervil.core.plan.Planner.Effort;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
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

    /** A plan that stood longer than this was relied on. */
    private static final Duration GLIMPSE = Duration.ofMinutes(10);

    private static final String FURTHER = "more weeks were planned";
    private static final String BETTER = "a better plan was found";

    /** How thoroughly a site is searched, at once and while nobody waits. */
    private enum Pace {
        /** To the end at once, which takes a second. */
        SMALL(60, Effort.BACKGROUND, Effort.BACKGROUND),
        MIDDLING(600, Effort.INTERACTIVE, Effort.BACKGROUND),
        LARGE(Integer.MAX_VALUE, Effort.USABLE, Effort.INTERACTIVE);

        private final int mostChains;
        private final Effort atOnce;
        private final Effort inTheEnd;

        Pace(int mostChains, Effort atOnce, Effort inTheEnd) {
            this.mostChains = mostChains;
            this.atOnce = atOnce;
            this.inTheEnd = inTheEnd;
        }

        static Pace of(Instance instance) {
            int chains = instance.chains().size();
            return chains <= SMALL.mostChains ? SMALL : chains <= MIDDLING.mostChains ? MIDDLING : LARGE;
        }

        boolean hasty() {
            return atOnce != inTheEnd;
        }
    }

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
        Pace pace = Pace.of(instance);
        PlanState unplanned = state(agenda);
        Plan plan = told.isEmpty()
                ? Planner.plan(instance, pace.atOnce, SEED)
                : again(instance, agenda, new Difference(before, unplanned));
        Audit audit = new Audit(instance, plan);
        PlanState state = unplanned.planned(plan);
        Difference difference = new Difference(before, state);
        Optional<Moved> moved = told.filter(one -> one.weeks() == horizon || !one.rough() || reliedOn(one, now))
                .flatMap(one -> moved(
                        difference,
                        one.weeks() == horizon ? one.decided() : List.of(FURTHER),
                        agenda.today().plusDays(instance.publishedDays()),
                        now));
        return new Standing(
                agenda,
                audit,
                new Told(
                        mark,
                        horizon,
                        state,
                        visits(agenda, audit, now),
                        told.map(Told::rough).orElse(pace.hasty()),
                        List.of()),
                moved);
    }

    /** Whether people had time to arrange themselves by a plan. */
    private static boolean reliedOn(Told told, Instant now) {
        return told.visits().stream().anyMatch(visit -> visit.changedAt().isBefore(now.minus(GLIMPSE)));
    }

    /** What people are told of a plan whose days are others; empty if none are. */
    private static Optional<Moved> moved(Difference difference, List<String> decided, LocalDate until, Instant now) {
        List<Moved.Move> moves = difference.moves(until);
        return moves.isEmpty() ? Optional.empty() : Optional.of(new Moved(now, difference.causes(decided), moves));
    }

    /**
     * A plan that was made in haste, bettered.
     *
     * @param moved what people are told of it; empty if nothing moved that they could have relied on
     */
    public record Bettered(Told told, Optional<Moved> moved) {}

    /**
     * A better plan for a site that was first planned in haste. A plan that stood for seconds, and was said not to be final, does not
     * hold it to its days; one that people had time to arrange themselves by does, and they are told what moves.
     */
    public Bettered better(Standing rough, Instant now) {
        Told before = rough.told();
        boolean reliedOn = reliedOn(before, now);
        Instance instance = reliedOn ? rough.instance() : rough.instance().untold();
        Plan plan = Planner.plan(instance, Pace.of(instance).inTheEnd, SEED);
        PlanState state = state(rough.agenda()).planned(plan);
        Optional<Moved> moved = reliedOn
                ? moved(
                        new Difference(before.state(), state),
                        List.of(BETTER),
                        rough.date(instance.publishedDays()),
                        now)
                : Optional.empty();
        return new Bettered(
                new Told(
                        before.mark(),
                        before.weeks(),
                        state,
                        visits(rough.agenda(), new Audit(rough.instance(), plan), now),
                        false,
                        List.of()),
                moved);
    }

    private List<BookedVisit> visits(Agenda agenda, Audit audit, Instant now) {
        return new Visits(agenda, audit).booked(told.map(Told::visits).orElse(List.of()), now);
    }

    private Plan again(Instance instance, Agenda agenda, Difference difference) {
        boolean everywhere = difference.inHours() && Pace.of(instance) != Pace.LARGE;
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
        Map<ChainId, ChainState> chains = new TreeMap<>();
        agenda.work().forEach((id, work) -> chains.put(id, ChainState.of(agenda, work)));
        agenda.waiting().forEach(work -> chains.put(work.chain().id(), ChainState.of(agenda, work)));
        return new PlanState(agenda.today(), chains, Marks.hours(agenda.people()), Marks.decisions(decisions));
    }
}
