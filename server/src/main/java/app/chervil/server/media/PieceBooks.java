package app.chervil.server.media;

import app.chervil.core.media.Living;
import app.chervil.core.media.Ripening;
import app.chervil.core.site.SiteBook;
import app.chervil.core.site.Tank;
import app.chervil.core.site.TankBook;
import app.chervil.core.tank.WaterKind;
import app.chervil.core.water.Medication;
import app.chervil.core.water.Parameter;
import app.chervil.server.account.SignedIn;
import app.chervil.server.book.SiteBooks;
import app.chervil.server.media.PieceRows.MoveRow;
import app.chervil.server.sums.SumOperations;
import app.chervil.server.tank.TankEver;
import app.chervil.server.tank.TankOperations;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Component;

/** Reads a site's media, and of its tanks what bears on it. */
@Component
class PieceBooks {
    private static final int LATELY_DAYS = 60;
    private static final double USUAL_CELSIUS = 25;
    private static final double COLD_CELSIUS = 18;

    private final PieceMapper mapper;
    private final TankOperations tanks;
    private final SiteBooks books;
    private final SumOperations sums;

    PieceBooks(PieceMapper mapper, TankOperations tanks, SiteBooks books, SumOperations sums) {
        this.sums = sums;
        this.mapper = mapper;
        this.tanks = tanks;
        this.books = books;
    }

    PieceBook of(SignedIn who) {
        SiteBook site = books.site(who);
        List<MoveRow> moves = mapper.listMoves(who.siteId());
        return new PieceBook(
                mapper.listPieces(who.siteId()),
                moves,
                living(who, site),
                filters(site, moves),
                new Ripening(sums.ripeDays(who)));
    }

    /** Names of filters in use, and of those that something was in. */
    private static Map<Long, String> filters(SiteBook site, List<MoveRow> moves) {
        Map<Long, String> names = new HashMap<>();
        for (MoveRow move : moves) {
            if (move.filterId() != null && move.filterName() != null) {
                names.put(move.filterId(), move.filterName());
            }
        }
        site.filters()
                .forEach(book -> names.put(book.filter().id(), book.filter().name()));
        return names;
    }

    private Map<Long, Living> living(SignedIn who, SiteBook site) {
        Map<Long, Living> living = new HashMap<>();
        for (TankEver ever : tanks.listEver(who)) {
            Tank tank = ever.tank();
            living.put(
                    tank.id(),
                    site.tank(tank.id())
                            .map(book -> living(book, site.today(), ever.quarantine()))
                            .orElseGet(
                                    () -> living(tank, usual(tank.setting().water()), List.of(), ever.quarantine())));
        }
        return living;
    }

    private static Living living(TankBook book, LocalDate today, boolean quarantine) {
        Tank tank = book.tank();
        double celsius = book.records()
                .water()
                .latest(Parameter.TEMPERATURE, today.minusDays(LATELY_DAYS).atStartOfDay())
                .orElse(usual(tank.setting().water()));
        return living(
                tank, Math.min(40, Math.max(1, celsius)), book.records().water().medications(), quarantine);
    }

    private static Living living(Tank tank, double celsius, List<Medication> treatments, boolean quarantine) {
        return new Living(
                tank.name(),
                tank.setting().water(),
                tank.setting().stocking(),
                celsius,
                tank.establishedOn(),
                treatments,
                quarantine);
    }

    private static double usual(WaterKind water) {
        return water == WaterKind.COLD_FRESH ? COLD_CELSIUS : USUAL_CELSIUS;
    }
}
