package app.chervil.core.procedure;

import static org.assertj.core.api.Assertions.assertThat;

import app.chervil.core.filter.FilterKind;
import app.chervil.core.filter.FilterTemplates;
import app.chervil.core.filter.FlowDirection;
import app.chervil.core.passport.Build;
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
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** A filter that was taken on, looked over before anything in it is touched. */
class LookOverTest {
    private static Situation situation(FilterKind kind) {
        List<PathStage> path = Catalogued.path(FilterTemplates.waterPath(kind));
        List<Asked> all = Catalogued.tasks(kind, path);
        Optional<FlowDirection> direction =
                kind == FilterKind.CANISTER ? Optional.of(FlowDirection.BOTTOM_UP) : Optional.empty();
        return new Situation(
                "Weir",
                Build.usual(kind, direction),
                new Practice(RinseWater.TANK_WATER, Thoroughness.FULL, TapWater.CHLORAMINE, BacteriaHome.MEDIA),
                new Tubs.Means(8, 220, 0.25),
                path,
                new Work(List.of(), Set.of(), all));
    }

    private static List<String> ids(Procedure procedure) {
        return procedure.steps().stream().map(Step::id).toList();
    }

    @Test
    void dangers_come_first_and_the_plan_last() {
        Procedure procedure = Procedure.lookOver(situation(FilterKind.CANISTER));

        assertThat(ids(procedure))
                .startsWith("over-cord:filter", "over-read:filter", "over-photo:filter")
                .containsSubsequence(
                        "heater-off:filter",
                        "stop:filter",
                        "break:filter",
                        "lid-off:filter",
                        "over-look:filter",
                        "lid:filter",
                        "start:filter",
                        "heater-on:filter",
                        "finish:filter")
                .endsWith("over-parts:filter", "over-plan:filter");
    }

    @Test
    void only_what_hangs_outside_is_rinsed() {
        Procedure procedure = Procedure.lookOver(situation(FilterKind.CANISTER));

        assertThat(ids(procedure))
                .contains("out:1", "out:2", "first", "back:1", "back:2")
                .doesNotContain("out:4", "tip:filter", "housing:filter");
        assertThat(procedure.tasks().stream().flatMap(task -> task.stage().stream()))
                .containsExactlyInAnyOrder(1L, 2L);
    }

    /** Nothing lifted, nothing tipped, and what was stopped runs again. */
    @ParameterizedTest
    @EnumSource(FilterKind.class)
    void no_bacteria_are_disturbed_whatever_kind_it_is(FilterKind kind) {
        Situation situation = situation(kind);
        Procedure procedure = Procedure.lookOver(situation);
        List<Step> steps = procedure.steps();

        assertThat(steps)
                .noneMatch(step -> step.effects().contains(Effect.BIO_OUT)
                        || step.effects().contains(Effect.PLACE_OUT)
                        || step.effects().contains(Effect.TIPPED));
        int stopped = kind == FilterKind.CANISTER || kind == FilterKind.HANG_ON_BACK ? 1 : 0;
        assertThat(steps.stream().filter(step -> step.effects().contains(Effect.POWER_OFF)))
                .hasSize(stopped);
        assertThat(steps.stream().filter(step -> step.effects().contains(Effect.POWER_ON)))
                .hasSize(stopped);
        assertThat(ids(procedure)).contains("over-look:filter").doesNotHaveDuplicates();
        assertThat(procedure.minutes()).as("there is much to look at").isBetween(20, 60);
    }
}
