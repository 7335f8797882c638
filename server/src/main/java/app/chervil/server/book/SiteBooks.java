package app.chervil.server.book;

import app.chervil.core.site.Filter;
import app.chervil.core.site.PastService;
import app.chervil.core.site.SiteBook;
import app.chervil.core.site.Tank;
import app.chervil.core.site.TankBook;
import app.chervil.server.account.SignedIn;
import app.chervil.server.book.CareLog.Care;
import app.chervil.server.book.SiteMemory.Earlier;
import app.chervil.server.book.SiteMemory.Renewed;
import app.chervil.server.book.WaterLog.Water;
import app.chervil.server.filter.FilterOperations;
import app.chervil.server.problem.NotFound;
import app.chervil.server.tank.ChangedTank;
import app.chervil.server.tank.TankOperations;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/**
 * The site's picture on a day. Between commands it is kept in memory, and only tanks of which something changed are loaded
 * anew; within a command it is loaded from what the command has written.
 */
@Component
public class SiteBooks {
    /** With more tanks than this moved, one statement a table for all is quicker than one a tank. */
    private static final int MOST_SINGLY = 3;

    private static final Renewed BOOK = new Book();

    private final SiteMemory memory;
    private final RevisionMapper revisions;
    private final TankOperations tanks;
    private final FilterOperations filters;
    private final Sources sources;

    SiteBooks(
            SiteMemory memory,
            RevisionMapper revisions,
            TankOperations tanks,
            FilterOperations filters,
            Sources sources) {
        this.memory = memory;
        this.revisions = revisions;
        this.tanks = tanks;
        this.filters = filters;
        this.sources = sources;
    }

    /** The question all others rest on. */
    private record Book() implements Renewed {}

    /** The whole site today. */
    public SiteBook site(SignedIn who) {
        return memory.renew(who.siteId(), BOOK, before -> load(who, before));
    }

    /**
     * The answer to a question that follows from the site's picture and from what else is stored, kept until anything of it
     * changes.
     *
     * @param question by which it is kept: equal questions have equal answers while nothing changes
     */
    public <T> T recall(SignedIn who, Object question, Function<SiteBook, T> work) {
        return memory.recall(who.siteId(), question, () -> work.apply(site(who)));
    }

    /**
     * One tank in use today.
     *
     * @throws NotFound if the site has no such tank
     */
    public TankBook tank(SignedIn who, long tank) {
        if (SiteMemory.writing()) {
            Care care = sources.care().care(who.siteId(), tank);
            ChangedTank one = tanks.findChanged(who, tank).orElseThrow(() -> new NotFound("tank"));
            return load(who, List.of(one), tank, care, shared(who, care)).get(0);
        }
        return site(who).tank(tank).orElseThrow(() -> new NotFound("tank"));
    }

    private SiteBook load(SignedIn who, Optional<Earlier<SiteBook>> before) {
        Care care = sources.care().care(who.siteId(), null);
        SiteBook.Shared shared = shared(who, care);
        List<TankBook> books = new ArrayList<>();
        if (before.isPresent()) {
            Set<Long> moved =
                    Set.copyOf(revisions.listMoved(who.siteId(), before.get().revision()));
            before.get().answer().tanks().stream()
                    .filter(book -> !moved.contains(book.tank().id()))
                    .forEach(book -> books.add(book.sharing(shared)));
            books.addAll(moved(who, moved, care, shared));
        } else {
            books.addAll(load(who, tanks.listChanged(who), null, care, shared));
        }
        return new SiteBook(shared, books);
    }

    private List<TankBook> moved(SignedIn who, Set<Long> moved, Care care, SiteBook.Shared shared) {
        if (moved.size() > MOST_SINGLY) {
            List<ChangedTank> inUse = tanks.listChanged(who).stream()
                    .filter(one -> moved.contains(one.tank().id()))
                    .toList();
            return load(who, inUse, null, care, shared);
        }
        return moved.stream()
                .flatMap(id -> tanks.findChanged(who, id).stream())
                .flatMap(one -> load(who, List.of(one), one.tank().id(), care, shared).stream())
                .toList();
    }

    private SiteBook.Shared shared(SignedIn who, Care care) {
        return new SiteBook.Shared(tanks.today(), care.eyes(), sources.trials().tried(who.siteId(), tanks.today()));
    }

    private List<TankBook> load(
            SignedIn who, List<ChangedTank> changed, @Nullable Long tank, Care care, SiteBook.Shared shared) {
        long site = who.siteId();
        List<Tank> some = changed.stream().map(ChangedTank::tank).toList();
        Map<Long, Water> waters = sources.tanks().water().waters(site, some, tank);
        Loading loaded = new Loading(
                byTank(filters.of(site, some, tank), Filter::tankId),
                changed.stream().collect(Collectors.toMap(one -> one.tank().id(), ChangedTank::changes)),
                byTank(sources.services().list(site, tank, null), PastService::tankId),
                care.looks(),
                care.pauses(),
                waters,
                sources.tanks().chores().chores(site, tank, changed(waters)),
                sources.faults().faults(site, tank),
                sources.tanks().devices().devices(site, tank));
        return some.stream().map(one -> loaded.book(one, shared)).toList();
    }

    private static <T> Map<Long, List<T>> byTank(List<T> rows, Function<T, Long> tank) {
        return rows.stream().collect(Collectors.groupingBy(tank));
    }

    private static Map<Long, LocalDate> changed(Map<Long, Water> waters) {
        Map<Long, LocalDate> days = new HashMap<>();
        waters.forEach((tank, water) -> water.changed().ifPresent(day -> days.put(tank, day)));
        return days;
    }
}
