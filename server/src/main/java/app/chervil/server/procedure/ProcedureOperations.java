package app.chervil.server.procedure;

import app.chervil.core.calc.Litres;
import app.chervil.core.filter.Stage;
import app.chervil.core.procedure.Caution;
import app.chervil.core.procedure.Procedure;
import app.chervil.core.procedure.Situation;
import app.chervil.core.procedure.Situation.Asked;
import app.chervil.core.procedure.Situation.Chore;
import app.chervil.core.procedure.Situation.PathStage;
import app.chervil.core.procedure.Situation.Practice;
import app.chervil.core.procedure.Situation.Work;
import app.chervil.core.procedure.Step;
import app.chervil.server.account.SignedIn;
import app.chervil.server.filter.FilterOperations;
import app.chervil.server.filter.FilterView;
import app.chervil.server.filter.FilterView.TaskView;
import app.chervil.server.problem.NotFound;
import app.chervil.server.procedure.ProcedureView.Draw;
import app.chervil.server.procedure.ProcedureView.StepView;
import app.chervil.server.tank.TankInput;
import app.chervil.server.tank.TankOperations;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.Set;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Assembles the procedure for tasks on a filter, and what it takes to begin. */
@Service
public class ProcedureOperations {
    static final double BUCKET_LITRES = 8;
    private static final int SET_UP_MINUTES = 10;
    private static final int YOUNG_DAYS = 60;
    private static final int DISTURBS = 2;

    private final TankOperations tanks;
    private final FilterOperations filters;

    ProcedureOperations(TankOperations tanks, FilterOperations filters) {
        this.tanks = tanks;
        this.filters = filters;
    }

    /**
     * The procedure for some tasks of a filter.
     *
     * @throws NotFound if the filter or one of the tasks is not there
     */
    @Transactional(readOnly = true)
    public ProcedureView assemble(SignedIn who, long filterId, List<Long> taskIds, Set<Chore> chores) {
        FilterView filter = filters.find(who, filterId);
        TankInput tank = tanks.find(who, filter.tankId()).tank();
        List<TaskView> tasks =
                taskIds.stream().distinct().map(id -> task(filter, id)).toList();
        Practice practice = practice(tank);
        Procedure procedure = Procedure.assemble(
                new Situation(filter.name(), filter.kind(), practice, path(filter), new Work(asked(tasks), chores)));
        int work = tasks.stream().mapToInt(task -> task.catalogue().minutes()).sum();
        return new ProcedureView(
                filter.name(),
                procedure.steps().stream().map(step -> view(step, filter)).toList(),
                carry(procedure),
                draw(procedure.buckets(), tank),
                work + SET_UP_MINUTES,
                practice.whyWater(),
                warnings(tank, practice, filter, tasks));
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

    private static List<String> carry(Procedure procedure) {
        Stream<String> buckets = procedure.buckets() == 0
                ? Stream.empty()
                : Stream.of(procedure.buckets() == 1 ? "1 bucket" : procedure.buckets() + " buckets");
        Stream<String> materials = procedure.steps().stream().flatMap(step -> step.care().materials().stream());
        return Stream.concat(buckets, materials).distinct().toList();
    }

    private static @Nullable Draw draw(int buckets, TankInput tank) {
        if (buckets == 0) {
            return null;
        }
        Litres drawn = Litres.of(buckets * BUCKET_LITRES);
        return new Draw(buckets, drawn.value(), 100 * drawn.shareOf(Litres.of(tank.netVolumeL())));
    }

    private List<String> warnings(TankInput tank, Practice practice, FilterView filter, List<TaskView> tasks) {
        List<String> warnings = new ArrayList<>();
        boolean disturbs = tasks.stream().anyMatch(task -> task.catalogue().disturbance() >= DISTURBS);
        long age = ChronoUnit.DAYS.between(tank.establishedOn(), tanks.today());
        if (disturbs && age < YOUNG_DAYS) {
            warnings.add(
                    "This tank is " + age + " days old. Leave its bacteria alone for the first " + YOUNG_DAYS + ".");
        }
        if (tank.schools().rinse() == app.chervil.core.tank.RinseWater.TAP_WHERE_SAFE && !practice.tapAllowed()) {
            warnings.add("You rinse with tap water where it is safe; here it is not. " + practice.whyWater());
        }
        long bearing = tasks.stream()
                .filter(task -> task.catalogue().disturbance() >= 1 && task.stageId() != null)
                .count();
        long all = filter.tasks().stream()
                .filter(task -> task.catalogue().disturbance() >= 1 && task.stageId() != null)
                .map(TaskView::stageId)
                .distinct()
                .count();
        if (disturbs && bearing >= all && all > 1) {
            warnings.add(
                    "This cleans every home of the bacteria in this filter at once. Better leave one for another week.");
        }
        return warnings;
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
                step.care().materials(),
                step.care().timerMinutes().isPresent()
                        ? step.care().timerMinutes().getAsInt()
                        : null,
                step.captures().orElse(null),
                boxed(step.about().task()),
                stage,
                stageName,
                step.effects().stream().sorted().toList());
    }

    private static @Nullable Long boxed(OptionalLong value) {
        return value.isPresent() ? value.getAsLong() : null;
    }
}
