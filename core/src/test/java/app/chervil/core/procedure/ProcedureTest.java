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
import app.chervil.core.procedure.Situation.Chore;
import app.chervil.core.procedure.Situation.PathStage;
import app.chervil.core.procedure.Situation.Practice;
import app.chervil.core.procedure.Situation.Work;
import app.chervil.core.tank.BacteriaHome;
import app.chervil.core.tank.RinseWater;
import app.chervil.core.tank.TapWater;
import app.chervil.core.tank.Thoroughness;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Services as a practitioner would read them aloud. */
class ProcedureTest {
    private static final Practice TANK_WATER =
            new Practice(RinseWater.TANK_WATER, Thoroughness.LIGHT, TapWater.CHLORAMINE, BacteriaHome.MEDIA);
    private static final Practice TAP =
            new Practice(RinseWater.TAP_WHERE_SAFE, Thoroughness.LIGHT, TapWater.NEITHER, BacteriaHome.MEDIA);
    private static final long COARSE = 1;
    private static final long PAD = 2;
    private static final long BIO = 3;

    /** Water runs from coarse foam at the bottom to bio media on top; a hand meets them the other way round. */
    private static final List<PathStage> PATH = List.of(
            new PathStage(COARSE, "coarse foam", Stage.washable(StageKind.COARSE_FOAM)),
            new PathStage(PAD, "fine pad", Stage.disposable(StageKind.FINE_PAD)),
            new PathStage(BIO, "bio media", Stage.washable(StageKind.BIO_MEDIA)));

    private static final Asked OPEN = new Asked(10, CareAction.OPEN, Optional.empty());
    private static final Asked RINSE = new Asked(11, CareAction.RINSE, Optional.of(COARSE));
    private static final Asked REPLACE = new Asked(12, CareAction.REPLACE, Optional.of(COARSE));
    private static final Asked CHANGE = new Asked(13, CareAction.CHANGE, Optional.of(PAD));
    private static final Asked DIP = new Asked(14, CareAction.DIP, Optional.of(BIO));
    private static final List<Asked> ALL = List.of(OPEN, RINSE, REPLACE, CHANGE, DIP);

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
    void a_new_lamp_goes_in_after_the_sleeve_is_back() {
        Procedure procedure =
                uv(new Asked(1, CareAction.REPLACE, Optional.of(1L)), new Asked(2, CareAction.CLEAN, Optional.of(2L)));

        assertThat(ids(procedure))
                .containsSubsequence(
                        "stop:filter",
                        "break:filter",
                        "cool",
                        "bay",
                        "lamp-out",
                        "drain",
                        "sleeve-out",
                        "sleeve:2",
                        "sleeve-in",
                        "lamp-new:1",
                        "bay-shut",
                        "ends-in:filter",
                        "level:filter",
                        "start:filter",
                        "watch:filter",
                        "lamp-on:filter")
                .doesNotContain("lamp-in");
    }

    @Test
    void a_lamp_alone_lies_dry_in_its_sleeve_so_nothing_is_drained_and_no_bucket_brought() {
        Procedure procedure = uv(new Asked(1, CareAction.REPLACE, Optional.of(1L)));

        assertThat(ids(procedure)).contains("lamp-out").doesNotContain("drain", "sleeve-out");
        assertThat(procedure.vessels()).isEmpty();
    }

    @ParameterizedTest
    @CsvSource({"CLEAN, 2", "INSPECT, 3"})
    void a_sleeve_or_its_ring_alone_wants_the_power_off_and_the_lamp_cool_and_out(CareAction action, long stage) {
        assertThat(ids(uv(new Asked(1, action, Optional.of(stage)))))
                .containsSubsequence("stop:filter", "cool", "bay", "lamp-out", "sleeve-out", "sleeve-in", "lamp-in");
    }

    @Test
    void a_sump_is_vacuumed_after_its_pump_is_unplugged() {
        List<PathStage> path = List.of(new PathStage(1, "sock", Stage.washable(StageKind.SOCK)));
        Procedure procedure =
                sump(path, List.of(new Asked(1, CareAction.CHANGE, Optional.of(1L))), Set.of(Chore.SUBSTRATE_VACUUM));

        assertThat(ids(procedure))
                .containsSubsequence(
                        "heater-off:filter",
                        "stop:filter",
                        "vacuum:filter",
                        "out:1",
                        "level:filter",
                        "start:filter",
                        "heater-on:filter");
        assertThat(text(procedure, "vacuum:filter")).endsWith("Stop when 50 L are drained.");
    }

    @Test
    void a_sump_is_tested_by_its_plug_and_nothing_is_siphoned_while_the_pump_runs() {
        List<PathStage> path = List.of(
                new PathStage(1, "overflow", Stage.washable(StageKind.OVERFLOW)),
                new PathStage(2, "settling chamber", Stage.washable(StageKind.SETTLING)));
        Procedure procedure = sump(
                path,
                List.of(
                        new Asked(1, CareAction.TEST, Optional.empty()),
                        new Asked(2, CareAction.CLEAR, Optional.of(1L)),
                        new Asked(3, CareAction.SIPHON, Optional.of(2L))),
                Set.of());

        assertThat(ids(procedure))
                .containsSubsequence(
                        "stop:filter",
                        "drain-down:filter",
                        "weir:1",
                        "siphon:2",
                        "siphon-hole:filter",
                        "level:filter",
                        "start:filter",
                        "sump-on:filter",
                        "heater-on:filter");
        assertThat(procedure.vessels()).containsExactly("1 empty bucket");
    }

    @Test
    void two_socks_are_told_apart() {
        List<PathStage> path = List.of(
                new PathStage(1, "left sock", Stage.washable(StageKind.SOCK)),
                new PathStage(2, "right sock", Stage.washable(StageKind.SOCK)));
        Procedure procedure = sump(
                path,
                List.of(
                        new Asked(1, CareAction.CHANGE, Optional.of(1L)),
                        new Asked(2, CareAction.CHANGE, Optional.of(2L))),
                Set.of());

        assertThat(text(procedure, "back:1")).isNotEqualTo(text(procedure, "back:2"));
    }

    @Test
    void a_return_pump_soaks_while_the_media_stays_where_it_is() {
        List<PathStage> path = List.of(
                new PathStage(1, "bio media", Stage.washable(StageKind.BIO_MEDIA)),
                new PathStage(2, "return pump", Stage.washable(StageKind.RETURN_PUMP)));
        Procedure procedure = sump(
                path,
                List.of(
                        new Asked(1, CareAction.DIP, Optional.of(1L)),
                        new Asked(2, CareAction.DESCALE, Optional.of(2L))),
                Set.of());

        assertThat(ids(procedure))
                .containsSubsequence("pump-out:2", "descale:2", "pump-back:2", "out:1", "dip:1", "back:1");
    }

    @Test
    void an_internal_filter_is_lifted_out_in_a_tub_and_its_media_kept_wet() {
        Procedure procedure = assemble(
                Build.usual(FilterKind.INTERNAL, Optional.empty()), TANK_WATER, 60, PATH, List.of(RINSE), Set.of());

        assertThat(ids(procedure))
                .containsSubsequence(
                        "stop:filter",
                        "lift-out:filter",
                        "out:1",
                        "out:3",
                        "back:3",
                        "back:1",
                        "lift-in:filter",
                        "level:filter",
                        "start:filter");
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

    @Test
    void rock_is_blown_off_with_the_pumps_on_and_twice_before_the_sock() {
        Procedure procedure = sump(
                List.of(new PathStage(1, "sock", Stage.washable(StageKind.SOCK))),
                List.of(new Asked(1, CareAction.CHANGE, Optional.of(1L))),
                Set.of(Chore.ROCK_BLOW_OFF));

        assertThat(ids(procedure))
                .containsSubsequence(
                        "blow:filter",
                        "settle:filter",
                        "blow-again:filter",
                        "stop:filter",
                        "out:1",
                        "back:1",
                        "start:filter");
        assertThat(procedure.steps().get(1).care().timerMinutes()).hasValue(15);
    }

    @Test
    void an_outlet_comes_off_full_hoses_only_once_their_water_is_held_back() {
        List<PathStage> path = List.of(new PathStage(1, "outlet", Stage.washable(StageKind.OUTLET)));
        Asked brush = new Asked(1, CareAction.BRUSH, Optional.of(1L));
        Procedure canister = assemble(
                Build.usual(FilterKind.CANISTER, Optional.empty()), TANK_WATER, 38, path, List.of(brush), Set.of());
        Procedure internal = assemble(
                Build.usual(FilterKind.INTERNAL, Optional.empty()), TANK_WATER, 38, path, List.of(brush), Set.of());

        assertThat(ids(canister))
                .containsSubsequence(
                        "stop:filter", "break:filter", "mark:filter", "outlet:1", "ends-in:filter", "start:filter");
        assertThat(ids(internal)).contains("stop:filter", "outlet:1").doesNotContain("mark:filter");
    }

    @Test
    void looking_along_a_cord_stops_nothing() {
        Procedure procedure = assemble(
                Build.usual(FilterKind.CANISTER, Optional.empty()),
                TANK_WATER,
                38,
                List.of(),
                List.of(new Asked(1, CareAction.INSPECT, Optional.empty())),
                Set.of());

        assertThat(ids(procedure)).containsExactly("cords:filter", "sensor:filter");
        assertThat(procedure.tubs().count()).isZero();
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

    private static Procedure uv(Asked... asked) {
        List<PathStage> path = List.of(
                new PathStage(1, "UV lamp", Stage.disposable(StageKind.UV_LAMP)),
                new PathStage(2, "UV sleeve", Stage.washable(StageKind.UV_SLEEVE)),
                new PathStage(3, "seals", Stage.washable(StageKind.SEALS)));
        return assemble(
                Build.usual(FilterKind.UV_UNIT, Optional.empty()), TANK_WATER, 220, path, List.of(asked), Set.of());
    }

    private static Procedure sump(List<PathStage> path, List<Asked> asked, Set<Chore> chores) {
        return assemble(Build.usual(FilterKind.SUMP, Optional.empty()), TANK_WATER, 200, path, asked, chores);
    }

    private static Procedure canister(FlowDirection direction, Practice practice, double litres, Asked... asked) {
        return assemble(
                Build.usual(FilterKind.CANISTER, Optional.of(direction)),
                practice,
                litres,
                PATH,
                List.of(asked),
                Set.of());
    }

    private static Procedure assemble(
            Build build, Practice practice, double litres, List<PathStage> path, List<Asked> asked, Set<Chore> chores) {
        List<Asked> available = new ArrayList<>(path.equals(PATH) ? ALL : asked);
        Tubs.Means means = new Tubs.Means(Tubs.Means.USUAL_BUCKET_L, litres, Tubs.Means.USUAL_SHARE);
        return Procedure.assemble(
                new Situation("Weir", build, practice, means, path, new Work(asked, chores, available)));
    }

    private static String text(Procedure procedure, String id) {
        return procedure.steps().stream()
                .filter(step -> step.id().equals(id))
                .map(step -> step.what().text())
                .findFirst()
                .orElseThrow();
    }

    private static List<String> ids(Procedure procedure) {
        return procedure.steps().stream().map(Step::id).toList();
    }
}
