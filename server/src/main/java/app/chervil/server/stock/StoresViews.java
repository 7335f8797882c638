package app.chervil.server.stock;

import app.chervil.core.filter.Material;
import app.chervil.core.stock.Need;
import app.chervil.core.stock.Outlook;
import app.chervil.core.stock.Rotation;
import app.chervil.core.stock.Shelf;
import app.chervil.server.stock.StockMapper.ItemRow;
import app.chervil.server.stock.StoresView.ItemView;
import app.chervil.server.stock.StoresView.RotationView;
import app.chervil.server.stock.StoresView.SupplyView;
import app.chervil.server.stock.StoresView.UseView;
import app.chervil.server.stock.Wants.Want;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/** Puts stores into words and figures. */
final class StoresViews {
    /** A washed sock hangs two days until it is dry: our judgement, docs/sources.md#stores. */
    private static final int DRYING_DAYS = 2;

    private final Wants wants;
    private final LocalDate today;

    StoresViews(Wants wants, LocalDate today) {
        this.wants = wants;
        this.today = today;
    }

    StoresView stores(List<ItemView> items) {
        Set<String> kept =
                items.stream().map(one -> Wants.key(one.item().name())).collect(Collectors.toSet());
        BigDecimal cost = items.stream()
                .map(one -> one.use().costAYear())
                .filter(Objects::nonNull)
                .reduce(BigDecimal.ZERO, BigDecimal::add);
        return new StoresView(
                items.stream().sorted(MOST_PRESSING).toList(),
                wants.byName().entrySet().stream()
                        .filter(entry -> !kept.contains(entry.getKey()))
                        .map(entry -> supply(entry.getValue()))
                        .sorted(Comparator.comparingDouble(SupplyView::usesAYear)
                                .reversed())
                        .toList(),
                cost);
    }

    private static final Comparator<ItemView> MOST_PRESSING = Comparator.comparingInt(StoresViews::rank)
            .thenComparing(StoresViews::runsOut)
            .thenComparing(one -> one.item().name());

    private static int rank(ItemView item) {
        @Nullable Outlook outlook = item.outlook();
        if (outlook == null) {
            return 2;
        }
        return switch (outlook.standing()) {
            case OUT -> 0;
            case LOW -> 1;
            case ENOUGH -> 3;
        };
    }

    private static LocalDate runsOut(ItemView item) {
        return Optional.ofNullable(item.outlook()).flatMap(Outlook::runsOut).orElse(LocalDate.MAX);
    }

    ItemView item(ItemRow row, List<Shelf.Move> moves) {
        List<Want> wanted = wants.of(row.name());
        List<Need> needs =
                wanted.stream().map(want -> want.need(row.amountPerUse())).toList();
        Optional<Shelf> shelf = Shelf.after(moves, row.turned());
        RotationView rotation = rotation(row, wanted);
        return new ItemView(
                row.id(),
                row.version(),
                row.item(),
                shelf.orElse(null),
                shelf.map(one -> Outlook.of(one.ready(), row.reorderAt(), row.leadDays(), needs, today))
                        .orElse(null),
                use(row, wanted, needs),
                rotation == null ? Outlook.reorderPoint(row.leadDays(), needs, today) : rotation.dirty(),
                rotation,
                row.kit() == null ? List.of() : wants.fits(row.kit().lines()));
    }

    private static UseView use(ItemRow row, List<Want> wanted, List<Need> needs) {
        double aYear = needs.stream().mapToDouble(Need::aYear).sum();
        return new UseView(
                Wants.tanks(wanted),
                aYear,
                row.price() == null || row.turned()
                        ? null
                        : row.price().multiply(BigDecimal.valueOf(aYear)).setScale(2, RoundingMode.HALF_UP),
                wanted.isEmpty() ? null : Wants.next(wanted));
    }

    private static @Nullable RotationView rotation(ItemRow row, List<Want> wanted) {
        Integer washEvery = row.washEveryDays();
        if (washEvery == null || !row.turned()) {
            return null;
        }
        Rotation rotation = Rotation.of(
                wanted.stream().mapToInt(Want::quantity).sum(),
                wanted.stream().mapToDouble(Want::usedADay).sum(),
                washEvery,
                DRYING_DAYS);
        return new RotationView(rotation.inUse(), rotation.dirty(), rotation.drying(), rotation.needed());
    }

    private static SupplyView supply(List<Want> wanted) {
        Want first = wanted.get(0);
        return new SupplyView(
                first.supply().name(),
                first.supply().material(),
                Wants.tanks(wanted),
                wanted.stream().mapToDouble(want -> want.need(1).aYear()).sum(),
                first.supply().material().use() == Material.Use.TURNED);
    }
}
