package app.chervil.core.site;

import app.chervil.core.filter.CareCatalogue;
import app.chervil.core.filter.CareRule;
import app.chervil.core.filter.Endurance;
import app.chervil.core.filter.FilterKind;
import app.chervil.core.filter.FlowDirection;
import app.chervil.core.filter.Stage;
import app.chervil.core.filter.StageKind;
import app.chervil.core.filter.TaskName;
import app.chervil.core.interval.Finding;
import app.chervil.core.interval.Start;
import app.chervil.core.passport.Build;
import app.chervil.core.passport.Passport;
import app.chervil.core.tank.BacteriaHome;
import app.chervil.core.tank.Feeding;
import app.chervil.core.tank.RinseWater;
import app.chervil.core.tank.Schools;
import app.chervil.core.tank.Stocking;
import app.chervil.core.tank.TankChore;
import app.chervil.core.tank.TapWater;
import app.chervil.core.tank.Thoroughness;
import app.chervil.core.tank.WaterKind;
import app.chervil.core.water.Reading;
import app.chervil.core.water.WaterBook;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.UUID;

/** A site that is told tank by tank: each has a canister Weir, cleaned on a day, and a water change every week. */
public final class SampleSite {
    public static final LocalDate TODAY = LocalDate.of(2026, 6, 1);
    private static final List<StageKind> PATH =
            List.of(StageKind.PREFILTER_SPONGE, StageKind.COARSE_FOAM, StageKind.FINE_PAD, StageKind.BIO_MEDIA);

    private final LocalDate today;
    private final Map<Long, TankBook.Records> tanks = new HashMap<>();
    private final Map<Long, Tried> tried = new HashMap<>();

    private SampleSite(LocalDate today) {
        this.today = today;
    }

    public static SampleSite today() {
        return on(TODAY);
    }

    public static SampleSite on(LocalDate day) {
        return new SampleSite(day);
    }

    /** Adds a tank that has stood for years. */
    public SampleSite tank(long id, String name, String room, LocalDate cleanedOn) {
        return tank(id, name, room, cleanedOn, PATH);
    }

    /** Adds a tank whose canister has a path of its own. */
    public SampleSite tank(long id, String name, String room, LocalDate cleanedOn, List<StageKind> path) {
        tanks.put(
                id,
                new TankBook.Records(
                        tank(id, name, room),
                        List.of(weir(id, cleanedOn, path)),
                        List.of(),
                        List.of(),
                        Map.of(),
                        List.of(),
                        new WaterBook(LocalDate.of(2020, 1, 1), List.of(), List.of(), List.of()),
                        List.of(),
                        List.of(new PlannedChore(id, id, TankChore.WATER_CHANGE, 7, TODAY.minusDays(3), List.of())),
                        Optional.of(TODAY.minusDays(3)),
                        List.of(),
                        TankDevices.NONE));
        return this;
    }

    public static Tank tank(long id, String name, String room) {
        return new Tank(
                id,
                1,
                name,
                room,
                220,
                LocalDate.of(2020, 1, 1),
                new Tank.Setting(
                        WaterKind.FRESH,
                        Stocking.NORMAL,
                        Feeding.NORMAL,
                        BacteriaHome.MEDIA,
                        TapWater.CHLORAMINE,
                        8,
                        0.25),
                new Tank.Practice(Schools.DEFAULT, RinseWater.TANK_WATER, Thoroughness.LIGHT),
                false,
                Optional.empty());
    }

    static Filter weir(long tank, LocalDate cleanedOn, List<StageKind> path) {
        List<FilterStage> stages = new ArrayList<>();
        List<FilterTask> tasks = new ArrayList<>();
        CareCatalogue.forFilter(FilterKind.CANISTER, Schools.DEFAULT)
                .forEach(rule -> tasks.add(task(
                        tank,
                        tasks.size(),
                        Optional.empty(),
                        rule,
                        TaskName.of(rule.action(), FilterKind.CANISTER, "Weir"),
                        cleanedOn)));
        for (StageKind kind : path) {
            FilterStage stage = new FilterStage(
                    tank * 100 + stages.size(),
                    Stage.washable(kind),
                    "",
                    1,
                    OptionalDouble.empty(),
                    false,
                    Optional.empty(),
                    "",
                    Endurance.UNKNOWN);
            stages.add(stage);
            CareCatalogue.forStage(stage.stage(), Schools.DEFAULT)
                    .forEach(rule -> tasks.add(task(
                            tank,
                            tasks.size(),
                            Optional.of(stage),
                            rule,
                            TaskName.of(rule.action(), kind),
                            cleanedOn)));
        }
        return new Filter(
                tank * 10,
                tank,
                1,
                "Weir",
                Passport.usual(Build.usual(FilterKind.CANISTER, Optional.of(FlowDirection.BOTTOM_UP)), path),
                Filter.Rating.UNKNOWN,
                Optional.empty(),
                stages,
                tasks,
                Start.exact(cleanedOn));
    }

    private static FilterTask task(
            long tank, int place, Optional<FilterStage> stage, CareRule rule, String name, LocalDate cleanedOn) {
        boolean along = stage.map(one -> CareCatalogue.goesWithOpening(FilterKind.CANISTER, one.kind(), rule.action()))
                .orElse(false);
        return new FilterTask(
                tank * 1000 + place,
                1,
                stage.map(FilterStage::id),
                rule,
                name,
                TaskMode.LEARN,
                OptionalInt.empty(),
                along,
                Start.exact(cleanedOn));
    }

    private SampleSite with(long tank, List<PastService> services, List<PlannedChore> chores, WaterBook water) {
        TankBook.Records had = tanks.get(tank);
        tanks.put(
                tank,
                new TankBook.Records(
                        had.tank(),
                        had.filters(),
                        had.changes(),
                        services,
                        had.looks(),
                        had.pauses(),
                        water,
                        had.aside(),
                        chores,
                        had.waterChanged(),
                        had.faults(),
                        had.devices()));
        return this;
    }

    /** Logs a task of a tank by its name. */
    public SampleSite did(long tank, String task, LocalDate on, Finding finding) {
        TankBook.Records had = tanks.get(tank);
        List<PastService> services = new ArrayList<>(had.services());
        services.add(new PastService(
                new UUID(tank, services.size()),
                tank,
                on,
                Map.of(taskId(tank, task), Optional.of(finding)),
                Map.of(),
                OptionalInt.empty(),
                PastService.Manner.USUAL));
        return with(tank, services, had.chores(), had.water());
    }

    /** Logs several tasks of one service, with nothing found. */
    public SampleSite didAll(long tank, List<String> tasks, LocalDate on) {
        TankBook.Records had = tanks.get(tank);
        List<PastService> services = new ArrayList<>(had.services());
        Map<Long, Optional<Finding>> done = new HashMap<>();
        tasks.forEach(task -> done.put(taskId(tank, task), Optional.empty()));
        services.add(new PastService(
                new UUID(tank, services.size()),
                tank,
                on,
                done,
                Map.of(),
                OptionalInt.empty(),
                PastService.Manner.USUAL));
        return with(tank, services, had.chores(), had.water());
    }

    public SampleSite read(long tank, Reading... readings) {
        TankBook.Records had = tanks.get(tank);
        return with(
                tank,
                had.services(),
                had.chores(),
                new WaterBook(LocalDate.of(2020, 1, 1), List.of(readings), List.of(), List.of()));
    }

    /** Plans a chore, last done on a day. */
    public SampleSite chore(long tank, TankChore kind, int everyDays, LocalDate done) {
        TankBook.Records had = tanks.get(tank);
        List<PlannedChore> chores = new ArrayList<>(had.chores());
        chores.add(new PlannedChore(tank + 50 + kind.ordinal(), tank, kind, everyDays, done, List.of(done)));
        return with(tank, had.services(), chores, had.water());
    }

    public SampleSite tries(long tank, String task, int days) {
        tried.put(taskId(tank, task), new Tried(OptionalInt.of(days), false));
        return this;
    }

    /** Says of a task that a trial leaves it out, or found its interval. */
    public SampleSite tried(long tank, String task, Tried said) {
        tried.put(taskId(tank, task), said);
        return this;
    }

    /** Fixes a task's interval. */
    public SampleSite fixes(long tank, String task, int days) {
        TankBook.Records had = tanks.get(tank);
        Filter filter = had.filters().get(0);
        List<FilterTask> tasks = filter.tasks().stream()
                .map(one -> one.name().equals(task) ? fixed(one, days) : one)
                .toList();
        Filter changed = new Filter(
                filter.id(),
                filter.tankId(),
                filter.version(),
                filter.name(),
                filter.passport(),
                filter.rating(),
                filter.fittedOn(),
                filter.stages(),
                tasks,
                filter.cleaned());
        tanks.put(
                tank,
                new TankBook.Records(
                        had.tank(),
                        List.of(changed),
                        had.changes(),
                        had.services(),
                        had.looks(),
                        had.pauses(),
                        had.water(),
                        had.aside(),
                        had.chores(),
                        had.waterChanged(),
                        had.faults(),
                        had.devices()));
        return this;
    }

    private static FilterTask fixed(FilterTask task, int days) {
        return new FilterTask(
                task.id(),
                task.version(),
                task.stageId(),
                task.rule(),
                task.name(),
                TaskMode.FIXED,
                OptionalInt.of(days),
                task.withOpening(),
                task.cleaned());
    }

    public long taskId(long tank, String name) {
        return tanks.get(tank).filters().get(0).tasks().stream()
                .filter(task -> task.name().equals(name))
                .findFirst()
                .orElseThrow()
                .id();
    }

    public SiteBook book() {
        SiteBook.Shared shared = new SiteBook.Shared(today, Map.of(), tried);
        return new SiteBook(
                shared,
                tanks.values().stream()
                        .map(records -> new TankBook(records, shared))
                        .toList());
    }

    public TankBook book(long tank) {
        return book().tank(tank).orElseThrow();
    }
}
