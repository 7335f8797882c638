package app.chervil.core.procedure;

import static org.assertj.core.api.Assertions.assertThat;

import app.chervil.core.filter.CareAction;
import app.chervil.core.filter.FilterKind;
import app.chervil.core.filter.FlowDirection;
import app.chervil.core.filter.StageKind;
import app.chervil.core.passport.Build;
import app.chervil.core.passport.Passport;
import app.chervil.core.procedure.FollowUp.Kind;
import app.chervil.core.tank.TankChore;
import java.time.Duration;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

/** What finished work asks for, read aloud. */
class FollowUpTest {
    private static Optional<FollowUp> stirred(TankChore chore, FilterKind kind, StageKind... path) {
        List<StageKind> stages = List.of(path);
        Build build =
                Build.usual(kind, kind == FilterKind.CANISTER ? Optional.of(FlowDirection.TOP_DOWN) : Optional.empty());
        return FollowUp.ofStirredDirt(chore, Passport.usual(build, stages), stages, "Weir");
    }

    @Test
    void what_was_stirred_up_is_taken_out_of_the_sock_the_same_day() {
        FollowUp look = stirred(TankChore.SUBSTRATE_VACUUM, FilterKind.SUMP, StageKind.SOCK, StageKind.BIO_MEDIA)
                .orElseThrow();

        assertThat(look.kind()).isEqualTo(Kind.CATCHER);
        assertThat(look.after()).isZero();
        assertThat(look.words())
                .isEqualTo("Change or rinse the sock of Weir today: it holds what was stirred up from the sand.");
    }

    @Test
    void each_chore_names_its_own_dirt_and_others_stir_up_none() {
        assertThat(stirred(TankChore.ROCK_BLOW_OFF, FilterKind.SUMP, StageKind.SOCK)
                        .orElseThrow()
                        .words())
                .endsWith("it holds what was blown off the rock.");
        assertThat(stirred(TankChore.WATER_CHANGE, FilterKind.SUMP, StageKind.SOCK))
                .isEmpty();
    }

    @Test
    void nobody_opens_a_canister_for_the_pad_inside_it() {
        assertThat(stirred(TankChore.ROCK_BLOW_OFF, FilterKind.CANISTER, StageKind.COARSE_FOAM, StageKind.FINE_PAD))
                .isEmpty();
    }

    @Test
    void a_pad_that_lies_within_reach_is_changed_and_foam_is_not() {
        assertThat(stirred(TankChore.ROCK_BLOW_OFF, FilterKind.HANG_ON_BACK, StageKind.FINE_PAD))
                .isPresent();
        assertThat(stirred(TankChore.ROCK_BLOW_OFF, FilterKind.HANG_ON_BACK, StageKind.COARSE_FOAM))
                .isEmpty();
    }

    @ParameterizedTest
    @CsvSource({"REPLACE, SEALS, true", "CLEAN, SEALS, false", "REPLACE, IMPELLER, false", "RINSE, COARSE_FOAM, false"})
    void joints_may_weep_after_new_rings_alone(CareAction action, StageKind stage, boolean mayWeep) {
        assertThat(FollowUp.mayWeep(action, stage)).isEqualTo(mayWeep);
    }

    @Test
    void new_rings_are_looked_at_after_an_hour_and_the_next_day() {
        assertThat(FollowUp.ofNewRings("Weir"))
                .containsExactly(
                        new FollowUp(Kind.LOOK, "Press dry paper round every joint of Weir.", Duration.ofHours(1)),
                        new FollowUp(
                                Kind.LOOK, "Press dry paper round every joint of Weir once more.", Duration.ofDays(1)));
    }

    @Test
    void media_in_the_pump_is_asked_about_where_it_came_from() {
        assertThat(FollowUp.ofStray("top tray", "Weir"))
                .isEqualTo(new FollowUp(
                        Kind.LOOK,
                        "Media from the top tray was in the pump of Weir. Is it in a whole bag now, or its tray mended?",
                        Duration.ofDays(1)));
        assertThat(FollowUp.ofStray("", "Weir").words())
                .isEqualTo("Media was in the pump of Weir. Find out which tray or bag lets it through.");
    }

    @Test
    void a_sock_holds_what_a_deep_clean_stirred_up_until_the_next_day() {
        assertThat(FollowUp.ofDeepClean(List.of(StageKind.SOCK, StageKind.BIO_MEDIA), "Weir"))
                .containsExactly(new FollowUp(
                        Kind.CATCHER,
                        "Change the sock of Weir: it holds what the deep clean stirred up.",
                        Duration.ofDays(1)));
        assertThat(FollowUp.ofDeepClean(List.of(StageKind.FLEECE_ROLL), "Weir")).isEmpty();
    }

    @Test
    void a_heater_that_waits_for_the_next_filter_is_asked_for_at_once() {
        FollowUp look = FollowUp.ofHeater("Weir", "Brook");

        assertThat(look.after()).isZero();
        assertThat(look.words()).isEqualTo("Turn the heater on: Weir is done, and nobody has gone on with Brook.");
    }

    @ParameterizedTest
    @EnumSource(FilterKind.class)
    void joints_of_a_filter_on_hoses_are_looked_at_twice_and_any_other_once(FilterKind kind) {
        boolean hoses = kind == FilterKind.CANISTER || kind == FilterKind.UV_UNIT;

        assertThat(FollowUp.ofSetUp(kind, "Weir")).hasSize(hoses ? 2 : 1).allMatch(look -> look.kind() == Kind.LOOK);
    }

    @Test
    void only_a_switched_plug_says_what_no_hand_ticked() {
        assertThat(GuidedWork.Kind.values())
                .filteredOn(GuidedWork.Kind::seen)
                .containsExactly(GuidedWork.Kind.SEEN_OFF, GuidedWork.Kind.SEEN_ON);
    }

    @Test
    void a_filter_taken_down_runs_no_more_and_only_a_service_has_tasks() {
        assertThat(Occasion.values()).filteredOn(Occasion::takesDown).containsExactly(Occasion.MOVE, Occasion.STORE);
        assertThat(Occasion.values()).filteredOn(Occasion::hasTasks).containsExactly(Occasion.SERVICE);
    }

    @ParameterizedTest
    @CsvSource({
        "ROCK_BLOW_OFF, Blow detritus off the rock, Blew detritus off the rock., 1, ROCK_BLOWN_OFF",
        "SUBSTRATE_VACUUM, Vacuum the substrate, Vacuumed the substrate., 2, SUBSTRATE_VACUUMED",
        "BIO_PART_REPLACED, Replace part of the bio media, Replaced part of the bio media., 3, MEDIA_EXCHANGED"
    })
    void a_chore_is_asked_for_told_and_weighed(
            Situation.Chore chore, String words, String told, int disturbance, Step.Effect work) {
        assertThat(chore.words()).isEqualTo(words);
        assertThat(chore.told()).isEqualTo(told);
        assertThat(chore.disturbance()).isEqualTo(disturbance);
        assertThat(chore.work()).isEqualTo(work);
    }

    @ParameterizedTest
    @EnumSource(Caution.class)
    void a_caution_says_what_is_dangerous_in_whole_sentences(Caution caution) {
        assertThat(caution.words()).matches("[A-Z].{30,}\\.");
    }
}
