package app.chervil.core.procedure;

import static org.assertj.core.api.Assertions.assertThat;

import app.chervil.core.filter.CareAction;
import app.chervil.core.filter.FilterKind;
import app.chervil.core.filter.FilterTemplates;
import app.chervil.core.filter.FlowDirection;
import app.chervil.core.filter.Stage;
import app.chervil.core.filter.StageKind;
import app.chervil.core.passport.Build;
import app.chervil.core.passport.Build.Fill;
import app.chervil.core.passport.Build.HeaterPlace;
import app.chervil.core.passport.Build.ShutOff;
import app.chervil.core.procedure.Situation.Asked;
import app.chervil.core.procedure.Situation.PathStage;
import app.chervil.core.procedure.Situation.Practice;
import app.chervil.core.procedure.Situation.Work;
import app.chervil.core.procedure.Step.Effect;
import app.chervil.core.tank.BacteriaHome;
import app.chervil.core.tank.RinseWater;
import app.chervil.core.tank.TapWater;
import app.chervil.core.tank.Thoroughness;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** Two filters of one tank on one evening: what is done once, what twice, and what never at the same time. */
class TurnTest {
    private static final Practice TANK_WATER =
            new Practice(RinseWater.TANK_WATER, Thoroughness.LIGHT, TapWater.CHLORAMINE, BacteriaHome.MEDIA);
    private static final Tubs.Means MEANS = new Tubs.Means(8, 310, 0.25);

    @Test
    void two_canisters_share_gloves_tubs_and_heater_and_the_second_stops_when_the_first_runs() {
        List<Procedure> both = Procedure.oneAfterTheOther(List.of(rinsed("Creek"), rinsed("Lagoon")));

        assertThat(ids(both.get(0)))
                .startsWith("gloves:filter", "heater-off:filter")
                .containsSubsequence("draw:filter", "stop:filter", "first", "start:filter", "watch:filter")
                .doesNotContain("heater-on:filter", "finish:filter");
        assertThat(ids(both.get(1)))
                .startsWith("flow-before:filter", "stop:filter")
                .containsSubsequence("first", "start:filter", "watch:filter")
                .endsWith("heater-on:filter", "finish:filter")
                .doesNotContain("gloves:filter", "heater-off:filter", "draw:filter");
    }

    @Test
    void served_alone_each_has_all_of_it() {
        Procedure alone = Procedure.oneAfterTheOther(List.of(rinsed("Creek"))).get(0);

        assertThat(alone).isEqualTo(Procedure.assemble(rinsed("Creek")));
    }

    @Test
    void the_first_draws_what_the_second_will_want() {
        Situation pad = canister("Creek", HeaterPlace.TANK, CareAction.CHANGE, StageKind.FINE_PAD);
        List<Procedure> both = Procedure.oneAfterTheOther(List.of(pad, rinsed("Lagoon")));

        assertThat(Procedure.assemble(pad).tubs().count()).isZero();
        assertThat(ids(both.get(0))).contains("draw:filter");
        assertThat(both.get(0).tubs()).isEqualTo(both.get(1).tubs());
        assertThat(both.get(1).tubs().count()).isEqualTo(2);
    }

    @Test
    void a_heater_in_a_filters_own_hose_goes_off_and_on_with_that_filter() {
        Situation inLine = canister("Creek", HeaterPlace.IN_LINE, CareAction.RINSE, StageKind.COARSE_FOAM);
        List<Procedure> both = Procedure.oneAfterTheOther(List.of(inLine, rinsed("Lagoon")));

        assertThat(ids(both.get(0))).containsSubsequence("heater-off:filter", "stop:filter", "heater-on:filter");
        assertThat(ids(both.get(1))).containsSubsequence("heater-off:filter", "stop:filter", "heater-on:filter");
    }

    @Test
    void the_second_takes_less_time_than_alone() {
        List<Procedure> both = Procedure.oneAfterTheOther(List.of(rinsed("Creek"), rinsed("Lagoon")));
        int apart = 2 * Procedure.assemble(rinsed("Creek")).minutes();

        assertThat(both.get(0).minutes() + both.get(1).minutes()).isEqualTo(apart - 4 - 3 - 2 * 2);
    }

    @Test
    void bio_media_out_of_two_filters_is_too_much_for_one_day() {
        Situation dipped = canister("Creek", HeaterPlace.TANK, CareAction.DIP, StageKind.BIO_MEDIA);
        Situation other = canister("Lagoon", HeaterPlace.TANK, CareAction.DIP, StageKind.BIO_MEDIA);

        assertThat(Turn.tooMuch(List.of(dipped, other)))
                .contains("Bio media comes out of Creek and of Lagoon. Leave 7 days between them.");
        assertThat(Turn.tooMuch(List.of(dipped, rinsed("Lagoon")))).isEmpty();
    }

    /** Whatever kinds meet and whatever is asked of them: 40 seeded pairs of each two kinds. */
    @Test
    void never_two_filters_off_and_the_heater_is_off_before_the_first_and_on_after_the_last() {
        int[] count = {0};
        for (FilterKind first : FilterKind.values()) {
            for (FilterKind second : FilterKind.values()) {
                Random random = new Random(first.ordinal() * 31L + second.ordinal());
                for (int i = 0; i < 40; i++) {
                    holds(List.of(any(first, "Creek", random), any(second, "Lagoon", random)));
                    count[0]++;
                }
            }
        }
        assertThat(count[0]).isEqualTo(40 * FilterKind.values().length * FilterKind.values().length);
    }

    private static void holds(List<Situation> situations) {
        List<Step> steps = Procedure.oneAfterTheOther(situations).stream()
                .flatMap(one -> one.steps().stream())
                .toList();
        String said = situations + " " + steps.stream().map(Step::id).toList();
        boolean off = false;
        boolean heated = true;
        for (Step step : steps) {
            if (step.effects().contains(Effect.POWER_OFF)) {
                assertThat(off).as("the one before runs again. " + said).isFalse();
                off = true;
            }
            off &= !step.effects().contains(Effect.POWER_ON);
            heated &= !step.effects().contains(Effect.HEATER_OFF);
            assertThat(heated && step.effects().contains(Effect.WATER_OUT))
                    .as("no water leaves while the heater is on. " + said)
                    .isFalse();
            heated |= step.effects().contains(Effect.HEATER_ON);
        }
        assertThat(off).as("both run. " + said).isFalse();
        assertThat(heated).as("the heater is on. " + said).isTrue();
        for (String once : List.of("gloves", "draw", "finish", "heater-off", "heater-on")) {
            assertThat(steps.stream().filter(step -> step.id().startsWith(once + ":")))
                    .as(once + " once. " + said)
                    .hasSizeLessThanOrEqualTo(1);
        }
    }

    private static Situation any(FilterKind kind, String name, Random random) {
        List<PathStage> path = Catalogued.path(FilterTemplates.waterPath(kind));
        List<Asked> all = Catalogued.tasks(kind, path);
        List<Asked> some = all.stream().filter(task -> random.nextInt(3) == 0).toList();
        Build build = Build.usual(
                kind,
                kind == FilterKind.CANISTER ? Optional.of(FlowDirection.BOTTOM_UP) : Optional.empty(),
                ShutOff.VALVES,
                Fill.SELF);
        return new Situation(name, build, TANK_WATER, MEANS, path, new Work(some, Set.of(), all));
    }

    private static Situation rinsed(String name) {
        return canister(name, HeaterPlace.TANK, CareAction.RINSE, StageKind.COARSE_FOAM);
    }

    /** Water runs from its foam on top to its media at the bottom. */
    private static Situation canister(String name, HeaterPlace heater, CareAction action, StageKind of) {
        List<PathStage> path = Stream.of(StageKind.COARSE_FOAM, StageKind.FINE_PAD, StageKind.BIO_MEDIA)
                .map(kind -> new PathStage(kind.ordinal(), kind.words(), Stage.washable(kind)))
                .toList();
        Asked asked = new Asked(1, action, Optional.of((long) of.ordinal()));
        Build usual = Build.usual(FilterKind.CANISTER, Optional.of(FlowDirection.TOP_DOWN), ShutOff.VALVES, Fill.SELF);
        return new Situation(
                name,
                heated(usual, heater),
                TANK_WATER,
                MEANS,
                path,
                new Work(List.of(asked), Set.of(), List.of(asked)));
    }

    private static Build heated(Build build, HeaterPlace place) {
        return new Build(
                build.kind(),
                build.direction(),
                build.water(),
                build.housing(),
                build.hoses(),
                new Build.Current(place, build.current().lamp(), build.current().dryGripSock()));
    }

    private static List<String> ids(Procedure procedure) {
        return procedure.steps().stream().map(Step::id).toList();
    }
}
