package app.chervil.core.procedure;

import static org.assertj.core.api.Assertions.assertThat;

import app.chervil.core.filter.CareAction;
import app.chervil.core.filter.CareCatalogue;
import app.chervil.core.filter.CareRule;
import app.chervil.core.filter.FilterKind;
import app.chervil.core.filter.FilterTemplates;
import app.chervil.core.filter.FlowDirection;
import app.chervil.core.filter.Stage;
import app.chervil.core.filter.StageKind;
import app.chervil.core.procedure.Build.Fill;
import app.chervil.core.procedure.Build.Valves;
import app.chervil.core.procedure.Situation.Asked;
import app.chervil.core.procedure.Situation.Chore;
import app.chervil.core.procedure.Situation.PathStage;
import app.chervil.core.procedure.Situation.Practice;
import app.chervil.core.procedure.Situation.Work;
import app.chervil.core.procedure.Step.Effect;
import app.chervil.core.tank.BacteriaHome;
import app.chervil.core.tank.RinseWater;
import app.chervil.core.tank.Schools;
import app.chervil.core.tank.TapWater;
import app.chervil.core.tank.Thoroughness;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.Random;
import java.util.Set;
import java.util.function.Consumer;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/**
 * What must hold for every filter kind × practice × build × subset of tasks, in tanks from 5 to 400 L. A path too long for
 * all its subsets is sampled, always with the empty set, each task alone and all together.
 */
class ProcedurePropertiesTest {
    private static final int ALL_SUBSETS_UP_TO = 6;
    private static final int SAMPLES = 20;
    private static final double[] TANKS = {5, 20, 38, 120, 400};
    private static final Set<StageKind> WASHED = EnumSet.of(
            StageKind.COARSE_FOAM, StageKind.MEDIUM_FOAM, StageKind.FINE_PAD, StageKind.FLOSS, StageKind.SPONGE);

    @ParameterizedTest
    @EnumSource(FilterKind.class)
    void holds_for_every_combination(FilterKind kind) {
        int[] count = {0};
        eachSituation(kind, situation -> {
            Procedure procedure = Procedure.assemble(situation);
            List<Step> steps = procedure.steps();
            Read read = new Read(situation, steps);
            nothingStandsTwice(steps, read);
            powerIsOffBeforeHands(situation, steps, read);
            heaterIsOffBeforeWaterLeavesAndOnLast(steps, read);
            waterIsShutAndHosesMarkedBeforeTheyComeOff(situation, steps, read);
            whatComesOutGoesBackInReverse(situation, steps, read);
            topOfACanisterComesOutFirst(situation, steps, read);
            whatIsOpenedIsShutAndFilled(situation, steps, read);
            lampIsCoolAndOutBeforeItsSleeve(steps, read);
            foamIsNeverLaidBackUnwashed(situation, procedure, read);
            tubsAreDrawnBeforeTheyAreNamedAndWithinTheShare(situation, procedure, read);
            bioMediaGoesUnderWaterAndIsNotKeptWaiting(steps, read);
            everyDangerHasItsCaution(steps);
            everyTaskHasAStep(situation, procedure, read);
            count[0]++;
        });
        System.out.println("Procedures checked for " + kind.words() + ": " + count[0]);
        assertThat(count[0]).isGreaterThan(400);
    }

    /** What to read aloud where something does not hold; put into words only then. */
    private record Read(Situation situation, List<Step> steps) {
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
        assertThat(first(steps, Effect.HOSES_MARKED)).as("marked%n%s", read).isBetween(0, hoses);
        assertThat(first(steps, Effect.HOSES_ON)).as("on again%n%s", read).isGreaterThan(hoses);
        if (situation.build().hangsOnHoses()) {
            assertThat(first(steps, Effect.WATER_SHUT))
                    .as("shut or broken%n%s", read)
                    .isBetween(0, hoses);
            assertThat(first(steps, Effect.WATER_ON)).isGreaterThan(first(steps, Effect.HOSES_ON));
            boolean siphon = situation.build().valves() == Valves.NONE;
            assertThat(steps.stream().anyMatch(step -> step.care().cautions().contains(Caution.FLOOD)))
                    .isEqualTo(siphon);
        }
    }

    private static void whatComesOutGoesBackInReverse(Situation situation, List<Step> steps, Read read) {
        List<OptionalLong> out = new ArrayList<>();
        for (Step step : steps) {
            if (step.effects().contains(Effect.PART_OUT)) {
                assertThat(out)
                        .as("out twice%n%s", read)
                        .doesNotContain(step.about().stage());
                out.add(step.about().stage());
            }
            if (step.effects().contains(Effect.PART_IN)) {
                assertThat(out)
                        .as("%s was not out%n%s", step.what().text(), read)
                        .contains(step.about().stage());
                if (situation.kind() == FilterKind.CANISTER && step.id().startsWith("back:")) {
                    assertThat(out.get(out.size() - 1))
                            .as("in reverse%n%s", read)
                            .isEqualTo(step.about().stage());
                }
                out.remove(step.about().stage());
            }
            if (step.effects().contains(Effect.POWER_ON) || step.effects().contains(Effect.FILTER_SHUT)) {
                assertThat(out).as("parts still out%n%s", read).isEmpty();
            }
        }
        assertThat(out).as("%s", read).isEmpty();
    }

    private static void topOfACanisterComesOutFirst(Situation situation, List<Step> steps, Read read) {
        Optional<FlowDirection> direction = situation.build().direction();
        if (situation.kind() != FilterKind.CANISTER || direction.equals(Optional.of(FlowDirection.SIDE_THEN_TRAYS))) {
            return;
        }
        List<Integer> places = steps.stream()
                .filter(step ->
                        step.effects().contains(Effect.PART_OUT) && step.id().matches("(out|aside):.*"))
                .map(step -> place(situation, step))
                .filter(place -> isTray(situation.path().get(place).kind()))
                .toList();
        List<Integer> sorted = places.stream()
                .sorted(
                        direction.equals(Optional.of(FlowDirection.TOP_DOWN))
                                ? java.util.Comparator.naturalOrder()
                                : java.util.Comparator.reverseOrder())
                .toList();
        assertThat(places).as("%s", read).isEqualTo(sorted);
    }

    private static boolean isTray(StageKind kind) {
        return switch (kind) {
            case COARSE_FOAM, MEDIUM_FOAM, FINE_PAD, FLOSS, BIO_MEDIA, CARBON, RESIN -> true;
            default -> false;
        };
    }

    private static int place(Situation situation, Step step) {
        return situation.path().stream()
                .map(PathStage::id)
                .toList()
                .indexOf(step.about().stage().orElseThrow());
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
        switch (situation.build().fill()) {
            case OPEN_TOP -> assertThat(filled).as("before the lid%n%s", read).isBetween(opened, shut);
            case CAP ->
                assertThat(filled).as("through its cap%n%s", read).isBetween(shut, first(steps, Effect.WATER_ON));
            case SELF -> assertThat(filled).as("by itself%n%s", read).isGreaterThan(first(steps, Effect.WATER_ON));
        }
        int tipped = first(steps, Effect.TIPPED);
        if (tipped >= 0) {
            assertThat(tipped).as("nothing left inside%n%s", read).isGreaterThan(last(steps, Effect.BIO_OUT));
            long content = situation.path().stream()
                    .filter(stage -> isTray(stage.kind()))
                    .count();
            long out = steps.stream()
                    .filter(step -> step.id().matches("(out|aside):.*")
                            && isTray(
                                    situation.path().get(place(situation, step)).kind()))
                    .count();
            assertThat(out).as("%s", read).isEqualTo(content);
        }
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

    private static void tubsAreDrawnBeforeTheyAreNamedAndWithinTheShare(
            Situation situation, Procedure procedure, Read read) {
        Pattern named = Pattern.compile("(?:bucket|tub) (one|two|three)|the (?:bucket|tub)\\b");
        List<String> numbers = List.of("one", "two", "three");
        boolean drawn = false;
        double litres = 0;
        for (Step step : procedure.steps()) {
            litres += step.drawnLitres();
            if (step.id().startsWith("draw")) {
                drawn = true;
                assertThat(step.drawnLitres()).isEqualTo(procedure.tubs().litres());
                continue;
            }
            Matcher matcher = named.matcher(step.what().text());
            while (matcher.find()) {
                assertThat(drawn).as("%s%n%s", step.what().text(), read).isTrue();
                if (matcher.group(1) != null) {
                    assertThat(numbers.indexOf(matcher.group(1)))
                            .as("%s%n%s", step.what().text(), read)
                            .isLessThan(procedure.tubs().count());
                }
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

    private static void everyDangerHasItsCaution(List<Step> steps) {
        danger(steps, "bleach", Caution.BLEACH);
        danger(steps, "vinegar", Caution.VINEGAR);
        danger(steps, "unplug", Caution.ELECTRICITY);
        danger(steps, "plug in", Caution.ELECTRICITY);
        danger(steps, "turn the heater", Caution.ELECTRICITY);
        danger(steps, "vacuum", Caution.SIPHON, Caution.GAS);
        danger(steps, "of tank water", Caution.SIPHON);
        danger(steps, "slit near", Caution.SHARP);
        danger(steps, "oversize and rinse", Caution.SHARP);
        danger(steps, "tip away", Caution.HEAVY);
        danger(steps, "glow", Caution.UV_LIGHT);
        danger(steps, "lamp out", Caution.MERCURY, Caution.GLASS);
        danger(steps, "sleeve off", Caution.GLASS);
        steps.stream()
                .filter(step -> step.effects().contains(Effect.LAMP_BAY_OPENED))
                .forEach(step -> assertThat(step.care().cautions()).contains(Caution.UV_LIGHT, Caution.GLASS));
        if (count(steps, Effect.HANDS_IN) > 0) {
            assertThat(steps.stream().flatMap(step -> step.care().cautions().stream()))
                    .contains(Caution.GERMS, Caution.ELECTRICITY, Caution.WET_FLOOR);
        }
    }

    private static void danger(List<Step> steps, String word, Caution... cautions) {
        steps.stream()
                .filter(step -> step.what().text().toLowerCase(Locale.ROOT).contains(word))
                .forEach(step -> assertThat(step.care().cautions())
                        .as(step.what().text())
                        .contains(cautions));
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

    private static long count(List<Step> steps, Effect effect) {
        return steps.stream().filter(step -> step.effects().contains(effect)).count();
    }

    private static int first(List<Step> steps, Effect effect) {
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

    private static void eachSituation(FilterKind kind, Consumer<Situation> check) {
        List<PathStage> path = path(kind);
        List<Asked> tasks = tasks(kind, path);
        Random random = new Random(kind.ordinal());
        for (RinseWater rinse : RinseWater.values()) {
            for (TapWater tap : TapWater.values()) {
                for (BacteriaHome home : BacteriaHome.values()) {
                    for (Thoroughness clean : Thoroughness.values()) {
                        Practice practice = new Practice(rinse, clean, tap, home);
                        for (Build build : builds(kind)) {
                            for (List<Asked> subset : subsets(tasks, random)) {
                                check.accept(situation(build, practice, path, subset, tasks, random));
                            }
                        }
                    }
                }
            }
        }
    }

    private static Situation situation(
            Build build, Practice practice, List<PathStage> path, List<Asked> subset, List<Asked> all, Random random) {
        Set<Chore> chores =
                switch (random.nextInt(4)) {
                    case 0 -> Set.of(Chore.values());
                    case 1 -> Set.of(Chore.SUBSTRATE_VACUUM);
                    default -> Set.of();
                };
        double tank = TANKS[random.nextInt(TANKS.length)];
        double bucket = random.nextInt(3) == 0 ? 12 : 8;
        Tubs.Means means = new Tubs.Means(bucket, tank, random.nextInt(5) == 0 ? 0.1 : 0.25);
        return new Situation("Weir", build, practice, means, path, new Work(subset, chores, all));
    }

    private static List<Build> builds(FilterKind kind) {
        List<Build> builds = new ArrayList<>();
        List<Optional<FlowDirection>> directions = kind == FilterKind.CANISTER
                ? List.of(
                        Optional.of(FlowDirection.BOTTOM_UP),
                        Optional.of(FlowDirection.TOP_DOWN),
                        Optional.of(FlowDirection.SIDE_THEN_TRAYS))
                : List.of(Optional.empty());
        for (Optional<FlowDirection> direction : directions) {
            for (Valves valves : kind == FilterKind.CANISTER || kind == FilterKind.UV_UNIT
                    ? Valves.values()
                    : new Valves[] {Valves.NONE}) {
                for (Fill fill : kind == FilterKind.CANISTER ? Fill.values() : new Fill[] {Fill.SELF}) {
                    builds.add(new Build(kind, direction, valves, fill));
                }
            }
        }
        return builds;
    }

    private static List<List<Asked>> subsets(List<Asked> tasks, Random random) {
        List<List<Asked>> subsets = new ArrayList<>();
        boolean all = tasks.size() <= ALL_SUBSETS_UP_TO;
        for (int i = 0, n = all ? 1 << tasks.size() : SAMPLES; i < n; i++) {
            int mask = all ? i : random.nextInt(1 << tasks.size());
            subsets.add(chosen(tasks, mask));
        }
        tasks.forEach(task -> subsets.add(List.of(task)));
        subsets.add(tasks);
        subsets.add(List.of());
        return subsets;
    }

    private static List<Asked> chosen(List<Asked> tasks, int mask) {
        List<Asked> subset = new ArrayList<>();
        for (int bit = 0; bit < tasks.size(); bit++) {
            if ((mask >> bit & 1) == 1) {
                subset.add(tasks.get(bit));
            }
        }
        return subset;
    }

    /** The template's path, and after it every kind of stage that such a filter may also hold. */
    private static List<PathStage> path(FilterKind kind) {
        List<Stage> stages = new ArrayList<>(FilterTemplates.waterPath(kind));
        if (kind == FilterKind.HANG_ON_BACK) {
            stages.add(Stage.washable(StageKind.CARTRIDGE));
        }
        if (kind == FilterKind.CANISTER || kind == FilterKind.SUMP) {
            stages.add(Stage.washable(StageKind.CARBON));
            stages.add(Stage.washable(StageKind.RESIN));
            stages.add(Stage.washable(StageKind.UV_SLEEVE));
            stages.add(Stage.disposable(StageKind.UV_LAMP));
        }
        if (kind == FilterKind.CANISTER) {
            stages.add(7, Stage.washable(StageKind.FINE_PAD));
        }
        List<PathStage> path = new ArrayList<>();
        for (Stage stage : stages) {
            String name = stage.kind().words() + (path.size() + 1);
            path.add(new PathStage(path.size() + 1, name, stage));
        }
        return path;
    }

    private static List<Asked> tasks(FilterKind kind, List<PathStage> path) {
        List<Asked> tasks = new ArrayList<>();
        for (CareRule rule : CareCatalogue.forFilter(kind, Schools.DEFAULT)) {
            tasks.add(new Asked(tasks.size() + 1, rule.action(), Optional.empty()));
        }
        for (PathStage stage : path) {
            for (CareRule rule : CareCatalogue.forStage(stage.stage(), Schools.DEFAULT)) {
                tasks.add(new Asked(tasks.size() + 1, rule.action(), Optional.of(stage.id())));
            }
        }
        return tasks;
    }
}
