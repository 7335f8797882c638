package app.chervil.server.media;

import app.chervil.core.media.Living;
import app.chervil.core.media.Ripening;
import app.chervil.core.site.SiteBook;
import app.chervil.core.site.Tank;
import app.chervil.core.site.TankBook;
import app.chervil.core.sums.RuleBook;
import app.chervil.core.tank.WaterKind;
import app.chervil.core.water.Medication;
import app.chervil.core.water.Parameter;
import app.chervil.server.account.SignedIn;
import app.chervil.server.book.SiteBooks;
import app.chervil.server.media.PieceMapper.Kept;
import app.chervil.server.media.PieceRows.MoveRow;
import app.chervil.server.tank.TankOperations;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
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

    PieceBooks(PieceMapper mapper, TankOperations tanks, SiteBooks books) {
        this.mapper = mapper;
        this.tanks = tanks;
        this.books = books;
    }

    PieceBook of(SignedIn who) {
        SiteBook site = books.site(who);
        Kept kept = kept(who);
        return new PieceBook(
                kept.pieces(),
                kept.moves(),
                living(who, site, kept.moves()),
                filters(site, kept.moves()),
                kept.ripeDays() == null ? Ripening.USUAL : new Ripening(kept.ripeDays()));
    }

    /** What is on record of media, without the tanks. */
    Kept kept(SignedIn who) {
        return mapper.find(who.siteId(), RuleBook.RIPE_DAYS.key());
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

    /** Of tanks in use, and of those that media was in or for before they were deleted. */
    private Map<Long, Living> living(SignedIn who, SiteBook site, List<MoveRow> moves) {
        Map<Long, Living> living = new HashMap<>();
        site.tanks().forEach(book -> living.put(book.tank().id(), living(book, site.today())));
        boolean gone = moves.stream()
                .flatMap(move -> Stream.of(move.tankId(), move.forTankId()))
                .anyMatch(tank -> tank != null && !living.containsKey(tank));
        if (gone) {
            tanks.listEver(who)
                    .forEach(tank -> living.computeIfAbsent(
                            tank.id(), id -> living(tank, usual(tank.setting().water()), List.of())));
        }
        return living;
    }

    private static Living living(TankBook book, LocalDate today) {
        Tank tank = book.tank();
        double celsius = book.records()
                .water()
                .latest(Parameter.TEMPERATURE, today.minusDays(LATELY_DAYS).atStartOfDay())
                .orElse(usual(tank.setting().water()));
        return living(
                tank, Math.min(40, Math.max(1, celsius)), book.records().water().medications());
    }

    private static Living living(Tank tank, double celsius, List<Medication> treatments) {
        return new Living(
                tank.name(),
                tank.setting().water(),
                tank.setting().stocking(),
                celsius,
                tank.establishedOn(),
                treatments,
                tank.quarantine());
    }

    private static double usual(WaterKind water) {
        return water == WaterKind.COLD_FRESH ? COLD_CELSIUS : USUAL_CELSIUS;
    }
}
