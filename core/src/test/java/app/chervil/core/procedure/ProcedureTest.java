package app.chervil.core.procedure;

import static org.assertj.core.api.Assertions.assertThat;

import app.chervil.core.filter.CareAction;
import app.chervil.core.filter.FilterKind;
import app.chervil.core.filter.FlowDirection;
import app.chervil.core.filter.Stage;
import app.chervil.core.filter.StageKind;
import app.chervil.core.passport.Build;
import app.chervil.core.passport.Build.Fill;
import app.chervil.core.passport.Build.ShutOff;
import app.chervil.core.procedure.Situation.Asked;
import app.chervil.core.procedure.Situation.PathStage;
import app.chervil.core.procedure.Situation.Practice;
import app.chervil.core.tank.BacteriaHome;
import app.chervil.core.tank.RinseWater;
import app.chervil.core.tank.TapWater;
import app.chervil.core.tank.Thoroughness;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Services of a canister as a practitioner would read them aloud. */
class ProcedureTest extends ReadAloud {
    private static final Practice TAP =
            new Practice(RinseWater.TAP_WHERE_SAFE, Thoroughness.LIGHT, TapWater.NEITHER, BacteriaHome.MEDIA);

    @Test
    void a_canister_without_valves_opened_for_everything() {
        Procedure procedure = canister(FlowDirection.BOTTOM_UP, TANK_WATER, 220, OPEN, RINSE, CHANGE, DIP);

        assertThat(ids(procedure))
                .containsExactly(
                        "gloves:filter",
                        "heater-off:filter",
                        "flow-before:filter",
                        "draw:filter",
                        "stop:filter",
                        "break:filter",
                        "mark:filter",
                        "uncouple:filter",
                        "lid-off:filter",
                        "out:3",
                        "out:2",
                        "out:1",
                        "tip:filter",
                        "first",
                        "second",
                        "last",
                        "dip:3",
                        "back:1",
                        "back:2",
                        "back:3",
                        "fill:filter",
                        "lid:filter",
                        "connect:filter",
                        "ends-in:filter",
                        "level:filter",
                        "start:filter",
                        "watch:filter",
                        "flow-after:filter",
                        "heater-on:filter",
                        "finish:filter");
        assertThat(text(procedure, "draw:filter"))
                .isEqualTo("Fill three buckets with 5 L of tank water each; the last is for the bio media.");
        assertThat(text(procedure, "last")).contains("from bucket three over the coarse foam");
    }

    @Test
    void to_open_a_canister_is_to_wash_what_stops_dirt_in_it() {
        Procedure procedure = canister(FlowDirection.BOTTOM_UP, TANK_WATER, 220, OPEN);

        assertThat(procedure.tasks()).containsExactly(OPEN, RINSE, CHANGE);
        assertThat(ids(procedure))
                .containsSubsequence("out:3", "out:2", "out:1", "first", "back:1", "back:2", "back:3");
    }

    @Test
    void from_top_to_bottom_the_foam_is_on_top_and_the_media_stays_under_water_in_its_place() {
        Procedure procedure = canister(FlowDirection.TOP_DOWN, TANK_WATER, 220, RINSE);

        assertThat(ids(procedure))
                .containsSubsequence("lid-off:filter", "out:1", "first", "second", "back:1", "lid:filter")
                .doesNotContain("out:3", "tip:filter");
        assertThat(procedure.tubs().count()).isEqualTo(2);
    }

    @Test
    void a_pad_that_is_lifted_to_reach_the_foam_is_renewed_and_the_media_waits_under_water() {
        Procedure procedure = canister(FlowDirection.BOTTOM_UP, TANK_WATER, 220, RINSE);

        assertThat(procedure.tasks()).containsExactly(RINSE, CHANGE);
        assertThat(ids(procedure))
                .containsSubsequence("out:3", "out:2", "out:1", "first", "back:1", "back:2", "back:3");
        assertThat(text(procedure, "out:3")).endsWith("set it under water in bucket three.");
        assertThat(text(procedure, "back:2")).startsWith("Lay a new fine pad in");
    }

    @Test
    void a_rinse_and_a_replacement_together_mean_the_replacement() {
        Procedure procedure = canister(FlowDirection.BOTTOM_UP, TANK_WATER, 220, RINSE, REPLACE);

        assertThat(ids(procedure)).contains("cut:1").doesNotContain("first");
        assertThat(procedure.tasks()).doesNotContain(RINSE);
    }

    // 25 % of the tank: 5 L of 20, 9.5 of 38, 1.25 of 5
    @ParameterizedTest(name = "{0} L: {1}")
    @CsvSource(
            delimiter = '|',
            value = {
                "220 | Fill three buckets with 5 L of tank water each; the last is for the bio media.",
                "38  | Fill three tubs with 3 L of tank water each; the last is for the bio media.",
                "20  | Fill three tubs with 1.5 L of tank water each; the last is for the bio media.",
                "8   | Fill two tubs with 1 L of tank water each; the last is for the bio media.",
                "5   | Fill one tub with 1 L of tank water."
            })
    void a_small_tank_gives_fewer_and_smaller_tubs(double litres, String drawn) {
        Procedure procedure = canister(FlowDirection.BOTTOM_UP, TANK_WATER, litres, RINSE, DIP);

        assertThat(text(procedure, "draw:filter")).isEqualTo(drawn);
        assertThat(procedure.tubs().litres()).isLessThanOrEqualTo(0.25 * litres);
    }

    @Test
    void with_one_tub_the_media_waits_in_it_and_the_foam_is_rinsed_by_jug() {
        Procedure procedure = canister(FlowDirection.BOTTOM_UP, TANK_WATER, 5, RINSE, DIP);

        assertThat(text(procedure, "out:3")).endsWith("in the tub.");
        assertThat(text(procedure, "first")).contains("over an empty bucket, pouring water from the tub by jug");
        assertThat(ids(procedure)).doesNotContain("second", "last");
    }

    @Test
    void where_the_tap_is_fine_for_foam_the_media_still_has_a_tub_of_tank_water() {
        Procedure procedure = canister(FlowDirection.BOTTOM_UP, TAP, 220, RINSE, DIP);

        assertThat(text(procedure, "draw:filter"))
                .isEqualTo(
                        "Fill one bucket with 5 L of tank water; it is for the bio media, foam is rinsed under the tap.");
        assertThat(text(procedure, "first")).contains("under the tap");
        assertThat(text(procedure, "dip:3")).contains("in the bucket");
    }

    // the three ways of filling: before the lid, through a cap, by itself once its hoses are on
    @ParameterizedTest
    @CsvSource({
        "OPEN_TOP, VALVES, 'shut back fill lid connect open level start'",
        "CAP, VALVES, 'shut back lid fill connect open level start'",
        "SELF, VALVES, 'shut back lid connect open fill level start'",
        "SELF, NONE, 'break back lid connect ends-in fill level start'"
    })
    void an_opened_canister_is_filled_in_its_own_way(Fill fill, ShutOff valves, String order) {
        Build build = Build.usual(FilterKind.CANISTER, Optional.of(FlowDirection.TOP_DOWN), valves, fill);
        Procedure procedure = assemble(build, TANK_WATER, 220, PATH, List.of(RINSE), Set.of());

        List<String> codes = ids(procedure).stream().map(id -> id.split(":")[0]).toList();
        assertThat(codes).containsSubsequence(order.split(" "));
    }

    @Test
    void hoses_alone_are_marked_before_they_come_off_and_the_siphon_is_broken_first() {
        List<PathStage> path = List.of(new PathStage(1, "hoses", Stage.washable(StageKind.HOSES)));
        Build build = Build.usual(FilterKind.CANISTER, Optional.empty());
        Procedure procedure = assemble(
                build, TANK_WATER, 38, path, List.of(new Asked(1, CareAction.BRUSH, Optional.of(1L))), Set.of());

        assertThat(ids(procedure))
                .containsSubsequence(
                        "heater-off:filter",
                        "stop:filter",
                        "break:filter",
                        "mark:filter",
                        "uncouple:filter",
                        "brush:1",
                        "connect:filter",
                        "ends-in:filter",
                        "level:filter",
                        "start:filter",
                        "heater-on:filter");
        assertThat(procedure.tubs().count()).isZero();
    }

    @Test
    void a_keeper_who_never_measures_flow_is_spared_both_steps() {
        Practice unmeasured =
                new Practice(RinseWater.TANK_WATER, Thoroughness.LIGHT, TapWater.CHLORAMINE, BacteriaHome.MEDIA, false);
        List<String> measured = ids(canister(FlowDirection.BOTTOM_UP, TANK_WATER, 220, OPEN));

        List<String> spared = ids(canister(FlowDirection.BOTTOM_UP, unmeasured, 220, OPEN));

        assertThat(measured).contains("flow-before:filter", "flow-after:filter");
        assertThat(spared)
                .isEqualTo(measured.stream()
                        .filter(step -> !step.startsWith("flow-"))
                        .toList());
    }

    @Test
    void only_full_cleaning_washes_the_housing_and_only_when_nothing_is_left_in_it() {
        Practice full = new Practice(RinseWater.TANK_WATER, Thoroughness.FULL, TapWater.CHLORAMINE, BacteriaHome.MEDIA);

        assertThat(ids(canister(FlowDirection.BOTTOM_UP, full, 220, OPEN))).contains("housing:filter");
        assertThat(ids(canister(FlowDirection.TOP_DOWN, full, 220, RINSE))).doesNotContain("housing:filter");
        assertThat(ids(canister(FlowDirection.BOTTOM_UP, TANK_WATER, 220, OPEN)))
                .doesNotContain("housing:filter");
    }

    // the rinse school of docs/sources.md#procedures: tap only where it holds neither, or the bacteria live elsewhere
    @ParameterizedTest(name = "{0}, {1}, {2}: {3}")
    @CsvSource({
        "TANK_WATER, NEITHER, MEDIA, false",
        "TAP_WHERE_SAFE, NEITHER, MEDIA, true",
        "TAP_WHERE_SAFE, CHLORINE, MEDIA, false",
        "TAP_WHERE_SAFE, CHLORAMINE, BOTH, false",
        "TAP_WHERE_SAFE, CHLORAMINE, SUBSTRATE_AND_ROCK, true"
    })
    void the_tap_is_used_only_where_it_harms_nothing(
            RinseWater rinse, TapWater tap, BacteriaHome home, boolean allowed) {
        Practice practice = new Practice(rinse, Thoroughness.LIGHT, tap, home);

        Procedure procedure = canister(FlowDirection.TOP_DOWN, practice, 220, RINSE);

        assertThat(practice.tapAllowed()).isEqualTo(allowed);
        assertThat(procedure.tubs().count() == 0).isEqualTo(allowed);
        assertThat(procedure.steps())
                .filteredOn(step -> step.id().equals("first"))
                .singleElement()
                .satisfies(step -> {
                    assertThat(step.what().text()).contains(allowed ? "under the tap" : "in bucket one");
                    assertThat(step.what().reason()).isEqualTo(practice.whyWater());
                });
    }
}
