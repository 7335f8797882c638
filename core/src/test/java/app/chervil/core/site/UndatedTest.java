package app.chervil.core.site;

import static app.chervil.core.site.SampleSite.TODAY;
import static org.assertj.core.api.Assertions.assertThat;

import app.chervil.core.interval.Finding;
import app.chervil.core.interval.Start;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.UUID;
import org.junit.jupiter.api.Test;

/** A canister of which nobody knew, when it was entered, how long it had been running. */
class UndatedTest {
    private static final TankBook SAMPLE =
            SampleSite.today().tank(1, "Brook bench", "", TODAY.minusDays(30)).book(1);
    private static final Filter WEIR = SAMPLE.records().filters().get(0);
    private static final Start NOBODY_KNOWS = Start.unknown(TODAY.minusDays(30));
    private static final PastService FIRST = service(1, TODAY.minusDays(20), rinsed(), Map.of());
    private static final PastService SECOND = service(2, TODAY.minusDays(10), rinsed(), Map.of());

    private static long rinsed() {
        return WEIR.tasks().get(0).id();
    }

    private static PastService service(int id, LocalDate on, long task, Map<Long, Map<Asked, String>> answers) {
        return new PastService(
                new UUID(0, id),
                1,
                on,
                Map.of(task, Optional.of(Finding.HEAVY)),
                Map.of(),
                OptionalInt.empty(),
                new PastService.Manner(false, Optional.empty(), answers));
    }

    private static PastService answered(long filter, Asked asked, String answer) {
        return service(3, TODAY.minusDays(5), rinsed(), Map.of(filter, Map.of(asked, answer)));
    }

    private static Optional<PastService> undated(Start cleaned, PastService... services) {
        Filter filter = new Filter(
                WEIR.id(),
                WEIR.tankId(),
                WEIR.version(),
                WEIR.name(),
                WEIR.passport(),
                WEIR.rating(),
                WEIR.fittedOn(),
                WEIR.stages(),
                WEIR.tasks(),
                cleaned);
        TankBook.Records was = SAMPLE.records();
        TankBook.Records records = new TankBook.Records(
                was.tank(),
                List.of(filter),
                was.changes(),
                List.of(services),
                was.looks(),
                was.pauses(),
                was.water(),
                was.aside(),
                was.chores(),
                was.waterChanged(),
                was.faults(),
                was.devices());
        return new TankBook(records, SAMPLE.shared()).filters().get(0).undated();
    }

    @Test
    void the_first_service_is_asked_about_and_no_later_one() {
        assertThat(undated(NOBODY_KNOWS, FIRST, SECOND)).contains(FIRST);
    }

    @Test
    void nothing_is_asked_before_the_first_nor_where_the_day_was_known() {
        assertThat(undated(NOBODY_KNOWS)).isEmpty();
        assertThat(undated(Start.exact(TODAY.minusDays(40)), FIRST)).isEmpty();
        assertThat(undated(Start.about(TODAY.minusDays(40), 0.5), FIRST)).isEmpty();
    }

    @Test
    void a_service_of_another_filter_is_not_its_first() {
        long elsewhere = WEIR.tasks().stream().mapToLong(FilterTask::id).max().orElseThrow() + 1;

        assertThat(undated(NOBODY_KNOWS, service(9, TODAY.minusDays(25), elsewhere, Map.of()), FIRST))
                .contains(FIRST);
    }

    @Test
    void an_answer_ends_it_even_that_nobody_knows() {
        assertThat(undated(NOBODY_KNOWS, FIRST, answered(WEIR.id(), Asked.START, "UNKNOWN")))
                .isEmpty();
    }

    @Test
    void an_answer_to_something_else_or_about_another_filter_does_not() {
        assertThat(undated(NOBODY_KNOWS, FIRST, answered(WEIR.id(), Asked.LONG_GAP, "YES")))
                .contains(FIRST);
        assertThat(undated(NOBODY_KNOWS, FIRST, answered(WEIR.id() + 1, Asked.START, "UNKNOWN")))
                .contains(FIRST);
    }
}
