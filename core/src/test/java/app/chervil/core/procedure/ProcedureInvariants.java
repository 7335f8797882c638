package app.chervil.core.procedure;

import static org.assertj.core.api.Assertions.assertThat;

import app.chervil.core.filter.CareAction;
import app.chervil.core.filter.FilterKind;
import app.chervil.core.filter.StageKind;
import app.chervil.core.passport.Build.ShutOff;
import app.chervil.core.passport.Chamber;
import app.chervil.core.passport.Place;
import app.chervil.core.procedure.Situation.Asked;
import app.chervil.core.procedure.Step.Effect;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.OptionalInt;
import java.util.OptionalLong;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/** What must hold of every procedure, whatever filter it is for. */
final class ProcedureInvariants {
    private static final Pattern TUB_NAMED = Pattern.compile("(?:bucket|tub) (one|two|three)|the (?:bucket|tub)\\b");

    /** The last tub that texts name which were read before: the same step stands in thousands of procedures. */
    private static final Map<String, OptionalInt> TUBS = new ConcurrentHashMap<>();

    private ProcedureInvariants() {}

    static void hold(Situation situation, Procedure procedure) {
        List<Step> steps = procedure.steps();
        Read read = new Read(situation, steps);
        nothingStandsTwice(steps, read);
        powerIsOffBeforeHands(situation, steps, read);
        heaterIsOffBeforeWaterLeavesAndOnLast(steps, read);
        waterIsShutAndHosesMarkedBeforeTheyComeOff(situation, steps, read);
        whatIsOpenedIsShutAndFilled(situation, steps, read);
        lampIsCoolAndOutBeforeItsSleeve(steps, read);
        noLampBurnsWhileTheWaterStands(situation, steps, read);
        tubsAreDrawnBeforeTheyAreNamedAndWithinTheShare(situation, procedure, read);
        bioMediaGoesUnderWaterAndIsNotKeptWaiting(steps, read);
        PartInvariants.hold(situation, procedure, read);
        CautionInvariants.hold(situation, steps);
        everyTaskHasAStep(situation, procedure, read);
    }

    /** What to read aloud where something does not hold; put into words only then. */
    record Read(Situation situation, List<Step> steps) {
        @Override
        public String toString() {
            return situation.build() + " " + situation.practice() + " " + situation.means() + " "
                    + situation.work().tasks() + " " + situation.work().chores() + "\n"
                    + steps.stream().map(step -> step.what().text()).collect(Collectors.joining("\n"));
        }
    }

    private static void nothingStandsTwice(List<Step> steps, Read read) {
        Set<String> texts = new HashSet<>();
        Set<String> ids = new HashSet<>();
        assertThat(steps).as("%s", read).allMatch(step -> texts.add(step.what().text()) && ids.add(step.id()));
    }

    private static void powerIsOffBeforeHands(Situation situation, List<Step> steps, Read read) {
        boolean off = false;
        for (Step step : steps) {
            off = (off || step.effects().contains(Effect.POWER_OFF))
                    && !step.effects().contains(Effect.POWER_ON);
            boolean touches = step.effects().stream()
                    .anyMatch(EnumSet.of(
                            Effect.HANDS_IN,
                            Effect.HOSES_OFF,
                            Effect.LAMP_BAY_OPENED,
                            Effect.SLEEVE_OUT,
                            Effect.WATER_SHUT)::contains);
            boolean sumpDrains =
                    situation.kind() == FilterKind.SUMP && step.effects().contains(Effect.WATER_OUT);
            if (touches || sumpDrains) {
                assertThat(off)
                        .as("%s with the power on%n%s", step.what().text(), read)
                        .isTrue();
            }
        }
        assertThat(count(steps, Effect.POWER_ON))
                .isEqualTo(count(steps, Effect.POWER_OFF))
                .isLessThanOrEqualTo(1);
        assertThat(off).as("power is back on").isFalse();
    }

    private static void heaterIsOffBeforeWaterLeavesAndOnLast(List<Step> steps, Read read) {
        int off = first(steps, Effect.HEATER_OFF);
        int on = first(steps, Effect.HEATER_ON);
        for (Effect leaves : List.of(Effect.WATER_OUT, Effect.FILTER_OPENED, Effect.HOSES_OFF, Effect.POWER_OFF)) {
            if (first(steps, leaves) >= 0) {
                assertThat(off).as("heater off before %s%n%s", leaves, read).isBetween(0, first(steps, leaves));
            }
        }
        if (off >= 0) {
            assertThat(first(steps, Effect.TOPPED_UP)).as("topped up%n%s", read).isPositive();
            assertThat(on)
                    .as("heater last%n%s", read)
                    .isGreaterThan(first(steps, Effect.TOPPED_UP))
                    .isGreaterThan(first(steps, Effect.POWER_ON));
        }
        if (first(steps, Effect.POWER_ON) >= 0) {
            assertThat(first(steps, Effect.POWER_ON))
                    .as("topped up before the start%n%s", read)
                    .isGreaterThan(first(steps, Effect.TOPPED_UP))
                    .isGreaterThan(first(steps, Effect.FILLED))
                    .isGreaterThan(first(steps, Effect.WATER_ON));
        }
    }

    private static void waterIsShutAndHosesMarkedBeforeTheyComeOff(Situation situation, List<Step> steps, Read read) {
        int hoses = first(steps, Effect.HOSES_OFF);
        if (hoses < 0) {
            return;
        }
        boolean block =
                situation.build().hangsOnHoses() && situation.build().water().shutOff() == ShutOff.BLOCK;
        if (block) {
            assertThat(first(steps, Effect.HOSES_MARKED))
                    .as("a block fits one way")
                    .isNegative();
        } else {
            assertThat(first(steps, Effect.HOSES_MARKED)).as("marked%n%s", read).isBetween(0, hoses);
        }
        assertThat(first(steps, Effect.HOSES_ON)).as("on again%n%s", read).isGreaterThan(hoses);
        if (situation.build().hangsOnHoses()) {
            assertThat(first(steps, Effect.WATER_SHUT))
                    .as("shut or broken%n%s", read)
                    .isBetween(0, hoses);
            assertThat(first(steps, Effect.WATER_ON)).isGreaterThan(first(steps, Effect.HOSES_ON));
            boolean siphon = situation.build().water().shutOff() == ShutOff.NONE;
            // New valves let go of the water for a while, whatever else shuts it.
            assertThat(steps.stream()
                            .filter(step -> !step.id().startsWith("valves-"))
                            .anyMatch(step -> step.care().cautions().contains(Caution.FLOOD)))
                    .isEqualTo(siphon);
        }
    }

    private static void whatIsOpenedIsShutAndFilled(Situation situation, List<Step> steps, Read read) {
        int opened = first(steps, Effect.FILTER_OPENED);
        int shut = first(steps, Effect.FILTER_SHUT);
        assertThat(opened >= 0).isEqualTo(shut >= 0);
        assertThat(count(steps, Effect.FILTER_OPENED)).isLessThanOrEqualTo(1);
        assertThat(count(steps, Effect.LAMP_BAY_OPENED))
                .isEqualTo(count(steps, Effect.LAMP_BAY_SHUT))
                .isLessThanOrEqualTo(1);
        if (opened < 0) {
            return;
        }
        int filled = first(steps, Effect.FILLED);
        switch (situation.build().water().fill()) {
            case OPEN_TOP -> assertThat(filled).as("before the lid%n%s", read).isBetween(opened, shut);
            case CAP -> {
                assertThat(filled).as("through its cap%n%s", read).isBetween(shut, first(steps, Effect.WATER_ON));
                assertThat(steps.get(filled).what().text())
                        .as("the cap is shut")
                        .endsWith("hut the cap.");
            }
            case SELF, PRIMER, BULB ->
                assertThat(filled).as("by itself%n%s", read).isGreaterThan(first(steps, Effect.WATER_ON));
        }
        int tipped = first(steps, Effect.TIPPED);
        if (tipped >= 0) {
            assertThat(tipped).as("nothing left inside%n%s", read).isGreaterThan(last(steps, Effect.BIO_OUT));
            for (Chamber chamber : situation.passport().chambers()) {
                for (Place place : chamber.places()) {
                    boolean stays = chamber.access() == Chamber.Access.SEALED
                            && place.contents().stream()
                                    .anyMatch(content -> !PartInvariants.isAway(situation, steps, content.stage()));
                    assertThat(stays).as("%s stays in%n%s", place.name(), read).isFalse();
                }
            }
        }
    }

    /** Invariant 21, and after any stop: the lamp goes off with the pump and on once water moves again. */
    private static void noLampBurnsWhileTheWaterStands(Situation situation, List<Step> steps, Read read) {
        if (!situation.kinds().contains(StageKind.UV_LAMP) || first(steps, Effect.POWER_OFF) < 0) {
            return;
        }
        assertThat(steps.get(first(steps, Effect.POWER_OFF)).what().text().toLowerCase(Locale.ROOT))
                .as("%s", read)
                .contains("unplug the lamp");
        assertThat(first(steps, Effect.LAMP_ON)).as("%s", read).isGreaterThan(first(steps, Effect.POWER_ON));
    }

    private static void lampIsCoolAndOutBeforeItsSleeve(List<Step> steps, Read read) {
        int bay = first(steps, Effect.LAMP_BAY_OPENED);
        if (bay < 0) {
            return;
        }
        List<Integer> order = new ArrayList<>(List.of(
                first(steps, Effect.POWER_OFF), first(steps, Effect.LAMP_COOL), bay, first(steps, Effect.LAMP_OUT)));
        if (first(steps, Effect.SLEEVE_OUT) >= 0) {
            order.add(first(steps, Effect.SLEEVE_OUT));
            order.add(first(steps, Effect.SLEEVE_IN));
        }
        order.add(first(steps, Effect.LAMP_IN));
        order.add(first(steps, Effect.LAMP_BAY_SHUT));
        order.add(first(steps, Effect.POWER_ON));
        order.add(first(steps, Effect.LAMP_ON));
        assertThat(order).as("%s", read).doesNotContain(-1).isSorted().doesNotHaveDuplicates();
        assertThat(count(steps, Effect.LAMP_IN)).as("%s", read).isEqualTo(1);
    }

    private static void tubsAreDrawnBeforeTheyAreNamedAndWithinTheShare(
            Situation situation, Procedure procedure, Read read) {
        boolean drawn = false;
        double litres = 0;
        for (Step step : procedure.steps()) {
            litres += step.drawnLitres();
            if (step.id().startsWith("draw")) {
                drawn = true;
                assertThat(step.drawnLitres()).isEqualTo(procedure.tubs().litres());
                continue;
            }
            OptionalInt tub = TUBS.computeIfAbsent(step.what().text(), ProcedureInvariants::lastTubNamed);
            if (tub.isPresent()) {
                assertThat(drawn).as("%s%n%s", step.what().text(), read).isTrue();
                assertThat(tub.getAsInt())
                        .as("%s%n%s", step.what().text(), read)
                        .isLessThanOrEqualTo(procedure.tubs().count());
            }
        }
        assertThat(litres)
                .as("at most its share of the tank%n%s", read)
                .isLessThanOrEqualTo(
                        situation.means().share() * situation.means().tankL() + 1e-9);
        if (situation.practice().tapAllowed()) {
            assertThat(procedure.tubs().count()).isLessThanOrEqualTo(1);
        } else {
            assertThat(procedure.steps())
                    .as("%s", read)
                    .noneMatch(step ->
                            step.id().equals("first") && step.what().text().contains("under the tap"));
        }
    }

    /** The number of the last tub named, 0 if none is named by a number; empty if there is no talk of tubs. */
    private static OptionalInt lastTubNamed(String text) {
        return TUB_NAMED
                .matcher(text)
                .results()
                .mapToInt(named -> named.group(1) == null
                        ? 0
                        : 1 + List.of("one", "two", "three").indexOf(named.group(1)))
                .max();
    }

    /** The text gives bio media an hour; nothing that takes half an hour is waited for while it is out. */
    private static void bioMediaGoesUnderWaterAndIsNotKeptWaiting(List<Step> steps, Read read) {
        int out = first(steps, Effect.BIO_OUT);
        if (out < 0) {
            return;
        }
        int waited = 0;
        for (Step step : steps.subList(out, steps.size())) {
            if (step.effects().contains(Effect.POWER_ON)) {
                break;
            }
            waited += step.care().timerMinutes().orElse(0);
        }
        assertThat(waited).as("%s", read).isLessThan(30);
        assertThat(steps)
                .as("%s", read)
                .filteredOn(step -> step.effects().contains(Effect.BIO_OUT))
                .allMatch(step -> step.what().text().contains("under water in "));
        assertThat(steps)
                .as("%s", read)
                .noneMatch(step ->
                        step.id().startsWith("dip") && step.what().text().contains("tap"));
    }

    private static void everyTaskHasAStep(Situation situation, Procedure procedure, Read read) {
        assertThat(procedure.steps())
                .as("%s", read)
                .noneMatch(step -> step.what().text().contains("{"));
        assertThat(procedure.steps()).noneMatch(step -> step.what().reason().contains("{"));
        for (Asked asked : procedure.tasks()) {
            boolean served = procedure.steps().stream()
                            .anyMatch(step -> asked.stage().isPresent()
                                    && step.about()
                                            .stage()
                                            .equals(OptionalLong.of(
                                                    asked.stage().get())))
                    || asked.stage().isEmpty();
            assertThat(served)
                    .as("%s of stage %s%n%s", asked.action(), asked.stage(), read)
                    .isTrue();
        }
        boolean opens = situation.kind() == FilterKind.CANISTER && situation.does(CareAction.OPEN);
        if (opens) {
            long stopping = situation.path().stream()
                    .filter(stage -> stage.kind().stopsDirtInside())
                    .count();
            assertThat(procedure.tasks().stream()
                            .filter(asked -> asked.stage().isPresent()
                                    && situation.path().stream()
                                            .anyMatch(stage ->
                                                    stage.id() == asked.stage().get()
                                                            && stage.kind().stopsDirtInside()))
                            .map(Asked::stage)
                            .distinct())
                    .as("an opening washes every foam%n%s", read)
                    .hasSize((int) stopping);
        }
    }

    static long count(List<Step> steps, Effect effect) {
        return steps.stream().filter(step -> step.effects().contains(effect)).count();
    }

    static int first(List<Step> steps, Effect effect) {
        for (int i = 0; i < steps.size(); i++) {
            if (steps.get(i).effects().contains(effect)) {
                return i;
            }
        }
        return -1;
    }

    private static int last(List<Step> steps, Effect effect) {
        int last = -1;
        for (int i = 0; i < steps.size(); i++) {
            last = steps.get(i).effects().contains(effect) ? i : last;
        }
        return last;
    }
}
