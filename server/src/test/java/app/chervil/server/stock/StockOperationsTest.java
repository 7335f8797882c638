package app.chervil.server.stock;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.anyInt;
import static org.mockito.ArgumentMatchers.anyLong;
import static org.mockito.ArgumentMatchers.anyString;
import static org.mockito.ArgumentMatchers.eq;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.never;
import static org.mockito.Mockito.times;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import app.chervil.core.stock.Shelf.Kind;
import app.chervil.server.account.Role;
import app.chervil.server.account.SignedIn;
import app.chervil.server.problem.Conflict;
import app.chervil.server.problem.NotFound;
import app.chervil.server.problem.Rejected;
import app.chervil.server.stock.StockItemInput.Unit;
import app.chervil.server.stock.StockMapper.ItemRow;
import app.chervil.server.stock.StockMapper.MoveRow;
import app.chervil.server.stock.StockOperations.MoveInput;
import app.chervil.server.tank.TankOperations;
import java.math.BigDecimal;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.mockito.ArgumentCaptor;

/** Item 4 are fine pads, thrown away; item 5 are socks, washed; item 6 is conditioner by the millilitre, 30 each time. */
class StockOperationsTest {
    private static final SignedIn KEEPER = new SignedIn(1, 7, "Ada", Role.KEEPER);
    private static final SignedIn HELPER = new SignedIn(2, 7, "Ben", Role.HELPER);
    private static final LocalDate TODAY = LocalDate.of(2026, 6, 1);
    private static final Instant NOW = Instant.parse("2026-06-01T10:00:00Z");
    private static final UUID ID = new UUID(0, 1);

    private final StockMapper mapper = mock(StockMapper.class);
    private final TankOperations tanks = mock(TankOperations.class);
    private final StockOperations stock = new StockOperations(mapper, tanks, Clock.fixed(NOW, ZoneOffset.UTC));

    @BeforeEach
    void shelf() {
        when(tanks.today()).thenReturn(TODAY);
        when(mapper.find(7, 4)).thenReturn(Optional.of(item(4, "Fine pad", Unit.PIECE, false, 1, "0.80")));
        when(mapper.find(7, 5)).thenReturn(Optional.of(item(5, "Clean sock", Unit.PIECE, true, 1, null)));
        when(mapper.find(7, 6)).thenReturn(Optional.of(item(6, "Conditioner", Unit.MILLILITRE, false, 30, "0.05")));
        when(mapper.find(7, 9)).thenReturn(Optional.empty());
    }

    @ParameterizedTest
    @CsvSource({"4, BOUGHT, 10", "4, COUNTED, 0", "5, WASHED, 3", "6, COUNTED, 250.5"})
    void what_happened_is_kept_under_the_senders_id(long item, Kind kind, double amount) {
        stock.move(KEEPER, ID, new MoveInput(item, kind, amount, TODAY));

        verify(mapper).insertMove(7, new MoveRow(ID, item, kind, amount, TODAY, "Ada", NOW));
    }

    @ParameterizedTest
    @CsvSource({
        "4, BOUGHT, 0, amount, nothing-moved",
        "4, BOUGHT, -1, amount, out-of-range",
        "4, COUNTED, 1000001, amount, out-of-range",
        "4, COUNTED, NaN, amount, out-of-range",
        "4, USED, 1, kind, by-service",
        "4, WASHED, 1, kind, not-washed",
    })
    void what_cannot_have_happened_is_refused_at_its_field(
            long item, Kind kind, double amount, String field, String code) {
        assertThatThrownBy(() -> stock.move(KEEPER, ID, new MoveInput(item, kind, amount, TODAY)))
                .isInstanceOfSatisfying(Rejected.class, refused -> assertThat(refused.violations())
                        .anySatisfy(one -> {
                            assertThat(one.field()).isEqualTo(field);
                            assertThat(one.code()).isEqualTo(code);
                        }));
        verify(mapper, never()).insertMove(anyLong(), any());
    }

    @Test
    void a_name_stands_once_in_the_stores() {
        when(mapper.isNamed(7, "Fine pad", 0)).thenReturn(true);

        assertThatThrownBy(() -> stock.create(KEEPER, input("  Fine pad ", false, null)))
                .hasMessage("This is in the stores already.");
        verify(mapper, never()).insert(anyLong(), any());
    }

    @Test
    void only_what_is_washed_has_a_day_for_washing() {
        stock.create(KEEPER, input("Fine pad", false, 7));
        stock.create(KEEPER, input("Clean sock", true, 7));

        ArgumentCaptor<StockItemInput> kept = ArgumentCaptor.forClass(StockItemInput.class);
        verify(mapper, times(2)).insert(eq(7L), kept.capture());
        assertThat(kept.getAllValues())
                .extracting(StockItemInput::washEveryDays)
                .containsExactly(null, 7);
    }

    @Test
    void who_comes_second_is_shown_what_is_stored() {
        when(mapper.update(anyLong(), anyLong(), anyInt(), any())).thenReturn(0);

        assertThatThrownBy(() -> stock.update(KEEPER, 4, 1, input("Fine pad", false, null)))
                .isInstanceOf(Conflict.class)
                .hasMessageStartingWith("This item was changed meanwhile.");
    }

    @Test
    void what_is_not_there_is_not_found_and_only_the_keeper_takes_out() {
        assertThatThrownBy(() -> stock.move(KEEPER, ID, new MoveInput(9, Kind.BOUGHT, 1, TODAY)))
                .isInstanceOf(NotFound.class);
        assertThatThrownBy(() -> stock.withdraw(KEEPER, ID)).isInstanceOf(NotFound.class);
        assertThatThrownBy(() -> stock.remove(HELPER, 4)).hasMessage("Only a keeper may do this.");
        assertThatThrownBy(() -> stock.remove(KEEPER, 9)).isInstanceOf(NotFound.class);
        verify(mapper, never()).isNamed(anyLong(), anyString(), anyLong());
    }

    @Test
    void a_name_taken_meanwhile_keeps_a_thing_from_coming_back() {
        when(mapper.restore(7, 4)).thenReturn(0);

        assertThatThrownBy(() -> stock.restore(KEEPER, 4)).hasMessage("It is gone, or its name was taken meanwhile.");
    }

    static ItemRow item(long id, String name, Unit unit, boolean turned, double amountPerUse, @Nullable String price) {
        return new ItemRow(
                id,
                1,
                name,
                unit,
                turned,
                amountPerUse,
                2,
                5,
                turned ? 7 : null,
                price == null ? null : new BigDecimal(price),
                null);
    }

    private static StockItemInput input(String name, boolean turned, @Nullable Integer washEveryDays) {
        return new StockItemInput(name, Unit.PIECE, turned, 1, 2, 5, washEveryDays, null);
    }
}
