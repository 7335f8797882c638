package app.chervil.server.plan;

import app.chervil.core.plan.Instance;
import app.chervil.core.plan.Plan;
import app.chervil.core.plan.Plan.Occurrence;
import app.chervil.core.plan.Planner;
import app.chervil.core.plan.Planner.Effort;
import app.chervil.core.plan.Why;
import app.chervil.server.account.SignedIn;
import app.chervil.server.plan.PlanDecision.How;
import app.chervil.server.plan.PlanMapper.DecisionRow;
import app.chervil.server.plan.PlanMapper.PlanRow;
import app.chervil.server.plan.PlanMapper.StepRow;
import app.chervil.server.plan.PlanMapper.VisitRow;
import app.chervil.server.plan.PlanSnapshot.ChainState;
import app.chervil.server.plan.PlanView.DayPrices;
import app.chervil.server.plan.PlanView.PlanItem;
import app.chervil.server.plan.PlanView.PlanMove;
import app.chervil.server.problem.NotFound;
import app.chervil.server.problem.Rejected;
import java.time.Clock;
import java.time.Duration;
import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.TreeMap;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.json.JsonMapper;

/**
 * The plan in force. Nothing tells it of logs, readings or days off: at every question it looks whether what it rests on has
 * changed, and is made anew from where it stood if so.
 */
@Service
public class PlanOperations {
    static final int MOST_WEEKS = 26;
    private static final int USUAL_WEEKS = 8;
    private static final long SEED = 26_1126;
    private static final int SKIPS_COUNT_DAYS = 400;
    private static final int VISITS_KEPT_DAYS = 21;

    /** Sites with more chains than this are first planned without a search, and searched while nobody waits. */
    private static final int MOST_AT_ONCE = 600;

    /** Sites with no more chains than this are searched to the end at once: half a second. */
    private static final int MOST_THOROUGHLY = 60;

    private static final Duration UNDO_WITHIN = Duration.ofDays(7);
    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("EEE d MMM", Locale.ENGLISH);

    private final PlanMapper mapper;
    private final PlanInputs inputs;
    private final PlanWorker worker;
    private final JsonMapper json;
    private final Clock clock;

    PlanOperations(PlanMapper mapper, PlanInputs inputs, PlanWorker worker, JsonMapper json, Clock clock) {
        this.mapper = mapper;
        this.inputs = inputs;
        this.worker = worker;
        this.json = json;
        this.clock = clock;
    }

    /**
     * The plan of the coming weeks.
     *
     * @param weeks 1 to 26
     * @throws Rejected if there are more or fewer
     */
    @Transactional
    public PlanView view(SignedIn who, int weeks) {
        new Rejected.Gatherer()
                .check(weeks >= 1 && weeks <= MOST_WEEKS, "weeks", "out-of-range", "1 to 26 weeks.")
                .done();
        return view(who, inForce(who, weeks, List.of()), weeks);
    }

    private PlanView view(SignedIn who, PlanForce force, int weeks) {
        @Nullable String undo = lastStep(who).map(StepRow::words).orElse(null);
        return new PlanViews(force, json)
                .of(weeks, mapper.listChanges(who.siteId(), PlanViews.MOST_CHANGES), undo, worker.busy(who.siteId()));
    }

    private java.util.Optional<StepRow> lastStep(SignedIn who) {
        return mapper.findLastStep(who.siteId(), clock.instant().minus(UNDO_WITHIN));
    }

    /** The plan in force for those who walk the rounds. */
    @Transactional
    public PlanDays days(SignedIn who) {
        PlanForce force = inForce(who);
        PlanViews views = new PlanViews(force, json);
        return new PlanDays(
                views.days(force.instance().publishedDays()),
                views.visits(),
                force.input().forecasts());
    }

    /** The plan in force, made anew if need be. */
    @Transactional
    PlanForce inForce(SignedIn who) {
        return inForce(who, 1, List.of());
    }

    private PlanForce inForce(SignedIn who, int weeks, List<String> decided) {
        mapper.lock(who.siteId());
        @Nullable PlanRow row = mapper.find(who.siteId()).orElse(null);
        int horizon = Math.max(weeks, row == null ? USUAL_WEEKS : row.weeks());
        PlanSnapshot snapshot = row == null ? PlanSnapshot.NONE : json.readValue(row.snapshot(), PlanSnapshot.class);
        PlanInput gathered = inputs.gather(who);
        List<DecisionRow> decisions =
                mapper.listDecisions(who.siteId(), gathered.today().minusDays(SKIPS_COUNT_DAYS));
        PlanInput input = PlanBefore.skipped(gathered, decisions);
        Instance instance = input.instance(horizon, PlanBefore.of(input, snapshot, decisions));
        String fingerprint = PlanMarks.of(input, decisions, horizon);
        if (row != null && row.fingerprint().equals(fingerprint)) {
            return new PlanForce(input, instance, Planner.kept(instance), stored(who, input));
        }
        Plan plan = row == null ? first(instance) : again(instance, input, snapshot, decisions);
        PlanSnapshot now = snapshot(input, plan, decisions);
        if (row != null) {
            tell(who, new PlanDiff(snapshot, now), decided, input.today().plusDays(instance.publishedDays()));
        }
        mapper.save(who.siteId(), new PlanRow(0, input.today(), fingerprint, horizon, json.writeValueAsString(now)));
        List<VisitRow> rows = storeVisits(who, input, instance, plan);
        if (instance.chains().size() > MOST_AT_ONCE && row == null) {
            worker.improve(who, () -> improve(who, fingerprint, instance));
        }
        return new PlanForce(input, instance, plan, rows);
    }

    private static Plan first(Instance instance) {
        int chains = instance.chains().size();
        Effort effort = chains > MOST_AT_ONCE
                ? Effort.USABLE
                : chains > MOST_THOROUGHLY ? Effort.INTERACTIVE : Effort.BACKGROUND;
        return Planner.plan(instance, effort, SEED);
    }

    private Plan again(Instance instance, PlanInput input, PlanSnapshot before, List<DecisionRow> decisions) {
        PlanSnapshot now = snapshot(input, new Plan(Map.of(), new app.chervil.core.plan.Score(0, 0)), decisions);
        boolean everywhere =
                !before.hours().equals(now.hours()) && instance.chains().size() <= MOST_AT_ONCE;
        Set<String> names = new PlanDiff(before, now).touched();
        Set<Long> touched = input.tanks().keySet().stream()
                .filter(tank -> everywhere || names.contains(input.tankName(tank)))
                .collect(Collectors.toSet());
        if (!before.decisions().equals(now.decisions())) {
            decisions.stream()
                    .flatMap(decision -> input.find(decision.chain()).stream())
                    .forEach(work -> touched.add(work.chain().place().tank()));
        }
        return Planner.replan(instance, touched, SEED);
    }

    private PlanSnapshot snapshot(PlanInput input, Plan plan, List<DecisionRow> decisions) {
        Map<Long, ChainState> chains = new TreeMap<>();
        input.work()
                .forEach((id, work) -> chains.put(
                        id,
                        PlanDiff.state(
                                input,
                                work,
                                plan.of(id).stream()
                                        .map(day -> input.today().plusDays(day))
                                        .toList())));
        input.waiting().forEach(work -> chains.put(work.chain().id(), PlanDiff.state(input, work, List.of())));
        return new PlanSnapshot(input.today(), chains, PlanMarks.hours(input), PlanMarks.decisions(decisions));
    }

    private void tell(SignedIn who, PlanDiff diff, List<String> decided, LocalDate until) {
        List<PlanMove> moves = diff.moves(until);
        if (!moves.isEmpty()) {
            mapper.insertChange(
                    who.siteId(),
                    clock.instant(),
                    json.writeValueAsString(diff.causes(decided)),
                    json.writeValueAsString(moves));
        }
    }

    private List<VisitRow> stored(SignedIn who, PlanInput input) {
        return mapper.listVisits(who.siteId(), input.today());
    }

    private List<VisitRow> storeVisits(SignedIn who, PlanInput input, Instance instance, Plan plan) {
        List<VisitRow> before = mapper.listVisits(who.siteId(), input.today().minusDays(VISITS_KEPT_DAYS));
        List<VisitRow> rows = new PlanVisits(input, instance, plan, json).rows(before, clock.instant());
        Map<UUID, VisitRow> now = new HashMap<>();
        rows.forEach(row -> now.put(row.id(), row));
        List<UUID> gone = before.stream()
                .filter(row -> !now.containsKey(row.id()) && row.onDay().isAfter(input.today()))
                .map(VisitRow::id)
                .toList();
        List<VisitRow> changed =
                rows.stream().filter(row -> !before.contains(row)).toList();
        if (!gone.isEmpty()) {
            mapper.deleteVisits(who.siteId(), json.writeValueAsString(gone));
        }
        if (!changed.isEmpty()) {
            mapper.saveVisits(who.siteId(), json.writeValueAsString(changed));
        }
        return rows;
    }

    /** Puts a better plan in force if nothing has changed meanwhile; run by the worker, outside any request. */
    private void improve(SignedIn who, String fingerprint, Instance instance) {
        Plan better = Planner.plan(instance, Effort.INTERACTIVE, SEED);
        worker.store(() -> {
            mapper.lock(who.siteId());
            @Nullable PlanRow row = mapper.find(who.siteId()).orElse(null);
            PlanInput input = inputs.gather(who);
            if (row != null && row.fingerprint().equals(fingerprint)) {
                PlanSnapshot now = snapshot(input, better, List.of());
                mapper.save(
                        who.siteId(),
                        new PlanRow(0, input.today(), fingerprint, row.weeks(), json.writeValueAsString(now)));
                storeVisits(who, input, instance, better);
            }
        });
    }

    /**
     * Why work lies on its day, and what every other day would cost.
     *
     * @throws NotFound if it is not planned so
     */
    @Transactional
    public DayPrices prices(SignedIn who, List<PlanItem> items) {
        PlanForce force = inForce(who);
        List<Occurrence> together =
                items.stream().map(item -> occurrence(force, item)).toList();
        if (together.isEmpty()) {
            throw new NotFound("work");
        }
        Why why = new Why(force.instance(), force.plan(), force.input().today(), chain -> force.input()
                .of(chain)
                .subject()
                .words());
        return PlanViews.prices(why.of(together), force.input().today());
    }

    private static Occurrence occurrence(PlanForce force, PlanItem item) {
        int day = PlanBefore.day(force.input().today(), item.on());
        int k = force.plan().of(item.chain()).indexOf(day);
        if (k < 0) {
            throw new NotFound("work");
        }
        return new Occurrence(force.input().of(item.chain()).chain(), k, day);
    }

    /**
     * Pins, leaves out or frees work, and plans the rest around it.
     *
     * @throws Rejected if the day does not fit
     */
    @Transactional
    public PlanView decide(SignedIn who, PlanDecision decision, int weeks) {
        PlanForce force = inForce(who, weeks, List.of());
        List<Occurrence> items =
                decision.items().stream().map(item -> occurrence(force, item)).toList();
        LocalDate today = force.input().today();
        @Nullable LocalDate to = decision.to();
        checkDay(decision, force, items);
        PlanRow row = mapper.find(who.siteId()).orElseThrow();
        String words = words(decision, force, items);
        long step = mapper.insertStep(who.siteId(), words, who.name(), clock.instant(), row.snapshot());
        PlanSnapshot snapshot = json.readValue(row.snapshot(), PlanSnapshot.class);
        Map<Long, ChainState> chains = new TreeMap<>(snapshot.chains());
        for (Occurrence item : items) {
            LocalDate on = today.plusDays(item.day());
            mapper.listDecisions(who.siteId(), today).stream()
                    .filter(one ->
                            one.chain() == item.chain().id() && one.onDay().equals(on))
                    .forEach(one -> mapper.endDecision(who.siteId(), one.id(), step));
            if (decision.how() == How.PIN && to != null) {
                mapper.insertDecision(who.siteId(), item.chain().id(), to, Instance.How.PINNED, step);
                chains.computeIfPresent(item.chain().id(), (id, state) -> moved(state, on, to));
            } else if (decision.how() == How.SKIP) {
                mapper.insertDecision(who.siteId(), item.chain().id(), on, Instance.How.SKIPPED, step);
            }
        }
        store(who, row, new PlanSnapshot(snapshot.madeOn(), chains, snapshot.hours(), snapshot.decisions()));
        return view(who, inForce(who, weeks, List.of(words)), weeks);
    }

    private void store(SignedIn who, PlanRow row, PlanSnapshot snapshot) {
        mapper.save(
                who.siteId(),
                new PlanRow(0, row.madeOn(), row.fingerprint(), row.weeks(), json.writeValueAsString(snapshot)));
    }

    private static ChainState moved(ChainState state, LocalDate from, LocalDate to) {
        List<LocalDate> days = new ArrayList<>(state.days());
        days.replaceAll(day -> day.equals(from) ? to : day);
        return new ChainState(state.since(), state.ideal(), state.hold(), state.name(), state.tank(), days);
    }

    private static void checkDay(PlanDecision decision, PlanForce force, List<Occurrence> items) {
        if (decision.how() != How.PIN) {
            return;
        }
        @Nullable LocalDate to = decision.to();
        LocalDate today = force.input().today();
        Rejected.Gatherer gatherer = new Rejected.Gatherer()
                .check(to != null, "to", "missing", "To which day?")
                .check(to == null || !to.isBefore(today), "to", "gone-by", "This day has gone by.")
                .check(
                        to == null
                                || to.isBefore(today.plusDays(force.instance().publishedDays())),
                        "to",
                        "too-far",
                        "This day lies beyond the plan.");
        for (Occurrence item : items) {
            List<Integer> days = force.plan().of(item.chain().id());
            int day = to == null ? item.day() : PlanBefore.day(today, to);
            boolean after = item.k() == 0 || day > days.get(item.k() - 1);
            boolean before = item.k() + 1 >= days.size() || day < days.get(item.k() + 1);
            String name = force.input().of(item.chain().id()).subject().words();
            gatherer.check(
                    after && before,
                    "to",
                    "out-of-turn",
                    "Between the times before and after only: this would pass another time of " + name + ".");
        }
        gatherer.done();
    }

    private static String words(PlanDecision decision, PlanForce force, List<Occurrence> items) {
        Occurrence first = items.get(0);
        String what = items.size() == 1
                ? force.input().of(first.chain().id()).subject().words()
                : items.size() + " tasks";
        String where = " on " + force.input().tankName(first.chain().place().tank());
        return switch (decision.how()) {
            case PIN -> {
                LocalDate to = Objects.requireNonNull(decision.to());
                yield (to.equals(force.input().today().plusDays(first.day())) ? "pinned " : "moved ") + what + where
                        + " to " + DAY.format(to);
            }
            case SKIP -> "left out " + what + where;
            case FREE -> "freed " + what + where;
        };
    }

    /**
     * Takes the last decision back, and the plan to where it stood.
     *
     * @throws NotFound if there is none
     */
    @Transactional
    public PlanView undo(SignedIn who, int weeks) {
        mapper.lock(who.siteId());
        StepRow step = lastStep(who).orElseThrow(() -> new NotFound("step"));
        PlanRow row = mapper.find(who.siteId()).orElseThrow(() -> new NotFound("plan"));
        mapper.deleteDecisions(who.siteId(), step.id());
        mapper.reviveDecisions(who.siteId(), step.id());
        mapper.updateStep(who.siteId(), step.id(), clock.instant());
        mapper.save(who.siteId(), new PlanRow(0, row.madeOn(), "undone", row.weeks(), step.before()));
        return view(who, inForce(who, weeks, List.of("undone: " + step.words())), weeks);
    }
}
