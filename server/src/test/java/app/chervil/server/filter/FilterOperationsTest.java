package app.chervil.server.filter;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.anyInt;
import static org.mockito.ArgumentMatchers.anyLong;
import static org.mockito.ArgumentMatchers.eq;
import static org.mockito.ArgumentMatchers.isNull;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.never;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import app.chervil.core.filter.CareAction;
import app.chervil.core.filter.FilterKind;
import app.chervil.core.filter.FlowDirection;
import app.chervil.core.filter.Stage.Make;
import app.chervil.core.filter.StageKind;
import app.chervil.core.interval.Start.Sureness;
import app.chervil.core.site.Tank;
import app.chervil.core.site.TaskMode;
import app.chervil.core.tank.ContextChange;
import app.chervil.core.tank.ContextChange.Kind;
import app.chervil.core.tank.RinseWater;
import app.chervil.core.tank.Schools;
import app.chervil.core.tank.Thoroughness;
import app.chervil.server.account.AccountOperations;
import app.chervil.server.account.Role;
import app.chervil.server.account.SignedIn;
import app.chervil.server.filter.FilterInput.Rating;
import app.chervil.server.filter.FilterInput.StageInput;
import app.chervil.server.problem.Conflict;
import app.chervil.server.problem.NotFound;
import app.chervil.server.problem.Rejected;
import app.chervil.server.tank.TankOperations;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.mockito.Mockito;

/** Canister 5 of tank 3 with coarse foam as stage 51 and bio media as stage 52. */
class FilterOperationsTest {
    private static final SignedIn KEEPER = new SignedIn(1, 7, "Ada", Role.KEEPER);
    private static final SignedIn HELPER = new SignedIn(2, 7, "Ben", Role.HELPER);
    private static final LocalDate TODAY = LocalDate.of(2026, 6, 1);
    private static final Rating RATED = new Rating(900.0, null, null, null);

    private final FilterMapper filters = mock(FilterMapper.class);
    private final TaskMapper tasks = mock(TaskMapper.class);
    private final TankOperations tanks = mock(TankOperations.class);
    private final AccountOperations accounts = mock(AccountOperations.class);
    private final FilterOperations operations = new FilterOperations(filters, tasks, tanks, accounts);
    private final List<StageRow> stages =
            new ArrayList<>(List.of(stage(51, StageKind.COARSE_FOAM), stage(52, StageKind.BIO_MEDIA)));

    @BeforeEach
    void weir() {
        Tank tank = mock(Tank.class, Mockito.RETURNS_DEEP_STUBS);
        when(tank.id()).thenReturn(3L);
        when(tank.practice()).thenReturn(new Tank.Practice(Schools.DEFAULT, RinseWater.TANK_WATER, Thoroughness.LIGHT));
        when(tanks.find(any(), eq(3L))).thenReturn(tank);
        when(tanks.list(KEEPER)).thenReturn(List.of(tank));
        when(tanks.list(HELPER)).thenReturn(List.of(tank));
        when(tanks.today()).thenReturn(TODAY);
        when(filters.find(7, 5)).thenReturn(Optional.of(row(null)));
        when(filters.find(7, 6)).thenReturn(Optional.empty());
        when(filters.list(eq(7L), any())).thenReturn(List.of(row(null)));
        when(filters.insert(anyLong(), anyLong(), any(), any())).thenReturn(5L);
        when(filters.update(anyLong(), anyLong(), anyInt(), any())).thenReturn(1);
    }

    @Test
    void a_new_filter_brings_the_care_of_its_kind_and_of_each_stage() {
        when(filters.list(7, 3L)).thenReturn(List.of()).thenReturn(List.of(row(null)));
        when(filters.insertStage(anyLong(), anyLong(), anyInt(), any(), any())).thenReturn(51L, 52L);

        operations.create(KEEPER, 3, filter(null, fresh(StageKind.COARSE_FOAM), fresh(StageKind.BIO_MEDIA)));

        Cleaned unknown = new Cleaned(TODAY, Sureness.UNKNOWN);
        verify(tasks).insert(7, 5, null, CareAction.OPEN, unknown);
        verify(tasks).insert(7, 5, 51L, CareAction.RINSE, unknown);
        verify(tasks).insert(7, 5, 51L, CareAction.REPLACE, unknown);
        verify(tasks).insert(7, 5, 52L, CareAction.DIP, unknown);
        verify(tanks, never()).recordChange(any(), anyLong(), anyLong(), any());
    }

    @Test
    void beside_another_filter_it_shares_the_load_from_the_day_it_was_fitted() {
        operations.create(KEEPER, 3, filter(TODAY.minusDays(30), fresh(StageKind.COARSE_FOAM)));

        verify(tanks).recordChange(KEEPER, 3, 5, new ContextChange(TODAY.minusDays(30), Kind.PARALLEL_FILTER, 1));
    }

    @Test
    void a_prefilter_put_on_or_taken_off_is_a_change_of_context() {
        operations.update(
                KEEPER,
                5,
                1,
                filter(null, kept(51, StageKind.COARSE_FOAM), kept(52, StageKind.BIO_MEDIA), sponge(null)));
        verify(tanks).recordChange(KEEPER, 3, 5, new ContextChange(TODAY, Kind.PREFILTER, 1));

        stages.add(stage(53, StageKind.PREFILTER_SPONGE));
        operations.update(KEEPER, 5, 1, filter(null, kept(51, StageKind.COARSE_FOAM), kept(52, StageKind.BIO_MEDIA)));
        verify(tanks).recordChange(KEEPER, 3, 5, new ContextChange(TODAY, Kind.PREFILTER, -1));
        verify(filters).deleteStage(7, 53, TODAY);
    }

    @Test
    void a_second_prefilter_changes_nothing_around_it() {
        stages.add(stage(53, StageKind.PREFILTER_SPONGE));

        operations.update(
                KEEPER,
                5,
                1,
                filter(
                        null,
                        kept(51, StageKind.COARSE_FOAM),
                        kept(52, StageKind.BIO_MEDIA),
                        sponge(53L),
                        sponge(null)));

        verify(tanks, never()).recordChange(any(), anyLong(), anyLong(), any());
    }

    @Test
    void stages_keep_their_history_by_their_id_and_take_their_new_place() {
        operations.update(KEEPER, 5, 1, filter(null, kept(52, StageKind.BIO_MEDIA), kept(51, StageKind.COARSE_FOAM)));

        verify(filters).updateStage(7, 5, 0, kept(52, StageKind.BIO_MEDIA));
        verify(filters).updateStage(7, 5, 1, kept(51, StageKind.COARSE_FOAM));
        verify(filters, never()).insertStage(anyLong(), anyLong(), anyInt(), any(), any());
        verify(filters, never()).deleteStage(anyLong(), anyLong(), any());
    }

    @ParameterizedTest
    @CsvSource({"99, COARSE_FOAM", "51, BIO_MEDIA"})
    void a_stage_of_another_filter_or_kind_is_refused_at_its_place(long id, StageKind kind) {
        assertThatThrownBy(() ->
                        operations.update(KEEPER, 5, 1, filter(null, kept(52, StageKind.BIO_MEDIA), kept(id, kind))))
                .isInstanceOfSatisfying(Rejected.class, refused -> assertThat(refused.violations())
                        .singleElement()
                        .satisfies(one -> assertThat(one.field()).isEqualTo("stages[1].id")));
        verify(filters, never()).update(anyLong(), anyLong(), anyInt(), any());
    }

    @Test
    void one_stage_cannot_stand_twice_in_a_path() {
        assertThatThrownBy(() -> operations.update(
                        KEEPER, 5, 1, filter(null, kept(51, StageKind.COARSE_FOAM), kept(51, StageKind.COARSE_FOAM))))
                .isInstanceOf(Rejected.class);
    }

    @Test
    void a_filter_keeps_its_kind() {
        FilterInput other = new FilterInput(
                "Weir", FilterKind.SUMP, null, RATED, null, null, List.of(kept(51, StageKind.COARSE_FOAM)));

        assertThatThrownBy(() -> operations.update(KEEPER, 5, 1, other))
                .hasMessage("A filter keeps its kind. Add a new one.");
    }

    @Test
    void who_comes_second_changes_no_stage() {
        when(filters.update(anyLong(), anyLong(), anyInt(), any())).thenReturn(0);

        assertThatThrownBy(() -> operations.update(
                        KEEPER, 5, 1, filter(null, kept(51, StageKind.COARSE_FOAM), kept(52, StageKind.BIO_MEDIA))))
                .isInstanceOf(Conflict.class);
        verify(filters, never()).updateStage(anyLong(), anyLong(), anyInt(), any());
    }

    @ParameterizedTest
    @CsvSource({
        "2026-03-01, EXACT, 2026-03-01, EXACT",
        "2026-03-01, ABOUT, 2026-03-01, ABOUT",
        ", UNKNOWN, 2026-06-01, UNKNOWN",
        "2026-03-01, UNKNOWN, 2026-06-01, UNKNOWN",
        ", EXACT, 2026-06-01, UNKNOWN"
    })
    void when_it_was_last_cleaned_is_as_sure_as_somebody_says(
            @Nullable LocalDate on, Sureness sure, LocalDate kept, Sureness keptSure) {
        operations.setCleaned(KEEPER, 5, on, sure);

        Cleaned before = new Cleaned(TODAY.minusDays(90), Sureness.EXACT);
        verify(filters).updateCleaned(7, 5, new Cleaned(kept, keptSure));
        verify(tasks).updateCleaned(7, 5, before, new Cleaned(kept, keptSure));
    }

    @Test
    void a_filter_taken_out_leaves_the_load_to_the_others_and_takes_that_back_when_it_returns() {
        operations.delete(KEEPER, 5);
        verify(tanks).recordChange(KEEPER, 3, 5, new ContextChange(TODAY, Kind.PARALLEL_FILTER, -1));

        when(filters.find(7, 5)).thenReturn(Optional.of(row(TODAY)));
        when(filters.restore(7, 5)).thenReturn(1);
        operations.restore(KEEPER, 5);
        verify(tanks).forgetChange(KEEPER, 5, new ContextChange(TODAY, Kind.PARALLEL_FILTER, -1));
    }

    @ParameterizedTest
    @CsvSource({"2026-05-01, false", "2026-05-02, true", ", false"})
    void it_returns_within_thirty_days(@Nullable LocalDate removed, boolean returns) {
        when(filters.find(7, 5)).thenReturn(Optional.of(row(removed)));
        when(filters.restore(7, 5)).thenReturn(1);

        if (returns) {
            assertThat(operations.restore(KEEPER, 5).id()).isEqualTo(5);
        } else {
            assertThatThrownBy(() -> operations.restore(KEEPER, 5)).isInstanceOf(NotFound.class);
        }
    }

    @Test
    void a_helper_takes_nothing_out() {
        assertThatThrownBy(() -> operations.delete(HELPER, 5)).hasMessage("Only a keeper may do this.");
        assertThatThrownBy(() -> operations.restore(HELPER, 5)).hasMessage("Only a keeper may do this.");
        verify(filters, never()).delete(anyLong(), anyLong(), any());
    }

    @ParameterizedTest
    @CsvSource({"FIXED, ", "LEARN, 30", "OFF, 30"})
    void days_belong_to_a_fixed_interval_and_only_to_one(TaskMode mode, @Nullable Integer days) {
        when(tasks.find(7, 81)).thenReturn(Optional.of(task()));

        assertThatThrownBy(() -> operations.setTask(KEEPER, 81, new TaskSettingInput(1, mode, days)))
                .hasMessage("Say every how many days.");
        verify(tasks, never()).update(anyLong(), anyLong(), any());
    }

    @Test
    void a_task_is_fixed_and_a_stale_hand_is_told() {
        when(tasks.find(7, 81)).thenReturn(Optional.of(task()));
        TaskSettingInput monthly = new TaskSettingInput(1, TaskMode.FIXED, 30);
        when(tasks.update(7, 81, monthly)).thenReturn(1, 0);

        assertThat(operations.setTask(KEEPER, 81, monthly).id()).isEqualTo(5);
        assertThatThrownBy(() -> operations.setTask(KEEPER, 81, monthly)).isInstanceOf(Conflict.class);
    }

    @Test
    void what_is_not_there_is_not_found() {
        assertThatThrownBy(() -> operations.find(KEEPER, 6)).isInstanceOf(NotFound.class);
        assertThatThrownBy(() -> operations.setCleaned(KEEPER, 6, null, Sureness.UNKNOWN))
                .isInstanceOf(NotFound.class);
        assertThatThrownBy(() -> operations.setTask(KEEPER, 99, new TaskSettingInput(1, TaskMode.OFF, null)))
                .isInstanceOf(NotFound.class);
        verify(filters, never()).updateCleaned(anyLong(), anyLong(), any());
        verify(tasks, never()).insert(anyLong(), anyLong(), isNull(), any(), any());
    }

    private static FilterInput filter(@Nullable LocalDate fittedOn, StageInput... stages) {
        return new FilterInput(
                "Weir", FilterKind.CANISTER, FlowDirection.BOTTOM_UP, RATED, fittedOn, null, List.of(stages));
    }

    private static StageInput fresh(StageKind kind) {
        return input(null, kind);
    }

    private static StageInput kept(long id, StageKind kind) {
        return input(id, kind);
    }

    private static StageInput sponge(@Nullable Long id) {
        return input(id, StageKind.PREFILTER_SPONGE);
    }

    private static StageInput input(@Nullable Long id, StageKind kind) {
        return new StageInput(id, kind, "", 1, null, Make.WASHABLE, false, null, null, null);
    }

    private static StageRow stage(long id, StageKind kind) {
        return new StageRow(
                id,
                5,
                (int) id,
                kind,
                "",
                1,
                null,
                Make.WASHABLE,
                false,
                null,
                TODAY,
                "",
                null,
                null,
                null,
                null,
                null);
    }

    private FilterRow row(@Nullable LocalDate removed) {
        return new FilterRow(
                5,
                3,
                "Weir",
                FilterKind.CANISTER,
                FlowDirection.BOTTOM_UP,
                900.0,
                null,
                null,
                null,
                null,
                1,
                removed,
                TODAY.minusDays(90),
                Sureness.EXACT,
                PassportInput.UNKNOWN,
                new FilterRow.Path(stages, null));
    }

    private static TaskRow task() {
        return new TaskRow(81, 5, null, CareAction.OPEN, TODAY, Sureness.EXACT, TaskMode.LEARN, null, 1);
    }
}
