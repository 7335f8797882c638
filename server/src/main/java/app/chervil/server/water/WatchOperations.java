package app.chervil.server.water;

import app.chervil.core.filter.CareAction;
import app.chervil.core.filter.FilterKind;
import app.chervil.core.water.Parameter;
import app.chervil.core.water.Watch;
import app.chervil.core.water.Watch.Cause;
import app.chervil.core.water.WaterBook;
import app.chervil.server.account.SignedIn;
import app.chervil.server.filter.FilterOperations;
import app.chervil.server.filter.FilterView;
import app.chervil.server.filter.FilterView.TaskView;
import app.chervil.server.interval.ServiceHistory;
import app.chervil.server.interval.ServiceHistory.PastService;
import app.chervil.server.tank.TankOperations;
import java.time.Clock;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Readings asked for after risky services. */
@Service
public class WatchOperations {
    private static final int LONG_OFF_MINUTES = 240;
    private static final int LONGEST_WATCH_DAYS = 70;

    private final TankOperations tanks;
    private final FilterOperations filters;
    private final ServiceHistory history;
    private final WaterBooks books;
    private final Clock clock;

    WatchOperations(
            TankOperations tanks, FilterOperations filters, ServiceHistory history, WaterBooks books, Clock clock) {
        this.tanks = tanks;
        this.filters = filters;
        this.history = history;
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
            long tankId,
            String parameter,
            String label,
            LocalDate began,
            LocalDate from,
            LocalDate until,
            String why) {}

    /**
     * Readings due today that nobody has taken; they end by themselves.
     *
     * @param tank null for all tanks of the site
     */
    @Transactional(readOnly = true)
    public List<DueReading> due(SignedIn who, @Nullable Long tank) {
        LocalDateTime now = LocalDateTime.now(clock);
        Map<Long, List<Watch>> watches = watches(who, tank, now.toLocalDate());
        Map<Long, WaterBook> byTank = new java.util.TreeMap<>(books.books(who, tank));
        return byTank.entrySet().stream()
                .flatMap(entry -> Stream.concat(
                        Watch.due(
                                        watches.getOrDefault(entry.getKey(), List.of()),
                                        entry.getValue().readings(),
                                        now)
                                .stream()
                                .map(asked -> due(entry.getKey(), asked)),
                        entry.getValue().retests(now.toLocalDate()).stream()
                                .map(retest -> due(entry.getKey(), retest, now.toLocalDate())))
                        .collect(Collectors.toMap(
                                DueReading::parameter,
                                Function.identity(),
                                (one, other) -> one,
                                java.util.LinkedHashMap::new))
                        .values()
                        .stream())
                .toList();
    }

    private static DueReading due(long tank, WaterBook.Retest retest, LocalDate today) {
        return new DueReading(
                tank,
                retest.parameter().name(),
                retest.parameter().label(),
                retest.since(),
                today,
                today,
                retest.why());
    }

    /** What a tank's watches still ask for, by day, answered or not. */
    @Transactional(readOnly = true)
    public List<DueReading> schedule(SignedIn who, long tank) {
        tanks.find(who, tank);
        LocalDate today = LocalDate.now(clock);
        return watches(who, tank, today).values().stream()
                .flatMap(List::stream)
                .flatMap(watch -> watch.schedule().stream())
                .filter(asked -> !asked.until().isBefore(today))
                .map(asked -> due(tank, asked))
                .toList();
    }

    private static DueReading due(long tank, Watch.Asked asked) {
        Parameter parameter = asked.parameter();
        Watch watch = asked.watch();
        return new DueReading(
                tank,
                parameter.name(),
                parameter.label(),
                watch.began(),
                asked.from(),
                asked.until(),
                watch.cause().words());
    }

    private Map<Long, List<Watch>> watches(SignedIn who, @Nullable Long tank, LocalDate today) {
        LocalDate oldest = today.minusDays(LONGEST_WATCH_DAYS);
        Map<Long, List<Watch>> found = new java.util.TreeMap<>();
        books.replaced(who, tank).forEach(row -> {
            if (row.replacedOn().isAfter(oldest)) {
                found.computeIfAbsent(row.tankId(), key -> new ArrayList<>())
                        .add(new Watch(Cause.MEDIA_REPLACED, row.replacedOn()));
            }
        });
        Set<Long> openings = openings(filters.list(who, tank));
        for (PastService service : history.list(who.siteId(), tank, oldest)) {
            List<Watch> ofTank = found.computeIfAbsent(service.tankId(), key -> new ArrayList<>());
            if (service.done().keySet().stream().anyMatch(openings::contains)) {
                ofTank.add(new Watch(Cause.FULL_SERVICE, service.doneOn()));
            }
            if (service.filterOffMinutes() != null && service.filterOffMinutes() > LONG_OFF_MINUTES) {
                ofTank.add(new Watch(Cause.LONG_OFF, service.doneOn()));
            }
        }
        return found;
    }

    private static Set<Long> openings(List<FilterView> filters) {
        return filters.stream()
                .filter(filter -> filter.kind() == FilterKind.CANISTER)
                .flatMap(filter -> filter.tasks().stream())
                .filter(task -> task.action() == CareAction.OPEN)
                .map(TaskView::id)
                .collect(Collectors.toSet());
    }
}
