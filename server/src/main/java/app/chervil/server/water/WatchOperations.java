package app.chervil.server.water;

import app.chervil.core.site.AskedReading;
import app.chervil.core.site.SiteBook;
import app.chervil.core.site.TankBook;
import app.chervil.server.account.SignedIn;
import app.chervil.server.book.SiteBooks;
import java.time.Clock;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.Comparator;
import java.util.List;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Readings asked for after risky services. */
@Service
public class WatchOperations {
    private final SiteBooks books;
    private final Clock clock;

    WatchOperations(SiteBooks books, Clock clock) {
        this.books = books;
        this.clock = clock;
    }

    /**
     * A reading due.
     *
     * @param parameter code of a parameter
     * @param why what it is asked for, in words
     */
    public record DueReading(
            long tankId, String parameter, String label, LocalDate began, LocalDate from, LocalDate until, String why) {
        static DueReading of(TankBook tank, AskedReading asked) {
            return new DueReading(
                    tank.tank().id(),
                    asked.parameter().name(),
                    asked.parameter().label(),
                    asked.began(),
                    asked.from(),
                    asked.until(),
                    asked.why());
        }
    }

    /** Readings due today on the whole site that nobody has taken, by tank; they end by themselves. */
    @Transactional(readOnly = true)
    public List<DueReading> due(SignedIn who) {
        SiteBook site = books.site(who);
        return site.tanks().stream()
                .sorted(Comparator.comparing(book -> book.tank().id()))
                .flatMap(this::due)
                .toList();
    }

    /** Readings due today on one tank. */
    @Transactional(readOnly = true)
    public List<DueReading> due(SignedIn who, long tank) {
        return due(books.tank(who, tank)).toList();
    }

    private Stream<DueReading> due(TankBook tank) {
        return AskedReading.due(tank, LocalDateTime.now(clock)).stream().map(asked -> DueReading.of(tank, asked));
    }

    /** What a tank's watches still ask for, by day, answered or not. */
    @Transactional(readOnly = true)
    public List<DueReading> schedule(SignedIn who, long tank) {
        TankBook book = books.tank(who, tank);
        return AskedReading.schedule(book, LocalDate.now(clock)).stream()
                .map(asked -> DueReading.of(book, asked))
                .toList();
    }
}
