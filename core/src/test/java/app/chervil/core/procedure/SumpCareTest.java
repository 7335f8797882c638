package app.chervil.core.procedure;

import static org.assertj.core.api.Assertions.assertThat;

import app.chervil.core.filter.CareAction;
import app.chervil.core.filter.FilterKind;
import app.chervil.core.filter.Stage;
import app.chervil.core.filter.StageKind;
import app.chervil.core.passport.Build;
import app.chervil.core.procedure.Situation.Asked;
import app.chervil.core.procedure.Situation.PathStage;
import app.chervil.core.procedure.Situation.Practice;
import app.chervil.core.procedure.Situation.Work;
import app.chervil.core.tank.BacteriaHome;
import app.chervil.core.tank.RinseWater;
import app.chervil.core.tank.TapWater;
import app.chervil.core.tank.Thoroughness;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;

/** A sump of four chambers with two socks, a skimmer, a refugium and a top-off, as its keeper would go about it. */
class SumpCareTest {
    private static final List<StageKind> KINDS = List.of(
            StageKind.OVERFLOW,
            StageKind.SOCK,
            StageKind.SOCK,
            StageKind.SKIMMER,
            StageKind.SETTLING,
            StageKind.BIO_MEDIA,
            StageKind.BIO_MEDIA,
            StageKind.REFUGIUM,
            StageKind.RETURN_PUMP,
            StageKind.TOP_OFF);

    /** Numbered from 1 as water meets them. */
    private static List<PathStage> path() {
        List<PathStage> path = new ArrayList<>();
        KINDS.forEach(kind -> path.add(
                new PathStage(path.size() + 1L, kind.words() + " " + (path.size() + 1), Stage.washable(kind))));
        return path;
    }

    private static Procedure asked(BacteriaHome home, CareAction action, Optional<Long> stage) {
        List<PathStage> path = path();
        List<Asked> all = Catalogued.tasks(FilterKind.SUMP, path);
        Asked task = all.stream()
                .filter(one -> one.action() == action && one.stage().equals(stage))
                .findFirst()
                .orElseThrow();
        Situation situation = new Situation(
                "Undertow",
                Build.usual(FilterKind.SUMP, Optional.empty()),
                new Practice(RinseWater.TANK_WATER, Thoroughness.LIGHT, TapWater.CHLORAMINE, home),
                new Tubs.Means(8, 380, 0.25),
                path,
                new Work(List.of(task), Set.of(), all));
        Procedure procedure = Procedure.assemble(situation);
        ProcedureInvariants.hold(situation, procedure);
        return procedure;
    }

    private static List<String> ids(Procedure procedure) {
        return procedure.steps().stream().map(Step::id).toList();
    }

    @Test
    void a_deep_clean_sees_to_every_chamber_in_the_order_of_hands() {
        Procedure procedure = asked(BacteriaHome.MEDIA, CareAction.CLEAN, Optional.empty());

        assertThat(ids(procedure))
                .containsSubsequence(
                        "gloves:filter",
                        "heater-off:filter",
                        "stop:filter",
                        "draw:filter",
                        "out:2",
                        "out:3",
                        "out:6",
                        "siphon:5",
                        "chambers:filter",
                        "dip:6",
                        "thin:8",
                        "back:6",
                        "back:3",
                        "back:2",
                        "level:filter",
                        "start:filter",
                        "watch:filter",
                        "sump-on:filter",
                        "heater-on:filter",
                        "finish:filter");
        assertThat(procedure.steps().stream()
                        .filter(step -> step.id().equals("level:filter"))
                        .map(step -> step.what().text()))
                .allMatch(text -> text.contains("the sump to its off mark"));
    }

    @Test
    void what_was_seen_to_counts_as_done() {
        Procedure procedure = asked(BacteriaHome.MEDIA, CareAction.CLEAN, Optional.empty());

        assertThat(procedure.tasks().stream().flatMap(task -> task.stage().stream()))
                .containsExactlyInAnyOrder(1L, 2L, 3L, 4L, 5L, 6L, 8L, 10L);
    }

    @Test
    void half_the_bio_media_is_left_alone_where_nothing_else_holds_the_bacteria() {
        assertThat(ids(asked(BacteriaHome.MEDIA, CareAction.CLEAN, Optional.empty())))
                .contains("dip:6")
                .doesNotContain("dip:7");
        assertThat(ids(asked(BacteriaHome.SUBSTRATE_AND_ROCK, CareAction.CLEAN, Optional.empty())))
                .contains("dip:6", "dip:7");
    }

    @Test
    void a_cup_is_washed_and_a_float_lifted_while_the_pump_runs() {
        assertThat(ids(asked(BacteriaHome.MEDIA, CareAction.CLEAN, Optional.of(4L))))
                .containsExactly("cup:4");
        assertThat(ids(asked(BacteriaHome.MEDIA, CareAction.TEST, Optional.of(10L))))
                .containsExactly("float:10");
    }

    @Test
    void a_worn_rotor_is_changed_with_the_pump_out_of_the_water() {
        assertThat(ids(asked(BacteriaHome.MEDIA, CareAction.REPLACE, Optional.of(9L))))
                .containsSubsequence(
                        "stop:filter",
                        "pump-out:9",
                        "rotor-out:9",
                        "rotor-same:9",
                        "rotor-in:9",
                        "pump-back:9",
                        "start:filter");
    }

    @Test
    void the_sock_is_asked_for_on_the_next_day() {
        assertThat(FollowUp.ofDeepClean(KINDS, "Undertow"))
                .singleElement()
                .satisfies(look -> assertThat(look.after()).hasDays(1))
                .satisfies(look -> assertThat(look.words()).startsWith("Change the sock of Undertow"));
        assertThat(FollowUp.ofDeepClean(List.of(StageKind.BIO_MEDIA), "Undertow"))
                .isEmpty();
    }
}
