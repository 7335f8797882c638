package app.chervil.core.passport;

import static org.assertj.core.api.Assertions.assertThat;

import app.chervil.core.filter.FilterKind;
import app.chervil.core.filter.FilterTemplates;
import app.chervil.core.filter.FlowDirection;
import app.chervil.core.filter.Stage;
import app.chervil.core.filter.StageKind;
import app.chervil.core.passport.Place.Content;
import app.chervil.core.passport.Place.Packing;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What cannot be in a passport, and what a practitioner would ask about. */
class DoubtsTest {
    private static final List<StageKind> PATH =
            List.of(StageKind.COARSE_FOAM, StageKind.FINE_PAD, StageKind.BIO_MEDIA, StageKind.IMPELLER);
    private static final Build BOTTOM_UP = Build.usual(FilterKind.CANISTER, Optional.of(FlowDirection.BOTTOM_UP));

    @Test
    void trays_that_hold_everything_once_are_fine() {
        Doubts doubts = of(BOTTOM_UP, PATH, tray("top", piece(2)), tray("bottom", piece(1), piece(0)));

        assertThat(doubts.refusals()).isEmpty();
        assertThat(doubts.warnings()).isEmpty();
    }

    @Test
    void what_is_usual_for_a_kind_is_never_refused() {
        for (FilterKind kind : FilterKind.values()) {
            List<StageKind> path =
                    FilterTemplates.waterPath(kind).stream().map(Stage::kind).toList();
            Passport usual = Passport.usual(Build.usual(kind, Optional.empty()), path);

            assertThat(new Doubts(usual, path, names(path)).refusals())
                    .as("%s", kind)
                    .isEmpty();
        }
    }

    @Test
    void everything_loose_has_one_place_and_nothing_of_the_machine_has_any() {
        assertThat(codes(of(BOTTOM_UP, PATH, tray("top", piece(2)), tray("bottom", piece(1)))))
                .containsExactly("without-place");
        assertThat(codes(of(BOTTOM_UP, PATH, tray("top", piece(2), piece(1)), tray("bottom", piece(1), piece(0)))))
                .containsExactly("twice");
        assertThat(codes(of(BOTTOM_UP, PATH, tray("top", piece(3), piece(2)), tray("bottom", piece(1), piece(0)))))
                .containsExactly("not-loose");
        assertThat(codes(of(BOTTOM_UP, PATH, tray("top", piece(9), piece(2)), tray("bottom", piece(1), piece(0)))))
                .containsExactly("no-such-stage");
    }

    @Test
    void places_that_lie_on_each_other_in_a_circle_are_refused_at_both() {
        Doubts doubts =
                of(BOTTOM_UP, PATH, under(tray("top", piece(2)), 1), under(tray("bottom", piece(1), piece(0)), 0));

        assertThat(doubts.refusals())
                .extracting(Doubts.Refusal::field)
                .containsExactly("chambers[0].places[0].under", "chambers[0].places[1].under");
    }

    @Test
    void a_place_under_one_that_is_not_there_is_refused() {
        assertThat(codes(of(BOTTOM_UP, PATH, under(tray("top", piece(2), piece(1), piece(0)), 7))))
                .containsExactly("circle");
    }

    @Test
    void a_canister_without_a_lid_is_none() {
        Chamber open = new Chamber("", Chamber.Access.OPEN, List.of(tray("top", piece(2), piece(1), piece(0))));
        Passport passport = new Passport(BOTTOM_UP, List.of(open), List.of(), "", true);

        assertThat(codes(new Doubts(passport, PATH, names(PATH)))).containsExactly("no-lid");
    }

    // 1.2 times the hole: a grain of 4.8 mm passes holes of 4 mm, one of 4.9 mm does not
    @ParameterizedTest(name = "grains of {0} mm over holes of {1} mm: {2}")
    @CsvSource({"4.8, 4, true", "4.9, 4, false", "2, 4, true", "12, 4, false"})
    void loose_grains_that_pass_the_holes_are_warned_of(double grain, double hole, boolean falls) {
        Content loose = new Content(2, Packing.LOOSE, OptionalDouble.empty(), OptionalDouble.of(grain));
        Doubts doubts = of(
                guarded(),
                PATH,
                new Place(
                        "the top tray",
                        Place.Kind.TRAY,
                        true,
                        Optional.empty(),
                        OptionalDouble.of(hole),
                        List.of(loose)),
                tray("bottom", piece(1), piece(0)));

        assertThat(doubts.warnings().stream().anyMatch(words -> words.contains("falls through holes")))
                .isEqualTo(falls);
    }

    @Test
    void what_nobody_measured_is_asked() {
        Content loose = new Content(2, Packing.LOOSE, OptionalDouble.empty(), OptionalDouble.empty());

        assertThat(of(guarded(), PATH, tray("the top tray", loose), tray("bottom", piece(1), piece(0)))
                        .warnings())
                .containsExactly("Bio media lies loose. How wide are the holes of the top tray?");
    }

    @Test
    void loose_media_beside_a_pump_without_a_guard_is_warned_of() {
        Content loose = new Content(2, Packing.LOOSE, OptionalDouble.empty(), OptionalDouble.of(15));
        Place top = new Place(
                "the top tray", Place.Kind.TRAY, true, Optional.empty(), OptionalDouble.of(4), List.of(loose));

        assertThat(of(BOTTOM_UP, PATH, top, tray("bottom", piece(1), piece(0))).warnings())
                .containsExactly("Bio media lies loose beside the pump, with no guard between. Put it in a bag.");
        assertThat(of(guarded(), PATH, top, tray("bottom", piece(1), piece(0))).warnings())
                .isEmpty();
    }

    @Test
    void a_tray_under_something_that_does_not_come_out_cannot_be_reached() {
        Doubts doubts =
                of(BOTTOM_UP, PATH, Place.fixed("the grid", piece(2)), under(tray("the tray", piece(1), piece(0)), 0));

        assertThat(doubts.warnings())
                .containsExactly("The tray cannot be reached: the grid lies on it and does not come out.");
    }

    @Test
    void carbon_before_foam_clogs_unless_it_lies_in_the_easy_tray() {
        List<StageKind> path = List.of(StageKind.CARBON, StageKind.COARSE_FOAM, StageKind.BIO_MEDIA);

        assertThat(of(BOTTOM_UP, path, tray("top", piece(2)), tray("bottom", piece(1), piece(0)))
                        .warnings())
                .containsExactly(
                        "Water meets the carbon before the coarse foam, so that it clogs with dirt. Set it last, or in a"
                                + " tray that comes out first.");
        assertThat(of(BOTTOM_UP, path, tray("top", piece(0)), tray("bottom", piece(2), piece(1)))
                        .warnings())
                .isEmpty();
    }

    @Test
    void fine_before_coarse_fills_first() {
        List<StageKind> path = List.of(StageKind.FINE_PAD, StageKind.COARSE_FOAM);

        assertThat(of(BOTTOM_UP, path, tray("top", piece(1)), tray("bottom", piece(0)))
                        .warnings())
                .containsExactly("Water meets the fine pad before the coarser coarse foam, so that it fills first.");
    }

    private static Build guarded() {
        Build.Housing housing = BOTTOM_UP.housing();
        return new Build(
                BOTTOM_UP.kind(),
                BOTTOM_UP.direction(),
                BOTTOM_UP.water(),
                new Build.Housing(housing.ports(), 4, true, housing.pump(), false, true, false, true),
                BOTTOM_UP.hoses(),
                BOTTOM_UP.current());
    }

    private static Doubts of(Build build, List<StageKind> path, Place... places) {
        Chamber sealed = new Chamber("", Chamber.Access.SEALED, List.of(places));
        return new Doubts(new Passport(build, List.of(sealed), List.of(), "", true), path, names(path));
    }

    private static List<String> names(List<StageKind> path) {
        return path.stream().map(StageKind::words).toList();
    }

    private static List<String> codes(Doubts doubts) {
        return doubts.refusals().stream().map(Doubts.Refusal::code).toList();
    }

    private static Content piece(int stage) {
        return Content.piece(stage);
    }

    private static Place tray(String name, Content... contents) {
        return Place.tray(name, name.contains("top"), contents);
    }

    private static Place under(Place place, int earlier) {
        return new Place(
                place.name(),
                place.kind(),
                place.emptiedInPlace(),
                Optional.of(List.of(earlier)),
                place.holeMm(),
                place.contents());
    }
}
