package app.chervil.core.procedure;

import app.chervil.core.filter.CareAction;
import app.chervil.core.filter.FilterKind;
import app.chervil.core.filter.Material;
import app.chervil.core.filter.StageKind;
import app.chervil.core.procedure.Bound.Fillings;
import app.chervil.core.procedure.Situation.Asked;
import app.chervil.core.procedure.Situation.Chore;
import app.chervil.core.procedure.Situation.PathStage;
import app.chervil.core.tank.Thoroughness;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalLong;
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
 */
public record Procedure(List<Step> steps, Tubs tubs, List<Asked> tasks) {
    public Procedure {
        steps = List.copyOf(steps);
        tasks = List.copyOf(tasks);
    }

    /** Buckets and tubs to bring. */
    public List<String> vessels() {
        return tubs.toBring(
                steps.stream().anyMatch(step -> step.care().materials().contains(Material.BUCKET)));
    }

    /** Assembles the steps for a situation. */
    public static Procedure assemble(Situation asked) {
        Situation plain = asked.doing(withoutRinsesOfReplaced(opened(asked)));
        Reach reach = Reach.of(plain);
        Situation situation = plain.doing(withWashingOfLifted(plain, reach));
        Extent extent = Extent.of(situation, reach);
        List<Bound> bound = new ArrayList<>();
        situation.work().chores().stream().sorted().forEach(chore -> ChoreSteps.of(chore)
                .forEach(template -> bound.add(Bound.common(template))));
        for (Asked task : situation.work().tasks()) {
            ofTask(situation, task).forEach(bound::add);
        }
        resting(situation, reach).forEach(stage -> StepCatalogue.resting(stage.kind())
                .forEach(template -> bound.add(new Bound(template, Optional.of(stage), OptionalLong.empty()))));
        CommonSteps.around(situation, extent).forEach(template -> bound.add(Bound.common(template)));
        return new Procedure(
                ordered(situation, reach, extent, bound),
                extent.tubs(),
                situation.work().tasks());
    }

    /** To open a canister is to wash every foam and pad in it; one without any has its bio media looked at. */
    private static List<Asked> opened(Situation situation) {
        List<Asked> tasks = new ArrayList<>(situation.work().tasks());
        boolean opens = situation.build().is(FilterKind.CANISTER) && situation.does(CareAction.OPEN);
        if (opens) {
            List<PathStage> stopping = situation.path().stream()
                    .filter(stage -> stage.kind().stopsDirtInside())
                    .toList();
            stopping.forEach(stage -> washing(situation, stage)
                    .filter(task -> !tasks.contains(task))
                    .ifPresent(tasks::add));
        }
        return tasks;
    }

    private static List<Asked> withoutRinsesOfReplaced(List<Asked> tasks) {
        Set<Optional<Long>> replaced = tasks.stream()
                .filter(task ->
                        task.action() == CareAction.REPLACE && task.stage().isPresent())
                .map(Asked::stage)
                .collect(Collectors.toSet());
        return tasks.stream()
                .filter(task -> !(task.action() == CareAction.RINSE && replaced.contains(task.stage())))
                .toList();
    }

    /** No foam goes back unwashed that was lifted to reach another. */
    private static List<Asked> withWashingOfLifted(Situation situation, Reach reach) {
        List<Asked> tasks = new ArrayList<>(situation.work().tasks());
        Set<Long> worked = new HashSet<>();
        tasks.forEach(task -> task.stage().ifPresent(worked::add));
        situation.path().stream()
                .filter(stage -> reach.lifts(stage) && !worked.contains(stage.id()))
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
    private static List<PathStage> resting(Situation situation, Reach reach) {
        Set<Long> worked = new HashSet<>();
        situation.work().tasks().forEach(task -> task.stage().ifPresent(worked::add));
        return situation.path().stream()
                .filter(stage -> reach.lifts(stage) && !worked.contains(stage.id()))
                .filter(stage -> StepCatalogue.rests(stage.kind()))
                .toList();
    }

    private static List<Bound> ofTask(Situation situation, Asked asked) {
        Optional<PathStage> stage = situation.stageOf(asked);
        List<Template> templates = stage.map(one -> StepCatalogue.forStage(one, asked.action(), situation.build()))
                .orElseGet(() -> StepCatalogue.forWholeFilter(asked.action()));
        return templates.stream()
                .map(template -> new Bound(template, stage, OptionalLong.of(asked.task())))
                .toList();
    }

    private static List<Step> ordered(Situation situation, Reach reach, Extent extent, List<Bound> bound) {
        Fillings fillings = new Fillings(situation, extent.tubs(), extent.tubs().litres(), extent.vacuumLitres());
        boolean newLamp = bound.stream().anyMatch(one -> one.template().code().equals("lamp-new"));
        Map<String, List<Bound>> same = bound.stream()
                .filter(one -> keeps(one.template(), extent))
                .filter(one -> !(newLamp && one.template().code().equals("lamp-in")))
                .sorted(Comparator.comparing((Bound one) -> one.template().phase())
                        .thenComparing(one -> one.place(situation, reach)))
                .collect(Collectors.groupingBy(Bound::id, LinkedHashMap::new, Collectors.toList()));
        return same.values().stream()
                .map(group -> group.get(0).step(fillings, stagesOf(group)))
                .toList();
    }

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

    /**
     * How far a service goes.
     *
     * @param stops whether the filter is stopped
     * @param opened whether a canister is opened
     * @param hosesOff whether its hoses come off
     * @param bayOpened whether a lamp bay is opened
     * @param emptied whether nothing is left inside the opened canister
     * @param vacuumLitres drained by the vacuum, zero without one
     * @param waterLeaves whether water leaves the tank
     */
    record Extent(
            boolean stops,
            boolean opened,
            boolean hosesOff,
            boolean bayOpened,
            boolean emptied,
            boolean housing,
            Tubs tubs,
            double vacuumLitres,
            boolean waterLeaves,
            boolean tap) {
        static Extent of(Situation situation, Reach reach) {
            List<Asked> tasks = situation.work().tasks();
            boolean canister = situation.build().is(FilterKind.CANISTER);
            boolean opened = canister
                    && (situation.does(CareAction.OPEN)
                            || situation.work().chores().contains(Chore.BIO_PART_REPLACED)
                            || any(situation, kind -> kind.insideCanister()));
            boolean bay = any(situation, kind -> StepCatalogue.isInBay(kind, situation.build()));
            boolean hoses = any(situation, kind -> kind == StageKind.HOSES) || opened;
            boolean vacuumed = situation.work().chores().contains(Chore.SUBSTRATE_VACUUM);
            boolean handsIn =
                    any(situation, kind -> true) || situation.work().chores().contains(Chore.BIO_PART_REPLACED);
            boolean stops = handsIn || opened || (vacuumed && situation.build().is(FilterKind.SUMP));
            Tubs.Means means = situation.means();
            Tubs tubs = Tubs.of(
                    rinses(situation),
                    situation.path().stream().anyMatch(stage -> isBio(stage) && reach.lifts(stage)),
                    vacuumed ? means.sharing(means.share() / 2) : means);
            double vacuum = vacuumed ? means.share() * means.tankL() - tubs.litres() : 0;
            boolean full = opened
                    && reach.emptied()
                    && situation.practice().thoroughness() == Thoroughness.FULL
                    && !tasks.isEmpty();
            return new Extent(
                    stops,
                    opened,
                    hoses,
                    bay,
                    opened && reach.emptied(),
                    full,
                    tubs,
                    vacuum,
                    stops || vacuumed || tubs.count() > 0,
                    situation.practice().tapAllowed());
        }

        private static boolean any(Situation situation, java.util.function.Predicate<StageKind> fits) {
            return situation.work().tasks().stream()
                    .flatMap(task -> situation.stageOf(task).stream())
                    .anyMatch(stage -> fits.test(stage.kind()));
        }

        /** Two tubs for foam and sponges, one for a pre-filter, a washable pad or a cartridge; none under the tap. */
        private static int rinses(Situation situation) {
            return situation.practice().tapAllowed()
                    ? 0
                    : situation.work().tasks().stream()
                            .mapToInt(task -> situation
                                    .stageOf(task)
                                    .map(stage -> StepCatalogue.tubs(stage.kind(), task.action()))
                                    .orElse(0))
                            .max()
                            .orElse(0);
        }
    }
}
