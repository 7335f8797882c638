package app.chervil.core.procedure;

import app.chervil.core.filter.CareAction;
import app.chervil.core.filter.FilterKind;
import app.chervil.core.procedure.Situation.Asked;
import app.chervil.core.procedure.Situation.PathStage;
import app.chervil.core.procedure.Step.Effect;
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
 * the order of the water path, common close. Opening a filter once for six tasks gives one opening.
 *
 * @param steps in the order they are done; empty only if nothing was asked for
 * @param buckets of tank water to draw, 0 to 3
 */
public record Procedure(List<Step> steps, int buckets) {
    public Procedure {
        steps = List.copyOf(steps);
    }

    /** Assembles the steps for a situation. */
    public static Procedure assemble(Situation situation) {
        List<Bound> bound = new ArrayList<>();
        situation.work().chores().stream().sorted().forEach(chore -> CommonSteps.chore(chore)
                .forEach(template -> bound.add(Bound.common(template))));
        for (Asked asked : situation.work().tasks()) {
            ofTask(situation, asked).forEach(bound::add);
        }
        int buckets = buckets(bound);
        boolean opened = opens(situation);
        if (opened) {
            situation.path().stream()
                    .filter(stage -> StepCatalogue.restsUnderWater(stage.kind()))
                    .forEach(stage -> StepCatalogue.resting()
                            .forEach(template ->
                                    bound.add(new Bound(template, Optional.of(stage), OptionalLong.empty()))));
            if (situation.practice().thoroughness() == app.chervil.core.tank.Thoroughness.FULL) {
                CommonSteps.housing().forEach(template -> bound.add(Bound.common(template)));
            }
        }
        boolean stops = opened || bound.stream().anyMatch(one -> stopsFilter(one.template()));
        if (stops) {
            int drawn = Math.max(buckets, opened && rests(situation) ? 3 : 0);
            CommonSteps.around(situation, opened, drawn).forEach(template -> bound.add(Bound.common(template)));
            return new Procedure(
                    ordered(situation, bound, drawn), situation.practice().tapAllowed() ? 0 : drawn);
        }
        return new Procedure(ordered(situation, bound, 0), 0);
    }

    private static List<Bound> ofTask(Situation situation, Asked asked) {
        Optional<PathStage> stage = situation.stageOf(asked);
        List<Template> templates = stage.map(one -> StepCatalogue.forStage(one, asked.action(), situation.kind()))
                .orElseGet(() -> StepCatalogue.forWholeFilter(asked.action()));
        return templates.stream()
                .map(template -> new Bound(template, stage, OptionalLong.of(asked.task())))
                .toList();
    }

    private static boolean opens(Situation situation) {
        return situation.kind() == FilterKind.CANISTER
                && (situation.does(CareAction.OPEN)
                        || situation.work().chores().contains(Situation.Chore.BIO_PART_REPLACED)
                        || situation.work().tasks().stream()
                                .flatMap(asked -> situation.stageOf(asked).stream())
                                .anyMatch(stage -> stage.kind().insideCanister()));
    }

    private static boolean rests(Situation situation) {
        return situation.path().stream().anyMatch(stage -> StepCatalogue.restsUnderWater(stage.kind()));
    }

    private static boolean stopsFilter(Template template) {
        Set<Effect> effects = template.effects();
        return effects.contains(Effect.HANDS_IN) || effects.contains(Effect.LAMP_BAY_OPENED);
    }

    /** The dip wants the third bucket, a second squeeze the second, any rinse the first. */
    private static int buckets(List<Bound> bound) {
        return bound.stream()
                .mapToInt(one -> switch (one.template().phase()) {
                    case DIP -> 3;
                    case RINSE_SECOND -> 2;
                    case RINSE_FIRST, RINSE_LAST -> 1;
                    default -> 0;
                })
                .max()
                .orElse(0);
    }

    private static List<Step> ordered(Situation situation, List<Bound> bound, int buckets) {
        Set<String> replaced = replacedStages(situation);
        Map<String, List<Bound>> same = bound.stream()
                .filter(one -> !(replaced.contains(one.subject()) && one.isRinse()))
                .sorted(Comparator.comparing((Bound one) -> one.template().phase())
                        .thenComparing(one -> one.place(situation)))
                .collect(Collectors.groupingBy(Bound::id, LinkedHashMap::new, Collectors.toList()));
        return same.values().stream()
                .map(group -> group.get(0).step(situation, buckets, stagesOf(group)))
                .toList();
    }

    private static List<String> stagesOf(List<Bound> group) {
        return group.stream()
                .flatMap(one -> one.stage().stream())
                .map(PathStage::name)
                .distinct()
                .toList();
    }

    /** A stage that is replaced is not rinsed as well. */
    private static Set<String> replacedStages(Situation situation) {
        Set<String> replaced = new HashSet<>();
        situation.work().tasks().stream()
                .filter(asked -> asked.action() == CareAction.REPLACE)
                .forEach(asked -> asked.stage().ifPresent(stage -> replaced.add(stage.toString())));
        return replaced;
    }
}
