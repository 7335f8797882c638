package app.chervil.core.procedure;

import static org.assertj.core.api.Assertions.assertThat;

import app.chervil.core.filter.CareAction;
import app.chervil.core.filter.FilterKind;
import app.chervil.core.filter.StageKind;
import app.chervil.core.passport.Chamber;
import app.chervil.core.passport.Place;
import app.chervil.core.procedure.ProcedureInvariants.Read;
import app.chervil.core.procedure.Situation.Asked;
import app.chervil.core.procedure.Situation.PathStage;
import app.chervil.core.procedure.Step.About;
import app.chervil.core.procedure.Step.Effect;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.OptionalLong;
import java.util.Set;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/** What must hold of the parts that a hand takes out of a filter, washes and lays back. */
final class PartInvariants {
    private static final Set<StageKind> WASHED = EnumSet.of(
            StageKind.COARSE_FOAM, StageKind.MEDIUM_FOAM, StageKind.FINE_PAD, StageKind.FLOSS, StageKind.SPONGE);

    private static final Pattern LAID_BACK = Pattern.compile("(back|set):");
    private static final Pattern TAKEN_OUT = Pattern.compile("(out|aside|lift):");

    private PartInvariants() {}

    static void hold(Situation situation, Procedure procedure, Read read) {
        whatComesOutGoesBackInReverse(situation, procedure.steps(), read);
        topComesOutFirst(situation, procedure.steps(), read);
        foamIsNeverLaidBackUnwashed(situation, procedure, read);
        whatIsNotTakenOutIsNotRinsed(situation, procedure, read);
        screwsThatAreCountedOutAreCountedIn(procedure.steps(), read);
    }

    private static void whatComesOutGoesBackInReverse(Situation situation, List<Step> steps, Read read) {
        List<About> out = new ArrayList<>();
        for (Step step : steps) {
            About what = new About(
                    OptionalLong.empty(), step.about().stage(), step.about().place(), OptionalInt.empty());
            if (isOut(step)) {
                assertThat(out).as("out twice%n%s", read).doesNotContain(what);
                out.add(what);
            }
            if (step.effects().contains(Effect.PART_IN) || step.effects().contains(Effect.PLACE_IN)) {
                assertThat(out)
                        .as("%s was not out%n%s", step.what().text(), read)
                        .contains(what);
                if (situation.kind() == FilterKind.CANISTER
                        && LAID_BACK.matcher(step.id()).lookingAt()) {
                    assertThat(out.get(out.size() - 1))
                            .as("in reverse%n%s", read)
                            .isEqualTo(what);
                }
                out.remove(what);
            }
            if (step.effects().contains(Effect.POWER_ON) || step.effects().contains(Effect.FILTER_SHUT)) {
                assertThat(out).as("parts still out%n%s", read).isEmpty();
            }
        }
        assertThat(out).as("%s", read).isEmpty();
    }

    private static boolean isOut(Step step) {
        return step.effects().contains(Effect.PART_OUT) || step.effects().contains(Effect.PLACE_OUT);
    }

    /** Places come up in the order of hands, a tray before what lies in it, and nothing out of a tray that is under another. */
    private static void topComesOutFirst(Situation situation, List<Step> steps, Read read) {
        if (situation.kind() != FilterKind.CANISTER) {
            return;
        }
        List<Integer> places = steps.stream()
                .filter(step -> isOut(step) && TAKEN_OUT.matcher(step.id()).lookingAt())
                .flatMap(step -> placeOf(situation, step).stream())
                .toList();
        assertThat(places).as("%s", read).isSorted();
        Set<Integer> touched = new HashSet<>(places);
        int first = 0;
        for (Chamber chamber : situation.passport().chambers()) {
            for (int place = 0; place < chamber.places().size(); place++) {
                if (touched.contains(first + place)) {
                    for (int under : lying(chamber, place)) {
                        assertThat(comesUp(situation, steps, first + under))
                                .as("place %s lies on %s%n%s", under, place, read)
                                .isTrue();
                    }
                }
            }
            first += chamber.places().size();
        }
    }

    /** Read from the passport by other means than the product: what lies on a place, as the page says. */
    private static List<Integer> lying(Chamber chamber, int place) {
        Place one = chamber.places().get(place);
        if (one.under().isPresent()) {
            return one.under().get();
        }
        List<Integer> trays = new ArrayList<>();
        for (int earlier = 0; one.kind() == Place.Kind.TRAY && earlier < place; earlier++) {
            if (chamber.places().get(earlier).kind() == Place.Kind.TRAY) {
                trays.add(earlier);
            }
        }
        return trays;
    }

    private static boolean comesUp(Situation situation, List<Step> steps, int place) {
        Place one = situation.passport().places().get(place);
        boolean alone = one.contents().size() == 1 || one.kind() == Place.Kind.FIXED;
        return steps.stream()
                .filter(PartInvariants::isOut)
                .anyMatch(step -> alone
                        ? placeOf(situation, step).equals(Optional.of(place))
                        : step.about().place().equals(OptionalInt.of(place)));
    }

    private static Optional<Integer> placeOf(Situation situation, Step step) {
        if (step.about().place().isPresent()) {
            return Optional.of(step.about().place().getAsInt());
        }
        return step.about().stage().isEmpty()
                ? Optional.empty()
                : situation.passport().placeOf(place(situation, step));
    }

    private static int place(Situation situation, Step step) {
        return situation.path().stream()
                .map(PathStage::id)
                .toList()
                .indexOf(step.about().stage().orElseThrow());
    }

    private static void foamIsNeverLaidBackUnwashed(Situation situation, Procedure procedure, Read read) {
        for (Step step : procedure.steps()) {
            boolean back = step.effects().contains(Effect.PART_IN)
                    && step.about().stage().isPresent();
            if (!back
                    || !WASHED.contains(
                            situation.path().get(place(situation, step)).kind())) {
                continue;
            }
            String name = situation.path().get(place(situation, step)).name();
            assertThat(procedure.steps().stream()
                            .filter(one -> one.effects().contains(Effect.WASHED))
                            .anyMatch(one -> one.what().text().contains(name)))
                    .as("%s washed%n%s", name, read)
                    .isTrue();
        }
        Set<Optional<Long>> replaced = situation.work().tasks().stream()
                .filter(asked -> asked.action() == CareAction.REPLACE)
                .map(Asked::stage)
                .collect(Collectors.toSet());
        assertThat(procedure.tasks())
                .as("a rinse and a replacement mean the replacement%n%s", read)
                .noneMatch(asked -> asked.action() == CareAction.RINSE && replaced.contains(asked.stage()));
    }

    /** Whether something came out by itself or with its place. */
    static boolean isAway(Situation situation, List<Step> steps, int stage) {
        long id = situation.path().get(stage).id();
        return steps.stream()
                .filter(PartInvariants::isOut)
                .anyMatch(step -> step.about().stage().equals(OptionalLong.of(id))
                        || (step.about().place().isPresent()
                                && situation
                                        .passport()
                                        .placeOf(stage)
                                        .equals(Optional.of(step.about().place().getAsInt()))));
    }

    /** What stays in its place is not touched: no washing names it. */
    private static void whatIsNotTakenOutIsNotRinsed(Situation situation, Procedure procedure, Read read) {
        List<Step> washing = procedure.steps().stream()
                .filter(step ->
                        step.effects().contains(Effect.WASHED) || step.id().startsWith("dip"))
                .toList();
        for (int stage = 0; !washing.isEmpty() && stage < situation.path().size(); stage++) {
            String name = situation.path().get(stage).name();
            boolean stays =
                    situation.passport().placeOf(stage).isPresent() && !isAway(situation, procedure.steps(), stage);
            if (stays) {
                Pattern named = Pattern.compile(Pattern.quote(name) + "\\D");
                assertThat(washing).as("%s stays where it is%n%s", name, read).noneMatch(step -> named.matcher(
                                step.what().text() + " ")
                        .find());
            }
        }
    }

    /** What was undone into a cup is asked for again, before the filter is shut. */
    private static void screwsThatAreCountedOutAreCountedIn(List<Step> steps, Read read) {
        int open = 0;
        for (Step step : steps) {
            String text = step.what().text();
            if (text.contains("screws") && text.contains("cup")) {
                open++;
            } else if (text.contains("screws")) {
                open--;
            }
            assertThat(open).as("screws back before out%n%s", read).isBetween(0, 2);
            if (step.effects().contains(Effect.POWER_ON)) {
                assertThat(open).as("screws still in the cup%n%s", read).isZero();
            }
        }
        assertThat(open).isZero();
    }
}
