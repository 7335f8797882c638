package app.chervil.server.filter;

import app.chervil.core.filter.CareCatalogue;
import app.chervil.core.filter.FilterKind;
import app.chervil.core.filter.FilterTemplates;
import app.chervil.core.filter.Stage;
import app.chervil.core.filter.StageKind;
import app.chervil.core.interval.Start.Sureness;
import app.chervil.core.tank.ContextChange;
import app.chervil.core.tank.ContextChange.Kind;
import app.chervil.core.tank.Schools;
import app.chervil.server.account.SignedIn;
import app.chervil.server.filter.FilterInput.StageInput;
import app.chervil.server.problem.Conflict;
import app.chervil.server.problem.NotFound;
import app.chervil.server.problem.Rejected;
import app.chervil.server.tank.TankOperations;
import jakarta.validation.constraints.NotNull;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Filters with their water paths and the care each stage brings. */
@Service
public class FilterOperations {
    private final FilterMapper filters;
    private final TaskMapper tasks;
    private final TankOperations tanks;

    FilterOperations(FilterMapper filters, TaskMapper tasks, TankOperations tanks) {
        this.filters = filters;
        this.tasks = tasks;
        this.tanks = tanks;
    }

    /** The water path each kind of filter starts with. */
    public List<Template> templates() {
        return Arrays.stream(FilterKind.values())
                .map(kind -> new Template(kind, kind.words(), FilterTemplates.waterPath(kind)))
                .toList();
    }

    /** A kind of filter and the water path it starts with. */
    public record Template(FilterKind kind, String words, List<Stage> stages) {}

    /**
     * Filters in use with their stages and tasks.
     *
     * @param tank null for all tanks of the site
     */
    @Transactional(readOnly = true)
    public List<FilterView> list(SignedIn who, @Nullable Long tank) {
        long site = who.siteId();
        Map<Long, Schools> schools = tanks.list(who).stream()
                .collect(Collectors.toMap(
                        view -> view.id(), view -> view.tank().schools().toCore()));
        Map<Long, List<StageRow>> stages =
                filters.listStages(site, tank).stream().collect(Collectors.groupingBy(StageRow::filterId));
        Map<Long, List<TaskRow>> ofFilter =
                tasks.list(site, tank).stream().collect(Collectors.groupingBy(TaskRow::filterId));
        return filters.list(site, tank).stream()
                .map(row -> FilterViews.of(
                        row,
                        stages.getOrDefault(row.id(), List.of()),
                        ofFilter.getOrDefault(row.id(), List.of()),
                        Objects.requireNonNull(schools.get(row.tankId()))))
                .toList();
    }

    /**
     * Filters of one tank.
     *
     * @throws NotFound if the site has no such tank
     */
    @Transactional(readOnly = true)
    public List<FilterView> listOf(SignedIn who, long tank) {
        tanks.find(who, tank);
        return list(who, tank);
    }

    /**
     * One filter in use.
     *
     * @throws NotFound if the site has no such filter in use
     */
    @Transactional(readOnly = true)
    public FilterView find(SignedIn who, long id) {
        return list(who, findRow(who, id).tankId()).stream()
                .filter(view -> view.id() == id)
                .findFirst()
                .orElseThrow(() -> new NotFound("filter"));
    }

    /** Adds a filter; beside others it is logged as sharing their load. */
    @Transactional
    public FilterView create(SignedIn who, long tank, FilterInput input) {
        tanks.find(who, tank);
        FilterInput filter = checked(input);
        boolean beside = !filters.list(who.siteId(), tank).isEmpty();
        Cleaned cleaned = filter.cleaned(tanks.today());
        long id = filters.insert(who.siteId(), tank, filter, cleaned);
        storePath(who, id, filter, cleaned);
        if (beside) {
            LocalDate on = filter.fittedOn() == null ? tanks.today() : filter.fittedOn();
            tanks.recordChange(who, tank, id, new ContextChange(on, Kind.PARALLEL_FILTER, 1));
        }
        return find(who, id);
    }

    /**
     * Stores a filter with its whole water path. A pre-filter added or taken off is logged as a change of context.
     *
     * @throws Conflict if the version is stale
     */
    @Transactional
    public FilterView update(SignedIn who, long id, int version, FilterInput input) {
        FilterInput filter = checked(input);
        FilterView before = find(who, id);
        new Rejected.Gatherer()
                .check(filter.kind() == before.kind(), "kind", "kind-stays", "A filter keeps its kind. Add a new one.")
                .done();
        checkStagesBelong(before, filter);
        Conflict.unlessUpdated(filters.update(who.siteId(), id, version, filter), "filter", () -> before);
        storePath(who, id, filter, new Cleaned(tanks.today(), Sureness.EXACT));
        removeMissing(who, before, filter);
        recordPrefilter(who, before, filter);
        return find(who, id);
    }

    /**
     * Says when a filter was last cleaned before anything was logged; every date that rests on it follows.
     *
     * @throws NotFound if the site has no such filter in use
     */
    @Transactional
    public FilterView setCleaned(SignedIn who, long id, CleanedInput input) {
        FilterView before = find(who, id);
        checkDay("on", input.on());
        Cleaned cleaned = Cleaned.of(input.on(), input.sureness(), tanks.today());
        filters.updateCleaned(who.siteId(), id, cleaned);
        tasks.updateCleaned(who.siteId(), id, before.cleaned(), cleaned);
        return find(who, id);
    }

    /**
     * When a filter was last cleaned.
     *
     * @param on absent if nobody knows
     */
    public record CleanedInput(
            @Nullable LocalDate on,
            @NotNull(message = "How sure is that?") Sureness sureness) {}

    /** Takes a filter out of use. */
    @Transactional
    public void delete(SignedIn who, long id) {
        who.mustBeKeeper();
        FilterView filter = find(who, id);
        filters.delete(who.siteId(), id, tanks.today());
        tanks.recordChange(who, filter.tankId(), id, new ContextChange(tanks.today(), Kind.PARALLEL_FILTER, -1));
    }

    /** Puts a filter back into use as if it had never been taken out. */
    @Transactional
    public FilterView restore(SignedIn who, long id) {
        who.mustBeKeeper();
        FilterRow row = findRow(who, id);
        LocalDate removed = row.removedOn();
        LocalDate oldest = tanks.today().minusDays(30);
        if (removed == null || removed.isBefore(oldest) || filters.restore(who.siteId(), id) == 0) {
            throw new NotFound("filter");
        }
        tanks.forgetChange(who, id, new ContextChange(removed, Kind.PARALLEL_FILTER, -1));
        return find(who, id);
    }

    /** Switches a task off, fixes it, or leaves it to learn. */
    @Transactional
    public FilterView setTask(SignedIn who, long id, TaskSettingInput setting) {
        TaskRow task = tasks.find(who.siteId(), id).orElseThrow(() -> new NotFound("task"));
        boolean fixed = setting.mode() == TaskMode.FIXED;
        new Rejected.Gatherer()
                .check(
                        fixed == (setting.fixedDays() != null),
                        "fixedDays",
                        "days-with-fixed-only",
                        "Say every how many days.")
                .done();
        FilterView before = find(who, task.filterId());
        Conflict.unlessUpdated(tasks.update(who.siteId(), id, setting), "task", () -> before);
        return find(who, task.filterId());
    }

    private FilterRow findRow(SignedIn who, long id) {
        return filters.find(who.siteId(), id).orElseThrow(() -> new NotFound("filter"));
    }

    private FilterInput checked(FilterInput filter) {
        checkDay("fittedOn", filter.fittedOn());
        checkDay("careFrom", filter.careFrom());
        for (int i = 0; i < filter.stages().size(); i++) {
            checkDay("stages[" + i + "].fittedOn", filter.stages().get(i).fittedOn());
        }
        return filter;
    }

    private void checkDay(String field, @Nullable LocalDate day) {
        if (day != null) {
            tanks.checkDay(field, day);
        }
    }

    private void storePath(SignedIn who, long filter, FilterInput input, Cleaned cleaned) {
        long site = who.siteId();
        CareCatalogue.forFilter(input.kind(), Schools.DEFAULT)
                .forEach(rule -> tasks.insert(site, filter, null, rule.action(), cleaned));
        for (int position = 0; position < input.stages().size(); position++) {
            StageInput stage = input.stages().get(position);
            long id = storeStage(site, filter, position, stage, cleaned.on());
            CareCatalogue.forStage(stage.toCore(), Schools.DEFAULT)
                    .forEach(rule -> tasks.insert(site, filter, id, rule.action(), cleaned));
        }
    }

    private long storeStage(long site, long filter, int position, StageInput stage, LocalDate careFrom) {
        if (stage.id() == null) {
            return filters.insertStage(site, filter, position, stage, careFrom);
        }
        filters.updateStage(site, filter, position, stage);
        return stage.id();
    }

    private static void checkStagesBelong(FilterView before, FilterInput filter) {
        Map<Long, StageKind> known = before.stages().stream()
                .collect(Collectors.toMap(FilterView.StageView::id, FilterView.StageView::kind));
        Set<Long> seen = new HashSet<>();
        Rejected.Gatherer gatherer = new Rejected.Gatherer();
        for (int i = 0; i < filter.stages().size(); i++) {
            StageInput stage = filter.stages().get(i);
            boolean fits = stage.id() == null || (known.get(stage.id()) == stage.kind() && seen.add(stage.id()));
            gatherer.check(fits, "stages[" + i + "].id", "not-this-stage", "This stage is not part of this filter.");
        }
        gatherer.done();
    }

    private void removeMissing(SignedIn who, FilterView before, FilterInput after) {
        Set<@Nullable Long> kept = after.stages().stream().map(StageInput::id).collect(Collectors.toSet());
        before.stages().stream()
                .map(FilterView.StageView::id)
                .filter(id -> !kept.contains(id))
                .forEach(id -> filters.deleteStage(who.siteId(), id, tanks.today()));
    }

    private void recordPrefilter(SignedIn who, FilterView before, FilterInput after) {
        boolean had = any(before.stages(), FilterView.StageView::kind);
        boolean has = any(after.stages(), StageInput::kind);
        if (had != has) {
            tanks.recordChange(
                    who, before.tankId(), before.id(), new ContextChange(tanks.today(), Kind.PREFILTER, has ? 1 : -1));
        }
    }

    private static <S> boolean any(List<S> stages, Function<S, StageKind> kind) {
        return stages.stream().anyMatch(stage -> kind.apply(stage) == StageKind.PREFILTER_SPONGE);
    }
}
