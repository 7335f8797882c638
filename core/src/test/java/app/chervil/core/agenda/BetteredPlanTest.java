package app.chervil.core.agenda;

import static app.chervil.core.agenda.FirstPlans.NOW;
import static app.chervil.core.agenda.FirstPlans.agenda;
import static app.chervil.core.agenda.FirstPlans.alike;
import static app.chervil.core.agenda.FirstPlans.brook;
import static app.chervil.core.agenda.FirstPlans.first;
import static org.assertj.core.api.Assertions.assertThat;

import app.chervil.core.agenda.Replanning.Bettered;
import app.chervil.core.plan.ChainId;
import app.chervil.core.plan.Instance.How;
import app.chervil.core.plan.Planner;
import app.chervil.core.plan.Planner.Effort;
import java.time.Duration;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class BetteredPlanTest {
    private static final Duration SECONDS = Duration.ofSeconds(20);
    private static final Duration AN_HOUR = Duration.ofHours(1);

    private static Bettered bettered(Standing hasty, Duration later) {
        return new Replanning(Optional.of(hasty.told()), List.of()).better(hasty, NOW.plus(later));
    }

    /** What is in force once a plan is kept and nothing else has changed. */
    private static Standing kept(Told told, Agenda agenda) {
        return new Replanning(Optional.of(told), List.of()).of(agenda, 8, NOW);
    }

    @Test
    void a_plan_made_in_haste_is_bettered_without_anything_else_changing() {
        Standing rough = first(brook());

        Told better = bettered(rough, SECONDS).told();

        assertThat(better.mark()).isEqualTo(rough.told().mark());
        assertThat(better.rough()).isFalse();
        assertThat(better.state().chains().keySet())
                .isEqualTo(rough.told().state().chains().keySet());
    }

    @ParameterizedTest
    @ValueSource(ints = {14, 30})
    void some_ten_tanks_are_planned_in_haste_and_then_as_well_as_if_nobody_had_waited(int count) {
        Agenda tanks = alike(count);
        Standing hasty = first(tanks);

        Bettered bettered = bettered(kept(hasty.told(), tanks), SECONDS);
        Standing better = kept(bettered.told(), tanks);

        assertThat(hasty.told().rough()).isTrue();
        assertThat(better.told().rough()).isFalse();
        assertThat(better.plan().score()).isLessThan(hasty.plan().score());
        assertThat(better.plan()).isEqualTo(Planner.plan(hasty.instance(), Effort.BACKGROUND, Replanning.SEED));
        assertThat(bettered.moved()).isEmpty();
    }

    @Test
    void a_hasty_plan_that_people_had_time_to_arrange_themselves_by_moves_where_much_is_gained_and_they_are_told() {
        Agenda tanks = alike(30);
        Standing hasty = kept(first(tanks).told(), tanks);

        Bettered late = bettered(hasty, AN_HOUR);

        List<Moved.Move> moves = new Difference(
                        hasty.told().state(), late.told().state())
                .moves(hasty.date(hasty.instance().publishedDays()));
        assertThat(moves).hasSizeLessThan(hasty.plan().days().size() / 10);
        assertThat(late.moved()).contains(new Moved(NOW.plus(AN_HOUR), List.of("a better plan was found"), moves));
    }

    @Test
    void who_looks_further_ahead_is_told_what_moves_for_it_unless_the_plan_stood_only_for_seconds() {
        Agenda tanks = alike(30);
        Told hasty = first(tanks).told();

        Standing atOnce = further(hasty, tanks, SECONDS);
        Standing later = further(hasty, tanks, AN_HOUR);

        List<Moved.Move> moves = new Difference(hasty.state(), atOnce.told().state()).moves(LocalDate.MAX);
        assertThat(moves).isNotEmpty();
        assertThat(atOnce.told().rough()).isTrue();
        assertThat(atOnce.moved()).isEmpty();
        assertThat(later.moved().map(Moved::causes)).contains(List.of("more weeks were planned"));
    }

    @Test
    void a_plan_made_anew_on_the_same_day_for_none_of_the_usual_reasons_says_that_the_site_was_changed() {
        PlanState today = first(brook()).told().state();
        PlanState tomorrow =
                new PlanState(today.madeOn().plusDays(1), today.chains(), today.hours(), today.decisions());

        assertThat(new Difference(today, today).causes(List.of())).containsExactly("the site was changed");
        assertThat(new Difference(today, tomorrow).causes(List.of())).containsExactly("a new day");
    }

    private static Standing further(Told told, Agenda agenda, Duration later) {
        return new Replanning(Optional.of(told), List.of()).of(agenda, 13, NOW.plus(later));
    }

    @Test
    void what_a_keeper_moved_stays_there_when_a_hasty_plan_is_bettered() {
        Standing before = first(brook());
        Standing.Visit next = before.visits().get(0);
        ChainId chain = next.tasks().get(0).chain();
        LocalDate to = next.on().plusDays(1);
        Told moved = before.told().decided(before.told().state().moved(chain, next.on(), to), "decided 1", "moved");
        Standing pinned = new Replanning(Optional.of(moved), List.of(new Decided(0, chain, to, How.PINNED)))
                .of(agenda(brook()), 8, NOW);

        Told better = bettered(pinned, SECONDS).told();

        assertThat(better.state().chains().get(chain).days()).contains(to).doesNotContain(next.on());
    }

    @Test
    void a_few_tanks_are_planned_so_at_once() {
        Standing first = first(alike(3));

        assertThat(first.told().rough()).isFalse();
        assertThat(first.plan()).isEqualTo(Planner.plan(first.instance(), Effort.BACKGROUND, Replanning.SEED));
    }
}
