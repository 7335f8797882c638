package app.chervil.server.stock;

import app.chervil.core.site.SiteBook;
import app.chervil.core.stock.Shelf;
import app.chervil.server.account.SignedIn;
import app.chervil.server.book.SiteBooks;
import app.chervil.server.problem.NotFound;
import app.chervil.server.stock.StockMapper.ItemRow;
import app.chervil.server.stock.StockMapper.MoveRow;
import app.chervil.server.stock.StoresView.MoveView;
import app.chervil.server.stock.Wants.Want;
import app.chervil.server.visit.ServiceOperations;
import app.chervil.server.visit.UsedParts;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What lies in the stores of a site. What services used is read from their log, so a correction there corrects the shelf. */
@Service
public class ShelfOperations {
    private static final int MOVES_SHOWN = 60;

    private final StockMapper mapper;
    private final SiteBooks books;
    private final ServiceOperations services;

    ShelfOperations(StockMapper mapper, SiteBooks books, ServiceOperations services) {
        this.mapper = mapper;
        this.books = books;
        this.services = services;
    }

    /** A move with who made it, and the service behind it if it was one. */
    private record Happening(UUID id, @Nullable UUID service, Shelf.Move move, String by) {
        MoveView view() {
            return new MoveView(id, service, move.kind(), move.amount(), move.on(), by);
        }
    }

    /** Everything in the stores, and what is used without being in them. */
    @Transactional(readOnly = true)
    public StoresView list(SignedIn who) {
        return books.recall(who, StoresView.class, site -> workOut(who, site));
    }

    private StoresView workOut(SignedIn who, SiteBook site) {
        Wants wants = Wants.of(site);
        StoresViews views = new StoresViews(wants, site.today());
        List<ItemRow> rows = mapper.list(who.siteId());
        Map<Long, List<Happening>> happened = happened(who, rows, wants);
        return views.stores(rows.stream()
                .map(row -> views.item(row, moves(happened.getOrDefault(row.id(), List.of()))))
                .toList());
    }

    /** Prices of what is thrown away. */
    @Transactional(readOnly = true)
    public PartPrices prices(SignedIn who) {
        return new PartPrices(mapper.list(who.siteId()).stream()
                .filter(row -> row.priceOfOneUse().isPresent())
                .collect(Collectors.toMap(
                        row -> Wants.key(row.name()), row -> row.priceOfOneUse().orElseThrow())));
    }

    /** What doing tasks uses up. */
    @Transactional(readOnly = true)
    public TaskCosts costs(SignedIn who) {
        Map<String, ItemRow> rows =
                mapper.list(who.siteId()).stream().collect(Collectors.toMap(row -> Wants.key(row.name()), row -> row));
        return TaskCosts.of(wants(who), name -> Optional.ofNullable(rows.get(name))
                .flatMap(row ->
                        row.turned() ? Optional.of(0.0) : row.priceOfOneUse().map(BigDecimal::doubleValue)));
    }

    /** What happened to an item, latest first. */
    @Transactional(readOnly = true)
    public List<MoveView> moves(SignedIn who, long id) {
        ItemRow row = mapper.find(who.siteId(), id).orElseThrow(() -> new NotFound("stock-item"));
        return happened(who, List.of(row), wants(who)).getOrDefault(id, List.of()).stream()
                .sorted(Comparator.comparing((Happening one) -> one.move().on())
                        .thenComparing(one -> one.move().logged())
                        .reversed())
                .limit(MOVES_SHOWN)
                .map(Happening::view)
                .toList();
    }

    private Wants wants(SignedIn who) {
        return Wants.of(books.site(who));
    }

    private static List<Shelf.Move> moves(List<Happening> happened) {
        return happened.stream().map(Happening::move).toList();
    }

    /** What was written down in the stores and what services used since the first count, by item. */
    private Map<Long, List<Happening>> happened(SignedIn who, List<ItemRow> rows, Wants wants) {
        List<MoveRow> written = mapper.listMoves(who.siteId());
        Map<Long, List<Happening>> byItem = new HashMap<>();
        written.forEach(row -> byItem.computeIfAbsent(row.itemId(), key -> new ArrayList<>())
                .add(new Happening(row.id(), null, row.toCore(), row.movedBy())));
        Optional<LocalDate> counted = written.stream()
                .filter(row -> row.kind() == Shelf.Kind.COUNTED)
                .map(MoveRow::movedOn)
                .min(Comparator.naturalOrder());
        counted.ifPresent(since -> used(who, since, rows, wants)
                .forEach((item, used) ->
                        byItem.computeIfAbsent(item, key -> new ArrayList<>()).addAll(used)));
        return byItem;
    }

    private Map<Long, List<Happening>> used(SignedIn who, LocalDate since, List<ItemRow> rows, Wants wants) {
        Map<String, ItemRow> byName =
                rows.stream().collect(Collectors.toMap(row -> Wants.key(row.name()), Function.identity()));
        Map<Long, List<Want>> byTask = wants.byTask();
        Map<Long, List<Happening>> used = new HashMap<>();
        for (UsedParts service : services.used(who, since)) {
            things(service, byTask).forEach((thing, quantity) -> {
                ItemRow item = byName.get(thing);
                if (item != null && quantity > 0) {
                    used.computeIfAbsent(item.id(), key -> new ArrayList<>())
                            .add(happening(service, quantity * item.amountPerUse()));
                }
            });
        }
        return used;
    }

    /** What a service used of each thing: as it was written down there, or else what its tasks take. */
    private static Map<String, Integer> things(UsedParts service, Map<Long, List<Want>> byTask) {
        Map<String, Integer> things = new HashMap<>();
        service.tasks().stream()
                .flatMap(task -> byTask.getOrDefault(task, List.of()).stream())
                .forEach(want -> things.merge(Wants.key(want.supply().name()), want.quantity(), Integer::sum));
        service.parts().forEach(part -> things.put(Wants.key(part.thing()), part.quantity()));
        return things;
    }

    private static Happening happening(UsedParts service, double amount) {
        Shelf.Move move = new Shelf.Move(service.doneOn(), service.recordedAt(), Shelf.Kind.USED, amount);
        return new Happening(service.id(), service.id(), move, service.doneBy());
    }
}
