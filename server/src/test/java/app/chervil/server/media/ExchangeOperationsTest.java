package app.chervil.server.media;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.anyLong;
import static org.mockito.ArgumentMatchers.eq;
import static org.mockito.Mockito.RETURNS_DEEP_STUBS;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.never;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.verifyNoInteractions;
import static org.mockito.Mockito.when;

import app.chervil.core.filter.Endurance;
import app.chervil.core.filter.Stage;
import app.chervil.core.filter.StageKind;
import app.chervil.core.site.Filter;
import app.chervil.core.site.FilterStage;
import app.chervil.core.site.Tank;
import app.chervil.core.tank.TankChore;
import app.chervil.server.account.Role;
import app.chervil.server.account.SignedIn;
import app.chervil.server.chore.ChoreOperations;
import app.chervil.server.filter.FilterOperations;
import app.chervil.server.media.ExchangeMapper.ExchangeRow;
import app.chervil.server.problem.Rejected;
import app.chervil.server.tank.TankOperations;
import app.chervil.server.water.MediaOperations;
import app.chervil.server.water.MediaPutBack;
import app.chervil.server.water.MediaReplaced;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** 900 g of the 1,500 g in stage 11 of tank 3, in three portions from the first of June on. */
class ExchangeOperationsTest {
    private static final SignedIn KEEPER = new SignedIn(1, 7, "Ada", Role.KEEPER);
    private static final LocalDate JUNE = LocalDate.of(2026, 6, 1);
    private static final UUID ID = new UUID(0, 1);
    private static final UUID REPLACEMENT = new UUID(0, 2);

    private final ExchangeMapper mapper = mock();
    private final TankOperations tanks = mock();
    private final FilterOperations filters = mock();
    private final MediaOperations replacements = mock();
    private final ChoreOperations chores = mock();
    private final Aftermaths aftermath = mock();
    private final ExchangeOperations exchanges = new ExchangeOperations(
            mapper,
            tanks,
            new WeighedExchanges(tanks, filters, replacements, aftermath),
            chores,
            Clock.fixed(Instant.parse("2026-06-01T10:00:00Z"), ZoneOffset.UTC));

    @BeforeEach
    void tank() {
        Tank brook = mock(Tank.class, RETURNS_DEEP_STUBS);
        when(brook.establishedOn()).thenReturn(JUNE.minusYears(4));
        when(tanks.find(KEEPER, 3)).thenReturn(brook);
        when(tanks.findInUse(KEEPER, 3)).thenReturn(Optional.of(brook));
        when(tanks.today()).thenReturn(JUNE);
        Filter weir = mock(Filter.class);
        when(weir.name()).thenReturn("Weir");
        when(weir.stages()).thenReturn(List.of(stage()));
        when(filters.list(KEEPER, 3L)).thenReturn(List.of(weir));
        when(mapper.insert(eq(7L), any())).thenReturn(1);
    }

    private static FilterStage stage() {
        return new FilterStage(
                11,
                Stage.washable(StageKind.BIO_MEDIA),
                "",
                1,
                OptionalDouble.of(1500),
                false,
                Optional.empty(),
                "",
                Endurance.UNKNOWN);
    }

    private static ExchangeRow row(LocalDate endedOn) {
        return new ExchangeRow(ID, 3, 11, 900, 1500, 3, JUNE, JUNE, null, null, endedOn, "Ada");
    }

    private void there(ExchangeRow... rows) {
        when(mapper.list(7, 3L)).thenReturn(List.of(rows));
        when(mapper.list(7, null)).thenReturn(List.of(rows));
    }

    private void gone(double grams) {
        when(replacements.gone(KEEPER, 3, 11, JUNE)).thenReturn(grams);
    }

    @Test
    void the_first_portion_is_due_on_its_day() {
        there();
        exchanges.begin(KEEPER, 3, ID, new ExchangeInput(11L, 900.0, 3, JUNE.plusDays(5), null, null));

        verify(chores).appoint(KEEPER, 3, TankChore.MEDIA_PORTION, Optional.of(JUNE.plusDays(5 - 28)));
    }

    @Test
    void sent_again_it_begins_once_and_something_else_under_its_id_is_refused() {
        there(row(null));

        assertThat(exchanges
                        .begin(KEEPER, 3, ID, new ExchangeInput(11L, 900.0, 3, JUNE, null, null))
                        .portions())
                .hasSize(3);
        assertThatThrownBy(() ->
                        exchanges.begin(KEEPER, 3, ID, new ExchangeInput(11L, 900.0, 3, JUNE.plusDays(1), null, null)))
                .isInstanceOf(Rejected.class);
        verify(mapper, never()).insert(anyLong(), any());
        verifyNoInteractions(chores);
    }

    @Test
    void a_portion_counts_and_the_last_ends_it() {
        there(row(null));
        gone(600);
        exchanges.count(new MediaReplaced(KEEPER, 3, 11, REPLACEMENT, JUNE));
        verify(chores).recordAppointed(KEEPER, 3, TankChore.MEDIA_PORTION, REPLACEMENT, JUNE);
        verify(mapper, never()).updateEnded(anyLong(), any(), any());

        gone(895);
        exchanges.count(new MediaReplaced(KEEPER, 3, 11, REPLACEMENT, JUNE.plusDays(56)));
        verify(mapper).updateEnded(7, ID, JUNE.plusDays(56));
        verify(chores).appoint(KEEPER, 3, TankChore.MEDIA_PORTION, Optional.empty());
    }

    @Test
    void other_media_and_what_went_before_it_began_do_not_count() {
        there(row(null));
        exchanges.count(new MediaReplaced(KEEPER, 3, 12, REPLACEMENT, JUNE));
        exchanges.count(new MediaReplaced(KEEPER, 3, 11, REPLACEMENT, JUNE.minusDays(1)));

        verifyNoInteractions(chores);
    }

    @Test
    void what_was_put_back_makes_its_portion_due_again() {
        there(row(JUNE));
        gone(600);
        exchanges.uncount(new MediaPutBack(KEEPER, REPLACEMENT));

        verify(chores).withdrawAppointed(KEEPER, REPLACEMENT);
        verify(mapper).updateEnded(7, ID, null);
        verify(chores)
                .appoint(
                        KEEPER,
                        3,
                        TankChore.MEDIA_PORTION,
                        Optional.of(JUNE.plusDays(56).minusDays(28)));
    }

    @Test
    void an_exchange_that_still_has_all_it_asked_for_stays_ended() {
        there(row(JUNE));
        gone(900);
        exchanges.uncount(new MediaPutBack(KEEPER, REPLACEMENT));

        verify(mapper, never()).updateEnded(anyLong(), any(), any());
    }

    @Test
    void its_verdict_comes_eight_weeks_after_the_last_portion_and_not_before() {
        when(aftermath.verdict(KEEPER, 3, JUNE, JUNE.minusDays(56))).thenReturn("No harm.");
        there(row(JUNE.minusDays(55)));
        assertThat(exchanges.list(KEEPER, 3).get(0).verdict()).isNull();

        there(row(JUNE.minusDays(56)));
        assertThat(exchanges.list(KEEPER, 3).get(0).verdict()).isEqualTo("No harm.");
    }

    @Test
    void stopped_it_stays_on_record_only_if_something_went() {
        there(row(null));
        gone(300);
        exchanges.stop(KEEPER, ID);
        verify(mapper).updateEnded(7, ID, JUNE);

        gone(0);
        exchanges.stop(KEEPER, ID);
        verify(mapper).delete(eq(7L), eq(ID), any());
    }
}
