package app.chervil.core.interval;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.chervil.core.filter.CareAction;
import app.chervil.core.filter.CareCatalogue;
import app.chervil.core.filter.FilterKind;
import app.chervil.core.tank.ContextChange;
import app.chervil.core.tank.ContextChange.Kind;
import app.chervil.core.tank.Schools;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** What was logged before a start, or on the day of an exact one, is the start: docs/sources.md#starts. */
class TaskHistoryTest {
    private static final LocalDate DAY = LocalDate.of(2026, 1, 10);

    @Test
    void a_service_on_the_day_of_an_exact_start_is_the_start() {
        TaskHistory history = history(Start.exact(DAY), List.of(served(0), served(5)));

        assertThat(history.start()).isEqualTo(Start.exact(DAY));
        assertThat(history.services()).extracting(Serviced::on).containsExactly(DAY.plusDays(5));
    }

    @Test
    void a_service_on_the_day_of_a_start_that_nobody_knows_is_a_service() {
        TaskHistory unknown = history(Start.unknown(DAY), List.of(served(0)));
        TaskHistory about = history(Start.about(DAY, 0.3), List.of(served(0)));

        assertThat(unknown.start().known()).isFalse();
        assertThat(unknown.services()).hasSize(1);
        assertThat(unknown.ageKnown()).isTrue();
        assertThat(about.services()).hasSize(1);
    }

    @Test
    void what_was_logged_before_a_start_is_the_start_itself() {
        TaskHistory served = history(Start.unknown(DAY), List.of(served(-4), served(7), served(3)));
        TaskHistory renewed = history(Start.exact(DAY), List.of(), List.of(DAY.minusDays(2), DAY.plusDays(1)));

        assertThat(served.start()).isEqualTo(Start.exact(DAY.minusDays(4)));
        assertThat(served.services()).extracting(Serviced::on).containsExactly(DAY.plusDays(3), DAY.plusDays(7));
        assertThat(renewed.start()).isEqualTo(Start.exact(DAY.minusDays(2)));
        assertThat(renewed.renewals()).containsExactly(DAY.plusDays(1));
    }

    @Test
    void what_changed_up_to_the_start_is_part_of_how_it_started() {
        TaskHistory history = new TaskHistory(
                Start.exact(DAY),
                StartingLoad.NORMAL,
                List.of(),
                List.of(changed(9), changed(0), changed(-3), changed(2)));

        assertThat(history.changes()).extracting(ContextChange::on).containsExactly(DAY.plusDays(2), DAY.plusDays(9));
    }

    @Test
    void the_present_part_runs_since_the_last_service_or_renewal_or_the_start() {
        assertThat(history(Start.exact(DAY), List.of()).since()).isEqualTo(DAY);
        assertThat(history(Start.exact(DAY), List.of(served(9)), List.of(DAY.plusDays(4)))
                        .since())
                .isEqualTo(DAY.plusDays(9));
        assertThat(history(Start.exact(DAY), List.of(served(9)), List.of(DAY.plusDays(20)))
                        .since())
                .isEqualTo(DAY.plusDays(20));
    }

    @Test
    void its_age_is_known_by_its_start_or_by_anything_done_since() {
        assertThat(history(Start.exact(DAY), List.of()).ageKnown()).isTrue();
        assertThat(history(Start.unknown(DAY), List.of()).ageKnown()).isFalse();
        assertThat(history(Start.unknown(DAY), List.of(), List.of(DAY.plusDays(3)))
                        .ageKnown())
                .isTrue();
    }

    @Test
    void of_one_day_the_service_is_played_first_then_the_renewal_then_what_changed() {
        List<String> played = new ArrayList<>();
        TaskHistory history = new TaskHistory(
                Start.exact(DAY),
                StartingLoad.NORMAL,
                List.of(served(8), served(4)),
                List.of(DAY.plusDays(4), DAY.plusDays(2)),
                List.of(changed(4), changed(1)),
                Pauses.NONE,
                Evidence.NONE);

        history.play(change -> played.add("changed"), service -> played.add("served"), day -> played.add("renewed"));

        assertThat(played).containsExactly("changed", "renewed", "served", "renewed", "changed", "served");
    }

    /** τ = ln 1.3 ÷ 1.2816 = 0.204716 for "about". */
    @Test
    void about_is_within_a_share_with_eight_chances_in_ten() {
        Start about = Start.about(DAY, 0.3);

        assertThat(about.known()).isTrue();
        assertThat(about.logVariance()).isCloseTo(0.204716 * 0.204716, within(1e-6));
        assertThat(Start.exact(DAY).logVariance()).isZero();
    }

    /** A replacement is a chapter of its own, and what is believed then is told. */
    @Test
    void a_replacement_is_told_in_the_story() {
        List<Story.Chapter> story = Story.of(
                CareCatalogue.find(FilterKind.CANISTER, CareAction.OPEN, Schools.DEFAULT)
                        .orElseThrow(),
                history(Start.exact(DAY), List.of(), List.of(DAY.plusDays(30))));

        assertThat(story).extracting(Story.Chapter::on).containsExactly(DAY, DAY.plusDays(30));
        assertThat(story.get(1).next().ideal()).isAfter(story.get(0).next().ideal());
        assertThat(Stream.of(story.get(1).service(), story.get(1).change())).allMatch(Optional::isEmpty);
    }

    private static TaskHistory history(Start start, List<Serviced> services) {
        return history(start, services, List.of());
    }

    private static TaskHistory history(Start start, List<Serviced> services, List<LocalDate> renewals) {
        return new TaskHistory(start, StartingLoad.NORMAL, services, renewals, List.of(), Pauses.NONE, Evidence.NONE);
    }

    private static Serviced served(int days) {
        return Serviced.found(DAY.plusDays(days), Finding.MODERATE);
    }

    private static ContextChange changed(int days) {
        return new ContextChange(DAY.plusDays(days), Kind.FEEDING, 1);
    }
}
