package app.chervil.core.procedure;

import app.chervil.core.filter.CareAction;
import app.chervil.core.filter.FilterKind;
import app.chervil.core.filter.Material;
import app.chervil.core.filter.StageKind;
import app.chervil.core.passport.Passport;
import app.chervil.core.procedure.Bound.Fillings;
import app.chervil.core.procedure.Situation.Asked;
import app.chervil.core.procedure.Situation.PathStage;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * One ordered procedure for all tasks asked for on a filter: common opening, the parts of each task merged by phase and by
 * the order a hand meets them, common close (docs/sources.md#procedures). Opening a filter once for six tasks gives one
 * opening.
 *
 * @param steps in the order they are done; empty only if nothing was asked for
 * @param tubs of tank water to draw
 * @param tasks that these steps do: those asked for, without a rinse of what is replaced, and the washing of what is lifted
 * @param minutes of work, waits apart
 */
public record Procedure(List<Step> steps, Tubs tubs, List<Asked> tasks, int minutes) {
    /** Of looking, testing and writing down; what is rinsed along comes on top. */
    private static final int LOOK_OVER_MINUTES = 20;

    private static final int SET_UP_MINUTES = 35;
    private static final int TAKE_DOWN_MINUTES = 30;

    public Procedure {
        steps = List.copyOf(steps);
        tasks = List.copyOf(tasks);
    }

    /** Buckets and tubs to bring. */
    public List<String> vessels() {
        return tubs.toBring(
                steps.stream().anyMatch(step -> step.care().materials().contains(Material.BUCKET)));
    }

    /**
     * Assembles the steps for filters of one tank that are served one after the other, with one set of tubs.
     *
     * @param inOrder in which they are served
     * @return as many, in the same order
     */
    public static List<Procedure> oneAfterTheOther(List<Situation> inOrder) {
        return Turn.each(inOrder.stream().map(LaidOut::of).toList()).stream()
                .map(Procedure::assemble)
                .toList();
    }

    /** Assembles the steps for a situation. */
    public static Procedure assemble(Situation asked) {
        return assemble(LaidOut.of(asked));
    }

    private static Procedure assemble(LaidOut work) {
        return assemble(work.situation(), work.hands(), work.extent(), List.of());
    }

    /**
     * The steps of looking a filter over that nobody looked after: cord and drips, water and animals, flow, what can be rinsed
     * from outside, and a look at what lies on top, with nothing lifted.
     */
    public static Procedure lookOver(Situation asked) {
        Situation situation = asked.doing(LookOverSteps.fromOutside(asked));
        Handled hands = Handled.of(situation);
        Extent extent = Extent.of(situation, hands);
        boolean stops = LookOverSteps.stops(situation.kind());
        Procedure steps = assemble(
                situation, hands, stops ? extent.looking(situation.build()) : extent, LookOverSteps.of(situation));
        return new Procedure(steps.steps(), steps.tubs(), steps.tasks(), steps.minutes() + LOOK_OVER_MINUTES);
    }

    private static Procedure assemble(Situation situation, Handled hands, Extent extent, List<Template> besides) {
        List<Bound> bound = new ArrayList<>();
        besides.forEach(template -> bound.add(Bound.common(template)));
        situation.work().chores().stream().sorted().forEach(chore -> ChoreSteps.of(chore)
                .forEach(template -> bound.add(Bound.common(template))));
        for (Asked task : situation.work().tasks()) {
            ofTask(situation, hands, extent, task).forEach(bound::add);
        }
        resting(situation, hands).forEach(stage -> StepCatalogue.resting(stage.kind())
                .forEach(template -> bound.add(Bound.resting(template, stage))));
        hands.trays().forEach(tray -> StepCatalogue.tray(tray.holds(), extent.tubs(), extent.tap())
                .forEach(template -> bound.add(Bound.lifting(template, tray))));
        CommonSteps.around(situation, extent).forEach(template -> bound.add(Bound.common(template)));
        return new Procedure(
                ordered(situation, hands, extent, bound),
                extent.tubs(),
                situation.work().tasks(),
                WorkMinutes.of(situation, hands, extent));
    }

    /** The steps of putting a filter together and starting it; in the order they are given. */
    public static Procedure setUp(Situation situation) {
        return given(situation, SetUpSteps.of(situation), SET_UP_MINUTES);
    }

    /** The steps of taking a filter down, to move it or to put it away; in the order they are given. */
    public static Procedure takeDown(Situation situation, Occasion why) {
        return given(situation, TakeDownSteps.of(situation, why), TAKE_DOWN_MINUTES);
    }

    private static Procedure given(Situation situation, List<Bound> bound, int minutes) {
        Tubs none = new Tubs(0, 0, false);
        Fillings fillings = new Fillings(situation, none, 0, 0);
        List<Moment> steps = bound.stream()
                .map(one -> new Moment(
                        one.template().phase(), AnimalSteps.minding(one.step(fillings, List.of()), situation)))
                .toList();
        return new Procedure(
                OwnSteps.among(steps, situation.passport().ownSteps()),
                none,
                List.of(),
                minutes + situation.passport().places().size());
    }

    /** What was asked for, with what belongs to it and without what it makes needless. */
    static Situation plain(Situation asked) {
        return asked.doing(withoutCareOfReplaced(opened(asked)));
    }

    /**
     * To open a canister is to wash every foam and pad in it; one without any has its bio media looked at. To clean a sump
     * deep is to see to each of its chambers.
     */
    private static List<Asked> opened(Situation situation) {
        List<Asked> tasks = new ArrayList<>(situation.work().tasks());
        boolean opens = situation.build().is(FilterKind.CANISTER) && situation.does(CareAction.OPEN);
        if (opens) {
            Passport.washedAtOpening(situation.kinds()).stream()
                    .map(situation.path()::get)
                    .forEach(stage -> washing(situation, stage)
                            .filter(task -> !tasks.contains(task))
                            .ifPresent(tasks::add));
        }
        if (situation.deepCleans()) {
            SumpSteps.deepCleaned(situation).forEach(stage -> care(situation, stage)
                    .filter(task -> !tasks.contains(task))
                    .ifPresent(tasks::add));
        }
        return tasks;
    }

    /** What a stage is cleaned by; what is only replaced for its age has none. */
    private static Optional<Asked> care(Situation situation, PathStage stage) {
        return situation.work().available().stream()
                .filter(task -> task.stage().equals(Optional.of(stage.id())) && task.action() != CareAction.REPLACE)
                .findFirst();
    }

    private static List<Asked> withoutCareOfReplaced(List<Asked> tasks) {
        Set<Optional<Long>> replaced = tasks.stream()
                .filter(task ->
                        task.action() == CareAction.REPLACE && task.stage().isPresent())
                .map(Asked::stage)
                .collect(Collectors.toSet());
        return tasks.stream().filter(task -> !keepsUp(task, replaced)).toList();
    }

    /** What is thrown away is not rinsed, cleaned or looked over first. */
    private static boolean keepsUp(Asked task, Set<Optional<Long>> replaced) {
        return replaced.contains(task.stage())
                && switch (task.action()) {
                    case RINSE, CLEAN, INSPECT, BRUSH -> true;
                    default -> false;
                };
    }

    /** No foam goes back unwashed that was lifted to reach another. */
    static List<Asked> withWashingOfLifted(Situation situation, Handled hands) {
        List<Asked> tasks = new ArrayList<>(situation.work().tasks());
        Set<Long> worked = new HashSet<>();
        tasks.forEach(task -> task.stage().ifPresent(worked::add));
        situation.path().stream()
                .filter(stage -> hands.lifts(stage) && !worked.contains(stage.id()))
                .forEach(stage -> washing(situation, stage).ifPresent(tasks::add));
        return tasks;
    }

    private static Optional<Asked> washing(Situation situation, PathStage stage) {
        return situation.work().available().stream()
                .filter(task -> task.stage().equals(Optional.of(stage.id()))
                        && stage.kind().stopsDirtInside())
                .filter(task -> task.action() == CareAction.RINSE || task.action() == CareAction.CHANGE)
                .findFirst();
    }

    /** What is lifted and not worked on: bio media rests under water, a bag of chemical media beside it. */
    private static List<PathStage> resting(Situation situation, Handled hands) {
        Set<Long> worked = new HashSet<>();
        situation.work().tasks().forEach(task -> task.stage().ifPresent(worked::add));
        return situation.path().stream()
                .filter(stage -> hands.lifts(stage) && !worked.contains(stage.id()))
                .filter(stage -> StepCatalogue.rests(stage.kind()))
                .toList();
    }

    private static List<Bound> ofTask(Situation situation, Handled hands, Extent extent, Asked asked) {
        Optional<PathStage> stage = situation.stageOf(asked);
        List<Template> templates;
        if (extent.dry()) {
            templates = StepCatalogue.sockSwappedDry();
        } else if (stage.filter(hands::rides).filter(Procedure::isBio).isPresent()) {
            templates = StepCatalogue.dippedInItsTray();
        } else {
            templates = stage.map(one -> StepCatalogue.forStage(one, asked.action(), situation.build()))
                    .orElseGet(() -> StepCatalogue.forWholeFilter(asked.action()));
        }
        return templates.stream()
                .map(template -> Bound.working(template, stage, asked.task()))
                .toList();
    }

    private static List<Step> ordered(Situation situation, Handled hands, Extent extent, List<Bound> bound) {
        Fillings fillings = new Fillings(situation, extent.tubs(), extent.tubs().litres(), extent.vacuumLitres());
        boolean newLamp = bound.stream().anyMatch(one -> one.template().code().equals("lamp-new"));
        Map<String, List<Bound>> same = bound.stream()
                .filter(one -> keeps(one.template(), extent))
                .filter(one -> !(newLamp && one.template().code().equals("lamp-in")))
                .sorted(Comparator.comparing((Bound one) -> one.template().phase())
                        .thenComparing(one -> one.rank(hands)))
                .collect(Collectors.groupingBy(Bound::id, LinkedHashMap::new, Collectors.toList()));
        List<Moment> steps = same.values().stream()
                .map(group -> new Moment(
                        group.get(0).template().phase(),
                        AnimalSteps.minding(group.get(0).step(fillings, stagesOf(group)), situation)))
                .toList();
        return OwnSteps.among(steps, situation.passport().ownSteps());
    }

    /** A step and when it comes. */
    record Moment(Phase phase, Step step) {}

    /** A second squeeze, and a last one, want water of their own. */
    private static boolean keeps(Template template, Extent extent) {
        return switch (template.code()) {
            case "second" -> extent.tubs().hasSecond(extent.tap());
            case "last" ->
                extent.tubs().hasSecond(extent.tap()) && extent.tubs().bio();
            default -> true;
        };
    }

    private static List<String> stagesOf(List<Bound> group) {
        return group.stream()
                .flatMap(one -> one.stage().stream())
                .map(PathStage::name)
                .distinct()
                .toList();
    }

    /** Bio media that a stage holds. */
    static boolean isBio(PathStage stage) {
        return stage.kind() == StageKind.BIO_MEDIA;
    }
}
