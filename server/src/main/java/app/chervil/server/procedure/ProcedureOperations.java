package app.chervil.server.procedure;

import app.chervil.core.calc.Litres;
import app.chervil.core.filter.CareAction;
import app.chervil.core.filter.Material;
import app.chervil.core.procedure.Occasion;
import app.chervil.core.procedure.Procedure;
import app.chervil.core.procedure.Situation;
import app.chervil.core.procedure.Situation.Asked;
import app.chervil.core.procedure.Situation.Chore;
import app.chervil.core.procedure.Situation.PathStage;
import app.chervil.core.procedure.Situation.Practice;
import app.chervil.core.procedure.Situation.Work;
import app.chervil.core.procedure.Tubs;
import app.chervil.core.procedure.Turn;
import app.chervil.core.site.Filter;
import app.chervil.core.site.FilterTask;
import app.chervil.core.site.LeftBehind;
import app.chervil.core.site.Tank;
import app.chervil.core.tank.RinseWater;
import app.chervil.core.water.Hold;
import app.chervil.core.water.Permission;
import app.chervil.server.account.AccountOperations;
import app.chervil.server.account.SignedIn;
import app.chervil.server.book.SiteBooks;
import app.chervil.server.filter.FilterOperations;
import app.chervil.server.problem.NotFound;
import app.chervil.server.problem.Rejected;
import app.chervil.server.procedure.ProcedureView.Draw;
import app.chervil.server.procedure.ProcedureView.HeldWork;
import app.chervil.server.procedure.ProcedureView.StepView;
import app.chervil.server.procedure.ProcedureView.ThenView;
import app.chervil.server.procedure.ProcedureView.Thing;
import app.chervil.server.sums.SumOperations;
import app.chervil.server.tank.TankOperations;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Assembles the procedure for tasks on a filter, and what it takes to begin. */
@Service
public class ProcedureOperations {
    private final TankOperations tanks;
    private final FilterOperations filters;
    private final SiteBooks books;
    private final AccountOperations accounts;
    private final SumOperations sums;

    ProcedureOperations(
            TankOperations tanks,
            FilterOperations filters,
            SiteBooks books,
            AccountOperations accounts,
            SumOperations sums) {
        this.tanks = tanks;
        this.filters = filters;
        this.books = books;
        this.accounts = accounts;
        this.sums = sums;
    }

    /**
     * What is to be done at a tank.
     *
     * @param tasks of the filter
     * @param mediaGrams bio media to be exchanged; empty if none or nobody said
     * @param around work on its other filters in the same go
     */
    public record Wanted(
            long filterId, List<Long> tasks, Set<Chore> chores, OptionalDouble mediaGrams, Around around) {}

    /**
     * Tasks of a tank's other filters, in the order these are served.
     *
     * @param before of those that were served first
     * @param then of those that follow
     */
    public record Around(List<Long> before, List<Long> then) {
        static final Around NOTHING = new Around(List.of(), List.of());
    }

    /** A filter with what is done on it. */
    private record Turned(Filter filter, List<FilterTask> tasks) {}

    /**
     * The procedure for some tasks of a filter.
     *
     * @throws NotFound if the filter or one of the tasks is not there
     */
    @Transactional(readOnly = true)
    public ProcedureView assemble(SignedIn who, Wanted wanted) {
        Filter filter = filters.find(who, wanted.filterId());
        Tank tank = tanks.find(who, filter.tankId());
        List<Filter> others = wanted.around().equals(Around.NOTHING) ? List.of() : filters.list(who, tank.id());
        List<Turned> line = new ArrayList<>(turned(others, wanted.around().before()));
        int own = line.size();
        line.add(new Turned(
                filter,
                wanted.tasks().stream().distinct().map(id -> task(filter, id)).toList()));
        line.addAll(turned(others, wanted.around().then()));
        checkEachOnce(line);
        List<Situation> situations = new ArrayList<>();
        for (int i = 0; i < line.size(); i++) {
            Turned one = line.get(i);
            Work work = new Work(
                    asked(one.tasks()),
                    i == own ? wanted.chores() : Set.of(),
                    i == own ? wanted.mediaGrams() : OptionalDouble.empty(),
                    asked(one.filter().inUse()));
            situations.add(situation(who, tank, one.filter(), work));
        }
        List<Procedure> procedures = Procedure.oneAfterTheOther(situations);
        List<Part> parts = IntStream.range(own, line.size())
                .mapToObj(i -> part(who, line.get(i).filter(), procedures.get(i), situations.get(i)))
                .toList();
        return view(tank, own == 0, parts, Turn.tooMuch(situations));
    }

    /**
     * One filter's share of the work.
     *
     * @param tasks that its steps do
     */
    private record Part(
            Filter filter, Procedure procedure, List<FilterTask> tasks, Set<Chore> chores, Permission permission) {}

    private Part part(SignedIn who, Filter filter, Procedure procedure, Situation situation) {
        List<FilterTask> all = procedure.tasks().stream()
                .map(asked -> task(filter, asked.task()))
                .distinct()
                .toList();
        Set<Chore> chores = situation.work().chores();
        return new Part(filter, procedure, all, chores, permission(who, filter, all, chores));
    }

    private ProcedureView view(Tank tank, boolean draws, List<Part> parts, Optional<String> tooMuch) {
        Part own = parts.get(0);
        List<Part> then = parts.subList(1, parts.size());
        return new ProcedureView(
                own.filter().name(),
                steps(own.procedure(), own.filter()),
                parts.stream()
                        .flatMap(part -> carry(part.procedure(), part.filter()).stream())
                        .distinct()
                        .toList(),
                draws ? draw(own.procedure().tubs(), tank) : null,
                own.procedure().minutes(),
                practice(tank).whyWater(),
                Stream.concat(
                                tooMuch.stream(),
                                parts.stream()
                                        .flatMap(part ->
                                                warnings(tank, part.permission(), part.tasks(), part.chores()).stream())
                                        .distinct())
                        .toList(),
                parts.stream()
                        .flatMap(part -> held(part.permission(), part.tasks(), part.chores()).stream())
                        .toList(),
                ids(own.tasks()),
                then.stream()
                        .map(part -> new ThenView(
                                part.filter().id(),
                                part.filter().name(),
                                part.procedure().minutes(),
                                steps(part.procedure(), part.filter()),
                                ids(part.tasks())))
                        .toList(),
                tooMuch.isPresent());
    }

    private static List<StepView> steps(Procedure procedure, Filter filter) {
        return procedure.steps().stream()
                .map(step -> StepViews.of(step, filter))
                .toList();
    }

    private static List<Long> ids(List<FilterTask> tasks) {
        return tasks.stream().map(FilterTask::id).toList();
    }

    /** Tasks by their filters, these in the order they are first named. */
    private static List<Turned> turned(List<Filter> filters, List<Long> tasks) {
        Map<Filter, List<FilterTask>> byFilter = new LinkedHashMap<>();
        for (long id : tasks) {
            Filter filter = filters.stream()
                    .filter(one -> one.task(id).isPresent())
                    .findFirst()
                    .orElseThrow(() -> new NotFound("task"));
            byFilter.computeIfAbsent(filter, one -> new ArrayList<>()).add(task(filter, id));
        }
        return byFilter.entrySet().stream()
                .map(one -> new Turned(
                        one.getKey(), one.getValue().stream().distinct().toList()))
                .toList();
    }

    private static void checkEachOnce(List<Turned> line) {
        long filters = line.stream().map(one -> one.filter().id()).distinct().count();
        new Rejected.Gatherer()
                .check(filters == line.size(), "then", "same-filter", "Each filter once: its tasks go together.")
                .done();
    }

    /**
     * The steps of putting a filter together and starting it.
     *
     * @throws NotFound if the filter is not there
     */
    @Transactional(readOnly = true)
    public ProcedureView setUp(SignedIn who, long filterId) {
        return whole(who, filters.find(who, filterId), Procedure::setUp, List.of());
    }

    /**
     * The steps of looking over a filter that nobody looked after.
     *
     * @throws NotFound if the filter is not there
     */
    @Transactional(readOnly = true)
    public ProcedureView lookOver(SignedIn who, long filterId) {
        return whole(who, filters.find(who, filterId), Procedure::lookOver, List.of());
    }

    /**
     * The steps of taking a filter down.
     *
     * @param why to move it, or to put it away
     * @throws NotFound if the filter is not there
     */
    @Transactional(readOnly = true)
    public ProcedureView takeDown(SignedIn who, long filterId, Occasion why) {
        new Rejected.Gatherer()
                .check(why.takesDown(), "why", "not-down", "To move it, or to put it away?")
                .done();
        Filter filter = filters.find(who, filterId);
        List<String> warnings = LeftBehind.warning(filter, filters.list(who, filter.tankId()), tanks.today()).stream()
                .toList();
        return whole(who, filter, situation -> Procedure.takeDown(situation, why), warnings);
    }

    private ProcedureView whole(
            SignedIn who, Filter filter, Function<Situation, Procedure> steps, List<String> warnings) {
        Tank tank = tanks.find(who, filter.tankId());
        Procedure procedure =
                steps.apply(situation(who, tank, filter, new Work(List.of(), Set.of(), asked(filter.inUse()))));
        return new ProcedureView(
                filter.name(),
                steps(procedure, filter),
                carry(procedure, filter),
                draw(procedure.tubs(), tank),
                procedure.minutes(),
                "",
                warnings,
                List.of(),
                procedure.tasks().stream().map(Asked::task).toList(),
                List.of(),
                false);
    }

    private Situation situation(SignedIn who, Tank tank, Filter filter, Work work) {
        Tubs.Means means = new Tubs.Means(
                tank.setting().bucketL(),
                tank.netVolumeL(),
                tank.setting().drawShare(),
                accounts.units(who).measures(),
                sums.tubs(who));
        return new Situation(filter.name(), filter.passport(), practice(tank), means, path(filter), work);
    }

    /** Of everything this service touches, and of what was done on the tank in the days before. */
    private Permission permission(SignedIn who, Filter filter, List<FilterTask> tasks, Set<Chore> asked) {
        int disturbance = asked.stream().mapToInt(Chore::disturbance).max().orElse(0);
        return books.tank(who, filter.tankId())
                .permission(
                        tasks.stream().map(FilterTask::id).collect(Collectors.toSet()),
                        disturbance,
                        tanks.today(),
                        Optional.empty());
    }

    private static FilterTask task(Filter filter, long id) {
        return filter.task(id).orElseThrow(() -> new NotFound("task"));
    }

    private static Practice practice(Tank tank) {
        return new Practice(
                tank.practice().rinse(),
                tank.practice().thoroughness(),
                tank.setting().tapWater(),
                tank.setting().bacteriaHome(),
                tank.practice().measuresFlow(),
                tank.setting().animals());
    }

    private static List<PathStage> path(Filter filter) {
        return filter.stages().stream()
                .map(stage -> new PathStage(stage.id(), stage.name(), stage.stage(), stage.quantity()))
                .toList();
    }

    private static List<Asked> asked(List<FilterTask> tasks) {
        return tasks.stream()
                .map(task -> new Asked(task.id(), task.action(), task.stageId()))
                .toList();
    }

    private static List<String> carry(Procedure procedure, Filter filter) {
        Stream<String> materials = procedure.steps().stream()
                .flatMap(step -> StepViews.things(step, filter).stream())
                .map(Thing::name)
                .filter(name -> !name.equals(Material.BUCKET.words()));
        return Stream.concat(procedure.vessels().stream(), materials).distinct().toList();
    }

    private static @Nullable Draw draw(Tubs tubs, Tank tank) {
        return tubs.count() == 0
                ? null
                : new Draw(
                        tubs.count(),
                        tubs.litres(),
                        100 * Litres.of(tubs.litres()).shareOf(Litres.of(tank.netVolumeL())));
    }

    private List<String> warnings(Tank tank, Permission permission, List<FilterTask> tasks, Set<Chore> chores) {
        List<String> warnings = new ArrayList<>();
        Practice practice = practice(tank);
        if (tank.practice().rinse() == RinseWater.TAP_WHERE_SAFE && !practice.tapAllowed()) {
            warnings.add("You rinse with tap water where it is safe; here it is not. " + practice.whyWater());
        }
        permission.spacing(tanks.today()).ifPresent(warnings::add);
        boolean bacteria = tasks.stream().anyMatch(task -> task.disturbance() >= 1);
        if (chores.contains(Chore.SUBSTRATE_VACUUM) && bacteria) {
            warnings.add(
                    "Vacuuming and cleaning the filter on one day disturbs two homes of the bacteria at once. Better"
                            + " leave one for another week.");
        }
        Set<Long> homes = homes(tasks);
        boolean foamAndMedia = homes.size() > 1
                && tasks.stream().anyMatch(task -> task.action() == CareAction.DIP)
                && tasks.stream().anyMatch(task -> task.action() == CareAction.RINSE);
        if (foamAndMedia) {
            warnings.add("This cleans foam and bio media at once. Better leave one for another week.");
        }
        return warnings;
    }

    private static List<HeldWork> held(Permission permission, List<FilterTask> tasks, Set<Chore> chores) {
        List<String> work = Stream.concat(
                        tasks.stream().filter(task -> task.disturbance() >= 1).map(FilterTask::name),
                        chores.stream()
                                .sorted()
                                .filter(chore -> Hold.concerns(chore.disturbance()))
                                .map(Chore::words))
                .toList();
        List<String> named =
                work.isEmpty() ? tasks.stream().map(FilterTask::name).toList() : work;
        return permission.holds().stream()
                .map(hold -> new HeldWork(hold, named))
                .toList();
    }

    /** Stages on which these tasks touch bacteria. */
    private static Set<Long> homes(List<FilterTask> tasks) {
        return tasks.stream()
                .filter(task -> task.disturbance() >= 1)
                .flatMap(task -> task.stageId().stream())
                .collect(Collectors.toSet());
    }
}
