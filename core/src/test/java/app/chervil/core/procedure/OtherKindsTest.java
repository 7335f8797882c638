package app.chervil.core.procedure;

import static org.assertj.core.api.Assertions.assertThat;

import app.chervil.core.filter.CareAction;
import app.chervil.core.filter.FilterKind;
import app.chervil.core.filter.Stage;
import app.chervil.core.filter.StageKind;
import app.chervil.core.passport.Build;
import app.chervil.core.procedure.Situation.Asked;
import app.chervil.core.procedure.Situation.Chore;
import app.chervil.core.procedure.Situation.PathStage;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Services of lamps, sumps and internal filters, and of single parts, as a practitioner would read them aloud. */
class OtherKindsTest extends ReadAloud {
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
}
