package app.chervil.server.procedure;

import app.chervil.core.calc.Litres;
import app.chervil.core.filter.CareAction;
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
import app.chervil.core.procedure.Tubs;
import app.chervil.core.stock.Supply;
import app.chervil.core.tank.RinseWater;
import app.chervil.core.water.Hold;
import app.chervil.core.water.Permission;
import app.chervil.server.account.SignedIn;
import app.chervil.server.filter.FilterOperations;
import app.chervil.server.filter.FilterView;
import app.chervil.server.filter.FilterView.TaskView;
import app.chervil.server.filter.TaskMode;
import app.chervil.server.interval.ForecastOperations;
import app.chervil.server.problem.NotFound;
import app.chervil.server.procedure.ProcedureView.Draw;
import app.chervil.server.procedure.ProcedureView.HeldWork;
import app.chervil.server.procedure.ProcedureView.StepView;
import app.chervil.server.procedure.ProcedureView.Thing;
import app.chervil.server.tank.TankInput;
import app.chervil.server.tank.TankOperations;
import java.util.ArrayList;
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
    private static final int SET_UP_MINUTES = 10;

    private final TankOperations tanks;
    private final FilterOperations filters;
    private final ForecastOperations forecasts;

    ProcedureOperations(TankOperations tanks, FilterOperations filters, ForecastOperations forecasts) {
        this.tanks = tanks;
        this.filters = filters;
        this.forecasts = forecasts;
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
        Tubs.Means means = new Tubs.Means(
                tank.setting().bucket(), tank.netVolumeL(), tank.setting().draw());
        Procedure procedure = Procedure.assemble(new Situation(
                filter.name(),
                filter.build(),
                practice,
                means,
                path(filter),
                new Work(asked(tasks), chores, mediaGrams, asked(inUse(filter)))));
        List<TaskView> all = procedure.tasks().stream()
                .map(asked -> task(filter, asked.task()))
                .distinct()
                .toList();
        int work = all.stream().mapToInt(task -> task.catalogue().minutes()).sum();
        Permission permission = permission(who, filter, all, chores);
        return new ProcedureView(
                filter.name(),
                procedure.steps().stream().map(step -> view(step, filter)).toList(),
                carry(procedure, filter),
                draw(procedure.tubs(), tank),
                work + SET_UP_MINUTES,
                practice.whyWater(),
                warnings(tank, permission, all, chores),
                held(permission, all, chores),
                all.stream().map(TaskView::id).toList());
    }

    private static List<TaskView> inUse(FilterView filter) {
        return filter.tasks().stream()
                .filter(task -> task.mode() != TaskMode.OFF)
                .toList();
    }

    /** Of everything this service touches, and of what was done on the tank in the days before. */
    private Permission permission(SignedIn who, FilterView filter, List<TaskView> tasks, Set<Chore> asked) {
        int disturbance = asked.stream().mapToInt(Chore::disturbance).max().orElse(0);
        return forecasts.permission(
                who,
                filter.tankId(),
                tasks.stream().map(TaskView::id).collect(Collectors.toSet()),
                disturbance,
                tanks.today(),
                null);
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
        Stream<String> materials = procedure.steps().stream()
                .flatMap(step -> things(step, filter).stream())
                .map(Thing::name)
                .filter(name -> !name.equals(Material.BUCKET.words()));
        return Stream.concat(procedure.vessels().stream(), materials).distinct().toList();
    }

    private static @Nullable Draw draw(Tubs tubs, TankInput tank) {
        return tubs.count() == 0
                ? null
                : new Draw(
                        tubs.count(),
                        tubs.litres(),
                        100 * Litres.of(tubs.litres()).shareOf(Litres.of(tank.netVolumeL())));
    }

    private List<String> warnings(TankInput tank, Permission permission, List<TaskView> tasks, Set<Chore> chores) {
        List<String> warnings = new ArrayList<>();
        Practice practice = practice(tank);
        if (tank.schools().rinse() == RinseWater.TAP_WHERE_SAFE && !practice.tapAllowed()) {
            warnings.add("You rinse with tap water where it is safe; here it is not. " + practice.whyWater());
        }
        permission.spacing(tanks.today()).ifPresent(warnings::add);
        boolean bacteria = tasks.stream().anyMatch(task -> task.catalogue().disturbance() >= 1);
        if (chores.contains(Chore.SUBSTRATE_VACUUM) && bacteria) {
            warnings.add(
                    "Vacuuming and cleaning the filter on one day disturbs two homes of the bacteria at once. Better"
                            + " leave one for another week.");
        }
        Set<@Nullable Long> homes = homes(tasks);
        boolean foamAndMedia = homes.size() > 1
                && tasks.stream().anyMatch(task -> task.action() == CareAction.DIP)
                && tasks.stream().anyMatch(task -> task.action() == CareAction.RINSE);
        if (foamAndMedia) {
            warnings.add("This cleans foam and bio media at once. Better leave one for another week.");
        }
        return warnings;
    }

    private static List<HeldWork> held(Permission permission, List<TaskView> tasks, Set<Chore> chores) {
        List<String> work = Stream.concat(
                        tasks.stream()
                                .filter(task -> task.catalogue().disturbance() >= 1)
                                .map(TaskView::name),
                        chores.stream()
                                .sorted()
                                .filter(chore -> Hold.concerns(chore.disturbance()))
                                .map(Chore::words))
                .toList();
        List<String> named = work.isEmpty() ? tasks.stream().map(TaskView::name).toList() : work;
        return permission.holds().stream()
                .map(hold -> new HeldWork(hold, named))
                .toList();
    }

    /** Stages on which these tasks touch bacteria. */
    private static Set<@Nullable Long> homes(List<TaskView> tasks) {
        return tasks.stream()
                .filter(task -> task.catalogue().disturbance() >= 1 && task.stageId() != null)
                .map(TaskView::stageId)
                .collect(Collectors.toSet());
    }

    private static StepView view(Step step, FilterView filter) {
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
                captures(step, filter),
                boxed(step.about().task()),
                stage,
                stageName,
                step.effects().stream().sorted().toList(),
                step.drawnLitres() > 0 ? step.drawnLitres() : null,
                grades(step, filter));
    }

    /** A grade is asked for where the stage is judged by its dirt; a pump or a bag of carbon has none. */
    private static boolean asksGrade(Step step, FilterView filter) {
        @Nullable Long stage = boxed(step.about().stage());
        return step.captures().equals(Optional.of(Step.Capture.FINDING))
                && filter.tasks().stream().anyMatch(task -> task.graded() && Objects.equals(task.stageId(), stage));
    }

    private static @Nullable List<String> grades(Step step, FilterView filter) {
        @Nullable Long stage = boxed(step.about().stage());
        return filter.stages().stream()
                .filter(one -> asksGrade(step, filter) && Objects.equals(one.id(), stage))
                .map(one -> GradeWords.of(one.kind()))
                .findFirst()
                .orElse(null);
    }

    private static Step.@Nullable Capture captures(Step step, FilterView filter) {
        Step.@Nullable Capture captured = step.captures().orElse(null);
        return captured == Step.Capture.FINDING && !asksGrade(step, filter) ? null : captured;
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
