package app.chervil.server.media;

import app.chervil.core.media.Aftermath;
import app.chervil.core.water.Parameter;
import app.chervil.core.water.Phase;
import app.chervil.core.water.Production;
import app.chervil.server.account.SignedIn;
import app.chervil.server.book.SiteBooks;
import app.chervil.server.water.TankWaterOperations;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.List;
import org.springframework.stereotype.Component;

/** How a tank took an exchange of its media: eight weeks after against eight weeks before. */
@Component
class Aftermaths {
    private static final int MOST_SETTLING_DAYS = 366;

    private final TankWaterOperations water;
    private final SiteBooks books;

    Aftermaths(TankWaterOperations water, SiteBooks books) {
        this.water = water;
        this.books = books;
    }

    /**
     * The verdict as sentences.
     *
     * @param first day of the first portion
     * @param ended day of the last; what was read between the two counts for neither side
     */
    String verdict(SignedIn who, long tank, LocalDate first, LocalDate ended) {
        LocalDate until = ended.plusDays(ExchangeOperations.VERDICT_DAYS);
        List<Phase> phases = List.of(
                new Phase(first.minusDays(ExchangeOperations.VERDICT_DAYS).atStartOfDay(), 0),
                new Phase(first.atStartOfDay(), 1));
        int between = (int) Math.min(MOST_SETTLING_DAYS, ChronoUnit.DAYS.between(first, ended));
        return Aftermath.verdict(
                water.compare(
                        who,
                        tank,
                        Parameter.NITRATE,
                        new Production.Turns(phases, Math.max(0, between), List.of()),
                        until.plusDays(1)),
                books.tank(who, tank).records().water().spikes(first, until));
    }
}
