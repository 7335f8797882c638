package app.chervil.core.procedure;

import static org.assertj.core.api.Assertions.assertThat;

import app.chervil.core.filter.FilterKind;
import app.chervil.core.filter.FilterTemplates;
import app.chervil.core.filter.FlowDirection;
import app.chervil.core.filter.StageKind;
import app.chervil.core.passport.Build;
import app.chervil.core.procedure.Situation.Asked;
import app.chervil.core.procedure.Situation.PathStage;
import app.chervil.core.procedure.Situation.Practice;
import app.chervil.core.procedure.Situation.Work;
import app.chervil.core.tank.Animals;
import app.chervil.core.tank.BacteriaHome;
import app.chervil.core.tank.RinseWater;
import app.chervil.core.tank.TapWater;
import app.chervil.core.tank.Thoroughness;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** The work where turtles, amphibians, fry, shrimp or seahorses live. */
class AnimalStepsTest {
    private static Situation all(FilterKind kind, Thoroughness thoroughness, Animals... animals) {
        return situation(kind, Catalogued.path(FilterTemplates.waterPath(kind)), thoroughness, animals);
    }

    private static Situation situation(
            FilterKind kind, List<PathStage> path, Thoroughness thoroughness, Animals... animals) {
        List<Asked> tasks = Catalogued.tasks(kind, path);
        Optional<FlowDirection> direction =
                kind == FilterKind.CANISTER ? Optional.of(FlowDirection.BOTTOM_UP) : Optional.empty();
        return new Situation(
                "Weir",
                Build.usual(kind, direction),
                new Practice(
                        RinseWater.TANK_WATER,
                        thoroughness,
                        TapWater.CHLORAMINE,
                        BacteriaHome.MEDIA,
                        true,
                        Set.of(animals)),
                new Tubs.Means(8, 220, 0.25),
                path,
                new Work(tasks, Set.of(), tasks));
    }

    private static Procedure served(FilterKind kind, Animals... animals) {
        return Procedure.assemble(all(kind, Thoroughness.LIGHT, animals));
    }

    private static List<String> ids(Procedure procedure) {
        return procedure.steps().stream().map(Step::id).toList();
    }

    private static Step step(Procedure procedure, String id) {
        return procedure.steps().stream()
                .filter(step -> step.id().equals(id))
                .findFirst()
                .orElseThrow();
    }

    @ParameterizedTest
    @EnumSource(FilterKind.class)
    void fish_alone_change_nothing_and_every_animal_leaves_the_safe_order_as_it_is(FilterKind kind) {
        Procedure plain = served(kind);
        for (Animals animals : Animals.values()) {
            Situation situation = all(kind, Thoroughness.FULL, animals);
            ProcedureInvariants.hold(situation, Procedure.assemble(situation));
            assertThat(ids(served(kind, animals))).containsSubsequence(ids(plain));
        }
    }

    @Test
    void where_turtles_or_newts_live_clean_hands_are_not_enough() {
        for (Animals animals : List.of(Animals.TURTLES, Animals.AMPHIBIANS)) {
            Procedure procedure = served(FilterKind.CANISTER, animals);

            for (String id : List.of("gloves:filter", "first", "finish:filter")) {
                assertThat(step(procedure, id).care().cautions())
                        .as(id)
                        .contains(Caution.SALMONELLA)
                        .doesNotContain(Caution.GERMS);
            }
        }
        assertThat(step(served(FilterKind.CANISTER, Animals.SHRIMP), "gloves:filter")
                        .care()
                        .cautions())
                .contains(Caution.GERMS);
    }

    @Test
    void a_turtles_heater_gets_its_guard_back_unless_the_heater_is_out_of_its_reach() {
        assertThat(step(served(FilterKind.CANISTER, Animals.TURTLES), "heater-on:filter")
                        .what()
                        .reason())
                .endsWith("Its guard has to be back: turtles knock heaters down.");
        assertThat(step(served(FilterKind.CANISTER, Animals.TURTLES), "draw:filter")
                        .what()
                        .reason())
                .startsWith("Tank water only.")
                .endsWith("take it out by jug.");
    }

    @Test
    void gloves_are_rinsed_for_amphibians_and_nothing_meets_soap() {
        Procedure procedure = Procedure.assemble(all(FilterKind.CANISTER, Thoroughness.FULL, Animals.AMPHIBIANS));

        assertThat(step(procedure, "gloves:filter").what().text()).contains("without powder, rinse them well");
        assertThat(step(procedure, "finish:filter").what().reason()).contains("Rinse the soap off well");
        assertThat(step(procedure, "housing:filter").what().reason()).endsWith("No soap.");
    }

    @Test
    void the_water_that_fry_and_shrimp_came_out_with_is_searched_before_it_goes_away() {
        for (Animals animals : List.of(Animals.FRY, Animals.SHRIMP)) {
            Procedure procedure = served(FilterKind.CANISTER, animals);

            assertThat(ids(procedure)).containsSubsequence("first", "start:filter", "search:filter", "finish:filter");
            assertThat(step(procedure, "tip:filter").what().text()).contains("through a fine net");
        }
    }

    @Test
    void tails_are_looked_for_once_the_pump_stands_and_before_anything_is_lifted() {
        assertThat(ids(served(FilterKind.HANG_ON_BACK, Animals.SEAHORSES)))
                .containsSubsequence("stop:filter", "tails:filter", "first");
        assertThat(ids(served(FilterKind.CANISTER, Animals.SEAHORSES)))
                .containsSubsequence("stop:filter", "tails:filter", "break:filter");
        assertThat(ids(served(FilterKind.INTERNAL, Animals.SEAHORSES)))
                .containsSubsequence("stop:filter", "tails:filter", "lift-out:filter");
    }

    @Test
    void a_new_filter_is_guarded_before_it_runs() {
        assertThat(bare(FilterKind.CANISTER, Animals.SHRIMP)).containsSubsequence("pipes", "guard", "start");
        assertThat(bare(FilterKind.HANG_ON_BACK, Animals.SEAHORSES)).containsSubsequence("guard", "weaken", "start");
        assertThat(setUp(FilterKind.INTERNAL, Animals.AMPHIBIANS))
                .contains("weaken")
                .doesNotContain("guard");
        assertThat(setUp(FilterKind.CANISTER, Animals.TURTLES)).containsSubsequence("pipes", "turtle-guard", "start");
        assertThat(setUp(FilterKind.AIR_SPONGE, Animals.FRY, Animals.AMPHIBIANS))
                .doesNotContain("guard", "weaken");
        assertThat(setUp(FilterKind.CANISTER)).doesNotContain("guard", "weaken", "turtle-guard");
    }

    @Test
    void a_sponge_on_the_intake_is_guard_enough() {
        assertThat(setUp(FilterKind.CANISTER, Animals.SHRIMP))
                .containsSubsequence("pipes", "on-intake", "start")
                .doesNotContain("guard");
    }

    /** Of a filter with nothing on its intake. */
    private static List<String> bare(FilterKind kind, Animals... animals) {
        List<PathStage> path = Catalogued.path(FilterTemplates.waterPath(kind).stream()
                .filter(stage -> stage.kind() != StageKind.PREFILTER_SPONGE)
                .toList());
        return SetUpTest.codes(Procedure.setUp(situation(kind, path, Thoroughness.LIGHT, animals)));
    }

    private static List<String> setUp(FilterKind kind, Animals... animals) {
        return SetUpTest.codes(Procedure.setUp(all(kind, Thoroughness.LIGHT, animals)));
    }
}
