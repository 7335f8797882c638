package app.chervil.core.notebook;

import static org.assertj.core.api.Assertions.assertThat;

import app.chervil.core.calc.Unit;
import app.chervil.core.interval.Finding;
import app.chervil.core.notebook.History.Limits;
import app.chervil.core.notebook.Notebook.Row;
import app.chervil.core.site.Filter;
import app.chervil.core.site.FilterTask;
import app.chervil.core.site.SampleSite;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Random;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** A canister Weir with pre-filter, coarse foam, fine pad and bio media, and tables as somebody may have kept them. */
class HistoryTest {
    private static final Filter WEIR = SampleSite.today()
            .tank(1, "Brook", "", LocalDate.of(2023, 1, 1))
            .book(1)
            .records()
            .filters()
            .get(0);
    private static final long OPENING = task("Open canister Weir");
    private static final long PREFILTER = task("Rinse the pre-filter");
    private static final long FOAM = task("Rinse the coarse foam");
    private static final long PAD = task("Replace the fine pad");

    private static final Limits LIMITS = new Limits(
            LocalDate.of(2020, 1, 1),
            SampleSite.TODAY,
            WEIR.tasks().stream().filter(FilterTask::graded).map(FilterTask::id).collect(Collectors.toSet()));

    private static long task(String name) {
        return WEIR.tasks().stream()
                .filter(task -> task.name().equals(name))
                .findFirst()
                .orElseThrow(() -> new AssertionError(name + " is none of "
                        + WEIR.tasks().stream().map(FilterTask::name).toList()))
                .id();
    }

    private static Notebook table(String text) {
        List<List<String>> lines = text.lines()
                .map(line -> List.of(line.split("\\|", -1)).stream()
                        .map(String::strip)
                        .toList())
                .toList();
        List<Row> rows = new ArrayList<>();
        for (int i = 1; i < lines.size(); i++) {
            rows.add(new Row(i + 1L, lines.get(i)));
        }
        return new Notebook(lines.get(0), rows);
    }

    private static History read(String text) {
        Notebook notebook = table(text);
        return History.of(
                notebook, new Guess(List.of(WEIR)).of(notebook, DayOrder.MONTH_FIRST, Unit.US_GALLONS_AN_HOUR), LIMITS);
    }

    private static PastDay only(String text) {
        History history = read(text);
        assertThat(history.faults()).isEmpty();
        assertThat(history.days()).hasSize(1);
        return history.days().get(0);
    }

    @Test
    void a_row_becomes_a_service() {
        PastDay day = only("""
                Date    | What I did            | Condition | Who | Time (min) | Comments
                3/12/23 | rinsed intake sponge  | very dirty| Jo  | 25 min     | new snail""");

        assertThat(day.day()).isEqualTo(LocalDate.of(2023, 3, 12));
        assertThat(day.done()).isEqualTo(Map.of(PREFILTER, Optional.of(Finding.HEAVY)));
        assertThat(day.by()).isEqualTo("Jo");
        assertThat(day.minutes()).isEqualTo(OptionalInt.of(25));
        assertThat(day.note()).isEqualTo("new snail");
        assertThat(day.lines()).containsExactly(2L);
    }

    @Test
    void one_cell_tells_of_several_things_each_with_its_finding() {
        PastDay day = only("""
                Date    | Work
                3/12/23 | Opened canister, rinsed coarse foam - filthy; prefilter ok + fed less""");

        assertThat(day.done())
                .isEqualTo(Map.of(
                        OPENING,
                        Optional.empty(),
                        FOAM,
                        Optional.of(Finding.CLOGGED),
                        PREFILTER,
                        Optional.of(Finding.LIGHT)));
        assertThat(day.note()).isEqualTo("fed less");
    }

    @Test
    void rows_of_a_day_are_one_service_and_of_two_grades_the_fuller_counts() {
        PastDay day = only("""
                Date    | Work          | Found
                3/12/23 | prefilter     | light
                        | prefilter     | heavy
                3/12/23 | changed pad   |""");

        assertThat(day.done())
                .containsEntry(PREFILTER, Optional.of(Finding.HEAVY))
                .containsKey(PAD);
        assertThat(day.lines()).containsExactly(2L, 3L, 4L);
    }

    @Test
    void a_column_of_its_own_says_by_a_mark_or_a_grade_that_a_task_was_done() {
        History history = read("""
                Date     | Prefilter | New pad  | Notes
                3/5/23   | x         |          |
                3/12/23  | clogged   | x        |
                3/19/23  | no        |          | fed frozen food
                3/26/23  |           |          |""");

        assertThat(history.days()).hasSize(3);
        assertThat(history.days().get(0).done()).isEqualTo(Map.of(PREFILTER, Optional.empty()));
        assertThat(history.days().get(1).done())
                .containsEntry(PREFILTER, Optional.of(Finding.CLOGGED))
                .containsKey(PAD);
        assertThat(history.days().get(2).done()).isEmpty();
        assertThat(history.days().get(2).note()).isEqualTo("fed frozen food");
    }

    @Test
    void a_column_is_known_by_its_cells_where_its_heading_says_nothing() {
        PastDay day = only("""
                Logged  | What      | How bad? | time   | flow after
                3/12/23 | prefilter | filthy   | 0:20   | 105 gph
                3/12/23 | new pad   | dirty    | 15 min | 106""");

        assertThat(day.done().get(PREFILTER)).contains(Finding.CLOGGED);
        assertThat(day.minutes()).isEqualTo(OptionalInt.of(35));
        assertThat(day.note()).isEmpty();
        // One cell says gallons; so do those that say nothing.
        assertThat(day.flows().get(WEIR.id()).after().orElseThrow().litresPerHour())
                .isCloseTo(401.3, org.assertj.core.data.Offset.offset(0.1));
    }

    @ParameterizedTest
    @CsvSource({"full clean of canister Weir", "new fine pad", "canister deep clean"})
    void words_of_the_work_itself_say_nothing_of_dirt(String phrase) {
        assertThat(only("Date|Work\n3/12/23|" + phrase).done().values()).containsOnly(Optional.empty());
    }

    @ParameterizedTest
    @CsvSource({
        "clean, CLEAN",
        "ok, LIGHT",
        "slightly brown, LIGHT",
        "a bit dirty, LIGHT",
        "not too bad, LIGHT",
        "so-so, MODERATE",
        "pretty gunky, HEAVY",
        "dirty and clogged, CLOGGED"
    })
    void how_dirty_it_was_is_read_from_everyday_words(String words, Finding found) {
        assertThat(only("Date|Work|Condition\n3/12/23|prefilter|" + words)
                        .done()
                        .get(PREFILTER))
                .contains(found);
    }

    @Test
    void what_sits_on_the_intake_is_the_pre_filter_alone() {
        assertThat(only("Date|Work\n3/12/23|sponge on intake squeezed out").done())
                .containsOnlyKeys(PREFILTER);
    }

    @ParameterizedTest
    @CsvSource({
        "skipped the prefilter",
        "need to rinse prefilter",
        "did not open canister",
        "ordered fine pad",
        "sponge next time"
    })
    void work_that_was_thought_of_is_not_work_done(String phrase) {
        PastDay day = only("Date|Work\n3/12/23|" + phrase);

        assertThat(day.done()).isEmpty();
        assertThat(day.note()).isEqualTo(phrase);
    }

    @ParameterizedTest
    @CsvSource({"105, 397.5", "105 gph, 397.5", "105 gal/h, 397.5", "400 l/h, 400", "~400 lph, 400", "'105,5', 399.4"})
    void flows_are_in_the_unit_that_they_name_or_else_in_that_of_the_table(String written, double litresAnHour) {
        PastDay day = only("Date|Flow after\n3/12/23|" + written);

        assertThat(day.flows().get(WEIR.id()).after().orElseThrow().litresPerHour())
                .isCloseTo(litresAnHour, org.assertj.core.data.Offset.offset(0.1));
    }

    @ParameterizedTest
    @CsvSource({
        "25, 25",
        "25 min, 25",
        "1:10, 70",
        "1 h 10, 70",
        "1.5 hrs, 90",
        "2 hours, 120",
        "about 20, 20",
        "1/2 h, 30"
    })
    void minutes_are_read_as_people_write_them(String written, int minutes) {
        assertThat(only("Date|Work|Minutes\n3/12/23|prefilter|" + written).minutes())
                .isEqualTo(OptionalInt.of(minutes));
    }

    @Test
    void rows_that_cannot_be_true_stay_out_by_name_and_odd_cells_are_told() {
        History history = read("""
                Date     | Work      | Minutes
                3/12/23  | prefilter | ages
                13/40/23 | prefilter | 5
                4/1/31   | prefilter | 5
                4/1/2019 | prefilter | 5
                4/2/23   | prefilter | 5""");

        assertThat(history.days())
                .extracting(PastDay::day)
                .containsExactly(LocalDate.of(2023, 3, 12), LocalDate.of(2023, 4, 2));
        assertThat(history.earlier()).contains(LocalDate.of(2019, 4, 1));
        assertThat(history.faults())
                .extracting(one -> one.line() + " " + one.message())
                .containsExactly(
                        "3 “13/40/23” is no day.",
                        "4 “4/1/31” has not come yet.",
                        "5 “4/1/2019” is before the tank was set up.");
        assertThat(history.doubts())
                .extracting(one -> one.line() + " " + one.column() + " " + one.message())
                .containsExactly("2 Minutes “ages” is no number of minutes.");
    }

    @Test
    void a_row_below_a_day_that_is_at_fault_is_not_put_on_an_earlier_one() {
        History history = read("""
                Date     | Work
                3/12/23  | prefilter
                nonsense | changed pad
                         | coarse foam""");

        assertThat(history.days()).hasSize(1);
        assertThat(history.faults()).hasSize(2);
    }

    @Test
    void what_is_logged_already_is_not_told_again() {
        History history = read("""
                Date     | Work
                3/12/23  | prefilter + new pad
                3/19/23  | prefilter""");
        LocalDate first = LocalDate.of(2023, 3, 12);

        List<PastDay> fresh = history.without(Map.of(first, Set.of(PREFILTER)));
        assertThat(fresh).hasSize(2);
        assertThat(fresh.get(0).done()).containsOnlyKeys(PAD);
        assertThat(history.without(Map.of(first, Set.of(PREFILTER, PAD)))).hasSize(1);
    }

    @Test
    void whatever_is_written_days_are_ordered_within_limits_and_hold_known_tasks_alone() {
        Random random = new Random(5);
        String[] days = {"3/12/23", "12 Mar 24", "", "x", "45000", "1/1/1", "99/99/99", "2024-02-30", "5/6/2040"};
        String[] works = {"prefilter", "opened canister, filthy", "pad + pad", "no", ",,;", "=1+1", "water change 20%"};
        String[] rest = {"", "x", "-5", "1e9", "∞", "12:99", "clogged", "a".repeat(3000)};
        Set<Long> known = WEIR.tasks().stream().map(FilterTask::id).collect(Collectors.toSet());
        for (int i = 0; i < 500; i++) {
            StringBuilder text = new StringBuilder("Date|Work|Condition|Minutes|Flow|Notes|Who");
            for (int row = random.nextInt(8); row >= 0; row--) {
                text.append('\n').append(days[random.nextInt(days.length)]).append('|');
                text.append(works[random.nextInt(works.length)]);
                for (int cell = 0; cell < 5; cell++) {
                    text.append('|').append(rest[random.nextInt(rest.length)]);
                }
            }
            History history = read(text.toString());
            assertThat(history.days()).extracting(PastDay::day).isSorted().doesNotHaveDuplicates();
            assertThat(history.days()).allSatisfy(day -> {
                assertThat(day.day()).isBetween(LIMITS.first(), LIMITS.today());
                assertThat(known).containsAll(day.done().keySet());
                assertThat(day.note().length()).isLessThanOrEqualTo(2000);
                assertThat(day.by().length()).isLessThanOrEqualTo(60);
                day.minutes().ifPresent(minutes -> assertThat(minutes).isBetween(1, 1440));
            });
        }
    }
}
