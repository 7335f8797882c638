package app.chervil.server.filter;

import app.chervil.core.filter.CareCatalogue;
import app.chervil.core.filter.FilterKind;
import app.chervil.core.filter.FilterTemplates;
import app.chervil.core.filter.Stage;
import app.chervil.core.filter.StageKind;
import app.chervil.core.interval.Start.Sureness;
import app.chervil.core.passport.Doubts;
import app.chervil.core.site.AnimalAdvice;
import app.chervil.core.site.Filter;
import app.chervil.core.site.FilterStage;
import app.chervil.core.site.Tank;
import app.chervil.core.site.TaskMode;
import app.chervil.core.tank.ContextChange;
import app.chervil.core.tank.ContextChange.Kind;
import app.chervil.core.tank.Schools;
import app.chervil.server.account.AccountOperations;
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
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Filters with their water paths and the care each stage brings. */
@Service
public class FilterOperations {
    private static final int RESTORABLE_DAYS = 30;

    private final FilterMapper filters;
    private final TaskMapper tasks;
    private final TankOperations tanks;
    private final AccountOperations accounts;

    FilterOperations(FilterMapper filters, TaskMapper tasks, TankOperations tanks, AccountOperations accounts) {
        this.filters = filters;
        this.tasks = tasks;
        this.tanks = tanks;
        this.accounts = accounts;
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
    public List<Filter> list(SignedIn who, @Nullable Long tank) {
        return of(who.siteId(), tank == null ? tanks.list(who) : List.of(tanks.find(who, tank)), tank);
    }

    /**
     * Filters in use on tanks that are known already.
     *
     * @param known all tanks that may be met
     * @param tank null for all tanks of the site
     */
    public List<Filter> of(long site, List<Tank> known, @Nullable Long tank) {
        Map<Long, Schools> schools = known.stream()
                .collect(Collectors.toMap(Tank::id, one -> one.practice().schools()));
        return filters.list(site, tank).stream()
                .flatMap(row ->
                        Stream.ofNullable(schools.get(row.tankId())).map(chosen -> FilterRows.filter(row, chosen)))
                .toList();
    }

    /**
     * Filters of one tank.
     *
     * @throws NotFound if the site has no such tank
     */
    @Transactional(readOnly = true)
    public List<Filter> listOf(SignedIn who, long tank) {
        tanks.find(who, tank);
        return list(who, tank);
    }

    /**
     * What a practitioner would say of a tank for the sake of its animals, in the site's units.
     *
     * @throws NotFound if the site has no such tank
     */
    @Transactional(readOnly = true)
    public List<String> advice(SignedIn who, long tank) {
        Tank kept = tanks.find(who, tank);
        return AnimalAdvice.of(
                kept, of(who.siteId(), List.of(kept), tank), accounts.units(who).measures());
    }

    /**
     * One filter in use.
     *
     * @throws NotFound if the site has no such filter in use
     */
    @Transactional(readOnly = true)
    public Filter find(SignedIn who, long id) {
        return list(who, findRow(who, id).tankId()).stream()
                .filter(filter -> filter.id() == id)
                .findFirst()
                .orElseThrow(() -> new NotFound("filter"));
    }

    /** Adds a filter; beside others it is logged as sharing their load. */
    @Transactional
    public Filter create(SignedIn who, long tank, FilterInput input) {
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
    public Filter update(SignedIn who, long id, int version, FilterInput input) {
        FilterInput filter = checked(input);
        Filter before = find(who, id);
        new Rejected.Gatherer()
                .check(filter.kind() == before.kind(), "kind", "kind-stays", "A filter keeps its kind. Add a new one.")
                .done();
        checkStagesBelong(before, filter);
        Conflict.unlessUpdated(
                filters.update(who.siteId(), id, version, filter), "filter", () -> FilterView.of(before));
        storePath(who, id, filter, new Cleaned(tanks.today(), Sureness.EXACT));
        removeMissing(who, before, filter);
        recordPrefilter(who, before, filter);
        return find(who, id);
    }

    /**
     * Says when a filter was last cleaned before anything was logged; every date that rests on it follows.
     *
     * @param on null if nobody knows
     * @throws NotFound if the site has no such filter in use
     */
    @Transactional
    public Filter setCleaned(SignedIn who, long id, @Nullable LocalDate on, Sureness sureness) {
        Filter before = find(who, id);
        checkDay("on", on);
        Cleaned cleaned = Cleaned.of(on, sureness, tanks.today());
        filters.updateCleaned(who.siteId(), id, cleaned);
        tasks.updateCleaned(who.siteId(), id, Cleaned.of(before.cleaned()), cleaned);
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
        Filter filter = find(who, id);
        filters.delete(who.siteId(), id, tanks.today());
        tanks.recordChange(who, filter.tankId(), id, new ContextChange(tanks.today(), Kind.PARALLEL_FILTER, -1));
    }

    /** Whether a filter was taken out of use, and not too long ago to be put back. */
    @Transactional(readOnly = true)
    public boolean isRestorable(SignedIn who, long id) {
        LocalDate removed = findRow(who, id).removedOn();
        return removed != null && isRestorable(removed);
    }

    private boolean isRestorable(LocalDate removed) {
        return !removed.isBefore(tanks.today().minusDays(RESTORABLE_DAYS));
    }

    /** Puts a filter back into use as if it had never been taken out. */
    @Transactional
    public Filter restore(SignedIn who, long id) {
        who.mustBeKeeper();
        LocalDate removed = findRow(who, id).removedOn();
        if (removed == null || !isRestorable(removed) || filters.restore(who.siteId(), id) == 0) {
            throw new NotFound("filter");
        }
        tanks.forgetChange(who, id, new ContextChange(removed, Kind.PARALLEL_FILTER, -1));
        return find(who, id);
    }

    /**
     * Says that bio media came into a filter or left it; nothing changes where nobody knows how much it holds.
     *
     * @param grams below zero for what left
     */
    @Transactional
    public void shiftMedia(SignedIn who, long filter, double grams) {
        filters.shiftMedia(who.siteId(), filter, grams);
    }

    /** Switches a task off, fixes it, or leaves it to learn. */
    @Transactional
    public Filter setTask(SignedIn who, long id, TaskSettingInput setting) {
        TaskRow task = tasks.find(who.siteId(), id).orElseThrow(() -> new NotFound("task"));
        boolean fixed = setting.mode() == TaskMode.FIXED;
        new Rejected.Gatherer()
                .check(
                        fixed == (setting.fixedDays() != null),
                        "fixedDays",
                        "days-with-fixed-only",
                        "Say every how many days.")
                .done();
        Filter before = find(who, task.filterId());
        Conflict.unlessUpdated(tasks.update(who.siteId(), id, setting), "task", () -> FilterView.of(before));
        return find(who, task.filterId());
    }

    /** Sets a task as something else than its form asks, whatever it was before. */
    @Transactional
    public void setTask(SignedIn who, long id, TaskMode mode, @Nullable Integer fixedDays) {
        TaskRow task = tasks.find(who.siteId(), id).orElseThrow(() -> new NotFound("task"));
        setTask(who, id, new TaskSettingInput(task.version(), mode, fixedDays));
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
        checkPassport(filter);
        return filter;
    }

    private static void checkPassport(FilterInput filter) {
        if (filter.known().chambers() == null) {
            return;
        }
        List<StageKind> path = filter.stages().stream().map(StageInput::kind).toList();
        List<String> names = filter.stages().stream()
                .map(stage -> stage.label().isBlank() ? stage.kind().words() : stage.label())
                .toList();
        Rejected.Gatherer gatherer = new Rejected.Gatherer();
        new Doubts(filter.known().toCore(filter.kind(), filter.direction(), path), path, names)
                .refusals()
                .forEach(refusal ->
                        gatherer.check(false, "passport." + refusal.field(), refusal.code(), refusal.words()));
        gatherer.done();
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

    private static void checkStagesBelong(Filter before, FilterInput filter) {
        Map<Long, StageKind> known =
                before.stages().stream().collect(Collectors.toMap(FilterStage::id, FilterStage::kind));
        Set<Long> seen = new HashSet<>();
        Rejected.Gatherer gatherer = new Rejected.Gatherer();
        for (int i = 0; i < filter.stages().size(); i++) {
            StageInput stage = filter.stages().get(i);
            boolean fits = stage.id() == null || (known.get(stage.id()) == stage.kind() && seen.add(stage.id()));
            gatherer.check(fits, "stages[" + i + "].id", "not-this-stage", "This stage is not part of this filter.");
        }
        gatherer.done();
    }

    private void removeMissing(SignedIn who, Filter before, FilterInput after) {
        Set<@Nullable Long> kept = after.stages().stream().map(StageInput::id).collect(Collectors.toSet());
        before.stages().stream()
                .map(FilterStage::id)
                .filter(id -> !kept.contains(id))
                .forEach(id -> filters.deleteStage(who.siteId(), id, tanks.today()));
    }

    private void recordPrefilter(SignedIn who, Filter before, FilterInput after) {
        boolean had = before.has(StageKind.PREFILTER_SPONGE);
        boolean has = after.stages().stream().anyMatch(stage -> stage.kind() == StageKind.PREFILTER_SPONGE);
        if (had != has) {
            tanks.recordChange(
                    who, before.tankId(), before.id(), new ContextChange(tanks.today(), Kind.PREFILTER, has ? 1 : -1));
        }
    }
}
