package app.chervil.server.stock;

import static app.chervil.server.stock.StockOperationsTest.item;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.tuple;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.eq;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.never;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import app.chervil.core.site.SiteBook;
import app.chervil.core.stock.Shelf.Kind;
import app.chervil.server.account.Role;
import app.chervil.server.account.SignedIn;
import app.chervil.server.book.SiteBooks;
import app.chervil.server.problem.NotFound;
import app.chervil.server.stock.StockItemInput.Unit;
import app.chervil.server.stock.StockMapper.MoveRow;
import app.chervil.server.stock.StoresView.MoveView;
import app.chervil.server.visit.ServiceInput.Part;
import app.chervil.server.visit.ServiceOperations;
import app.chervil.server.visit.UsedParts;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** Item 4 are fine pads, thrown away; item 5 are socks, washed; item 6 is conditioner by the millilitre, 30 each time. */
class ShelfOperationsTest {
    private static final SignedIn KEEPER = new SignedIn(1, 7, "Ada", Role.KEEPER);
    private static final LocalDate TODAY = LocalDate.of(2026, 6, 1);
    private static final Instant NOW = Instant.parse("2026-06-01T10:00:00Z");

    private final StockMapper mapper = mock(StockMapper.class);
    private final SiteBooks books = mock(SiteBooks.class);
    private final ServiceOperations services = mock(ServiceOperations.class);
    private final ShelfOperations shelf = new ShelfOperations(mapper, books, services);

    @BeforeEach
    void items() {
        when(books.site(any())).thenReturn(new SiteBook(new SiteBook.Shared(TODAY, Map.of(), Map.of()), List.of()));
        when(mapper.find(7, 4)).thenReturn(Optional.of(item(4, "Fine pad", Unit.PIECE, false, 1, "0.80")));
        when(mapper.find(7, 6)).thenReturn(Optional.of(item(6, "Conditioner", Unit.MILLILITRE, false, 30, "0.05")));
        when(mapper.listMoves(7)).thenReturn(List.of());
    }

    @Test
    void what_services_used_since_the_first_count_stands_beside_what_was_written_down() {
        counted(4, TODAY.minusDays(10), 8);
        used(TODAY.minusDays(3), Set.of(), new Part("  fine PAD ", 2));

        assertThat(shelf.moves(KEEPER, 4))
                .extracting(MoveView::kind, MoveView::amount)
                .containsExactly(tuple(Kind.USED, 2.0), tuple(Kind.COUNTED, 8.0));
    }

    @Test
    void a_thing_counted_in_millilitres_is_used_by_its_amount_each_time() {
        when(mapper.list(7)).thenReturn(List.of());
        counted(6, TODAY.minusDays(10), 500);
        used(TODAY.minusDays(3), Set.of(), new Part("Conditioner", 2));

        assertThat(shelf.moves(KEEPER, 6))
                .filteredOn(move -> move.kind() == Kind.USED)
                .singleElement()
                .satisfies(move -> assertThat(move.amount()).isEqualTo(60));
    }

    @Test
    void that_none_was_used_is_believed() {
        counted(4, TODAY.minusDays(10), 8);
        used(TODAY.minusDays(3), Set.of(), new Part("Fine pad", 0));

        assertThat(shelf.moves(KEEPER, 4)).extracting(MoveView::kind).containsExactly(Kind.COUNTED);
    }

    @Test
    void before_anything_was_counted_no_service_is_asked() {
        assertThat(shelf.moves(KEEPER, 4)).isEmpty();
        verify(services, never()).used(any(), any());
    }

    @Test
    void the_price_of_one_use_is_that_of_its_amount() {
        when(mapper.list(7))
                .thenReturn(List.of(
                        item(4, "Fine pad", Unit.PIECE, false, 1, "0.80"),
                        item(5, "Clean sock", Unit.PIECE, true, 1, null),
                        item(6, "Conditioner", Unit.MILLILITRE, false, 30, "0.05")));

        assertThat(shelf.prices(KEEPER).byName())
                .hasSize(2)
                .hasEntrySatisfying("fine pad", price -> assertThat(price).isEqualByComparingTo("0.80"))
                .hasEntrySatisfying("conditioner", price -> assertThat(price).isEqualByComparingTo("1.50"));
    }

    @Test
    void what_is_not_in_the_stores_is_not_found() {
        assertThatThrownBy(() -> shelf.moves(KEEPER, 9)).isInstanceOf(NotFound.class);
    }

    private void counted(long item, LocalDate on, double amount) {
        when(mapper.listMoves(7))
                .thenReturn(List.of(new MoveRow(new UUID(0, 2), item, Kind.COUNTED, amount, on, "Ada", NOW)));
    }

    private void used(LocalDate on, Set<Long> tasks, Part... parts) {
        when(services.used(eq(KEEPER), any()))
                .thenReturn(List.of(new UsedParts(new UUID(0, 3), on, NOW, "Ben", tasks, List.of(parts))));
    }
}
