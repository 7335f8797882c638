package app.chervil.core.visit;

import static org.assertj.core.api.Assertions.assertThat;

import app.chervil.core.filter.CareAction;
import app.chervil.core.filter.CareCatalogue;
import app.chervil.core.filter.CareRule;
import app.chervil.core.filter.FilterKind;
import app.chervil.core.filter.Material;
import app.chervil.core.filter.Stage;
import app.chervil.core.filter.StageKind;
import app.chervil.core.interval.Forecast;
import app.chervil.core.interval.Forecast.Basis;
import app.chervil.core.interval.Window;
import app.chervil.core.interval.Window.Standing;
import app.chervil.core.tank.Schools;
import app.chervil.core.visit.Errand.Reach;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;

class RoundsTest {
    private static final LocalDate TODAY = LocalDate.of(2026, 11, 25);
    private static final CareRule PREFILTER = rule(StageKind.PREFILTER_SPONGE, CareAction.RINSE);
    private static final CareRule IMPELLER = rule(StageKind.IMPELLER, CareAction.CLEAN);
    private static final CareRule OPENING = CareCatalogue.find(FilterKind.CANISTER, CareAction.OPEN, Schools.DEFAULT)
            .orElseThrow();

    @Test
    void a_tank_with_nothing_due_is_not_visited() {
        Rounds rounds = Rounds.on(TODAY, List.of(errand(1, 1, PREFILTER, Reach.FREE, 2)));

        assertThat(rounds.visits()).isEmpty();
    }

    @Test
    void tasks_of_one_tank_make_one_visit_with_the_most_pressing_first() {
        Rounds rounds = Rounds.on(
                TODAY, List.of(errand(1, 1, PREFILTER, Reach.FREE, 0), errand(1, 2, OPENING, Reach.OPENING, -6)));

        assertThat(rounds.visits()).hasSize(1);
        Rounds.Visit visit = rounds.visits().get(0);
        assertThat(visit.standing()).isEqualTo(Standing.LATE);
        assertThat(visit.effort().daysLate()).isEqualTo(4);
        assertThat(visit.errands()).extracting(Errand::rule).containsExactly(OPENING, PREFILTER);
        // 35 minutes and 15 of set-up for the canister, 5 for the pre-filter
        assertThat(visit.effort().minutes()).isEqualTo(55);
    }

    @Test
    void an_opening_takes_along_what_may_be_done_inside() {
        Errand soon = errand(1, 1, IMPELLER, Reach.INSIDE, 2);
        Errand farOff = errand(1, 1, IMPELLER, Reach.INSIDE, 60);

        Rounds rounds = Rounds.on(TODAY, List.of(errand(1, 1, OPENING, Reach.OPENING, 0), soon, farOff));

        assertThat(rounds.visits().get(0).errands()).contains(soon).doesNotContain(farOff);
    }

    @Test
    void a_part_inside_a_canister_waits_for_its_opening_until_it_is_late() {
        Errand opening = errand(1, 1, OPENING, Reach.OPENING, 40);

        Rounds due = Rounds.on(TODAY, List.of(opening, errand(1, 1, IMPELLER, Reach.INSIDE, -2)));
        Rounds late = Rounds.on(TODAY, List.of(opening, errand(1, 1, IMPELLER, Reach.INSIDE, -3)));

        assertThat(due.visits()).isEmpty();
        assertThat(late.visits().get(0).errands()).contains(opening);
    }

    @Test
    void what_the_plan_puts_on_a_day_is_part_of_its_rounds_before_it_is_due() {
        Errand early = errand(1, 1, PREFILTER, Reach.FREE, 3);
        long task = early.place().taskId();

        Rounds rounds = Rounds.on(TODAY, List.of(early), Set.of(task));

        assertThat(rounds.visits()).hasSize(1);
        assertThat(rounds.visits().get(0).errands()).containsExactly(early);
    }

    @Test
    void things_to_carry_are_counted_and_a_bucket_is_shared() {
        CareRule pad = rule(StageKind.FLOSS, CareAction.CHANGE);

        Rounds rounds = Rounds.on(
                TODAY,
                List.of(
                        errand(1, 1, PREFILTER, Reach.FREE, 0), errand(1, 2, PREFILTER, Reach.FREE, 0),
                        errand(1, 1, pad, Reach.FREE, 0), errand(1, 2, pad, Reach.FREE, 0)));

        assertThat(rounds.visits().get(0).carry())
                .containsEntry(Material.BUCKET, 1)
                .containsEntry(Material.FINE_PAD, 2);
    }

    /** A task whose ideal day lies so many days ahead, with two days of slack to either side. */
    private static Errand errand(long tank, long filter, CareRule rule, Reach reach, int idealIn) {
        LocalDate ideal = TODAY.plusDays(idealIn);
        Window window = new Window(ideal.minusDays(2), ideal, ideal.plusDays(2));
        Forecast forecast =
                new Forecast(TODAY.minusDays(30), window, Basis.LEARNED, Optional.empty(), List.of("because"));
        return new Errand(new Errand.Place(tank, filter, idealIn), rule, reach, forecast);
    }

    private static CareRule rule(StageKind kind, CareAction action) {
        return CareCatalogue.find(Stage.washable(kind), action, Schools.DEFAULT).orElseThrow();
    }
}
