package app.chervil.server.stock;

import app.chervil.core.stock.Shelf;
import app.chervil.server.account.SignedIn;
import app.chervil.server.problem.Conflict;
import app.chervil.server.problem.NotFound;
import app.chervil.server.problem.Rejected;
import app.chervil.server.stock.StockMapper.ItemRow;
import app.chervil.server.stock.StockMapper.MoveRow;
import app.chervil.server.tank.TankOperations;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.LocalDate;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What is taken into the stores of a site, moved there and taken back. */
@Service
public class StockOperations {
    private static final double MOST = 1_000_000;

    private final StockMapper mapper;
    private final TankOperations tanks;
    private final Clock clock;

    StockOperations(StockMapper mapper, TankOperations tanks, Clock clock) {
        this.mapper = mapper;
        this.tanks = tanks;
        this.clock = clock;
    }

    /**
     * Something that happened in the stores.
     *
     * @param amount in the item's unit
     */
    public record MoveInput(long itemId, Shelf.Kind kind, double amount, LocalDate on) {}

    /**
     * Takes a thing into the stores.
     *
     * @return its id
     * @throws Rejected if its name is taken
     */
    @Transactional
    public long create(SignedIn who, StockItemInput input) {
        StockItemInput item = checked(who, 0, input);
        return mapper.insert(who.siteId(), item);
    }

    /**
     * Changes what is known of a thing.
     *
     * @throws Conflict if the version is stale
     * @throws Rejected if its name is taken
     */
    @Transactional
    public void update(SignedIn who, long id, int version, StockItemInput input) {
        ItemRow before = find(who, id);
        StockItemInput item = checked(who, id, input);
        Conflict.unlessUpdated(mapper.update(who.siteId(), id, version, item), "item", () -> before);
    }

    /** Takes a thing out of the stores; it can be put back with all that happened to it. */
    @Transactional
    public void remove(SignedIn who, long id) {
        who.mustBeKeeper();
        if (mapper.remove(who.siteId(), id, clock.instant()) == 0) {
            throw new NotFound("stock-item");
        }
    }

    /**
     * Puts a thing back.
     *
     * @throws Rejected if it was not taken out, or its name was taken meanwhile
     */
    @Transactional
    public void restore(SignedIn who, long id) {
        if (mapper.restore(who.siteId(), id) == 0) {
            throw Rejected.field("name", "cannot-return", "It is gone, or its name was taken meanwhile.");
        }
    }

    /** Writes down what happened, under an id made by the sender; sent twice it is stored once. */
    @Transactional
    public void move(SignedIn who, UUID id, MoveInput input) {
        ItemRow item = find(who, input.itemId());
        tanks.checkDay("on", input.on());
        double amount = input.amount();
        new Rejected.Gatherer()
                .check(amount >= 0 && amount <= MOST, "amount", "out-of-range", "From 0 to 1,000,000.")
                .check(
                        amount > 0 || input.kind() == Shelf.Kind.COUNTED,
                        "amount",
                        "nothing-moved",
                        "How many? Only a count can be 0.")
                .check(
                        input.kind() != Shelf.Kind.USED,
                        "kind",
                        "by-service",
                        "What is used is logged with its service.")
                .check(
                        input.kind() != Shelf.Kind.OPENED,
                        "kind",
                        "open-the-kit",
                        "A kit is opened as a whole, so that its parts are counted.")
                .check(
                        input.kind() != Shelf.Kind.WASHED || item.turned(),
                        "kind",
                        "not-washed",
                        "This is thrown away, not washed.")
                .done();
        mapper.insertMove(who.siteId(), moved(who, id, new MoveInput(item.id(), input.kind(), amount, input.on())));
    }

    /**
     * Opens a kit: it is gone, and what it holds is on the shelf. Parts that the stores do not know are taken into them.
     *
     * @param id made by the sender; sent twice it is opened once
     * @throws Rejected if it holds nothing
     */
    @Transactional
    public void open(SignedIn who, UUID id, long kit, LocalDate on) {
        ItemRow item = find(who, kit);
        tanks.checkDay("on", on);
        List<StockItemInput.KitLine> lines = item.item().lines();
        new Rejected.Gatherer()
                .check(!lines.isEmpty(), "kit", "no-kit", "This holds no parts. Say first what is in it.")
                .done();
        Map<String, ItemRow> known = mapper.list(who.siteId()).stream()
                .collect(Collectors.toMap(row -> Wants.key(row.name()), Function.identity()));
        mapper.insertMove(who.siteId(), moved(who, id, new MoveInput(kit, Shelf.Kind.OPENED, 1, on)));
        for (int number = 0; number < lines.size(); number++) {
            StockItemInput.KitLine line = lines.get(number);
            ItemRow part = known.get(Wants.key(line.name()));
            UUID own = partOf(id, number);
            if (part == null) {
                long made = mapper.insert(
                        who.siteId(),
                        new StockItemInput(line.name(), StockItemInput.Unit.PIECE, false, 1, 0, 7, null, null));
                mapper.insertMove(
                        who.siteId(), moved(who, own, new MoveInput(made, Shelf.Kind.COUNTED, line.count(), on)));
            } else {
                mapper.insertMove(
                        who.siteId(), moved(who, own, new MoveInput(part.id(), Shelf.Kind.BOUGHT, line.count(), on)));
            }
        }
    }

    private MoveRow moved(SignedIn who, UUID id, MoveInput move) {
        return new MoveRow(id, move.itemId(), move.kind(), move.amount(), move.on(), who.name(), clock.instant());
    }

    /** The move of a part that came out of a kit. */
    private static UUID partOf(UUID opening, int number) {
        return UUID.nameUUIDFromBytes((opening + " part " + number).getBytes(StandardCharsets.UTF_8));
    }

    /** Takes a move back; with the opening of a kit, what came out of it. */
    @Transactional
    public void withdraw(SignedIn who, UUID id) {
        if (mapper.removeMove(who.siteId(), id, clock.instant()) == 0) {
            throw new NotFound("stock-move");
        }
        int number = 0;
        while (mapper.removeMove(who.siteId(), partOf(id, number), clock.instant()) > 0) {
            number++;
        }
    }

    private ItemRow find(SignedIn who, long id) {
        return mapper.find(who.siteId(), id).orElseThrow(() -> new NotFound("stock-item"));
    }

    private StockItemInput checked(SignedIn who, long id, StockItemInput input) {
        StockItemInput item = input.tidied();
        Set<String> parts = new HashSet<>();
        new Rejected.Gatherer()
                .check(
                        item.lines().stream()
                                .allMatch(line -> !Wants.key(line.name()).equals(Wants.key(item.name()))
                                        && parts.add(Wants.key(line.name()))),
                        "kit",
                        "twice",
                        "Each part stands once, and a kit does not hold itself.")
                .check(
                        !mapper.isNamed(who.siteId(), item.name(), id),
                        "name",
                        "taken",
                        "This is in the stores already.")
                .done();
        return item;
    }
}
