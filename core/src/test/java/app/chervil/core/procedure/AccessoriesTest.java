package app.chervil.core.procedure;

import static org.assertj.core.api.Assertions.assertThat;

import app.chervil.core.filter.CareAction;
import app.chervil.core.filter.FilterKind;
import app.chervil.core.filter.FlowDirection;
import app.chervil.core.filter.Stage;
import app.chervil.core.filter.StageKind;
import app.chervil.core.filter.TaskName;
import app.chervil.core.passport.Build;
import app.chervil.core.passport.Build.Fill;
import app.chervil.core.passport.Build.ShutOff;
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
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** What hangs on a filter and wears: valves, clips and cups, a spill baffle, plants rooted in it. */
class AccessoriesTest {
    private static final List<StageKind> KINDS =
            List.of(StageKind.BAFFLE, StageKind.PLANTS, StageKind.VALVES, StageKind.CLIPS);

    private static Situation doing(Build build, StageKind only, CareAction... actions) {
        List<PathStage> path = Catalogued.path(List.of(
                Stage.washable(StageKind.COARSE_FOAM), Stage.washable(StageKind.IMPELLER), Stage.washable(only)));
        List<Asked> all = Catalogued.tasks(build.kind(), path);
        Set<CareAction> wanted = Set.of(actions);
        List<Asked> asked = all.stream()
                .filter(task -> task.stage().equals(Optional.of(3L)) && wanted.contains(task.action()))
                .toList();
        return new Situation(
                "Weir",
                build,
                new Practice(RinseWater.TANK_WATER, Thoroughness.LIGHT, TapWater.CHLORAMINE, BacteriaHome.MEDIA),
                new Tubs.Means(8, 220, 0.25),
                path,
                new Work(asked, Set.of(), all));
    }

    private static List<String> codes(Situation situation) {
        return SetUpTest.codes(Procedure.assemble(situation));
    }

    private static Build canister(ShutOff shutOff) {
        return Build.usual(FilterKind.CANISTER, Optional.of(FlowDirection.BOTTOM_UP), shutOff, Fill.SELF);
    }

    @ParameterizedTest
    @EnumSource(FilterKind.class)
    void their_care_holds_on_every_kind_of_filter(FilterKind kind) {
        for (ShutOff shutOff : ShutOff.values()) {
            Build build = Build.usual(kind, Optional.of(FlowDirection.BOTTOM_UP), shutOff, Fill.SELF);
            for (StageKind accessory : KINDS) {
                Situation situation = doing(build, accessory, CareAction.CLEAR, CareAction.INSPECT, CareAction.REPLACE);
                ProcedureInvariants.hold(situation, Procedure.assemble(situation));
            }
        }
    }

    @Test
    void a_valve_is_tried_off_its_port_with_the_canister_shut() {
        assertThat(codes(doing(canister(ShutOff.VALVES), StageKind.VALVES, CareAction.INSPECT)))
                .containsSubsequence("stop", "shut", "mark", "uncouple", "valves-tried", "connect", "open", "start")
                .doesNotContain("lid-off");
    }

    @Test
    void before_a_valve_comes_off_air_holds_the_water_back() {
        assertThat(codes(doing(canister(ShutOff.VALVES), StageKind.VALVES, CareAction.REPLACE)))
                .containsSubsequence(
                        "stop", "shut", "uncouple", "valves-drain", "valves-new", "valves-back", "connect", "open");
    }

    @Test
    void roots_are_trimmed_and_a_baffle_brushed_with_the_pump_off() {
        Build box = Build.usual(FilterKind.HANG_ON_BACK, Optional.empty());

        assertThat(codes(doing(box, StageKind.PLANTS, CareAction.CLEAR)))
                .containsSubsequence("stop", "out", "trim", "back", "start");
        assertThat(codes(doing(box, StageKind.BAFFLE, CareAction.CLEAR)))
                .containsSubsequence("stop", "out", "baffle", "back", "start");
    }

    @Test
    void their_tasks_read_as_a_keeper_says_them() {
        assertThat(TaskName.of(CareAction.CLEAR, StageKind.PLANTS)).isEqualTo("Trim the roots of the plants");
        assertThat(TaskName.done(CareAction.CLEAR, StageKind.PLANTS)).isEqualTo("Roots of the plants trimmed");
        assertThat(TaskName.of(CareAction.INSPECT, StageKind.CLIPS)).isEqualTo("Check the clips and cups for wear");
        assertThat(TaskName.of(CareAction.CLEAR, StageKind.BAFFLE)).isEqualTo("Clear the spill baffle");
    }
}
