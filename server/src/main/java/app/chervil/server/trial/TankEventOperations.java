package app.chervil.server.trial;

import app.chervil.core.site.Change;
import app.chervil.core.site.TankBook;
import app.chervil.server.account.SignedIn;
import app.chervil.server.book.SiteBooks;
import app.chervil.server.problem.NotFound;
import app.chervil.server.problem.Rejected;
import app.chervil.server.tank.TankOperations;
import app.chervil.server.trial.TankEventMapper.EventRow;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.Clock;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What else changed in a tank while ways were compared: told by its keeper, or on record as its edits and medicines. */
@Service
public class TankEventOperations {
    private final TankEventMapper mapper;
    private final TankOperations tanks;
    private final SiteBooks books;
    private final Clock clock;

    TankEventOperations(TankEventMapper mapper, TankOperations tanks, SiteBooks books, Clock clock) {
        this.mapper = mapper;
        this.tanks = tanks;
        this.books = books;
        this.clock = clock;
    }

    /**
     * What a keeper tells.
     *
     * @param note what it was; may be empty unless it was something else
     */
    public record EventInput(
            @NotNull(message = "On which day?") LocalDate onDay,
            @NotNull(message = "What changed?") TankEventKind kind,

            @NotNull @Size(max = 200, message = "At most 200 characters.")
            String note) {}

    /**
     * Something that changed.
     *
     * @param id absent for what follows from an edit of the tank
     */
    public record EventView(@Nullable UUID id, LocalDate onDay, String words) {}

    /** What changed in a tank between two days, the second left out; oldest first. */
    @Transactional(readOnly = true)
    public List<EventView> list(SignedIn who, long tank, LocalDate from, LocalDate until) {
        Stream<EventView> told =
                mapper.list(who.siteId(), tank).stream().map(row -> new EventView(row.id(), row.onDay(), row.words()));
        TankBook.Records records = books.tank(who, tank).records();
        Stream<EventView> edited = records.changes().stream()
                .map(Change::what)
                .map(change -> new EventView(null, change.on(), change.words()));
        Stream<EventView> treated = records.water().medications().stream()
                .flatMap(medicine -> Stream.concat(
                        Stream.of(new EventView(null, medicine.firstDay(), "A medicine begun")),
                        medicine.lastDay().stream()
                                .map(last -> new EventView(null, last.plusDays(1), "A medicine over"))));
        return Stream.of(told, edited, treated)
                .flatMap(Function.identity())
                .filter(event -> !event.onDay().isBefore(from) && event.onDay().isBefore(until))
                .sorted(Comparator.comparing(EventView::onDay))
                .toList();
    }

    /** Logs it once under the id its client made. */
    @Transactional
    public void tell(SignedIn who, long tank, UUID id, EventInput input) {
        tanks.find(who, tank);
        tanks.checkDay("onDay", input.onDay());
        String note = input.note().strip();
        new Rejected.Gatherer()
                .check(input.kind() != TankEventKind.OTHER || !note.isEmpty(), "note", "needed", "What was it?")
                .done();
        EventRow row = new EventRow(id, tank, input.onDay(), input.kind(), note, who.name());
        if (mapper.insert(who.siteId(), row) == 0
                && mapper.find(who.siteId(), id).filter(row::equals).isEmpty()) {
            throw Rejected.taken();
        }
    }

    /** Takes back what was told; taken back twice it stays so. */
    @Transactional
    public void takeBack(SignedIn who, UUID id) {
        if (mapper.remove(who.siteId(), id, clock.instant()) == 0) {
            throw new NotFound("event");
        }
    }

    /** Puts it back. */
    @Transactional
    public void restore(SignedIn who, UUID id) {
        if (mapper.remove(who.siteId(), id, null) == 0) {
            throw new NotFound("event");
        }
    }
}
