package app.chervil.server.stock;

import app.chervil.core.stock.Shelf;
import java.math.BigDecimal;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.apache.ibatis.annotations.Mapper;
import org.jspecify.annotations.Nullable;

/** Tables stock_item and stock_move. */
@Mapper
interface StockMapper {
    /** Items in the stores, by name. */
    List<ItemRow> list(long site);

    Optional<ItemRow> find(long site, long id);

    /** Whether another item has that name, whatever its case. */
    boolean isNamed(long site, String name, long butNot);

    long insert(long site, StockItemInput item);

    int update(long site, long id, int version, StockItemInput item);

    int remove(long site, long id, Instant now);

    int restore(long site, long id);

    /** Moves not withdrawn of all items in the stores. */
    List<MoveRow> listMoves(long site);

    /** Adds a move unless one with that id is there. */
    void insertMove(long site, MoveRow move);

    int removeMove(long site, UUID id, Instant now);

    /** Table stock_item. */
    record ItemRow(
            long id,
            int version,
            String name,
            StockItemInput.Unit unit,
            boolean turned,
            double amountPerUse,
            double reorderAt,
            int leadDays,
            @Nullable Integer washEveryDays,
            @Nullable BigDecimal price,
            @Nullable Kit kit) {
        /** What one use of it costs, in the site's currency; empty if nobody said. */
        Optional<BigDecimal> priceOfOneUse() {
            return Optional.ofNullable(price)
                    .map(each -> BigDecimal.valueOf(amountPerUse).multiply(each));
        }

        StockItemInput item() {
            return new StockItemInput(
                    name,
                    unit,
                    turned,
                    amountPerUse,
                    reorderAt,
                    leadDays,
                    washEveryDays,
                    price == null ? null : plain(price),
                    kit == null ? null : kit.lines());
        }

        /** As it was typed, without the noughts that the column adds beyond cents. */
        private static BigDecimal plain(BigDecimal price) {
            BigDecimal bare = price.stripTrailingZeros();
            return bare.setScale(Math.max(2, bare.scale()));
        }
    }

    /** Table stock_move. */
    record MoveRow(
            UUID id, long itemId, Shelf.Kind kind, double amount, LocalDate movedOn, String movedBy, Instant loggedAt) {
        Shelf.Move toCore() {
            return new Shelf.Move(movedOn, loggedAt, kind, amount);
        }
    }
}
