package app.chervil.core.procedure;

import static org.assertj.core.api.Assertions.assertThat;

import app.chervil.core.filter.CareCatalogue;
import app.chervil.core.filter.CareRule;
import app.chervil.core.filter.FilterKind;
import app.chervil.core.filter.FilterTemplates;
import app.chervil.core.filter.Stage;
import app.chervil.core.filter.StageKind;
import app.chervil.core.procedure.Situation.Asked;
import app.chervil.core.procedure.Situation.Chore;
import app.chervil.core.procedure.Situation.PathStage;
import app.chervil.core.procedure.Situation.Practice;
import app.chervil.core.procedure.Situation.Work;
import app.chervil.core.procedure.Step.Effect;
import app.chervil.core.tank.BacteriaHome;
import app.chervil.core.tank.RinseWater;
import app.chervil.core.tank.Schools;
import app.chervil.core.tank.TapWater;
import app.chervil.core.tank.Thoroughness;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.Random;
import java.util.Set;
import java.util.function.Consumer;
import java.util.function.Predicate;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/**
 * What must hold for every filter kind × practice × subset of tasks. A path too long for all its subsets is sampled, always
 * with the empty set, each task alone and all together.
 */
class ProcedurePropertiesTest {
    private static final int ALL_SUBSETS_UP_TO = 10;
    private static final int SAMPLES = 400;

    @ParameterizedTest
    @EnumSource(FilterKind.class)
    void holds_for_every_combination(FilterKind kind) {
        int[] count = {0};
        eachSituation(kind, situation -> {
            List<Step> steps = Procedure.assemble(situation).steps();
            nothingStandsTwice(steps);
            powerIsOffBeforeHandsGoIn(steps);
            whatComesOutGoesBackBeforeTheStart(steps);
            whatIsOpenedIsShut(steps);
            everyDangerHasItsCaution(steps);
            everyTaskHasAStepAndMediaKeepsItsWater(situation, steps);
            count[0]++;
        });
        System.out.println("Procedures checked for " + kind.words() + ": " + count[0]);
        assertThat(count[0]).isGreaterThan(100);
    }

    private static void nothingStandsTwice(List<Step> steps) {
        Set<String> texts = new HashSet<>();
        assertThat(steps).allSatisfy(step -> assertThat(texts.add(step.what().text()))
                .as(step.what().text())
                .isTrue());
    }

    private static void powerIsOffBeforeHandsGoIn(List<Step> steps) {
        boolean off = false;
        for (Step step : steps) {
            off = (off || step.effects().contains(Effect.POWER_OFF))
                    && !step.effects().contains(Effect.POWER_ON);
            if (step.effects().contains(Effect.HANDS_IN) || step.effects().contains(Effect.LAMP_BAY_OPENED)) {
                assertThat(off).as("%s with the power on", step.what().text()).isTrue();
            }
        }
        assertThat(count(steps, Effect.POWER_ON))
                .isEqualTo(count(steps, Effect.POWER_OFF))
                .isLessThanOrEqualTo(1);
        assertThat(off).as("power is back on").isFalse();
    }

    private static void whatComesOutGoesBackBeforeTheStart(List<Step> steps) {
        Set<OptionalLong> out = new HashSet<>();
        Set<OptionalLong> in = new HashSet<>();
        for (Step step : steps) {
            if (step.effects().contains(Effect.PART_OUT)) {
                out.add(step.about().stage());
            }
            if (step.effects().contains(Effect.PART_IN)) {
                out.remove(step.about().stage());
            }
            if (step.effects().contains(Effect.PART_IN)) {
                assertThat(in.add(step.about().stage())).as("put back once").isTrue();
            } else if (step.about().stage().isPresent() && out.isEmpty() && handled(step)) {
                assertThat(in)
                        .as("%s after it went back", step.what().text())
                        .doesNotContain(step.about().stage());
            }
            if (step.effects().contains(Effect.POWER_ON)) {
                assertThat(out).as("parts still out at the start").isEmpty();
            }
        }
        assertThat(out).isEmpty();
    }

    /** Work on a part itself; the glow of a lamp and a bag at the bench are looked at afterwards. */
    private static boolean handled(Step step) {
        return !step.id().startsWith("glow") && step.care().cautions().stream().noneMatch(Caution.BLEACH::equals);
    }

    private static void whatIsOpenedIsShut(List<Step> steps) {
        for (Effect[] pair : new Effect[][] {
            {Effect.FILTER_OPENED, Effect.FILTER_SHUT}, {Effect.LAMP_BAY_OPENED, Effect.LAMP_BAY_SHUT}
        }) {
            int last = lastWith(steps, pair[0]);
            assertThat(last >= 0).isEqualTo(lastWith(steps, pair[1]) >= 0);
            assertThat(lastWith(steps, pair[1])).isGreaterThanOrEqualTo(last);
        }
        assertThat(count(steps, Effect.FILTER_OPENED)).isLessThanOrEqualTo(1);
        assertThat(count(steps, Effect.LAMP_BAY_OPENED)).isLessThanOrEqualTo(1);
    }

    private static void everyDangerHasItsCaution(List<Step> steps) {
        danger(steps, "bleach", Caution.BLEACH);
        danger(steps, "vinegar", Caution.VINEGAR);
        danger(steps, "unplug", Caution.ELECTRICITY);
        danger(steps, "plug in", Caution.ELECTRICITY);
        danger(steps, "vacuum", Caution.SIPHON, Caution.GAS);
        danger(steps, "draw three", Caution.SIPHON);
        danger(steps, "slit near", Caution.SHARP);
        danger(steps, "tip the canister", Caution.HEAVY);
        steps.stream()
                .filter(step -> step.effects().contains(Effect.LAMP_BAY_OPENED))
                .forEach(step -> assertThat(step.care().cautions()).contains(Caution.UV_LIGHT, Caution.GLASS));
        if (count(steps, Effect.HANDS_IN) > 0) {
            assertThat(steps.stream().flatMap(step -> step.care().cautions().stream()))
                    .contains(Caution.GERMS, Caution.ELECTRICITY, Caution.WET_FLOOR);
        }
    }

    private static void danger(List<Step> steps, String word, Caution... cautions) {
        steps.stream()
                .filter(step ->
                        step.what().text().toLowerCase(java.util.Locale.ROOT).contains(word))
                .forEach(step -> assertThat(step.care().cautions())
                        .as(step.what().text())
                        .contains(cautions));
    }

    private static void everyTaskHasAStepAndMediaKeepsItsWater(Situation situation, List<Step> steps) {
        boolean tap = situation.practice().tapAllowed();
        assertThat(steps).noneMatch(step -> step.what().text().contains("{"));
        if (!tap) {
            assertThat(steps).noneMatch(step -> step.what().text().contains("in tap water"));
        }
        for (Asked asked : situation.work().tasks()) {
            boolean served =
                    steps.stream().anyMatch(about(asked)) || asked.stage().isEmpty();
            assertThat(served)
                    .as("%s of stage %s", asked.action(), asked.stage())
                    .isTrue();
        }
    }

    private static Predicate<Step> about(Asked asked) {
        return step -> asked.stage().isPresent()
                && step.about().stage().equals(OptionalLong.of(asked.stage().get()));
    }

    private static long count(List<Step> steps, Effect effect) {
        return steps.stream().filter(step -> step.effects().contains(effect)).count();
    }

    private static int lastWith(List<Step> steps, Effect effect) {
        int last = -1;
        for (int i = 0; i < steps.size(); i++) {
            last = steps.get(i).effects().contains(effect) ? i : last;
        }
        return last;
    }

    private static void eachSituation(FilterKind kind, Consumer<Situation> check) {
        List<PathStage> path = path(kind);
        List<Asked> tasks = tasks(kind, path);
        Random random = new Random(kind.ordinal());
        for (RinseWater rinse : RinseWater.values()) {
            for (TapWater tap : TapWater.values()) {
                for (BacteriaHome home : BacteriaHome.values()) {
                    for (Thoroughness clean : Thoroughness.values()) {
                        Practice practice = new Practice(rinse, clean, tap, home);
                        for (List<Asked> subset : subsets(tasks, random)) {
                            Set<Chore> chores = random.nextBoolean() ? Set.of() : Set.of(Chore.values());
                            check.accept(new Situation("Weir", kind, practice, path, new Work(subset, chores)));
                        }
                    }
                }
            }
        }
    }

    private static List<List<Asked>> subsets(List<Asked> tasks, Random random) {
        List<List<Asked>> subsets = new ArrayList<>();
        boolean all = tasks.size() <= ALL_SUBSETS_UP_TO;
        for (int i = 0, n = all ? 1 << tasks.size() : SAMPLES; i < n; i++) {
            int mask = all ? i : random.nextInt(1 << tasks.size());
            subsets.add(chosen(tasks, mask));
        }
        tasks.forEach(task -> subsets.add(List.of(task)));
        subsets.add(tasks);
        return subsets;
    }

    private static List<Asked> chosen(List<Asked> tasks, int mask) {
        List<Asked> subset = new ArrayList<>();
        for (int bit = 0; bit < tasks.size(); bit++) {
            if ((mask >> bit & 1) == 1) {
                subset.add(tasks.get(bit));
            }
        }
        return subset;
    }

    /** The template's path, and after it every kind of stage that such a filter may also hold. */
    private static List<PathStage> path(FilterKind kind) {
        List<Stage> stages = new ArrayList<>(FilterTemplates.waterPath(kind));
        if (kind == FilterKind.HANG_ON_BACK) {
            stages.add(Stage.washable(StageKind.CARTRIDGE));
        }
        if (kind == FilterKind.CANISTER || kind == FilterKind.SUMP) {
            stages.add(Stage.washable(StageKind.CARBON));
            stages.add(Stage.washable(StageKind.RESIN));
            stages.add(Stage.disposable(StageKind.UV_LAMP));
            stages.add(Stage.washable(StageKind.UV_SLEEVE));
        }
        List<PathStage> path = new ArrayList<>();
        for (Stage stage : stages) {
            path.add(new PathStage(path.size() + 1, stage.kind().words(), stage));
        }
        return path;
    }

    private static List<Asked> tasks(FilterKind kind, List<PathStage> path) {
        List<Asked> tasks = new ArrayList<>();
        for (CareRule rule : CareCatalogue.forFilter(kind, Schools.DEFAULT)) {
            tasks.add(new Asked(tasks.size() + 1, rule.action(), Optional.empty()));
        }
        for (PathStage stage : path) {
            for (CareRule rule : CareCatalogue.forStage(stage.stage(), Schools.DEFAULT)) {
                tasks.add(new Asked(tasks.size() + 1, rule.action(), Optional.of(stage.id())));
            }
        }
        return tasks;
    }
}
