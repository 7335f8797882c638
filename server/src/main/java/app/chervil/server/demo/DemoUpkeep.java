package app.chervil.server.demo;

import app.chervil.core.filter.CareAction;
import app.chervil.core.filter.CareRule;
import app.chervil.core.filter.FilterKind;
import app.chervil.core.filter.StageKind;
import app.chervil.core.interval.Finding;
import app.chervil.core.interval.StartingLoad;
import app.chervil.core.interval.Surroundings;
import app.chervil.core.site.Change;
import app.chervil.core.site.FilterStage;
import app.chervil.core.site.FilterTask;
import app.chervil.core.site.Tank;
import app.chervil.core.site.TaskMode;
import app.chervil.core.tank.ContextChange;
import app.chervil.core.tank.OpeningSchool;
import app.chervil.core.tank.Schools;
import app.chervil.server.account.SignedIn;
import app.chervil.server.tank.TankOperations;
import app.chervil.sim.tank.KeptStage;
import app.chervil.sim.tank.KeptStage.Done;
import app.chervil.sim.tank.Truth;
import app.chervil.sim.truth.Eye;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.MonthDay;
import java.time.temporal.ChronoUnit;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.SplittableRandom;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.stereotype.Component;

/** Keeps the filters of the demo for eighteen months as its people would have, and writes it into a diary. */
@Component
@ConditionalOnProperty("chervil.demo")
class DemoUpkeep {
    static final int HISTORY_DAYS = 548;

    private static final Set<DayOfWeek> WORKING =
            Set.of(DayOfWeek.MONDAY, DayOfWeek.WEDNESDAY, DayOfWeek.FRIDAY, DayOfWeek.SATURDAY);
    private static final MonthDay CLOSES = MonthDay.of(12, 24);
    private static final MonthDay OPENS = MonthDay.of(1, 6);
    private static final double USUAL_LOADING = 0.6;
    private static final double SEASON = 0.12;
    private static final double BEHIND_PREFILTER = 0.32;
    private static final double LOOKED_AFTER_AT_SHARE = 0.75;

    private final TankOperations tanks;

    DemoUpkeep(TankOperations tanks) {
        this.tanks = tanks;
    }

    /** Writes what was done to a filter up to yesterday. */
    void keep(SignedIn who, Tank tank, FilterStory story, LocalDate from, DemoDiary diary) {
        List<Change> changes = tanks.changes(who, story.filter.tankId());
        new Keeper(tank, story, from, diary, changes).keep();
    }

    static boolean works(LocalDate day) {
        MonthDay date = MonthDay.from(day);
        return WORKING.contains(day.getDayOfWeek()) && date.isBefore(CLOSES) && date.isAfter(OPENS);
    }

    /** One filter being kept. */
    private static final class Keeper {
        private final Tank tank;
        private final FilterStory story;
        private final LocalDate from;
        private final DemoDiary diary;
        private final List<ContextChange> changes;
        private final LocalDate today;
        private final SplittableRandom random;
        private final Schools schools;

        Keeper(Tank tank, FilterStory story, LocalDate from, DemoDiary diary, List<Change> changes) {
            this.tank = tank;
            this.story = story;
            this.from = from;
            this.diary = diary;
            this.changes = changes.stream()
                    .filter(change -> change.reaches(story.filter.id()))
                    .map(Change::what)
                    .toList();
            this.today = diary.today();
            this.random = new SplittableRandom(story.filter.name().hashCode());
            this.schools = tank.practice().schools();
        }

        void keep() {
            boolean canister = story.filter.kind() == FilterKind.CANISTER;
            Optional<FilterTask> opening = tasks().stream()
                    .filter(task -> task.action() == CareAction.OPEN)
                    .findFirst();
            List<LocalDate> openings = opening.map(this::opened).orElse(List.of());
            for (FilterTask task : tasks()) {
                Optional<FilterStage> stage = stageOf(task);
                boolean inside = canister
                        && stage.map(one -> one.kind().insideCanister()).orElse(false);
                if (task.withOpening() || task.action() == CareAction.OPEN || renewedRarely(task, stage)) {
                    continue;
                }
                if (inside) {
                    atOpenings(task, stage, openings);
                } else if (task.graded()) {
                    graded(task, stage.orElseThrow());
                } else {
                    byAge(task, stage);
                }
            }
        }

        private List<FilterTask> tasks() {
            return story.filter.tasks().stream()
                    .filter(task -> task.mode() != TaskMode.OFF)
                    .toList();
        }

        /** Foams and lamps that the eighteen months did not see renewed. */
        private static boolean renewedRarely(FilterTask task, Optional<FilterStage> stage) {
            return task.action() == CareAction.REPLACE
                    && stage.map(one -> one.kind() != StageKind.FINE_PAD).orElse(false);
        }

        private List<LocalDate> opened(FilterTask opening) {
            Map<StageKind, FilterTask> inner = new LinkedHashMap<>();
            Map<StageKind, Truth> truths = new LinkedHashMap<>();
            for (FilterTask task : tasks()) {
                FilterStage stage = stageOf(task).orElse(null);
                if (task.withOpening() && stage != null) {
                    inner.put(stage.kind(), task);
                    truths.put(stage.kind(), truth(stage.kind(), rule(task)));
                }
            }
            CareRule rule = rule(opening);
            OptionalInt fixed = schools.opening() == OpeningSchool.MAKERS_CALENDAR
                    ? OptionalInt.of(rule.startDays())
                    : OptionalInt.empty();
            List<Done<StageKind>> done = kept(rule, null, truths, day -> fixed)
                    .keep(
                            (last, window) ->
                                    story.ending(CareAction.OPEN, null).holds(last, window, today),
                            sooner(story.ending(CareAction.OPEN, null)));
            done.forEach(one -> {
                diary.did(one.on(), opening, null);
                one.parts()
                        .forEach((kind, finding) ->
                                diary.did(one.on(), Objects.requireNonNull(inner.get(kind)), finding));
                flow(one);
            });
            return done.stream().map(Done::on).toList();
        }

        private void graded(FilterTask task, FilterStage stage) {
            kept(
                            rule(task),
                            stage.kind(),
                            Map.of(stage.kind(), truth(stage.kind(), rule(task))),
                            day -> story.tried(stage.kind(), day))
                    .keep(
                            (last, window) ->
                                    story.ending(task.action(), stage.kind()).holds(last, window, today),
                            sooner(story.ending(task.action(), stage.kind())))
                    .forEach(one -> {
                        diary.did(one.on(), task, one.parts().get(stage.kind()));
                        if (story.filter.kind() != FilterKind.CANISTER) {
                            flow(one);
                        }
                    });
        }

        /** What is to be quiet was not done just now either. */
        private double sooner(FilterStory.Ending ending) {
            return ending == FilterStory.Ending.QUIET || ending == FilterStory.Ending.ABOUT_150_DAYS
                    ? 0.2 + 0.4 * random.nextDouble()
                    : 0;
        }

        private void flow(Done<StageKind> done) {
            done.flowShare()
                    .ifPresent(share -> diary.flowed(
                            done.on(),
                            story.filter.id(),
                            share * story.cleanLph,
                            story.cleanLph * (1 + 0.015 * random.nextGaussian())));
        }

        private KeptStage<StageKind> kept(
                CareRule rule,
                @Nullable StageKind kind,
                Map<StageKind, Truth> truths,
                Function<LocalDate, OptionalInt> fixed) {
            boolean behind = kind != StageKind.STRAINER && kind != StageKind.PREFILTER_SPONGE;
            // Flow is held against one task of a day; only these are measured, so that nothing is told twice.
            boolean measured = kind == null || kind == StageKind.COARSE_FOAM;
            List<ContextChange> reaching = changes.stream()
                    .filter(change -> behind || change.kind() != ContextChange.Kind.PREFILTER)
                    .toList();
            return new KeptStage<>(
                    new KeptStage.Plan(
                            rule,
                            from,
                            today,
                            story.came(kind),
                            load(from, behind),
                            reaching,
                            fixed,
                            measured ? story.flowMeasured : 0,
                            DemoUpkeep::works),
                    truths,
                    new Eye(0.05, 0, 0.05),
                    random.split());
        }

        private StartingLoad load(LocalDate on, boolean behind) {
            int prefilters = (int) story.filter.stages().stream()
                    .filter(stage -> stage.kind() == StageKind.PREFILTER_SPONGE)
                    .count();
            int others = (int) changes.stream()
                    .filter(change -> change.kind() == ContextChange.Kind.PARALLEL_FILTER)
                    .count();
            return new Surroundings(tank.setting().stocking(), tank.setting().feeding(), prefilters, others)
                    .on(on, changes, behind);
        }

        /** Unless the story says otherwise a stage fills as its kind usually does on such a tank. */
        private Truth truth(StageKind kind, CareRule rule) {
            boolean behind = kind != StageKind.STRAINER && kind != StageKind.PREFILTER_SPONGE;
            double usual = rule.startDays() / USUAL_LOADING / load(from, behind).rate();
            List<Truth.Step> steps = changes.stream()
                    .filter(change -> behind && change.kind() == ContextChange.Kind.PREFILTER)
                    .map(change ->
                            new Truth.Step(change.on(), change.steps() > 0 ? BEHIND_PREFILTER : 1 / BEHIND_PREFILTER))
                    .toList();
            return new Truth(story.overloadDays.getOrDefault(kind, usual), SEASON, steps);
        }

        /** What is reached only when the canister is open, and is then done if most of its time has passed. */
        private void atOpenings(FilterTask task, Optional<FilterStage> stage, List<LocalDate> openings) {
            CareRule rule = rule(task);
            LocalDate last = from;
            for (LocalDate day : openings) {
                if (ChronoUnit.DAYS.between(last, day) >= LOOKED_AFTER_AT_SHARE * rule.startDays()) {
                    LocalDate served = last;
                    Finding finding = task.graded()
                            ? stage.map(one -> new Eye(0, 0, 0)
                                            .grade(truth(one.kind(), rule).loading(served, day), random.split()))
                                    .orElse(null)
                            : null;
                    diary.did(day, task, finding);
                    last = day;
                }
            }
        }

        /** By age, the last time some while ago so that nothing of it is due these days. */
        private void byAge(FilterTask task, Optional<FilterStage> stage) {
            int interval = rule(task).startDays();
            LocalDate began = stage.flatMap(one -> story.came(one.kind())).orElse(from);
            LocalDate day = today.minusDays(Math.max(2, Math.round(interval * (0.2 + 0.4 * random.nextDouble()))));
            while (day.isAfter(began)) {
                diary.did(working(day), task, null);
                day = day.minusDays(Math.max(2, Math.round(interval * (0.85 + 0.2 * random.nextDouble()))));
            }
        }

        private static LocalDate working(LocalDate day) {
            LocalDate worked = day;
            while (!works(worked)) {
                worked = worked.minusDays(1);
            }
            return worked;
        }

        private static CareRule rule(FilterTask task) {
            return task.rule();
        }

        private Optional<FilterStage> stageOf(FilterTask task) {
            return story.filter.stageOf(task);
        }
    }
}
