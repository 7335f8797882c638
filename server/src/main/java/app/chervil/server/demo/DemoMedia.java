package app.chervil.server.demo;

import app.chervil.core.site.Tank;
import app.chervil.core.sums.BioMedium;
import app.chervil.server.account.SignedIn;
import app.chervil.server.filter.FilterOperations;
import app.chervil.server.media.PieceInput;
import app.chervil.server.media.PieceInput.PieceMove;
import app.chervil.server.media.PieceInput.SpotInput;
import app.chervil.server.media.PieceOperations;
import app.chervil.server.media.SpotKind;
import app.chervil.server.tank.TankOperations;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.UUID;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;

/** Media of the invented site: what started the newt nursery, and what is seeding for its next filter. */
@Component
@ConditionalOnProperty("chervil.demo")
@Order(15)
class DemoMedia implements DemoChapter {
    private static final int SEEDED_DAYS_AGO = 37;
    private static final int SPARE_DAYS_AGO = 200;
    private static final int MOVED_DAYS_AGO = 42;
    private static final int SHELVED_DAYS_AGO = 4;

    private final PieceOperations pieces;
    private final TankOperations tanks;
    private final FilterOperations filters;
    private final LocalDate today;

    DemoMedia(PieceOperations pieces, TankOperations tanks, FilterOperations filters) {
        this.pieces = pieces;
        this.tanks = tanks;
        this.filters = filters;
        this.today = tanks.today();
    }

    @Override
    public void live(SignedIn keeper) {
        long nursery = tank(keeper, "Newt nursery").id();
        SpotInput seeding = new SpotInput(SpotKind.SEEDING, filter(keeper, "Brook bench"), nursery);
        UUID starter = begin(keeper, new Lot("Sponge for the newts", BioMedium.FOAM, 40), SPARE_DAYS_AGO, seeding);
        move(keeper, starter, MOVED_DAYS_AGO, new SpotInput(SpotKind.IN_FILTER, filter(keeper, "Newt nursery"), null));
        begin(keeper, new Lot("Bag A", BioMedium.POROUS, 250), SEEDED_DAYS_AGO, seeding);
        UUID rings = begin(keeper, new Lot("Old rings", BioMedium.RING, 400), SPARE_DAYS_AGO, seeding);
        move(keeper, rings, SHELVED_DAYS_AGO, new SpotInput(SpotKind.WET_SHELF, null, null));
    }

    private UUID begin(SignedIn keeper, Lot lot, int daysAgo, SpotInput spot) {
        UUID first = id(lot.name + " first");
        PieceInput input = new PieceInput(lot.name, lot.kind, lot.grams, today.minusDays(daysAgo), first, spot, null);
        return pieces.begin(keeper, id(lot.name), input).id();
    }

    private record Lot(String name, BioMedium kind, double grams) {}

    private void move(SignedIn keeper, UUID piece, int daysAgo, SpotInput to) {
        pieces.move(keeper, piece, id(piece + " moved"), new PieceMove(today.minusDays(daysAgo), to, null, null));
    }

    private Tank tank(SignedIn keeper, String name) {
        return tanks.list(keeper).stream()
                .filter(one -> one.name().equals(name))
                .findFirst()
                .orElseThrow();
    }

    private long filter(SignedIn keeper, String tank) {
        return filters.list(keeper, tank(keeper, tank).id()).get(0).id();
    }

    private static UUID id(String what) {
        return UUID.nameUUIDFromBytes(("media " + what).getBytes(StandardCharsets.UTF_8));
    }
}
