package app.chervil.server.plan;

import app.chervil.core.calc.FirstLetter;
import app.chervil.core.filter.CareAction;
import app.chervil.core.filter.CareRule;
import app.chervil.core.filter.Material;
import app.chervil.core.filter.StageKind;
import app.chervil.core.interval.Window;
import app.chervil.core.plan.Chain;
import app.chervil.core.plan.Chain.Demand;
import app.chervil.core.plan.Chain.Hands;
import app.chervil.core.plan.Chain.Place;
import app.chervil.core.plan.Instance.Logged;
import app.chervil.core.plan.Rhythms;
import app.chervil.core.plan.SetUps;
import app.chervil.core.tank.TankChore;
import app.chervil.core.visit.Errand.Reach;
import app.chervil.core.water.Hold;
import app.chervil.server.account.SignedIn;
import app.chervil.server.interval.CareBook;
import app.chervil.server.interval.CareBook.TaskForecast;
import app.chervil.server.interval.ForecastOperations;
import app.chervil.server.interval.HoldBook;
import app.chervil.server.plan.ChoreOperations.Planned;
import app.chervil.server.plan.PlanInput.Subject;
import app.chervil.server.plan.PlanInput.Work;
import app.chervil.server.tank.TankOperations;
import app.chervil.server.tank.TankView;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.OptionalLong;
import java.util.Set;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** Gathers what a plan rests on: windows, holds, chores, what was done lately, and people's time. */
@Component
class PlanInputs {
    /** Set-up minutes; our judgement, docs/sources.md#planning. */
    private static final int ROOM_MINUTES = 2;

    private static final int TANK_MINUTES = 3;

    /** Work done before that can no longer stand too close to anything. */
    private static final int LOOK_BACK_DAYS = 7;

    private final ForecastOperations forecasts;
    private final HoldBook holds;
    private final TankOperations tanks;
    private final ChoreOperations chores;
    private final TimeOperations time;

    PlanInputs(
            ForecastOperations forecasts,
            HoldBook holds,
            TankOperations tanks,
            ChoreOperations chores,
            TimeOperations time) {
        this.forecasts = forecasts;
        this.holds = holds;
        this.tanks = tanks;
        this.chores = chores;
        this.time = time;
    }

    PlanInput gather(SignedIn who) {
        LocalDate today = tanks.today();
        Gathering gathering = new Gathering(today, holds.holds(who, null, today), time.keeperOnly(who));
        List<TankView> walked = tanks.list(who).stream()
                .sorted(Comparator.comparing((TankView tank) -> tank.tank().room())
                        .thenComparing(tank -> tank.tank().name())
                        .thenComparing(TankView::id))
                .toList();
        walked.forEach(gathering::tank);
        List<CareBook> books = forecasts.books(who, null, service -> true);
        List<Planned> planned = chores.planned(who);
        for (TankView tank : walked) {
            books.stream().filter(book -> book.tank().id() == tank.id()).forEach(gathering::filter);
            planned.stream().filter(chore -> chore.tankId() == tank.id()).forEach(gathering::chore);
        }
        return gathering.input(time.find(who));
    }

    /** One gathering; tanks first, then what is on them. */
    private static final class Gathering {
        private final LocalDate today;
        private final Map<Long, List<Hold>> onHold;
        private final Set<String> keeperOnly;
        private final Map<Long, TankView> byId = new LinkedHashMap<>();
        private final Map<Long, Work> work = new LinkedHashMap<>();
        private final List<Work> waiting = new ArrayList<>();
        private final List<Logged> logged = new ArrayList<>();
        private final List<TaskForecast> forecasts = new ArrayList<>();
        private final Map<Long, Integer> openings = new HashMap<>();
        private final Map<Long, Integer> rooms = new HashMap<>();
        private final Map<String, Integer> roomNumbers = new HashMap<>();
        private final Map<Long, Long> changeOfTank = new HashMap<>();
        private final Map<Long, Long> sockOfTank = new HashMap<>();

        Gathering(LocalDate today, Map<Long, List<Hold>> onHold, Set<String> keeperOnly) {
            this.today = today;
            this.onHold = onHold;
            this.keeperOnly = keeperOnly;
        }

        void tank(TankView tank) {
            byId.put(tank.id(), tank);
            rooms.put(tank.id(), roomNumbers.computeIfAbsent(tank.tank().room(), room -> roomNumbers.size()));
        }

        void filter(CareBook book) {
            long tank = book.tank().id();
            List<TaskForecast> tasks = book.forecasts(today);
            forecasts.addAll(tasks);
            for (TaskForecast task : tasks) {
                if (!task.task().withOpening()) {
                    add(work(book, task));
                }
                if (catchesBlownDirt(task)) {
                    sockOfTank.putIfAbsent(tank, task.task().id());
                }
            }
            for (var service : book.past().services()) {
                boolean disturbed = tasks.stream()
                        .anyMatch(task -> service.done().containsKey(task.task().id()) && book.disturbs(task.task()));
                if (disturbed && lately(service.doneOn())) {
                    logged.add(new Logged(new Place(tank, book.filter().id()), day(service.doneOn())));
                }
            }
        }

        private static boolean catchesBlownDirt(TaskForecast task) {
            boolean changed =
                    task.task().action() == CareAction.CHANGE || task.task().action() == CareAction.RINSE;
            return changed
                    && task.filter().stages().stream()
                            .filter(stage ->
                                    Objects.equals(stage.id(), task.task().stageId()))
                            .anyMatch(stage -> stage.kind() == StageKind.SOCK
                                    || stage.kind() == StageKind.FINE_PAD
                                    || stage.kind() == StageKind.FLOSS);
        }

        private boolean lately(LocalDate day) {
            return !day.isAfter(today) && day.isAfter(today.minusDays(LOOK_BACK_DAYS));
        }

        private int day(LocalDate date) {
            return Math.toIntExact(ChronoUnit.DAYS.between(today, date));
        }

        private Work work(CareBook book, TaskForecast task) {
            CareRule rule = task.rule();
            if (rule.effort().setUpMinutes() > 0) {
                openings.put(book.filter().id(), rule.effort().setUpMinutes());
            }
            boolean opening = task.task().action() == CareAction.OPEN;
            List<Material> carry = opening
                    ? Stream.concat(
                                    rule.effort().carry().stream(),
                                    book.goingWithOpening().stream().flatMap(inner -> inner.effort().carry().stream()))
                            .distinct()
                            .toList()
                    : rule.effort().carry();
            Subject subject =
                    new Subject(task.task().name(), book.filter().name(), null, carry, rule.why(), rule.graded());
            @Nullable Hold hold = book.disturbs(task.task()) ? first(book.tank().id()) : null;
            Chain.Work effort = new Chain.Work(
                    rule.effort().minutes(),
                    task.reach() == Reach.FREE ? Chain.Reach.OUTSIDE : Chain.Reach.OPENED,
                    keeperOnly.contains(rule.action().name()) ? Hands.KEEPER : Hands.ANYONE);
            Chain chain = new Chain(
                    task.task().id(),
                    new Place(book.tank().id(), book.filter().id()),
                    Rhythms.of(task.forecast().since(), task.forecast().window(), rule, today),
                    effort,
                    new Demand(book.disturbs(task.task()), notBefore(hold), OptionalLong.empty()));
            return new Work(
                    chain, subject, task.forecast().since(), task.forecast().window(), hold);
        }

        private @Nullable Hold first(long tank) {
            return onHold.getOrDefault(tank, List.of()).stream()
                    .min(Hold.LONGEST_FIRST)
                    .orElse(null);
        }

        private int notBefore(@Nullable Hold hold) {
            return hold == null
                    ? 0
                    : hold.likelyUntil().map(until -> Math.max(0, day(until))).orElse(0);
        }

        void chore(Planned chore) {
            TankView tank = Objects.requireNonNull(byId.get(chore.tankId()));
            long id = PlanInput.chainOfChore(chore.id());
            int disturbs = CareRule.disturbanceOf(
                    chore.kind().disturbance(), tank.tank().setting().bacteriaHome());
            // The substrate's own bacteria are what a vacuum disturbs, wherever else they live.
            boolean spaced = chore.kind() == TankChore.SUBSTRATE_VACUUM || Hold.concerns(disturbs);
            @Nullable Hold hold = spaced ? first(tank.id()) : null;
            if (chore.kind() == TankChore.WATER_CHANGE) {
                changeOfTank.put(tank.id(), id);
            }
            Window window = chore.window();
            Chain chain = new Chain(
                    id,
                    new Place(tank.id(), Place.NO_FILTER),
                    Rhythms.of(chore.since(), window, today),
                    new Chain.Work(
                            chore.kind().minutes(),
                            chore.kind() == TankChore.WATER_CHANGE ? Chain.Reach.WATER_CHANGE : Chain.Reach.OUTSIDE,
                            keeperOnly.contains(chore.kind().name()) ? Hands.KEEPER : Hands.ANYONE),
                    new Demand(spaced, notBefore(hold), OptionalLong.empty()));
            String name = chore.kind().words();
            Subject subject = new Subject(
                    FirstLetter.upper(name), "", chore.kind(), carry(chore.kind()), "It is put off.", false);
            add(new Work(chain, subject, chore.since(), window, hold));
            if (chore.kind() == TankChore.SUBSTRATE_VACUUM) {
                chore.done().stream()
                        .filter(this::lately)
                        .forEach(done -> logged.add(new Logged(new Place(tank.id(), Place.NO_FILTER), day(done))));
            }
        }

        private static List<Material> carry(TankChore kind) {
            return switch (kind) {
                case WATER_CHANGE -> List.of(Material.SIPHON, Material.BUCKET);
                case SUBSTRATE_VACUUM -> List.of(Material.SIPHON);
                case ROCK_BLOW_OFF -> List.of(Material.ROCK_PUMP);
                case LIGHTS_AND_COVERS -> List.of(Material.SOFT_CLOTH);
                case PLANT_TRIM -> List.of(Material.SCISSORS);
                case AIR_PUMP -> List.of(Material.AIR_STONE);
                case SKIMMER_CUP, TOP_OFF -> List.of();
            };
        }

        private void add(Work one) {
            if (one.hold() != null && one.hold().endless()) {
                waiting.add(one);
            } else {
                work.put(one.chain().id(), one);
            }
        }

        PlanInput input(TimeView people) {
            work.replaceAll((id, one) -> linked(one));
            return new PlanInput(
                    today,
                    byId,
                    work,
                    waiting,
                    logged,
                    new SetUps(ROOM_MINUTES, TANK_MINUTES, openings, rooms),
                    people,
                    forecasts);
        }

        /** A vacuum goes with the water change; blown-off dirt is caught by the sock, which is changed the same day. */
        private Work linked(Work one) {
            TankChore chore = one.subject().chore();
            long tank = one.chain().place().tank();
            @Nullable
            Long with = chore == TankChore.SUBSTRATE_VACUUM
                    ? changeOfTank.get(tank)
                    : chore == TankChore.ROCK_BLOW_OFF ? sockOfTank.get(tank) : null;
            if (with == null || !work.containsKey(with)) {
                return one;
            }
            Chain chain = one.chain();
            Demand demand = new Demand(chain.demand().spaced(), chain.demand().notBefore(), OptionalLong.of(with));
            return new Work(
                    new Chain(chain.id(), chain.place(), chain.rhythm(), chain.work(), demand),
                    one.subject(),
                    one.since(),
                    one.window(),
                    one.hold());
        }
    }
}
