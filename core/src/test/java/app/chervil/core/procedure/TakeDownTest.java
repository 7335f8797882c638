package app.chervil.core.procedure;

import static app.chervil.core.procedure.SetUpTest.codes;
import static app.chervil.core.procedure.SetUpTest.words;
import static org.assertj.core.api.Assertions.assertThat;

import app.chervil.core.filter.FilterKind;
import app.chervil.core.filter.FilterTemplates;
import app.chervil.core.filter.FlowDirection;
import app.chervil.core.filter.Stage;
import app.chervil.core.filter.StageKind;
import app.chervil.core.passport.Build;
import app.chervil.core.passport.Build.Fill;
import app.chervil.core.passport.Build.ShutOff;
import app.chervil.core.passport.Chamber;
import app.chervil.core.passport.Passport;
import app.chervil.core.passport.Place;
import app.chervil.core.passport.Place.Content;
import app.chervil.core.procedure.Step.Effect;
import java.util.EnumSet;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.MethodSource;

/** A filter taken down, to be moved or put away, as a practitioner would read it aloud. */
class TakeDownTest {
    private static Build build(FilterKind kind) {
        return Build.usual(kind, kind == FilterKind.CANISTER ? Optional.of(FlowDirection.BOTTOM_UP) : Optional.empty());
    }

    private static List<StageKind> path(FilterKind kind) {
        return FilterTemplates.waterPath(kind).stream().map(Stage::kind).toList();
    }

    private static Procedure takenDown(Build build, List<StageKind> path, Occasion why) {
        return Procedure.takeDown(
                SetUpTest.situation(Passport.usual(build, path), SetUpTest.path(path.toArray(StageKind[]::new))), why);
    }

    @ParameterizedTest(name = "{0}, {1}")
    @CsvSource({
        "CANISTER, MOVE, beside gloves heater-off keep-bucket stop break mark uncouple pipes lid-off unload unload unload"
                + " unload tip level heater-on rinse air pack finish",
        "CANISTER, STORE, beside gloves heater-off keep-bucket stop break mark uncouple pipes lid-off unload unload unload"
                + " unload tip level heater-on alive wash rotor ring dry finish",
        "HANG_ON_BACK, MOVE, beside gloves heater-off keep-bucket stop lift-off unload unload unload unload level"
                + " heater-on rinse air pack finish",
        "HANG_ON_BACK, STORE, beside gloves heater-off keep-bucket stop lift-off unload unload unload unload level"
                + " heater-on alive wash rotor dry finish",
        "INTERNAL, MOVE, beside gloves heater-off keep-bucket stop lift-out unload unload level heater-on rinse air pack"
                + " finish",
        "INTERNAL, STORE, beside gloves heater-off keep-bucket stop lift-out unload unload level heater-on alive wash"
                + " rotor dry finish",
        "AIR_SPONGE, MOVE, beside gloves heater-off keep-bucket stop lift-out level heater-on rinse air pack finish",
        "AIR_SPONGE, STORE, beside gloves heater-off keep-bucket stop lift-out level heater-on alive wash dry finish",
        "SUMP, MOVE, beside gloves heater-off keep-bucket stop socks-out drain-sump unload level heater-on air pack"
                + " finish",
        "SUMP, STORE, beside gloves heater-off keep-bucket stop socks-out drain-sump unload level heater-on alive wash"
                + " rotor dry finish",
        "UV_UNIT, MOVE, beside gloves heater-off stop break mark uncouple pipes cool bay lamp-out sleeve-out wrap level"
                + " heater-on pack finish",
        "UV_UNIT, STORE, beside gloves heater-off stop break mark uncouple pipes cool bay lamp-out sleeve-out wrap level"
                + " heater-on wash dry finish"
    })
    void every_kind_is_taken_down_in_the_order_a_hand_can_do_it(FilterKind kind, Occasion why, String order) {
        assertThat(codes(takenDown(build(kind), path(kind), why))).containsExactly(order.split(" "));
    }

    @ParameterizedTest
    @CsvSource({
        "AIR_SPONGE, MOVE, keep-bucket, 'Take two clean buckets of tank water: one deep enough to cover foam and media, one to squeeze foam in.'",
        "SUMP, MOVE, keep-bucket, 'Take a clean bucket, and enough tank water to cover the media.'",
        "SUMP, STORE, keep-bucket, 'Take a clean bucket, and enough tank water to cover media that shall live.'",
        "HANG_ON_BACK, MOVE, unload:place-0, 'Take out the coarse foam, into the bucket.'",
        "HANG_ON_BACK, MOVE, unload:place-2, 'Take out the fine pad. If it is spent, throw it away.'",
        "SUMP, MOVE, heater-on, 'Hang the heater into the tank, if it was in the sump. Is it under water? Turn it on.'",
        "HANG_ON_BACK, MOVE, heater-on, 'Is the heater under water? Turn it on.'",
        "HANG_ON_BACK, STORE, unload:place-0, 'Take out the coarse foam.'",
        "SUMP, STORE, unload, 'Take out the bio media. What shall live goes into the bucket at once, under water.'",
        "UV_UNIT, STORE, wash, 'Wash its housing and hoses under the tap.'",
        "SUMP, MOVE, drain-sump, 'Pump or siphon the sump empty, down to a finger''s width. Then loosen drain and return over a bucket.'"
    })
    void the_words_say_what_is_true_of_its_kind(FilterKind kind, Occasion why, String code, String words) {
        assertThat(words(takenDown(build(kind), path(kind), why), code)).isEqualTo(words);
    }

    @Test
    void of_a_tray_that_holds_both_the_foam_is_kept() {
        List<StageKind> path = List.of(StageKind.COARSE_FOAM, StageKind.FINE_PAD, StageKind.IMPELLER);
        Passport one = new Passport(
                build(FilterKind.INTERNAL),
                List.of(new Chamber(
                        "",
                        Chamber.Access.OPEN,
                        List.of(Place.tray("the tray", true, Content.piece(0), Content.piece(1))))),
                List.of(),
                "",
                true);
        Procedure moved = Procedure.takeDown(
                SetUpTest.situation(one, SetUpTest.path(path.toArray(StageKind[]::new))), Occasion.MOVE);

        assertThat(words(moved, "unload"))
                .isEqualTo("Take out the coarse foam and the fine pad. Foam goes into the bucket.");
    }

    @Test
    void medium_foam_alone_is_kept_alive_as_well() {
        assertThat(codes(takenDown(
                        build(FilterKind.INTERNAL), List.of(StageKind.MEDIUM_FOAM, StageKind.IMPELLER), Occasion.MOVE)))
                .contains("keep-bucket", "rinse", "air");
    }

    @Test
    void what_lives_leaves_the_filter_as_such_and_what_does_not_only_leaves_it() {
        Procedure moved = takenDown(
                build(FilterKind.INTERNAL), List.of(StageKind.COARSE_FOAM, StageKind.BIO_MEDIA), Occasion.MOVE);

        assertThat(moved.steps())
                .filteredOn(step -> step.effects().contains(Effect.BIO_OUT))
                .extracting(step -> step.what().text())
                .isNotEmpty()
                .allMatch(text -> text.contains("bio media"));
    }

    @Test
    void a_heavy_canister_is_carried_to_where_there_is_room() {
        Build heavy =
                Build.usual(FilterKind.CANISTER, Optional.of(FlowDirection.BOTTOM_UP), ShutOff.BLOCK, Fill.PRIMER);

        assertThat(codes(takenDown(heavy, path(FilterKind.CANISTER), Occasion.MOVE))
                        .contains("carry"))
                .isEqualTo(Extent.isCarried(heavy));
    }

    @Test
    void a_lamp_in_a_canister_without_a_sleeve_is_packed_without_one() {
        List<StageKind> lit = List.of(StageKind.COARSE_FOAM, StageKind.UV_LAMP, StageKind.IMPELLER);
        List<StageKind> sleeved =
                List.of(StageKind.COARSE_FOAM, StageKind.UV_LAMP, StageKind.UV_SLEEVE, StageKind.IMPELLER);

        assertThat(codes(takenDown(build(FilterKind.CANISTER), lit, Occasion.MOVE)))
                .contains("lamp-out")
                .doesNotContain("sleeve-out");
        assertThat(codes(takenDown(build(FilterKind.CANISTER), sleeved, Occasion.MOVE)))
                .containsSubsequence("lamp-out", "sleeve-out", "wrap");
    }

    @Test
    void a_canister_that_moves_keeps_what_lives_under_tank_water_and_travels_empty() {
        Procedure moved = takenDown(
                Build.usual(FilterKind.CANISTER, Optional.of(FlowDirection.BOTTOM_UP), ShutOff.VALVES, Fill.OPEN_TOP),
                List.of(StageKind.COARSE_FOAM, StageKind.BIO_MEDIA, StageKind.IMPELLER),
                Occasion.MOVE);

        assertThat(codes(moved))
                .containsSubsequence(
                        "beside",
                        "gloves",
                        "heater-off",
                        "keep-bucket",
                        "stop",
                        "shut",
                        "mark",
                        "uncouple",
                        "pipes",
                        "lid-off",
                        "unload",
                        "tip",
                        "level",
                        "heater-on",
                        "rinse",
                        "air",
                        "pack",
                        "finish")
                .doesNotContain("wash", "dry", "open", "connect", "start");
        assertThat(words(moved, "air")).contains("air stone");
    }

    @Test
    void a_canister_put_away_is_washed_dried_and_its_ring_is_not_pressed_flat() {
        Procedure stored = takenDown(
                build(FilterKind.CANISTER),
                List.of(StageKind.COARSE_FOAM, StageKind.BIO_MEDIA, StageKind.IMPELLER),
                Occasion.STORE);

        assertThat(codes(stored))
                .containsSubsequence("beside", "tip", "alive", "wash", "rotor", "ring", "dry", "finish");
        assertThat(words(stored, "beside")).contains("another filter run on this tank for six weeks");
    }

    @Test
    void what_is_put_away_is_asked_for_once_it_is_dry() {
        List<FollowUp> asked = FollowUp.ofStored("Weir");

        assertThat(asked).hasSize(1);
        assertThat(asked.get(0).after().toHours()).isEqualTo(48);
        assertThat(asked.get(0).words()).startsWith("Is Weir dry?").contains("latches loose");
    }

    @Test
    void a_lamp_that_stands_alone_has_no_rotor_to_dry() {
        assertThat(codes(takenDown(build(FilterKind.UV_UNIT), path(FilterKind.UV_UNIT), Occasion.STORE)))
                .doesNotContain("rotor", "ring", "keep-bucket");
    }

    @Test
    void without_valves_the_siphon_is_broken_before_a_hose_comes_off() {
        Build nano = Build.usual(FilterKind.CANISTER, Optional.of(FlowDirection.BOTTOM_UP), ShutOff.NONE, Fill.CAP);

        assertThat(codes(takenDown(nano, path(FilterKind.CANISTER), Occasion.MOVE)))
                .containsSubsequence("stop", "break", "uncouple", "pipes");
    }

    @Test
    void a_lamp_cools_before_its_bay_is_opened_and_is_wrapped_apart_from_its_sleeve() {
        Procedure unit = takenDown(build(FilterKind.UV_UNIT), path(FilterKind.UV_UNIT), Occasion.STORE);

        assertThat(codes(unit)).containsSubsequence("stop", "cool", "bay", "lamp-out", "sleeve-out", "wrap");
        assertThat(words(unit, "beside")).contains("other filters");
    }

    @Test
    void what_has_its_heater_in_the_hose_leaves_a_tank_that_needs_another() {
        Build usual = build(FilterKind.CANISTER);
        Build inLine = new Build(
                usual.kind(),
                usual.direction(),
                usual.water(),
                usual.housing(),
                usual.hoses(),
                new Build.Current(Build.HeaterPlace.IN_LINE, Build.LampPlace.LID, false));

        assertThat(codes(takenDown(inLine, path(FilterKind.CANISTER), Occasion.MOVE)))
                .contains("heater-other")
                .doesNotContain("heater-on");
    }

    static Stream<Arguments> allKinds() {
        return Stream.of(FilterKind.values())
                .flatMap(kind -> Stream.of(Occasion.MOVE, Occasion.STORE).map(why -> Arguments.of(kind, why)));
    }

    @ParameterizedTest(name = "{0}, {1}")
    @MethodSource("allKinds")
    void whatever_it_is_no_hand_goes_in_before_it_is_stopped_and_it_is_not_started_again(
            FilterKind kind, Occasion why) {
        holds(takenDown(build(kind), path(kind), why));
    }

    /** What holds of any filter that is taken down. */
    static void holds(Procedure down) {
        List<Step> steps = down.steps();
        Set<Effect> seen = EnumSet.noneOf(Effect.class);
        Set<String> ids = new HashSet<>();
        for (Step step : steps) {
            assertThat(ids.add(step.id())).as("%s twice", step.id()).isTrue();
            if (step.effects().contains(Effect.HANDS_IN) || step.effects().contains(Effect.LAMP_BAY_OPENED)) {
                assertThat(seen).as(step.id()).contains(Effect.POWER_OFF);
            }
            if (step.effects().contains(Effect.WATER_OUT)) {
                assertThat(seen).as(step.id()).contains(Effect.HEATER_OFF);
            }
            if (step.effects().contains(Effect.HOSES_OFF)) {
                assertThat(seen).as(step.id()).contains(Effect.WATER_SHUT);
            }
            if (step.effects().contains(Effect.BIO_OUT)) {
                assertThat(seen).as("water waits for %s", step.id()).contains(Effect.WATER_OUT);
            }
            if (step.effects().contains(Effect.HEATER_ON)) {
                assertThat(seen).as(step.id()).contains(Effect.TOPPED_UP);
            }
            assertThat(step.what().text() + step.what().reason()).doesNotContain("{");
            seen.addAll(step.effects());
        }
        assertThat(seen).doesNotContain(Effect.POWER_ON, Effect.WATER_ON, Effect.LAMP_ON);
        assertThat(steps.get(steps.size() - 1).id()).startsWith("finish");
    }

    @ParameterizedTest
    @EnumSource(FilterKind.class)
    void what_is_put_away_is_dried_and_what_moves_is_not_washed_under_the_tap(FilterKind kind) {
        assertThat(codes(takenDown(build(kind), path(kind), Occasion.STORE))).contains("wash", "dry");
        assertThat(codes(takenDown(build(kind), path(kind), Occasion.MOVE)))
                .doesNotContain("wash")
                .contains("pack");
    }
}
