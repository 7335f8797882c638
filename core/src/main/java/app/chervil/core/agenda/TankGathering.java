package app.chervil.core.agenda;

import app.chervil.core.agenda.Agenda.Subject;
import app.chervil.core.agenda.Agenda.Work;
import app.chervil.core.calc.FirstLetter;
import app.chervil.core.filter.CareAction;
import app.chervil.core.filter.CareRule;
import app.chervil.core.filter.Material;
import app.chervil.core.interval.Forecast;
import app.chervil.core.interval.Window;
import app.chervil.core.plan.Chain;
import app.chervil.core.plan.Chain.Demand;
import app.chervil.core.plan.Chain.Place;
import app.chervil.core.plan.ChainId;
import app.chervil.core.plan.Instance.Logged;
import app.chervil.core.plan.Rhythms;
import app.chervil.core.site.CareBook;
import app.chervil.core.site.PlannedChore;
import app.chervil.core.site.TankBook;
import app.chervil.core.site.TaskForecast;
import app.chervil.core.tank.TankChore;
import app.chervil.core.visit.Errand.Reach;
import app.chervil.core.water.Hold;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;

/** Gathers what one tank brings to a plan. */
final class TankGathering {
    /** Work done before that can no longer stand too close to anything. */
    private static final int LOOK_BACK_DAYS = 7;

    private final LocalDate today;
    private final People people;
    private final Map<ChainId, Work> work = new LinkedHashMap<>();
    private final List<Work> waiting = new ArrayList<>();
    private final List<Logged> logged = new ArrayList<>();
    private final Map<Long, Integer> openings = new HashMap<>();
    private final Map<ChainId, ChainId> openingOfPart = new HashMap<>();
    private Optional<ChainId> waterChange = Optional.empty();
    private Optional<ChainId> sock = Optional.empty();

    private TankGathering(LocalDate today, People people) {
        this.today = today;
        this.people = people;
    }

    /**
     * What one tank brings to a plan.
     *
     * @param planned in the order in which it is walked
     * @param waiting for a hold without an end
     * @param openings minutes to set up an opening, by filter
     */
    record TankWork(List<Work> planned, List<Work> waiting, List<Logged> logged, Map<Long, Integer> openings) {}

    static TankWork of(TankBook book, LocalDate today, People people) {
        TankGathering gathering = new TankGathering(today, people);
        book.filters().forEach(filter -> gathering.filter(book, filter));
        book.records().chores().forEach(chore -> gathering.chore(book, chore));
        return new TankWork(
                gathering.work.values().stream().map(gathering::linked).toList(),
                gathering.waiting,
                gathering.logged,
                gathering.openings);
    }

    private void filter(TankBook tank, CareBook book) {
        List<TaskForecast> tasks = book.forecasts();
        book.opening().ifPresent(opening -> tasks.stream()
                .filter(part -> waitsFor(opening, part))
                .forEach(part -> openingOfPart.put(chain(part), chain(opening))));
        for (TaskForecast task : tasks) {
            if (!task.task().withOpening()) {
                add(work(tank, book, task));
            }
            if (catchesBlownDirt(task)) {
                sock = sock.or(() -> Optional.of(chain(task)));
            }
        }
        book.services().stream()
                .filter(service -> lately(service.doneOn()))
                .filter(service -> tasks.stream()
                        .anyMatch(task -> task.disturbs()
                                && service.done().containsKey(task.task().id())))
                .forEach(service -> logged.add(
                        new Logged(new Place(tank.tank().id(), book.filter().id()), day(service.doneOn()))));
    }

    private static ChainId chain(TaskForecast task) {
        return ChainId.ofTask(task.task().id());
    }

    /** Whether a part is looked after on the day of an opening, since it can wait for it and need not wait longer. */
    private static boolean waitsFor(TaskForecast opening, TaskForecast part) {
        Window own = part.forecast().window();
        return part.reach() == Reach.INSIDE
                && part.task().action() != CareAction.OPEN
                && own.earliest().isBefore(own.latest())
                && own.ideal().equals(opening.forecast().window().ideal());
    }

    private static boolean catchesBlownDirt(TaskForecast task) {
        boolean changed =
                task.task().action() == CareAction.CHANGE || task.task().action() == CareAction.RINSE;
        return changed
                && task.filter()
                        .stageOf(task.task())
                        .filter(stage -> stage.kind().catchesBlownDirt())
                        .isPresent();
    }

    private boolean lately(LocalDate day) {
        return !day.isAfter(today) && day.isAfter(today.minusDays(LOOK_BACK_DAYS));
    }

    private int day(LocalDate date) {
        return Math.toIntExact(ChronoUnit.DAYS.between(today, date));
    }

    private Work work(TankBook tank, CareBook book, TaskForecast task) {
        CareRule rule = task.rule();
        if (rule.effort().setUpMinutes() > 0) {
            openings.put(book.filter().id(), rule.effort().setUpMinutes());
        }
        Optional<Hold> hold = tank.holding(task);
        Chain chain = new Chain(
                chain(task),
                new Place(tank.tank().id(), book.filter().id()),
                Rhythms.of(task.forecast(), rule, today),
                new Chain.Work(
                        rule.effort().minutes(),
                        task.reach() == Reach.FREE ? Chain.Reach.OUTSIDE : Chain.Reach.OPENED,
                        people.handsFor(rule.action().name())),
                new Demand(
                        task.disturbs(),
                        Math.max(notBefore(hold), takenOnFrom(book, task)),
                        takenOnUntil(book, task.forecast()),
                        Optional.empty()));
        Subject subject =
                new Subject(task.task().name(), book.filter().name(), Optional.empty(), carry(book, rule), rule.why());
        return new Work(chain, subject, task.forecast().since(), task.forecast().window(), hold);
    }

    /** An opening takes along what is done whenever the filter is open. */
    private static List<Material> carry(CareBook book, CareRule rule) {
        Stream<Material> along = rule.action() == CareAction.OPEN
                ? book.goingWithOpening().stream().flatMap(inner -> inner.effort().carry().stream())
                : Stream.empty();
        return Stream.concat(rule.effort().carry().stream(), along).distinct().toList();
    }

    /**
     * A neglected filter is taken on over weeks: nothing of it is brought forward to spare a visit, and parts within wait for
     * its opening.
     */
    private int takenOnFrom(CareBook book, TaskForecast task) {
        if (task.forecast().basis() == Forecast.Basis.TAKEN_ON) {
            return Math.max(0, day(task.forecast().window().earliest()));
        }
        return task.reach() == Reach.FREE
                ? 0
                : takenOn(book)
                        .filter(other -> other.reach() != Reach.FREE)
                        .map(other -> other.forecast().window().earliest())
                        .min(Comparator.naturalOrder())
                        .map(opened -> Math.max(0, day(opened)))
                        .orElse(0);
    }

    private static Stream<TaskForecast> takenOn(CareBook book) {
        return book.forecasts().stream().filter(other -> other.forecast().basis() == Forecast.Basis.TAKEN_ON);
    }

    /** The last day before the next of the filter's weeks begins, since each is there to let the bacteria recover. */
    private int takenOnUntil(CareBook book, Forecast forecast) {
        if (forecast.basis() != Forecast.Basis.TAKEN_ON) {
            return Demand.ANY_DAY;
        }
        return takenOn(book)
                .map(other -> other.forecast().window().earliest())
                .filter(other -> other.isAfter(forecast.window().earliest()))
                .min(Comparator.naturalOrder())
                .map(next -> Math.max(0, day(next) - 1))
                .orElse(Demand.ANY_DAY);
    }

    private int notBefore(Optional<Hold> hold) {
        return hold.flatMap(Hold::likelyUntil)
                .map(until -> Math.max(0, day(until)))
                .orElse(0);
    }

    private void chore(TankBook tank, PlannedChore chore) {
        TankChore kind = chore.kind();
        long place = tank.tank().id();
        ChainId id = ChainId.ofChore(chore.id());
        int disturbs =
                CareRule.disturbanceOf(kind.disturbance(), tank.tank().setting().bacteriaHome());
        // The substrate's own bacteria are what a vacuum disturbs, wherever else they live.
        boolean spaced = kind == TankChore.SUBSTRATE_VACUUM || Hold.concerns(disturbs);
        Optional<Hold> hold = spaced ? tank.hold() : Optional.empty();
        boolean change = kind == TankChore.WATER_CHANGE;
        if (change) {
            waterChange = Optional.of(id);
        }
        Chain chain = new Chain(
                id,
                new Place(place, Place.NO_FILTER),
                Rhythms.of(chore.since(), chore.window(), today),
                new Chain.Work(
                        kind.minutes(),
                        change ? Chain.Reach.WATER_CHANGE : Chain.Reach.OUTSIDE,
                        people.handsFor(kind.name())),
                new Demand(spaced, notBefore(hold), Optional.empty()));
        Subject subject =
                new Subject(FirstLetter.upper(kind.words()), "", Optional.of(kind), Carried.by(kind), "It can wait.");
        add(new Work(chain, subject, chore.since(), chore.window(), hold));
        if (kind == TankChore.SUBSTRATE_VACUUM) {
            chore.done().stream()
                    .filter(this::lately)
                    .forEach(done -> logged.add(new Logged(new Place(place, Place.NO_FILTER), day(done))));
        }
    }

    private void add(Work one) {
        if (one.hold().map(Hold::endless).orElse(false)) {
            waiting.add(one);
        } else {
            work.put(one.chain().id(), one);
        }
    }

    /**
     * A vacuum goes with the water change; blown-off dirt is caught by the sock, which is changed the same day; head and
     * seals are seen to while the canister is open.
     */
    private Work linked(Work one) {
        Optional<ChainId> with = one.subject()
                .chore()
                .map(this::partner)
                .orElseGet(
                        () -> Optional.ofNullable(openingOfPart.get(one.chain().id())));
        if (with.isEmpty() || !work.containsKey(with.get())) {
            return one;
        }
        Chain chain = one.chain();
        Demand demand = new Demand(
                chain.demand().spaced(),
                chain.demand().notBefore(),
                chain.demand().notAfter(),
                with);
        return new Work(
                new Chain(chain.id(), chain.place(), chain.rhythm(), chain.work(), demand),
                one.subject(),
                one.since(),
                one.window(),
                one.hold());
    }

    private Optional<ChainId> partner(TankChore kind) {
        return switch (kind) {
            case SUBSTRATE_VACUUM -> waterChange;
            case ROCK_BLOW_OFF -> sock;
            default -> Optional.empty();
        };
    }
}
