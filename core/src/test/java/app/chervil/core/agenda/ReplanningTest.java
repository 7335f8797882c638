package app.chervil.core.agenda;

import static app.chervil.core.agenda.FirstPlans.NOW;
import static app.chervil.core.agenda.FirstPlans.agenda;
import static app.chervil.core.agenda.FirstPlans.brook;
import static app.chervil.core.agenda.FirstPlans.first;
import static app.chervil.core.agenda.FirstPlans.people;
import static app.chervil.core.site.SampleSite.TODAY;
import static org.assertj.core.api.Assertions.assertThat;

import app.chervil.core.agenda.People.Person;
import app.chervil.core.filter.StageKind;
import app.chervil.core.interval.Finding;
import app.chervil.core.plan.Chain.Hands;
import app.chervil.core.plan.ChainId;
import app.chervil.core.plan.Instance.How;
import app.chervil.core.plan.Trouble;
import app.chervil.core.site.SampleSite;
import app.chervil.core.tank.TankChore;
import app.chervil.core.water.Amount;
import app.chervil.core.water.Parameter;
import app.chervil.core.water.Reading;
import app.chervil.core.water.Reading.Trust;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;

/** One tank with a canister; its keeper has an hour and a half on Wednesdays and Saturdays. Today is a Monday. */
class ReplanningTest {
    private static final String RINSE = "rinse the pre-filter (Weir)";

    /** Its opening falls into the coming weeks. */
    private static SampleSite longAgo() {
        return SampleSite.today().tank(1, "Brook", "Lab", TODAY.minusDays(150));
    }

    private static Standing again(Standing before, Agenda now, Decided... decisions) {
        return new Replanning(Optional.of(before.told()), List.of(decisions)).of(now, 8, NOW.plusSeconds(60));
    }

    private static ChainId chain(Standing standing, String words) {
        return standing.agenda().work().entrySet().stream()
                .filter(work -> work.getValue().subject().words().equals(words))
                .map(Map.Entry::getKey)
                .findFirst()
                .orElseThrow();
    }

    private static List<LocalDate> days(Standing standing, String words) {
        return standing.plan().of(chain(standing, words)).stream()
                .map(standing::date)
                .toList();
    }

    /** Its canister has a head and seals to be seen to, as well as foam and media. */
    private static SampleSite withHead(LocalDate cleaned) {
        return SampleSite.today()
                .tank(
                        1,
                        "Brook",
                        "Lab",
                        cleaned,
                        List.of(
                                StageKind.PREFILTER_SPONGE,
                                StageKind.COARSE_FOAM,
                                StageKind.BIO_MEDIA,
                                StageKind.IMPELLER,
                                StageKind.SEALS));
    }

    @Test
    void the_head_is_seen_to_while_the_canister_is_open() {
        for (int daysAgo : List.of(90, 100, 110, 120, 130, 200)) {
            Standing plan = first(withHead(TODAY.minusDays(daysAgo)));

            List<LocalDate> openings = days(plan, "open canister Weir");
            List<LocalDate> heads = days(plan, "clean the impeller (Weir)");
            assertThat(openings).as("cleaned %d days ago", daysAgo).containsAll(heads);
            assertThat(heads).isNotEmpty();
            assertThat(plan.audit().troubles()).noneMatch(Trouble.Apart.class::isInstance);
        }
    }

    @Test
    void visits_lie_on_days_on_which_somebody_has_time_and_each_has_its_person() {
        assertThat(first(brook()).visits()).isNotEmpty().allSatisfy(visit -> {
            assertThat(visit.on().getDayOfWeek()).isIn(DayOfWeek.WEDNESDAY, DayOfWeek.SATURDAY);
            assertThat(visit.person()).contains("Ada");
        });
    }

    @Test
    void while_nothing_changes_the_plan_that_was_told_stands() {
        Standing before = first(brook());

        Standing after = again(before, agenda(brook()));

        assertThat(after.told()).isEqualTo(before.told());
        assertThat(after.moved()).isEmpty();
        assertThat(after.plan().days()).isEqualTo(before.plan().days());
    }

    @Test
    void two_servers_that_plan_first_name_the_same_visits_alike() {
        assertThat(first(brook()).told()).isEqualTo(first(brook()).told());
    }

    @Test
    void a_log_moves_its_own_task_only_and_is_told_as_its_cause() {
        Standing before = first(brook());
        LocalDate due = days(before, RINSE).get(0);

        Standing after =
                again(before, agenda(brook().did(1, "Rinse the pre-filter", TODAY.minusDays(1), Finding.CLEAN)));

        assertThat(days(after, RINSE).get(0)).isAfter(due);
        assertThat(days(after, "water change")).isEqualTo(days(before, "water change"));
        after.moved().ifPresent(moved -> assertThat(moved.causes()).contains("work logged on Brook"));
    }

    @Test
    void a_week_without_anyone_is_left_and_the_plan_says_why() {
        Standing before = first(brook());
        Agenda saturdays = Gathering.of(brook().book(), people(0, 0, 0, 0, 0, 180, 0));

        Standing after = again(before, saturdays);

        assertThat(after.visits())
                .allSatisfy(visit -> assertThat(visit.on().getDayOfWeek()).isEqualTo(DayOfWeek.SATURDAY));
        assertThat(after.moved()).hasValueSatisfying(moved -> {
            assertThat(moved.causes()).containsExactly("people's days changed");
            assertThat(moved.moves()).isNotEmpty().allMatch(move -> move.to().isPresent());
        });
    }

    @Test
    void work_under_a_hold_without_an_end_leaves_the_plan_and_that_is_told() {
        Standing before = first(longAgo());
        Reading nitrite = new Reading(Parameter.NITRITE, new Amount.Exact(0.5), 0.05, TODAY.atTime(9, 0), Trust.KEPT);

        Standing after = again(before, agenda(longAgo().read(1, nitrite)));

        assertThat(after.agenda().waiting())
                .extracting(work -> work.subject().name())
                .contains("Dip bio media");
        assertThat(after.moved()).hasValueSatisfying(moved -> {
            assertThat(moved.causes()).contains("nitrite on Brook");
            assertThat(moved.moves()).anyMatch(move -> move.to().isEmpty());
        });
    }

    @Test
    void a_visit_that_moves_keeps_its_name_and_raises_its_sequence() {
        Standing before = first(brook());
        Standing.Visit next = before.visits().get(0);
        LocalDate to = next.on().plusDays(1);
        Told moved = before.told();
        List<Decided> pins = next.tasks().stream()
                .map(task -> new Decided(0, task.chain(), to, How.PINNED))
                .toList();
        for (Decided pin : pins) {
            moved = moved.decided(moved.state().moved(pin.chain(), next.on(), to), "decided 1", "moved 2 tasks");
        }

        Standing after = new Replanning(Optional.of(moved), pins).of(agenda(brook()), 8, NOW);

        Map<UUID, BookedVisit> now =
                after.told().visits().stream().collect(Collectors.toMap(BookedVisit::id, Function.identity()));
        BookedVisit same = now.get(next.booked().id());
        assertThat(same.on()).isEqualTo(to);
        assertThat(same.sequence()).isEqualTo(next.booked().sequence() + 1);
        assertThat(after.visits())
                .filteredOn(visit -> visit.booked().id().equals(same.id()))
                .flatExtracting(Standing.Visit::tasks)
                .allMatch(Standing.Task::pinned);
    }

    @Test
    void however_often_a_plan_is_moved_about_no_two_visits_have_one_name() {
        Standing standing = first(brook());
        for (int turn = 0; turn < 24; turn++) {
            Standing.Visit visit =
                    standing.visits().get(turn % standing.visits().size());
            LocalDate to = visit.on().plusDays(1 + turn % 3);
            Standing before = standing;
            List<Decided> pins = visit.tasks().stream()
                    .limit(1)
                    .filter(task -> days(before, task.subject().words()).stream()
                            .noneMatch(day -> day.isAfter(visit.on()) && !day.isAfter(to)))
                    .map(task -> new Decided(0, task.chain(), to, How.PINNED))
                    .toList();
            Told moved = standing.told();
            for (Decided pin : pins) {
                moved = moved.decided(moved.state().moved(pin.chain(), visit.on(), to), "turn " + turn, "");
            }

            standing = new Replanning(Optional.of(moved), turn % 2 == 0 ? pins : List.of())
                    .of(agenda(brook()), 8, NOW.plusSeconds(turn));

            assertThat(standing.told().visits()).extracting(BookedVisit::id).doesNotHaveDuplicates();
        }
    }

    @Test
    void a_name_that_a_moved_visit_carries_is_not_given_again() {
        Standing before = first(brook());
        BookedVisit next = before.visits().get(0).booked();
        BookedVisit elsewhere = before.told().visits().stream()
                .filter(visit -> !visit.id().equals(next.id()))
                .findFirst()
                .orElseThrow();
        // The other visit came from where the next one is wanted now, and nobody was told of the next one.
        Told told = new Told("", 8, before.told().state(), List.of(named(elsewhere, next.id())), false, List.of());

        Standing after = new Replanning(Optional.of(told), List.of()).of(agenda(brook()), 8, NOW);

        assertThat(after.told().visits())
                .extracting(BookedVisit::id)
                .doesNotHaveDuplicates()
                .contains(next.id());
    }

    @Test
    void what_is_left_out_is_not_planned_that_day_and_comes_an_interval_later() {
        Standing before = first(brook());
        ChainId change = chain(before, "water change");
        List<LocalDate> told = days(before, "water change");

        Standing after = again(before, agenda(brook()), new Decided(1, change, told.get(0), How.SKIPPED));

        assertThat(after.visits())
                .filteredOn(visit -> visit.on().equals(told.get(0)))
                .flatExtracting(Standing.Visit::tasks)
                .noneMatch(task -> task.chain().equals(change));
        assertThat(days(after, "water change")).contains(told.get(1));
    }

    @Test
    void what_was_left_out_on_a_day_gone_by_counts_as_done_then() {
        ChainId change = chain(first(brook()), "water change");
        LocalDate gone = TODAY.minusDays(1);

        Standing after = new Replanning(Optional.empty(), List.of(new Decided(1, change, gone, How.SKIPPED)))
                .of(agenda(brook()), 8, NOW);

        assertThat(days(after, "water change").get(0)).isAfter(gone.plusDays(4));
    }

    @Test
    void more_weeks_are_planned_when_they_are_asked_for_and_stay_planned() {
        Standing eight = first(brook());
        Standing twelve = new Replanning(Optional.of(eight.told()), List.of()).of(agenda(brook()), 12, NOW);

        assertThat(eight.instance().publishedDays()).isEqualTo(56);
        assertThat(twelve.instance().publishedDays()).isEqualTo(84);
        assertThat(again(twelve, agenda(brook())).instance().publishedDays()).isEqualTo(84);
    }

    @Test
    void a_vacuum_goes_with_the_water_change_and_a_blow_off_with_what_catches_it() {
        Agenda agenda = agenda(brook().chore(1, TankChore.SUBSTRATE_VACUUM, 14, TODAY.minusDays(20))
                .chore(1, TankChore.ROCK_BLOW_OFF, 7, TODAY.minusDays(5)));
        Map<String, Agenda.Work> byName = agenda.work().values().stream()
                .collect(Collectors.toMap(work -> work.subject().name(), Function.identity()));

        Agenda.Work vacuum = byName.get("Vacuum the substrate");

        assertThat(vacuum.chain().demand().with())
                .hasValue(byName.get("Water change").chain().id());
        assertThat(vacuum.chain().demand().spaced()).isTrue();
    }

    @Test
    void a_day_off_of_ones_own_weighs_before_one_for_all_and_the_later_word_before_the_earlier() {
        LocalDate wednesday = TODAY.plusDays(2);
        People people = new People(
                List.of(
                        new Person(1, "Ada", Hands.KEEPER, List.of(60, 60, 60, 60, 60, 60, 60)),
                        new Person(2, "Ben", Hands.ANYONE, List.of(30, 30, 30, 30, 30, 30, 30))),
                false,
                List.of(
                        days(1, Optional.empty(), wednesday, 0),
                        days(2, Optional.of(1L), wednesday, 20),
                        days(3, Optional.of(1L), wednesday, 45)),
                Set.of());

        assertThat(people.on(wednesday)).extracting(one -> one.minutes()).containsExactly(45, 0);
        assertThat(people.on(wednesday.plusDays(1)))
                .extracting(one -> one.minutes())
                .containsExactly(60, 30);
        assertThat(people.hours(TODAY, 3).days())
                .extracting(day -> day.keeper() + "/" + day.helpers())
                .containsExactly("60/30", "60/30", "45/0");
    }

    private static People.UnusualDays days(long id, Optional<Long> account, LocalDate on, int minutes) {
        return new People.UnusualDays(id, account, on, on, minutes, "");
    }

    @Test
    void a_visit_is_told_in_words_with_what_to_carry() {
        Standing.Visit visit = first(brook()).visits().get(0);

        assertThat(VisitWords.summary(visit)).startsWith("Brook: ").endsWith(visit.minutes() + " min");
        assertThat(VisitWords.description(visit)).startsWith("- ").contains(" min\n");
    }

    private static BookedVisit named(BookedVisit visit, UUID id) {
        return new BookedVisit(
                id,
                visit.tank(),
                visit.on(),
                visit.account(),
                visit.minutes(),
                visit.work(),
                visit.sequence(),
                visit.changedAt());
    }
}
