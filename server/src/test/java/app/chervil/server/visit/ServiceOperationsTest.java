package app.chervil.server.visit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.anyInt;
import static org.mockito.ArgumentMatchers.anyLong;
import static org.mockito.ArgumentMatchers.anySet;
import static org.mockito.ArgumentMatchers.argThat;
import static org.mockito.ArgumentMatchers.eq;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.never;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import app.chervil.core.filter.CareAction;
import app.chervil.core.filter.FilterKind;
import app.chervil.core.interval.Finding;
import app.chervil.core.interval.Forecast;
import app.chervil.core.interval.Forecast.Basis;
import app.chervil.core.interval.Window;
import app.chervil.core.site.Asked;
import app.chervil.core.site.Filter;
import app.chervil.core.site.FilterTask;
import app.chervil.core.site.TankBook;
import app.chervil.core.site.TaskForecast;
import app.chervil.core.water.Hold;
import app.chervil.core.water.Hold.Cause;
import app.chervil.core.water.Permission;
import app.chervil.server.account.Role;
import app.chervil.server.account.SignedIn;
import app.chervil.server.book.SiteBooks;
import app.chervil.server.filter.FilterOperations;
import app.chervil.server.problem.Conflict;
import app.chervil.server.problem.NotFound;
import app.chervil.server.problem.Rejected;
import app.chervil.server.tank.TankOperations;
import app.chervil.server.visit.SavedService.AnswerInput;
import app.chervil.server.visit.SavedService.Moved;
import app.chervil.server.visit.ServiceInput.Circumstances;
import app.chervil.server.visit.ServiceInput.Done;
import app.chervil.server.visit.ServiceInput.FlowInput;
import app.chervil.server.visit.ServiceInput.FlowReading;
import app.chervil.server.visit.ServiceInput.Part;
import app.chervil.server.visit.ServiceRows.AnswerRow;
import app.chervil.server.visit.ServiceRows.DoneRow;
import app.chervil.server.visit.ServiceRows.FlowRow;
import app.chervil.server.visit.ServiceRows.ServiceRow;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.transaction.support.TransactionOperations;

/** Canister 5 of tank 3 has the opening as task 81 and the rinse of its pre-filter as task 82. */
class ServiceOperationsTest {
    private static final SignedIn KEEPER = new SignedIn(1, 7, "Ada", Role.KEEPER);
    private static final LocalDate TODAY = LocalDate.of(2026, 6, 1);
    private static final Instant NOW = Instant.parse("2026-06-01T10:00:00Z");
    private static final Clock CLOCK = Clock.fixed(NOW, ZoneOffset.UTC);
    private static final UUID ID = new UUID(0, 1);
    private static final UUID OTHER = new UUID(0, 2);
    private static final Hold SPIKE =
            new Hold(Cause.AMMONIA, TODAY.minusDays(1), Optional.empty(), "Ammonia was 2 mg/L.", "Two clean readings.");

    private final ServiceMapper mapper = mock(ServiceMapper.class);
    private final TankOperations tanks = mock(TankOperations.class);
    private final FilterOperations filters = mock(FilterOperations.class);
    private final SiteBooks books = mock(SiteBooks.class);
    private final TankBook now = mock(TankBook.class);
    private final TankBook without = mock(TankBook.class);
    private final ApplicationEventPublisher events = mock(ApplicationEventPublisher.class);
    private final ServiceOperations services = new ServiceOperations(
            new WrittenServices(mapper, tanks, CLOCK),
            new ServiceQuestions(mapper, filters, CLOCK),
            books,
            TransactionOperations.withoutTransaction(),
            events);

    @BeforeEach
    void brook() {
        when(mapper.listTaskIds(7, 3)).thenReturn(List.of(81L, 82L));
        when(mapper.listFilterIds(7, 3)).thenReturn(List.of(5L));
        when(mapper.find(7, ID)).thenReturn(Optional.of(row(ID, "Ada")));
        when(mapper.find(7, OTHER)).thenReturn(Optional.of(row(OTHER, "Ben")));
        when(mapper.listDoneOf(eq(7L), any())).thenReturn(List.of(done(ID), done(OTHER)));
        when(mapper.insert(anyLong(), any(), any(), anyLong(), any())).thenReturn(1);
        when(mapper.update(anyLong(), any(), anyInt(), any())).thenReturn(1);
        when(books.tank(KEEPER, 3)).thenReturn(now);
        when(now.without(ID)).thenReturn(without);
        permitted();
    }

    @Test
    void what_was_done_found_flowed_and_used_is_kept() {
        Part pad = new Part("Fine pad", 1);
        services.save(
                KEEPER,
                ID,
                new ServiceInput(
                        3,
                        TODAY,
                        "Ada",
                        20,
                        "",
                        List.of(new Done(82, Finding.HEAVY)),
                        List.of(new FlowInput(5, new FlowReading(null, 2.0, 10.0), new FlowReading(900.0, null, null))),
                        new Circumstances(12, null, List.of(pad))));

        verify(mapper).insertDone(7, ID, new Done(82, Finding.HEAVY));
        // 2 L in 10 s are 720 L/h
        verify(mapper).insertFlow(7, new FlowRow(ID, 5, 720.0, 900.0));
        verify(mapper).insertPart(7, ID, pad);
    }

    @Test
    void a_flow_that_nobody_measured_is_not_kept_as_one() {
        services.save(KEEPER, ID, input(List.of(new Done(82, null)), List.of(new FlowInput(5, null, null)), null));

        verify(mapper, never()).insertFlow(anyLong(), any());
    }

    /** Dates worked out before a log are those that it moves; they are not worked out again as if it had not been. */
    @Test
    void what_it_moved_is_held_against_what_was_known_before() {
        TankBook before = mock(TankBook.class);
        permitted(before);
        when(books.tank(KEEPER, 3)).thenReturn(before, now);

        services.save(KEEPER, ID, rinsed());

        verify(before).forecasts();
        verify(now, never()).without(any());
    }

    @Test
    void sent_again_it_is_held_against_the_tank_without_it() {
        when(now.logs(ID)).thenReturn(true);

        services.save(KEEPER, ID, rinsed());

        verify(without).forecasts();
    }

    @Test
    void sent_twice_it_is_kept_once() {
        when(mapper.insert(anyLong(), any(), any(), anyLong(), any())).thenReturn(0);

        services.save(KEEPER, ID, rinsed());

        verify(mapper, never()).insertDone(anyLong(), any(), any());
    }

    @ParameterizedTest
    @CsvSource({"99, 5, task", "82, 6, filter"})
    void what_is_of_another_tank_is_not_found(long task, long filter, String what) {
        ServiceInput input = input(
                List.of(new Done(task, null)),
                List.of(new FlowInput(filter, new FlowReading(900.0, null, null), null)),
                null);

        assertThatThrownBy(() -> services.save(KEEPER, ID, input))
                .isInstanceOf(NotFound.class)
                .hasMessageContaining(what);
        nothingKept();
    }

    @Test
    void the_same_task_twice_and_a_catch_without_its_seconds_are_told_together() {
        ServiceInput input = input(
                List.of(new Done(82, null), new Done(82, Finding.CLEAN)),
                List.of(new FlowInput(5, new FlowReading(null, 2.0, null), new FlowReading(null, null, 10.0))),
                null);

        assertThatThrownBy(() -> services.save(KEEPER, ID, input))
                .isInstanceOfSatisfying(Rejected.class, refused -> assertThat(refused.violations())
                        .extracting(Rejected.Violation::field)
                        .containsExactly("tasks", "flows[0].before.seconds", "flows[0].after.litres"));
        nothingKept();
    }

    @Test
    void work_on_hold_is_refused_in_the_holds_own_words() {
        permitted(SPIKE);

        assertThatThrownBy(() -> services.save(KEEPER, ID, rinsed()))
                .hasMessage("This work is on hold. Ammonia was 2 mg/L. Write why it was done anyway.");
        nothingKept();
    }

    @ParameterizedTest
    @CsvSource({"It leaked., ", ", true"})
    void with_a_reason_or_where_nothing_was_cleaned_it_is_kept(@Nullable String reason, @Nullable Boolean again) {
        permitted(SPIKE);

        services.save(
                KEEPER,
                ID,
                input(List.of(new Done(81, null)), List.of(), new Circumstances(null, reason, List.of(), again)));

        verify(mapper).insertDone(7, ID, new Done(81, null));
    }

    @Test
    void it_tells_which_dates_moved_those_of_the_work_first_and_no_others() {
        List<TaskForecast> before = List.of(forecast(81, 40), forecast(82, 5));
        List<TaskForecast> after = List.of(forecast(81, 55), forecast(82, 14), forecast(83, 9));
        when(books.tank(KEEPER, 3)).thenReturn(without, now);
        permitted(without);
        when(without.forecasts()).thenReturn(before);
        when(now.forecasts()).thenReturn(after);

        assertThat(services.save(KEEPER, ID, rinsed()).moved())
                .extracting(Moved::taskId)
                .containsExactly(82L, 81L);
    }

    @Test
    void a_correction_keeps_what_it_said_before() {
        services.correct(KEEPER, ID, 1, rinsed());

        verify(mapper).insertCorrection(eq(7L), argThat(was -> was.id().equals(ID)), eq("Ada"), eq(NOW));
        verify(mapper).deleteDone(7, ID);
        verify(mapper).deleteFlows(7, ID);
        verify(mapper).deleteParts(7, ID);
        verify(mapper).insertDone(7, ID, new Done(82, Finding.HEAVY));
    }

    @Test
    void a_correction_of_what_somebody_corrected_meanwhile_changes_nothing() {
        when(mapper.update(anyLong(), any(), anyInt(), any())).thenReturn(0);

        assertThatThrownBy(() -> services.correct(KEEPER, ID, 1, rinsed())).isInstanceOf(Conflict.class);
        verify(mapper, never()).deleteDone(anyLong(), any());
    }

    @Test
    void a_service_stays_with_its_tank() {
        ServiceInput elsewhere =
                new ServiceInput(4, TODAY, "Ada", null, "", List.of(new Done(82, null)), List.of(), Circumstances.NONE);

        assertThatThrownBy(() -> services.correct(KEEPER, ID, 1, elsewhere))
                .hasMessage("A service stays with its tank.");
    }

    @Test
    void the_same_work_by_another_hand_is_a_twin_and_can_be_made_one() {
        when(mapper.listFound(eq(7L), any())).thenReturn(List.of(row(ID, "Ada"), row(OTHER, "Ben")));
        when(mapper.delete(7, OTHER, NOW)).thenReturn(1);

        assertThat(services.save(KEEPER, ID, rinsed()).twins())
                .extracting(ServiceView::id)
                .containsExactly(OTHER);
        services.merge(KEEPER, ID, OTHER);

        verify(mapper).delete(7, OTHER, NOW);
        verify(mapper).insertCorrection(eq(7L), argThat(was -> was.id().equals(ID)), eq("Ada"), eq(NOW));
    }

    @Test
    void the_same_hand_is_no_twin_and_what_is_no_twin_is_not_merged() {
        when(mapper.listFound(eq(7L), any())).thenReturn(List.of(row(ID, "Ada"), row(OTHER, "Ada")));

        assertThat(services.save(KEEPER, ID, rinsed()).twins()).isEmpty();
        assertThatThrownBy(() -> services.merge(KEEPER, ID, OTHER)).hasMessage("These two did not log the same work.");
        verify(mapper, never()).delete(anyLong(), any(), any());
    }

    @Test
    void an_answer_is_kept_and_moves_the_day_of_the_last_cleaning() {
        services.answer(KEEPER, ID, new AnswerInput(5L, Asked.START, "DAYS_90"));

        verify(mapper).saveAnswer(7, new AnswerRow(ID, 5, Asked.START, "DAYS_90"), NOW);
        verify(filters).setCleaned(KEEPER, 5, TODAY.minusDays(90), app.chervil.core.interval.Start.Sureness.ABOUT);
    }

    @Test
    void that_nobody_knows_is_an_answer_too() {
        services.answer(KEEPER, ID, new AnswerInput(5L, Asked.START, "UNKNOWN"));

        verify(mapper).saveAnswer(7, new AnswerRow(ID, 5, Asked.START, "UNKNOWN"), NOW);
        verify(filters, never()).setCleaned(any(), anyLong(), any(), any());
    }

    @ParameterizedTest
    @CsvSource({"START, SURE", "START, DAYS_91", "FLOW_DOUBTED, DAYS_90", "LONG_GAP, FULL_AGAIN"})
    void an_answer_to_another_question_is_none(Asked asked, String answer) {
        assertThatThrownBy(() -> services.answer(KEEPER, ID, new AnswerInput(5L, asked, answer)))
                .hasMessage("Choose one of the answers.");
        verify(mapper, never()).saveAnswer(anyLong(), any(), any());
    }

    @Test
    void nothing_is_answered_about_a_filter_that_was_not_served() {
        assertThatThrownBy(() -> services.answer(KEEPER, ID, new AnswerInput(6L, Asked.START, "UNKNOWN")))
                .isInstanceOf(NotFound.class);
    }

    @Test
    void what_was_withdrawn_can_be_put_back_and_what_is_not_there_cannot() {
        when(mapper.restore(7, ID)).thenReturn(1);

        assertThat(services.restore(KEEPER, ID).id()).isEqualTo(ID);
        assertThatThrownBy(() -> services.restore(KEEPER, OTHER)).isInstanceOf(NotFound.class);
        assertThatThrownBy(() -> services.withdraw(KEEPER, OTHER)).isInstanceOf(NotFound.class);
    }

    private void permitted(Hold... holds) {
        permitted(now, holds);
    }

    private static void permitted(TankBook book, Hold... holds) {
        when(book.permission(anySet(), anyInt(), any(), any()))
                .thenReturn(new Permission(2, List.of(holds), Optional.empty()));
    }

    private void nothingKept() {
        verify(mapper, never()).insert(anyLong(), any(), any(), anyLong(), any());
        verify(mapper, never()).insertDone(anyLong(), any(), any());
    }

    private static ServiceInput rinsed() {
        return input(List.of(new Done(82, Finding.HEAVY)), List.of(), null);
    }

    private static ServiceInput input(List<Done> done, List<FlowInput> flows, @Nullable Circumstances known) {
        return new ServiceInput(3, TODAY, "Ada", null, "", done, flows, known);
    }

    private static ServiceRow row(UUID id, String by) {
        return new ServiceRow(id, 1, 3, TODAY, by, null, null, "", null, null, false);
    }

    private static DoneRow done(UUID service) {
        return new DoneRow(service, 82, CareAction.RINSE, 5, "Weir", FilterKind.CANISTER, null, null, Finding.HEAVY);
    }

    private static TaskForecast forecast(long id, int days) {
        LocalDate ideal = TODAY.plusDays(days);
        FilterTask task = mock(FilterTask.class);
        when(task.id()).thenReturn(id);
        when(task.name()).thenReturn("Task");
        return new TaskForecast(
                mock(Filter.class),
                task,
                new Forecast(TODAY, new Window(ideal, ideal, ideal), Basis.LEARNED, Optional.empty(), List.of()),
                false);
    }
}
