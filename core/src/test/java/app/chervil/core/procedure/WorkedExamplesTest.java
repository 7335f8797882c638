package app.chervil.core.procedure;

import static org.assertj.core.api.Assertions.assertThat;

import app.chervil.core.filter.FilterKind;
import app.chervil.core.filter.FlowDirection;
import app.chervil.core.filter.StageKind;
import app.chervil.core.passport.Build.Fill;
import app.chervil.core.passport.Build.ShutOff;
import app.chervil.core.passport.Place;
import org.junit.jupiter.api.Test;

/**
 * Filters in particular, served as a practitioner would: the steps that differ from filter to filter, the tubs and the
 * minutes of docs/sources.md#worked-examples. What opens and closes every service is left out of the lists here.
 */
class WorkedExamplesTest extends ExampleFilters {
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

    private int tub(Procedure procedure, String called) {
        return procedure.steps().stream()
                .filter(step -> called(step).equals(called))
                .findFirst()
                .orElseThrow()
                .about()
                .tub()
                .orElse(0);
    }
}
