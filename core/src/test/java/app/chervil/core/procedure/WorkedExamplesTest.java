package app.chervil.core.procedure;

import static org.assertj.core.api.Assertions.assertThat;

import app.chervil.core.filter.CareAction;
import app.chervil.core.filter.CareCatalogue;
import app.chervil.core.filter.CareRule;
import app.chervil.core.filter.FilterKind;
import app.chervil.core.filter.FlowDirection;
import app.chervil.core.filter.Material;
import app.chervil.core.filter.Stage;
import app.chervil.core.filter.StageKind;
import app.chervil.core.passport.Build;
import app.chervil.core.passport.Build.Fill;
import app.chervil.core.passport.Build.ShutOff;
import app.chervil.core.passport.Chamber;
import app.chervil.core.passport.Passport;
import app.chervil.core.passport.Place;
import app.chervil.core.passport.Place.Content;
import app.chervil.core.procedure.Situation.Asked;
import app.chervil.core.procedure.Situation.PathStage;
import app.chervil.core.procedure.Situation.Practice;
import app.chervil.core.procedure.Situation.Work;
import app.chervil.core.tank.BacteriaHome;
import app.chervil.core.tank.RinseWater;
import app.chervil.core.tank.Schools;
import app.chervil.core.tank.TapWater;
import app.chervil.core.tank.Thoroughness;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;

/**
 * Filters in particular, served as a practitioner would: the steps that differ from filter to filter, the tubs and the
 * minutes of docs/sources.md#worked-examples. What opens and closes every service is left out of the lists here.
 */
class WorkedExamplesTest {
    private static final Set<String> OF_EVERY_SERVICE =
            Set.of("gloves", "heater-off", "flow-before", "watch", "flow-after", "heater-on", "finish");

    @Test
    void e1_a_pad_in_the_top_tray_of_a_top_down_canister_is_a_short_dry_errand() {
        Procedure pad = topDown(FINE_PAD).serve("fine pad");

        assertThat(steps(pad))
                .containsExactly(
                        "stop",
                        "shut",
                        "mark",
                        "uncouple",
                        "lid-off",
                        "out fine pad",
                        "back fine pad",
                        "lid",
                        "connect",
                        "open",
                        "fill",
                        "level",
                        "start");
        assertThat(pad.tubs().count()).isZero();
        assertThat(pad.minutes()).isEqualTo(17);
    }

    @Test
    void e2_a_bag_between_pads_takes_the_pad_above_it_along() {
        Described filter = new Described(FilterKind.CANISTER, FlowDirection.TOP_DOWN, ShutOff.VALVES, Fill.SELF)
                .with("upper pad", FINE_PAD)
                .with("carbon", StageKind.CARBON)
                .with("lower pad", FINE_PAD)
                .with("bio media", StageKind.BIO_MEDIA)
                .in(
                        Place.tray("the top tray", true, piece(0), piece(1), piece(2)),
                        Place.tray("the lower tray", false, piece(3)));

        Procedure bag = filter.serve("carbon");

        assertThat(steps(bag))
                .containsSubsequence(
                        "lid-off", "out upper pad", "out carbon", "dust carbon", "back carbon", "back upper pad", "lid")
                .doesNotContain("out lower pad", "out bio media");
        assertThat(bag.tubs().count()).isZero();
        assertThat(bag.minutes()).isEqualTo(22);
    }

    @Test
    void e3_the_bottom_foam_of_a_bottom_up_canister_lifts_every_tray_and_tips_the_rest() {
        Described filter = new Described(FilterKind.CANISTER, FlowDirection.BOTTOM_UP, ShutOff.VALVES, Fill.OPEN_TOP)
                .with("coarse foam", StageKind.COARSE_FOAM)
                .with("medium foam", StageKind.MEDIUM_FOAM)
                .with("fine pad", FINE_PAD)
                .with("rings", StageKind.BIO_MEDIA)
                .with("balls", StageKind.BIO_MEDIA)
                .in(
                        Place.tray("the top tray", true, piece(4)),
                        Place.tray("the middle tray", false, piece(3)),
                        Place.tray("the bottom tray", false, piece(2), piece(1), piece(0)));

        Procedure foam = filter.serve("coarse foam");

        assertThat(steps(foam))
                .containsExactly(
                        "draw",
                        "stop",
                        "shut",
                        "mark",
                        "uncouple",
                        "lid-off",
                        "out balls",
                        "out rings",
                        "lift the bottom tray",
                        "out fine pad",
                        "out medium foam",
                        "out coarse foam",
                        "tip",
                        "first",
                        "second",
                        "last",
                        "back coarse foam",
                        "back medium foam",
                        "back fine pad",
                        "set the bottom tray",
                        "back rings",
                        "back balls",
                        "fill",
                        "lid",
                        "connect",
                        "open",
                        "level",
                        "start");
        assertThat(tub(foam, "out balls")).isEqualTo(3);
        assertThat(tub(foam, "lift the bottom tray")).isEqualTo(1);
        assertThat(foam.tubs().count()).isEqualTo(3);
        assertThat(foam.minutes()).isEqualTo(37);
    }

    @Test
    void e4_a_prefilter_of_a_hang_on_back_is_rinsed_in_one_tub() {
        Described filter = new Described(FilterKind.HANG_ON_BACK, null, ShutOff.NONE, Fill.OPEN_TOP)
                .with("pre-filter", StageKind.PREFILTER_SPONGE)
                .with("coarse foam", StageKind.COARSE_FOAM)
                .in(Place.fixed("the box", piece(1)));

        Procedure rinse = filter.serve("pre-filter");

        assertThat(steps(rinse))
                .containsExactly(
                        "draw",
                        "stop",
                        "out pre-filter",
                        "first pre-filter",
                        "back pre-filter",
                        "fill",
                        "level",
                        "start");
        assertThat(rinse.tubs().count()).isEqualTo(1);
        assertThat(rinse.minutes()).isEqualTo(12);
    }

    @Test
    void e5_a_sock_with_a_dry_grip_is_swapped_while_the_pump_runs() {
        Described filter = new Described(FilterKind.SUMP, null, ShutOff.NONE, Fill.SELF)
                .with("sock", StageKind.SOCK)
                .dryGrip();

        Procedure swap = filter.serve("sock");

        assertThat(steps(swap)).containsExactly("out sock", "back sock");
        assertThat(swap.steps()).noneMatch(step -> step.effects().contains(Step.Effect.HANDS_IN));
        assertThat(swap.steps().get(1).care().cautions()).contains(Caution.ELECTRICITY);
        assertThat(swap.minutes()).isEqualTo(5);
    }

    @Test
    void e6_sponges_and_two_bags_of_a_turtle_filter_leave_its_ceramic_where_it_is() {
        Described filter = new Described(FilterKind.CANISTER, FlowDirection.TWO_CHAMBER, ShutOff.BLOCK, Fill.CAP)
                .with("side sponge", StageKind.COARSE_FOAM)
                .with("centre sponge", StageKind.MEDIUM_FOAM)
                .with("ceramic", StageKind.BIO_MEDIA)
                .with("carbon bag", StageKind.CARBON)
                .with("other carbon bag", StageKind.CARBON)
                .chambers(
                        room("the side chamber", Place.fixed("the side", piece(0))),
                        room(
                                "the centre chamber",
                                Place.fixed("the centre", piece(1)),
                                Place.fixed("the carbon slot", piece(3), piece(4)),
                                Place.fixed("the ceramic tray", piece(2))));

        Procedure service = filter.serve("side sponge", "centre sponge", "carbon bag", "other carbon bag");

        assertThat(steps(service))
                .containsSubsequence(
                        "out side sponge",
                        "out centre sponge",
                        "out carbon bag",
                        "out other carbon bag",
                        "first",
                        "second",
                        "back other carbon bag",
                        "back carbon bag",
                        "back centre sponge",
                        "back side sponge",
                        "seated",
                        "lid",
                        "fill",
                        "connect",
                        "open")
                .doesNotContain("mark", "out ceramic", "tip");
        assertThat(service.tubs().count()).isEqualTo(2);
        assertThat(service.minutes()).isEqualTo(31);
    }

    @Test
    void e7_a_bag_under_the_ceramic_of_a_nano_canister_brings_the_ceramic_out_and_under_water() {
        Described filter = new Described(FilterKind.CANISTER, FlowDirection.TWO_CHAMBER, ShutOff.NONE, Fill.CAP)
                .with("ceramic", StageKind.BIO_MEDIA)
                .with("carbon", StageKind.CARBON)
                .in(Place.fixed("the basket", piece(0), piece(1)));

        Procedure bag = filter.serve("carbon");

        assertThat(steps(bag))
                .containsExactly(
                        "draw",
                        "stop",
                        "break",
                        "mark",
                        "uncouple",
                        "lid-off",
                        "out ceramic",
                        "out carbon",
                        "tip",
                        "dust carbon",
                        "back carbon",
                        "back ceramic",
                        "seated",
                        "lid",
                        "connect",
                        "fill",
                        "ends-in",
                        "level",
                        "start");
        assertThat(tub(bag, "out ceramic")).isEqualTo(1);
        assertThat(bag.minutes()).isEqualTo(21);
        assertThat(filter.passport().isErrand(filter.kinds(), 1)).isFalse();
    }

    @Test
    void e7_with_the_bag_on_top_it_would_be_an_errand() {
        Described filter = new Described(FilterKind.CANISTER, FlowDirection.TWO_CHAMBER, ShutOff.NONE, Fill.CAP)
                .with("ceramic", StageKind.BIO_MEDIA)
                .with("carbon", StageKind.CARBON)
                .in(Place.fixed("the basket", piece(1), piece(0)));

        assertThat(filter.passport().isErrand(filter.kinds(), 1)).isTrue();
        assertThat(filter.serve("carbon").tubs().count()).isZero();
    }

    @Test
    void e8_side_foam_comes_up_in_its_cage_and_the_trays_stay() {
        Described filter = new Described(FilterKind.CANISTER, FlowDirection.SIDE_THEN_TRAYS, ShutOff.BLOCK, Fill.PRIMER)
                .with("side foam", StageKind.COARSE_FOAM)
                .with("bio media", StageKind.BIO_MEDIA)
                .in(Place.cage("the cage", piece(0)), Place.tray("the top tray", true, piece(1)));

        Procedure foam = filter.serve("side foam");

        assertThat(steps(foam))
                .containsSubsequence(
                        "lid-off",
                        "out side foam",
                        "first side foam",
                        "second side foam",
                        "back side foam",
                        "lid",
                        "connect",
                        "open",
                        "fill")
                .doesNotContain("out bio media", "tip", "mark");
        assertThat(foam.tubs().count()).isEqualTo(2);
        assertThat(foam.minutes()).isEqualTo(24);
    }

    @Test
    void a_pump_in_the_base_is_reached_only_when_everything_is_out() {
        Procedure impeller = topDown(FINE_PAD).serve("impeller");

        assertThat(steps(impeller))
                .containsSubsequence("out fine pad", "out bio media", "tip", "impeller-out impeller");
    }

    @Test
    void a_new_impeller_is_tried_beside_the_old_one_and_screws_are_counted_in_and_out() {
        Described filter = topDown(FINE_PAD);

        Procedure kit = filter.serveBy(CareAction.REPLACE, "impeller");

        assertThat(steps(kit))
                .containsSubsequence(
                        "impeller-out impeller",
                        "impeller-same impeller",
                        "bushing impeller",
                        "impeller-well impeller",
                        "impeller-in impeller");
        assertThat(words(kit, "impeller-out")).contains("count them");
        assertThat(words(kit, "impeller-in")).contains("run freely", "as many screws as you counted");
        assertThat(kit.steps().stream().flatMap(step -> step.care().materials().stream()))
                .contains(Material.IMPELLER_SET, Material.CUP);
    }

    @Test
    void what_is_thrown_away_is_not_cleaned_first() {
        Procedure both = topDown(FINE_PAD).serveAll("impeller");

        assertThat(both.tasks())
                .extracting(Asked::action)
                .contains(CareAction.REPLACE)
                .doesNotContain(CareAction.CLEAN, CareAction.INSPECT);
    }

    @Test
    void a_heater_in_the_hose_is_off_and_cool_before_the_pump_stops_and_on_once_water_moves() {
        Described filter = topDown(FINE_PAD);
        Build build = filter.passport().build();
        Build heated = new Build(
                build.kind(),
                build.direction(),
                build.water(),
                build.housing(),
                build.hoses(),
                new Build.Current(Build.HeaterPlace.IN_LINE, Build.LampPlace.LID, false));

        Procedure pad = filter.built(heated).serve("fine pad");

        assertThat(pad.steps().stream().map(Step::id))
                .containsSubsequence("heater-off:filter", "stop:filter", "start:filter", "heater-on:filter");
        assertThat(words(pad, "heater-off"))
                .isEqualTo("Turn the in-line heater off, and let it cool while water runs.");
        assertThat(words(pad, "heater-on")).startsWith("Is water moving through Weir?");
    }

    private static final Stage FINE_PAD = Stage.disposable(StageKind.FINE_PAD);

    private Described topDown(Stage pad) {
        return new Described(FilterKind.CANISTER, FlowDirection.TOP_DOWN, ShutOff.VALVES, Fill.SELF)
                .with("fine pad", pad)
                .with("bio media", StageKind.BIO_MEDIA)
                .with("impeller", StageKind.IMPELLER)
                .in(Place.tray("the top tray", true, piece(0)), Place.tray("the bottom tray", false, piece(1)));
    }

    private static Content piece(int stage) {
        return Content.piece(stage);
    }

    private static Chamber room(String name, Place... places) {
        return new Chamber(name, Chamber.Access.SEALED, List.of(places));
    }

    private static String words(Procedure procedure, String code) {
        return procedure.steps().stream()
                .filter(step -> step.id().startsWith(code))
                .map(step -> step.what().text())
                .findFirst()
                .orElseThrow();
    }

    /** Steps as a practitioner would call them, without those of every service. */
    private List<String> steps(Procedure procedure) {
        return procedure.steps().stream()
                .filter(step -> !OF_EVERY_SERVICE.contains(step.id().split(":")[0]))
                .map(this::called)
                .toList();
    }

    private String called(Step step) {
        String code = step.id().split(":")[0];
        if (step.about().place().isPresent()) {
            return code + " "
                    + served.passport()
                            .places()
                            .get(step.about().place().getAsInt())
                            .name();
        }
        return step.about().stage().isPresent()
                ? code + " "
                        + served.path()
                                .get((int) step.about().stage().getAsLong())
                                .name()
                : code;
    }

    private int tub(Procedure procedure, String called) {
        return procedure.steps().stream()
                .filter(step -> called(step).equals(called))
                .findFirst()
                .orElseThrow()
                .about()
                .tub()
                .orElse(0);
    }

    private Described served = new Described(FilterKind.CANISTER, null, ShutOff.NONE, Fill.SELF);

    /** A filter under construction. */
    private final class Described {
        private Build build;
        private final List<PathStage> path = new ArrayList<>();
        private List<Chamber> chambers = List.of();

        Described(FilterKind kind, FlowDirection direction, ShutOff shutOff, Fill fill) {
            this.build = Build.usual(kind, Optional.ofNullable(direction), shutOff, fill);
        }

        Described with(String name, StageKind kind) {
            return with(name, Stage.washable(kind));
        }

        Described with(String name, Stage stage) {
            path.add(new PathStage(path.size(), name, stage));
            return this;
        }

        Described in(Place... places) {
            return chambers(room("", places));
        }

        Described chambers(Chamber... rooms) {
            chambers = List.of(rooms);
            return this;
        }

        Described dryGrip() {
            return built(new Build(
                    build.kind(),
                    build.direction(),
                    build.water(),
                    build.housing(),
                    build.hoses(),
                    new Build.Current(Build.HeaterPlace.SUMP, Build.LampPlace.LID, true)));
        }

        Described built(Build other) {
            build = other;
            return this;
        }

        Passport passport() {
            return new Passport(build, chambers, List.of(), "", true);
        }

        List<PathStage> path() {
            return path;
        }

        List<StageKind> kinds() {
            return path.stream().map(stage -> stage.stage().kind()).toList();
        }

        /** Serves stages by the first task that each of them has. */
        Procedure serve(String... names) {
            return assemble(List.of(names).stream().map(this::firstOf).toList());
        }

        Procedure serveBy(CareAction action, String name) {
            return assemble(ofStage(name).stream()
                    .filter(task -> task.action() == action)
                    .toList());
        }

        Procedure serveAll(String name) {
            return assemble(ofStage(name));
        }

        private List<Asked> available() {
            List<Asked> available = new ArrayList<>();
            for (PathStage stage : path) {
                for (CareRule rule : CareCatalogue.forStage(stage.stage(), Schools.DEFAULT)) {
                    available.add(new Asked(available.size(), rule.action(), Optional.of(stage.id())));
                }
            }
            return available;
        }

        private List<Asked> ofStage(String name) {
            return available().stream()
                    .filter(task -> path.stream()
                            .anyMatch(stage ->
                                    stage.name().equals(name) && task.stage().equals(Optional.of(stage.id()))))
                    .toList();
        }

        private Asked firstOf(String name) {
            return ofStage(name).stream()
                    .filter(task -> task.action() != CareAction.REPLACE)
                    .findFirst()
                    .orElseThrow();
        }

        private Procedure assemble(List<Asked> asked) {
            served = this;
            return Procedure.assemble(new Situation(
                    "Weir",
                    passport(),
                    new Practice(RinseWater.TANK_WATER, Thoroughness.LIGHT, TapWater.CHLORAMINE, BacteriaHome.MEDIA),
                    new Tubs.Means(8, 220, 0.25),
                    path,
                    new Work(asked, Set.of(), available())));
        }
    }
}
