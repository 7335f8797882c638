package app.chervil.server.procedure;

import app.chervil.core.calc.Litres;
import app.chervil.core.filter.CareRule;
import app.chervil.core.filter.Material;
import app.chervil.core.filter.Stage;
import app.chervil.core.interval.GradeWords;
import app.chervil.core.procedure.Caution;
import app.chervil.core.procedure.Procedure;
import app.chervil.core.procedure.Situation;
import app.chervil.core.procedure.Situation.Asked;
import app.chervil.core.procedure.Situation.Chore;
import app.chervil.core.procedure.Situation.PathStage;
import app.chervil.core.procedure.Situation.Practice;
import app.chervil.core.procedure.Situation.Work;
import app.chervil.core.procedure.Step;
import app.chervil.core.stock.Supply;
import app.chervil.core.tank.BacteriaHome;
import app.chervil.core.tank.RinseWater;
import app.chervil.core.water.Hold;
import app.chervil.server.account.SignedIn;
import app.chervil.server.filter.FilterOperations;
import app.chervil.server.filter.FilterView;
import app.chervil.server.filter.FilterView.TaskView;
import app.chervil.server.interval.HoldBook;
import app.chervil.server.interval.ServiceHistory;
import app.chervil.server.problem.NotFound;
import app.chervil.server.procedure.ProcedureView.Draw;
import app.chervil.server.procedure.ProcedureView.HeldWork;
import app.chervil.server.procedure.ProcedureView.StepView;
import app.chervil.server.procedure.ProcedureView.Thing;
import app.chervil.server.tank.TankInput;
import app.chervil.server.tank.TankOperations;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalLong;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Assembles the procedure for tasks on a filter, and what it takes to begin. */
@Service
public class ProcedureOperations {
    static final double BUCKET_LITRES = 8;
    private static final String DRAW_STEP = "draw:filter";
    private static final int SET_UP_MINUTES = 10;
    private static final int SPACING_DAYS = 7;

    private final TankOperations tanks;
    private final FilterOperations filters;
    private final ServiceHistory history;
    private final HoldBook holds;

    ProcedureOperations(TankOperations tanks, FilterOperations filters, ServiceHistory history, HoldBook holds) {
        this.tanks = tanks;
        this.filters = filters;
        this.history = history;
        this.holds = holds;
    }

    /**
     * The procedure for some tasks of a filter.
     *
     * @param mediaGrams bio media to be exchanged; empty if none or nobody said
     * @throws NotFound if the filter or one of the tasks is not there
     */
    @Transactional(readOnly = true)
    public ProcedureView assemble(
            SignedIn who, long filterId, List<Long> taskIds, Set<Chore> chores, OptionalDouble mediaGrams) {
        FilterView filter = filters.find(who, filterId);
        TankInput tank = tanks.find(who, filter.tankId()).tank();
        List<TaskView> tasks =
                taskIds.stream().distinct().map(id -> task(filter, id)).toList();
        Practice practice = practice(tank);
        Procedure procedure = Procedure.assemble(new Situation(
                filter.name(), filter.kind(), practice, path(filter), new Work(asked(tasks), chores, mediaGrams)));
        int work = tasks.stream().mapToInt(task -> task.catalogue().minutes()).sum();
        return new ProcedureView(
                filter.name(),
                procedure.steps().stream()
                        .map(step -> view(step, filter, procedure.buckets()))
                        .toList(),
                carry(procedure, filter),
                draw(procedure.buckets(), tank),
                work + SET_UP_MINUTES,
                practice.whyWater(),
                warnings(who, tank, filter, tasks),
                held(who, tank, filter, tasks, chores));
    }

    private static TaskView task(FilterView filter, long id) {
        return filter.tasks().stream()
                .filter(task -> task.id() == id)
                .findFirst()
                .orElseThrow(() -> new NotFound("task"));
    }

    private static Practice practice(TankInput tank) {
        return new Practice(
                tank.schools().rinse(),
                tank.schools().thoroughness(),
                tank.setting().tapWater(),
                tank.setting().bacteriaHome());
    }

    private static List<PathStage> path(FilterView filter) {
        return filter.stages().stream()
                .map(stage -> new PathStage(stage.id(), stage.name(), new Stage(stage.kind(), stage.make())))
                .toList();
    }

    private static List<Asked> asked(List<TaskView> tasks) {
        return tasks.stream()
                .map(task -> new Asked(task.id(), task.action(), Optional.ofNullable(task.stageId())))
                .toList();
    }

    private static List<String> carry(Procedure procedure, FilterView filter) {
        Stream<String> buckets = procedure.buckets() == 0
                ? Stream.empty()
                : Stream.of(procedure.buckets() == 1 ? "1 bucket" : procedure.buckets() + " buckets");
        Stream<String> materials = procedure.steps().stream()
                .flatMap(step -> things(step, filter).stream())
                .map(Thing::name);
        return Stream.concat(buckets, materials).distinct().toList();
    }

    private static @Nullable Draw draw(int buckets, TankInput tank) {
        if (buckets == 0) {
            return null;
        }
        Litres drawn = Litres.of(buckets * BUCKET_LITRES);
        return new Draw(buckets, drawn.value(), 100 * drawn.shareOf(Litres.of(tank.netVolumeL())));
    }

    private List<String> warnings(SignedIn who, TankInput tank, FilterView filter, List<TaskView> tasks) {
        List<String> warnings = new ArrayList<>();
        Practice practice = practice(tank);
        if (tank.schools().rinse() == RinseWater.TAP_WHERE_SAFE && !practice.tapAllowed()) {
            warnings.add("You rinse with tap water where it is safe; here it is not. " + practice.whyWater());
        }
        BacteriaHome home = tank.setting().bacteriaHome();
        if (tasks.stream().noneMatch(task -> disturbs(task, home))) {
            return warnings;
        }
        lastDisturbed(who, filter.tankId(), home)
                .map(day -> ChronoUnit.DAYS.between(day, tanks.today()))
                .filter(days -> days < SPACING_DAYS)
                .ifPresent(days -> warnings.add("The bacteria of this tank were disturbed " + days + " days ago. Leave "
                        + SPACING_DAYS + " days between."));
        if (everyHome(filter).equals(homes(tasks)) && homes(tasks).size() > 1) {
            warnings.add(
                    "This cleans every home of the bacteria in this filter at once. Better leave one for another week.");
        }
        return warnings;
    }

    private Optional<LocalDate> lastDisturbed(SignedIn who, long tank, BacteriaHome home) {
        Set<Long> disturbing = filters.list(who, tank).stream()
                .flatMap(filter -> filter.tasks().stream())
                .filter(task -> disturbs(task, home))
                .map(TaskView::id)
                .collect(Collectors.toSet());
        return history.list(who.siteId(), tank, tanks.today().minusDays(SPACING_DAYS)).stream()
                .filter(service -> service.done().keySet().stream().anyMatch(disturbing::contains))
                .map(ServiceHistory.PastService::doneOn)
                .max(Comparator.naturalOrder());
    }

    private static boolean disturbs(TaskView task, BacteriaHome home) {
        return Hold.concerns(CareRule.disturbanceOf(task.catalogue().disturbance(), home));
    }

    private List<HeldWork> held(
            SignedIn who, TankInput tank, FilterView filter, List<TaskView> tasks, Set<Chore> chores) {
        BacteriaHome home = tank.setting().bacteriaHome();
        List<String> work = Stream.concat(
                        tasks.stream().filter(task -> disturbs(task, home)).map(TaskView::name),
                        chores.stream()
                                .sorted()
                                .filter(chore -> Hold.concerns(chore.disturbance()))
                                .map(Chore::words))
                .toList();
        return work.isEmpty()
                ? List.of()
                : holds.holds(who, filter.tankId(), tanks.today()).getOrDefault(filter.tankId(), List.of()).stream()
                        .map(hold -> new HeldWork(hold, work))
                        .toList();
    }

    private static Set<@Nullable Long> everyHome(FilterView filter) {
        return homes(filter.tasks());
    }

    /** Stages on which these tasks touch bacteria. */
    private static Set<@Nullable Long> homes(List<TaskView> tasks) {
        return tasks.stream()
                .filter(task -> task.catalogue().disturbance() >= 1 && task.stageId() != null)
                .map(TaskView::stageId)
                .collect(Collectors.toSet());
    }

    private static StepView view(Step step, FilterView filter, int buckets) {
        @Nullable Long stage = boxed(step.about().stage());
        @Nullable
        String stageName = filter.stages().stream()
                .filter(one -> Objects.equals(one.id(), stage))
                .map(FilterView.StageView::name)
                .findFirst()
                .orElse(null);
        return new StepView(
                step.id(),
                step.what().text(),
                step.what().reason(),
                step.care().cautions().stream().map(Caution::words).toList(),
                things(step, filter),
                step.care().timerMinutes().isPresent()
                        ? step.care().timerMinutes().getAsInt()
                        : null,
                step.captures().orElse(null),
                boxed(step.about().task()),
                stage,
                stageName,
                step.effects().stream().sorted().toList(),
                step.id().equals(DRAW_STEP) ? buckets * BUCKET_LITRES : null,
                grades(step, filter));
    }

    private static @Nullable List<String> grades(Step step, FilterView filter) {
        @Nullable Long stage = boxed(step.about().stage());
        return filter.stages().stream()
                .filter(one ->
                        step.captures().equals(Optional.of(Step.Capture.FINDING)) && Objects.equals(one.id(), stage))
                .map(one -> GradeWords.of(one.kind()))
                .findFirst()
                .orElse(null);
    }

    /** What to bring for a step; a spare with the size it must have. */
    private static List<Thing> things(Step step, FilterView filter) {
        @Nullable Long stage = boxed(step.about().stage());
        String size = filter.stages().stream()
                .filter(one -> Objects.equals(one.id(), stage))
                .map(FilterView.StageView::size)
                .findFirst()
                .orElse("");
        return step.care().materials().stream()
                .map(material -> new Thing(Supply.of(material, size).name(), material.use() == Material.Use.SPENT))
                .toList();
    }

    private static @Nullable Long boxed(OptionalLong value) {
        return value.isPresent() ? value.getAsLong() : null;
    }
}
