package app.chervil.core.procedure;

import static org.assertj.core.api.Assertions.assertThat;

import app.chervil.core.filter.CareAction;
import app.chervil.core.filter.FilterKind;
import app.chervil.core.filter.Stage;
import app.chervil.core.filter.StageKind;
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

class ProcedureTest {
    private static final Practice TANK_WATER =
            new Practice(RinseWater.TANK_WATER, Thoroughness.LIGHT, TapWater.CHLORAMINE, BacteriaHome.MEDIA);

    @Test
    void six_tasks_on_a_canister_open_it_once_in_the_three_bucket_order() {
        List<String> ids =
                ids(canister(TANK_WATER, CareAction.OPEN, CareAction.RINSE, CareAction.CHANGE, CareAction.DIP));

        assertThat(ids.stream().filter(id -> id.startsWith("tip"))).hasSize(1);
        assertThat(ids)
                .containsSubsequence(
                        "draw:filter",
                        "stop:filter",
                        "valves:filter",
                        "tip:filter",
                        "first",
                        "second",
                        "dip:3",
                        "last",
                        "back:1",
                        "lid:filter",
                        "fill:filter",
                        "connect:filter",
                        "start:filter",
                        "watch:filter",
                        "finish:filter");
    }

    @Test
    void bio_media_rests_under_water_even_when_only_the_foam_is_due() {
        List<String> ids = ids(canister(TANK_WATER, CareAction.RINSE));

        assertThat(ids)
                .containsSubsequence("out:3", "first", "back:3", "start:filter")
                .doesNotContain("dip:3");
    }

    @Test
    void foam_that_is_replaced_is_not_rinsed_as_well() {
        List<String> ids = ids(canister(TANK_WATER, CareAction.RINSE, CareAction.REPLACE));

        assertThat(ids).contains("cut:1").doesNotContain("first");
    }

    @Test
    void only_full_cleaning_washes_the_housing() {
        Practice full = new Practice(RinseWater.TANK_WATER, Thoroughness.FULL, TapWater.CHLORAMINE, BacteriaHome.MEDIA);

        assertThat(ids(canister(full, CareAction.OPEN))).contains("housing:filter");
        assertThat(ids(canister(TANK_WATER, CareAction.OPEN))).doesNotContain("housing:filter");
    }

    @Test
    void rock_is_blown_off_with_the_pumps_on_and_twice_before_the_sock() {
        Procedure procedure = Procedure.assemble(new Situation(
                "Undertow",
                FilterKind.SUMP,
                TANK_WATER,
                List.of(new PathStage(1, "sock", Stage.washable(StageKind.SOCK))),
                new Work(List.of(new Asked(1, CareAction.CHANGE, Optional.of(1L))), Set.of(Chore.ROCK_BLOW_OFF))));

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
    void looking_along_a_cord_stops_nothing() {
        Procedure procedure = Procedure.assemble(new Situation(
                "Weir",
                FilterKind.CANISTER,
                TANK_WATER,
                List.of(),
                new Work(List.of(new Asked(1, CareAction.INSPECT, Optional.empty())), Set.of())));

        assertThat(ids(procedure)).containsExactly("cords:filter");
        assertThat(procedure.buckets()).isZero();
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

        Procedure procedure = canister(practice, CareAction.RINSE);

        assertThat(practice.tapAllowed()).isEqualTo(allowed);
        assertThat(procedure.buckets() == 0).isEqualTo(allowed);
        assertThat(procedure.steps())
                .filteredOn(step -> step.id().equals("first"))
                .singleElement()
                .satisfies(step -> {
                    assertThat(step.what().text()).contains(allowed ? "in tap water" : "in tank water");
                    assertThat(step.what().reason()).isEqualTo(practice.whyWater());
                });
    }

    /** A canister of coarse foam (1), fine pad (2) and bio media (3), with these actions where a stage takes them. */
    private static Procedure canister(Practice practice, CareAction... actions) {
        List<PathStage> path = List.of(
                new PathStage(1, "coarse foam", Stage.washable(StageKind.COARSE_FOAM)),
                new PathStage(2, "fine pad", Stage.disposable(StageKind.FINE_PAD)),
                new PathStage(3, "bio media", Stage.washable(StageKind.BIO_MEDIA)));
        List<Asked> asked = new ArrayList<>();
        for (CareAction action : actions) {
            Optional<Long> stage =
                    switch (action) {
                        case RINSE, REPLACE -> Optional.of(1L);
                        case CHANGE -> Optional.of(2L);
                        case DIP -> Optional.of(3L);
                        default -> Optional.empty();
                    };
            asked.add(new Asked(asked.size() + 1, action, stage));
        }
        return Procedure.assemble(
                new Situation("Weir", FilterKind.CANISTER, practice, path, new Work(asked, Set.of())));
    }

    private static List<String> ids(Procedure procedure) {
        return procedure.steps().stream().map(Step::id).toList();
    }
}
