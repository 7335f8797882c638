package app.chervil.core.procedure;

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
import app.chervil.core.procedure.Situation.PathStage;
import app.chervil.core.procedure.Situation.Practice;
import app.chervil.core.procedure.Situation.Work;
import app.chervil.core.procedure.Step.Effect;
import app.chervil.core.tank.BacteriaHome;
import app.chervil.core.tank.RinseWater;
import app.chervil.core.tank.TapWater;
import app.chervil.core.tank.Thoroughness;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

/** A filter put together and started, as a practitioner would read it aloud. */
class SetUpTest {
    @Test
    void hoses_go_onto_what_shuts_them_and_the_words_name_it() {
        Procedure block = shutBy(ShutOff.BLOCK);
        assertThat(words(block, "connect"))
                .contains("its port of the hose block")
                .endsWith("its lever shut.");
        assertThat(words(block, "open")).isEqualTo("Open the lever of the hose block.");

        Procedure valves = shutBy(ShutOff.VALVES);
        assertThat(words(valves, "connect")).doesNotContain("block");
        assertThat(words(valves, "open")).isEqualTo("Open both valves.");
    }

    @Test
    void a_sump_is_filled_to_its_mark_and_topped_up_once_its_pipes_have_filled() {
        Procedure sump = Procedure.setUp(situation(
                Passport.usual(Build.usual(FilterKind.SUMP, Optional.empty()), List.of(StageKind.SOCK)),
                path(StageKind.SOCK)));

        assertThat(codes(sump)).containsSubsequence("fill", "level", "start", "run-mark", "drain-test", "restart");
        assertThat(words(sump, "level")).startsWith("Fill the tank to its weir");
    }

    @ParameterizedTest(name = "{0}")
    @CsvSource({
        "CANISTER, count gloves heater-off dust load load load load stand pipes cut on-intake on-intake fill lid connect"
                + " ends-in level start leak flow-after heater-on finish",
        "HANG_ON_BACK, count gloves heater-off dust load load load load stand on-intake on-intake fill level start leak"
                + " flow-after heater-on finish",
        "INTERNAL, count gloves heater-off dust load load on-intake stand level start leak flow-after heater-on finish",
        "AIR_SPONGE, count gloves heater-off dust sponge valve stand level start leak heater-on finish",
        "SUMP, count gloves heater-off dust load sock stand plumb fill level start run-mark drain-test mark-off restart"
                + " leak sump-on flow-after heater-on finish",
        "UV_UNIT, count gloves heater-off lamp-seated stand pipes cut connect ends-in fill level start leak lamp-on"
                + " heater-on finish"
    })
    void every_kind_is_put_together_in_the_order_a_hand_can_do_it(FilterKind kind, String order) {
        assertThat(codes(usual(usualBuild(kind)))).containsExactly(order.split(" "));
    }

    private static Build usualBuild(FilterKind kind) {
        return Build.usual(kind, kind == FilterKind.CANISTER ? Optional.of(FlowDirection.BOTTOM_UP) : Optional.empty());
    }

    @ParameterizedTest
    @CsvSource({
        "CANISTER, stand, 'Stand Weir level below the tank, with room above to lift its head.'",
        "HANG_ON_BACK, stand, 'Hang Weir level on the rim, resting on the glass below.'",
        "AIR_SPONGE, valve, 'Fit the check valve outside the tank, its arrow towards the tank.'",
        "AIR_SPONGE, start, 'Dry your hands, check the drip loop, and plug in Weir. Do bubbles rise?'",
        "HANG_ON_BACK, start, 'Dry your hands, check the drip loop, and plug in Weir. Is water moving?'",
        "UV_UNIT, start, 'Dry your hands, check the drip loop, and plug in the pump of Weir; the lamp waits. Is water moving?'",
        "CANISTER, leak, 'Press dry paper round every joint after ten minutes.'",
        "SUMP, leak, 'Watch the level and every joint for ten minutes.'",
        "AIR_SPONGE, leak, 'See that bubbles rise evenly and the sponge stays down.'",
        "INTERNAL, leak, 'Watch that it stays level and water runs where it should.'",
        "SUMP, plumb, 'Join drain and return, their unions tight by hand, and see that the overflow is clear.'",
        "SUMP, load, 'Lay the bio media in, out to the edges.'"
    })
    void the_words_say_what_is_true_of_its_kind(FilterKind kind, String code, String words) {
        assertThat(words(usual(usualBuild(kind)), code)).isEqualTo(words);
    }

    @Test
    void only_what_holds_foam_or_media_has_dust_to_rinse_off() {
        Passport bare =
                Passport.usual(usualBuild(FilterKind.INTERNAL), List.of(StageKind.STRAINER, StageKind.IMPELLER));

        assertThat(codes(Procedure.setUp(situation(bare, path(StageKind.STRAINER, StageKind.IMPELLER)))))
                .doesNotContain("dust");
    }

    private static Procedure shutBy(ShutOff shutOff) {
        return usual(
                Build.usual(FilterKind.CANISTER, Optional.of(FlowDirection.SIDE_THEN_TRAYS), shutOff, Fill.PRIMER));
    }

    @Test
    void a_bottom_up_canister_is_filled_from_the_bottom_and_before_its_lid_goes_on() {
        Passport passport = new Passport(
                Build.usual(FilterKind.CANISTER, Optional.of(FlowDirection.BOTTOM_UP), ShutOff.VALVES, Fill.OPEN_TOP),
                List.of(new Chamber(
                        "",
                        Chamber.Access.SEALED,
                        List.of(
                                Place.tray("the top tray", true, Content.piece(2)),
                                Place.tray("the bottom tray", false, Content.piece(1), Content.piece(0))))),
                List.of(),
                "",
                true);

        Procedure setUp = Procedure.setUp(
                situation(passport, path(StageKind.COARSE_FOAM, StageKind.FINE_PAD, StageKind.BIO_MEDIA)));

        assertThat(codes(setUp))
                .containsExactly(
                        "count",
                        "gloves",
                        "heater-off",
                        "dust",
                        "load",
                        "load",
                        "stand",
                        "pipes",
                        "cut",
                        "fill",
                        "lid",
                        "connect",
                        "open",
                        "level",
                        "start",
                        "leak",
                        "flow-after",
                        "heater-on",
                        "finish");
        assertThat(words(setUp, "load:place-1"))
                .isEqualTo(
                        "Fill the bottom tray from the bottom: the coarse foam, then the fine pad. Set it in and press it"
                                + " down.");
    }

    @ParameterizedTest(name = "{0}, {1}: {2}")
    @CsvSource({
        "OPEN_TOP, VALVES, 'fill lid connect open level start'",
        "CAP, VALVES, 'lid fill connect open level start'",
        "CAP, NONE, 'lid connect fill ends-in level start'",
        "PRIMER, BLOCK, 'lid connect open fill level start'",
        "SELF, NONE, 'lid connect ends-in fill level start'"
    })
    void every_canister_is_filled_in_its_own_way_and_no_path_is_open_under_an_open_cap(
            Fill fill, ShutOff shutOff, String order) {
        Build build = Build.usual(FilterKind.CANISTER, Optional.of(FlowDirection.TWO_CHAMBER), shutOff, fill);

        assertThat(codes(usual(build))).containsSubsequence(order.split(" "));
    }

    @Test
    void a_sump_is_stopped_once_to_see_whether_what_runs_down_finds_room() {
        Procedure setUp = usual(Build.usual(FilterKind.SUMP, Optional.empty()));

        assertThat(codes(setUp))
                .containsSubsequence(
                        "sock", "fill", "level", "start", "drain-test", "mark-off", "restart", "leak", "sump-on");
        assertThat(words(setUp, "drain-test")).contains("a thumb's width under the rim");
    }

    @Test
    void a_lamp_in_the_lid_of_a_canister_waits_as_well() {
        Procedure setUp = Procedure.setUp(situation(
                Passport.usual(
                        Build.usual(FilterKind.CANISTER, Optional.of(FlowDirection.TOP_DOWN)),
                        List.of(StageKind.COARSE_FOAM, StageKind.UV_LAMP)),
                path(StageKind.COARSE_FOAM, StageKind.UV_LAMP)));

        assertThat(codes(setUp)).containsSubsequence("start", "leak", "lamp-on");
        assertThat(words(setUp, "start")).contains("plug in Weir; the lamp waits.");
    }

    @Test
    void a_heater_in_the_hose_is_turned_on_once_water_moves_past_it() {
        Build usual = Build.usual(FilterKind.CANISTER, Optional.of(FlowDirection.BOTTOM_UP));
        Build heated = new Build(
                usual.kind(),
                usual.direction(),
                usual.water(),
                usual.housing(),
                usual.hoses(),
                new Build.Current(Build.HeaterPlace.IN_LINE, Build.LampPlace.LID, false));

        assertThat(words(usual(heated), "heater-on"))
                .isEqualTo("Is water moving through Weir? Turn the in-line heater on.");
    }

    @Test
    void a_lamp_is_lit_only_after_ten_dry_minutes() {
        Procedure setUp = usual(Build.usual(FilterKind.UV_UNIT, Optional.empty()));

        assertThat(codes(setUp)).containsSubsequence("start", "leak", "lamp-on", "heater-on");
        assertThat(words(setUp, "start")).contains("the lamp waits");
    }

    @ParameterizedTest
    @EnumSource(FilterKind.class)
    void hands_never_meet_a_live_pump_and_the_heater_comes_last(FilterKind kind) {
        for (FlowDirection direction : FlowDirection.values()) {
            for (ShutOff shutOff : ShutOff.values()) {
                for (Fill fill : Fill.values()) {
                    holds(usual(Build.usual(kind, Optional.of(direction), shutOff, fill)));
                }
            }
        }
    }

    private static void holds(Procedure setUp) {
        boolean on = false;
        boolean toppedUp = false;
        Set<String> ids = new HashSet<>();
        for (Step step : setUp.steps()) {
            assertThat(ids.add(step.id())).as("%s twice", step.id()).isTrue();
            assertThat(step.what().text() + step.what().reason()).doesNotContain("{");
            if (step.effects().contains(Effect.HANDS_IN)) {
                assertThat(on).as("%s with the power on", step.what().text()).isFalse();
            }
            toppedUp |= step.effects().contains(Effect.TOPPED_UP);
            if (step.effects().contains(Effect.POWER_ON)) {
                assertThat(toppedUp).as("topped up before the start").isTrue();
                assertThat(step.care().cautions()).contains(Caution.ELECTRICITY);
                on = true;
            }
            on &= !step.effects().contains(Effect.POWER_OFF);
            if (step.effects().contains(Effect.HEATER_ON)) {
                assertThat(on && toppedUp)
                        .as("heater under water, pump running")
                        .isTrue();
            }
        }
        assertThat(on).isTrue();
        List<Effect> effects =
                setUp.steps().stream().flatMap(step -> step.effects().stream()).toList();
        assertThat(effects).containsSubsequence(Effect.HEATER_OFF, Effect.TOPPED_UP, Effect.POWER_ON, Effect.HEATER_ON);
    }

    @ParameterizedTest
    @EnumSource(FilterKind.class)
    void somebody_looks_again_the_next_day(FilterKind kind) {
        List<FollowUp> looks = FollowUp.ofSetUp(kind, "Weir");

        assertThat(looks.get(looks.size() - 1).after().toHours()).isEqualTo(24);
        assertThat(looks).allMatch(look -> look.words().contains("Weir"));
    }

    private static Procedure usual(Build build) {
        List<StageKind> kinds = FilterTemplates.waterPath(build.kind()).stream()
                .map(Stage::kind)
                .toList();
        return Procedure.setUp(situation(Passport.usual(build, kinds), path(kinds.toArray(StageKind[]::new))));
    }

    static List<PathStage> path(StageKind... kinds) {
        List<PathStage> path = new ArrayList<>();
        for (StageKind kind : kinds) {
            path.add(new PathStage(path.size() + 1, kind.words(), Stage.washable(kind)));
        }
        return path;
    }

    static Situation situation(Passport passport, List<PathStage> path) {
        return new Situation(
                "Weir",
                passport,
                new Practice(RinseWater.TANK_WATER, Thoroughness.LIGHT, TapWater.CHLORAMINE, BacteriaHome.MEDIA),
                new Tubs.Means(8, 220, 0.25),
                path,
                new Work(List.of(), Set.of(), List.of()));
    }

    static List<String> codes(Procedure procedure) {
        return procedure.steps().stream().map(step -> step.id().split(":")[0]).toList();
    }

    static String words(Procedure procedure, String code) {
        return procedure.steps().stream()
                .filter(step -> step.id().startsWith(code))
                .map(step -> step.what().text())
                .findFirst()
                .orElseThrow();
    }
}
