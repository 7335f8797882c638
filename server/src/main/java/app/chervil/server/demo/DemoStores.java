package app.chervil.server.demo;

import app.chervil.core.filter.Material;
import app.chervil.core.stock.Shelf;
import app.chervil.server.account.SignedIn;
import app.chervil.server.stock.ShelfOperations;
import app.chervil.server.stock.StockItemInput;
import app.chervil.server.stock.StockItemInput.KitLine;
import app.chervil.server.stock.StockItemInput.Unit;
import app.chervil.server.stock.StockOperations;
import app.chervil.server.stock.StockOperations.MoveInput;
import app.chervil.server.stock.StoresView.ItemView;
import app.chervil.server.stock.StoresView.SupplyView;
import app.chervil.server.tank.TankOperations;
import java.math.BigDecimal;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.UUID;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;

/** What lies in Tern House's stores: enough of most things, of one too little. */
@Component
@ConditionalOnProperty("chervil.demo")
@Order(12)
class DemoStores implements DemoChapter {
    /** More than was ever used since. */
    private static final double PLENTY = 1000;

    private static final int COUNTED_DAYS_AGO = 45;
    private static final int BOUGHT_DAYS_AGO = 20;
    private static final int WASHED_DAYS_AGO = 4;
    private static final int LEAD_DAYS = 10;
    private static final int WASH_EVERY_DAYS = 7;
    private static final Material RUNNING_LOW = Material.FINE_PAD;

    /** Of one piece. What is not listed is not kept in the stores. */
    private static final Map<Material, BigDecimal> PRICES = Map.of(
            Material.FINE_PAD, new BigDecimal("2.40"),
            Material.FOAM, new BigDecimal("6.50"),
            Material.SOCK, new BigDecimal("8.00"),
            Material.CARTRIDGE, new BigDecimal("5.90"),
            Material.UV_LAMP, new BigDecimal("24.00"),
            Material.AIR_STONE, new BigDecimal("1.80"));

    private final StockOperations stores;
    private final ShelfOperations shelf;
    private final LocalDate today;

    DemoStores(StockOperations stores, ShelfOperations shelf, TankOperations tanks) {
        this.shelf = shelf;
        this.stores = stores;
        this.today = tanks.today();
    }

    /** Counted a while ago, bought since, so that what is left now stands on its side of the reorder point. */
    @Override
    public void live(SignedIn keeper) {
        for (SupplyView supply : shelf.list(keeper).notKept()) {
            BigDecimal price = PRICES.get(supply.material());
            if (price != null) {
                stores.create(keeper, item(supply, price));
            }
        }
        for (ItemView one : shelf.list(keeper).items()) {
            stores.update(keeper, one.id(), one.version(), withReorderPoint(one));
            moved(keeper, one.id(), Shelf.Kind.COUNTED, PLENTY, counted(one));
        }
        for (ItemView one : shelf.list(keeper).items()) {
            double used = PLENTY - shelf(one).ready();
            double reorderAt = one.item().reorderAt();
            double wanted = one.item().name().equals(RUNNING_LOW.words()) ? reorderAt - 1 : reorderAt + 2;
            double bought = one.item().turned() ? 0 : Math.max(0, wanted - 1);
            stores.withdraw(keeper, idOf(Shelf.Kind.COUNTED, one.id()));
            stores.move(
                    keeper,
                    new UUID(one.id(), 1),
                    new MoveInput(one.id(), Shelf.Kind.COUNTED, used + wanted - bought, today.minusDays(counted(one))));
            moved(keeper, one.id(), Shelf.Kind.BOUGHT, bought, BOUGHT_DAYS_AGO);
        }
        long kit = stores.create(keeper, serviceKit());
        moved(keeper, kit, Shelf.Kind.COUNTED, 2, COUNTED_DAYS_AGO);
    }

    /** Two of them wait in the cupboard, unopened. */
    private static StockItemInput serviceKit() {
        return new StockItemInput(
                "Canister service kit",
                Unit.PIECE,
                false,
                1,
                1,
                LEAD_DAYS,
                null,
                new BigDecimal("29.00"),
                List.of(
                        new KitLine(Material.IMPELLER_SET.words(), 1),
                        new KitLine(Material.SEAL_RINGS.words(), 1),
                        new KitLine(Material.GREASE.words(), 1)));
    }

    /** What is washed was counted with the last wash. */
    private static int counted(ItemView item) {
        return item.item().turned() ? WASHED_DAYS_AGO : COUNTED_DAYS_AGO;
    }

    private static Shelf shelf(ItemView item) {
        return Objects.requireNonNull(item.shelf());
    }

    private static StockItemInput item(SupplyView supply, BigDecimal price) {
        return new StockItemInput(
                supply.name(),
                Unit.PIECE,
                supply.turned(),
                1,
                0,
                LEAD_DAYS,
                supply.turned() ? WASH_EVERY_DAYS : null,
                price);
    }

    private void moved(SignedIn keeper, long item, Shelf.Kind kind, double amount, int daysAgo) {
        if (amount > 0) {
            stores.move(keeper, idOf(kind, item), new MoveInput(item, kind, amount, today.minusDays(daysAgo)));
        }
    }

    private static UUID idOf(Shelf.Kind kind, long item) {
        return UUID.nameUUIDFromBytes((kind + " " + item).getBytes(StandardCharsets.UTF_8));
    }

    private static StockItemInput withReorderPoint(ItemView one) {
        StockItemInput item = one.item();
        return new StockItemInput(
                item.name(),
                item.unit(),
                item.turned(),
                item.amountPerUse(),
                Math.ceil(one.suggestedReorderAt()),
                item.leadDays(),
                item.washEveryDays(),
                item.price());
    }
}
