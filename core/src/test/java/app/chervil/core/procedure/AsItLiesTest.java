package app.chervil.core.procedure;

import static org.assertj.core.api.Assertions.assertThat;

import app.chervil.core.filter.CareAction;
import app.chervil.core.filter.FilterKind;
import app.chervil.core.filter.FlowDirection;
import app.chervil.core.filter.Stage;
import app.chervil.core.filter.StageKind;
import app.chervil.core.passport.Build;
import app.chervil.core.passport.Chamber;
import app.chervil.core.passport.Passport;
import app.chervil.core.passport.Place;
import app.chervil.core.passport.Place.Content;
import app.chervil.core.passport.Place.Packing;
import app.chervil.core.procedure.Situation.Asked;
import app.chervil.core.procedure.Situation.PathStage;
import app.chervil.core.procedure.Situation.Practice;
import app.chervil.core.procedure.Situation.Work;
import app.chervil.core.tank.BacteriaHome;
import app.chervil.core.tank.RinseWater;
import app.chervil.core.tank.TapWater;
import app.chervil.core.tank.Thoroughness;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import org.junit.jupiter.api.Test;

/** A canister of a turtle's tank: ceramic lies under a pair of carbon bags, in a chamber that does not come out. */
class AsItLiesTest {
    private static final PathStage CARBON =
            new PathStage(1, "carbon", new Stage(StageKind.CARBON, Stage.Make.DISPOSABLE), 2);
    private static final PathStage CERAMIC = new PathStage(2, "ceramic", Stage.washable(StageKind.BIO_MEDIA));

    private static Procedure with(Place.Kind kind, Packing packing) {
        Place chamber = new Place(
                "the chamber",
                kind,
                false,
                Optional.empty(),
                OptionalDouble.empty(),
                List.of(content(0, Packing.BAG), content(1, packing)));
        Passport passport = new Passport(
                Build.usual(FilterKind.CANISTER, Optional.of(FlowDirection.BOTTOM_UP)),
                List.of(new Chamber("", Chamber.Access.SEALED, List.of(chamber))),
                List.of(),
                "",
                true);
        List<Asked> tasks = List.of(
                new Asked(1, CareAction.CHANGE, Optional.of(CARBON.id())),
                new Asked(2, CareAction.DIP, Optional.of(CERAMIC.id())));
        return Procedure.assemble(new Situation(
                "Bask",
                passport,
                new Practice(RinseWater.TANK_WATER, Thoroughness.LIGHT, TapWater.CHLORAMINE, BacteriaHome.MEDIA),
                new Tubs.Means(8, 220, 0.25),
                List.of(CARBON, CERAMIC),
                new Work(tasks, Set.of(), tasks)));
    }

    private static Content content(int stage, Packing packing) {
        return new Content(stage, packing, OptionalDouble.empty(), OptionalDouble.empty());
    }

    private static List<String> read(Procedure procedure) {
        return procedure.steps().stream().map(step -> step.what().text()).toList();
    }

    @Test
    void what_lies_loose_in_the_housing_is_scooped_swirled_and_spooned_back() {
        assertThat(read(with(Place.Kind.FIXED, Packing.LOOSE)))
                .containsSubsequence(
                        "Scoop the ceramic out and set it under water in the bucket.",
                        "Swirl the ceramic in the bucket by hand, gently.",
                        "Spoon the ceramic back and level it.");
    }

    @Test
    void what_lies_in_a_bag_there_is_lifted_in_it() {
        assertThat(read(with(Place.Kind.FIXED, Packing.BAG)))
                .containsSubsequence(
                        "Lift the ceramic out in its tray or bag and set it under water in the bucket.",
                        "Dip the ceramic in the bucket, in its tray or bag, gently.",
                        "Put the ceramic back and press it down until it stops.");
    }

    @Test
    void of_a_pair_neither_is_forgotten() {
        assertThat(read(with(Place.Kind.FIXED, Packing.LOOSE)))
                .containsSubsequence(
                        "Take the spent carbon out. There are 2.",
                        "Put the new carbon in its place, so that water goes through it and not round. There are 2.");
    }
}
