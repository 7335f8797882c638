package app.chervil.server.water;

import app.chervil.core.site.PastService;
import app.chervil.core.site.Tank;
import app.chervil.core.tank.WaterKind;
import app.chervil.core.water.TargetBand;
import app.chervil.core.water.Thinning;
import app.chervil.core.water.WaterBook;
import app.chervil.server.account.SignedIn;
import app.chervil.server.book.ServiceLog;
import app.chervil.server.problem.Rejected;
import app.chervil.server.tank.TankOperations;
import app.chervil.server.water.WaterRows.ReadingRow;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Readings as lines over time, thinned so that ten years draw as fast as a month. */
@Service
public class SeriesOperations {
    static final int MOST_POINTS = 600;
    private static final int HOLD_SAMPLES = 400;
    private static final int LONGEST_DAYS = 40 * 366;
    private static final int AROUND_BEFORE_DAYS = 14;
    private static final int AROUND_AFTER_DAYS = 28;
    private static final int MOST_AROUND = 12;

    private final TankOperations tanks;
    private final MethodOperations methods;
    private final ServiceLog history;
    private final WaterBooks books;
    private final Clock clock;

    SeriesOperations(
            TankOperations tanks, MethodOperations methods, ServiceLog history, WaterBooks books, Clock clock) {
        this.tanks = tanks;
        this.methods = methods;
        this.history = history;
        this.books = books;
        this.clock = clock;
    }

    /**
     * A stretch of time.
     *
     * @param services days on which filters were serviced
     * @param waterChanges days on which water was changed
     */
    public record SeriesView(
            LocalDate from,
            LocalDate to,
            List<Line> lines,
            List<LocalDate> services,
            List<LocalDate> waterChanges,
            List<WaterBook.Period> holds) {}

    /**
     * One parameter; the three lists have one entry a point, in order of time.
     *
     * @param target what most keepers aim at; absent where it depends on the animals
     * @param at seconds since 1970
     * @param amounts in the unit; the detection limit where below
     * @param marks "" kept, "b" below detection, "e" read early, "be" both
     * @param readings how many there are before thinning
     */
    public record Line(
            ParameterView parameter,
            @Nullable TargetBand target,
            List<Long> at,
            List<Double> amounts,
            List<String> marks,
            int readings) {}

    /**
     * Readings of one parameter around services of one kind.
     *
     * @param days after the service, below zero before it
     */
    public record Around(LocalDate on, List<Double> days, List<Double> amounts) {}

    /**
     * Lines of a tank.
     *
     * @param from first day
     * @param to last day, not before the first
     */
    @Transactional(readOnly = true)
    public SeriesView series(SignedIn who, long tank, LocalDate from, LocalDate to) {
        Tank described = tanks.find(who, tank);
        long days = ChronoUnit.DAYS.between(from, to);
        new Rejected.Gatherer()
                .check(days >= 0, "to", "before-it-began", "The last day lies before the first.")
                .check(days <= LONGEST_DAYS, "from", "too-long-ago", "At most forty years.")
                .done();
        List<ReadingRow> rows = books.between(who.siteId(), tank, from, to);
        return new SeriesView(
                from,
                to,
                lines(who, described.setting().water(), rows),
                services(who, tank, from, to),
                books.changes(who.siteId(), tank, from, to),
                books.book(who.siteId(), described, rows).periods(from, to, (int) Math.max(1, days / HOLD_SAMPLES)));
    }

    /**
     * One parameter around the last services that did a task, oldest first.
     *
     * @param task id of the task
     * @param parameter code of the parameter
     */
    @Transactional(readOnly = true)
    public List<Around> around(SignedIn who, long tank, long task, String parameter) {
        tanks.find(who, tank);
        methods.parameter(who, parameter);
        List<LocalDate> days = history.list(who.siteId(), tank, null).stream()
                .filter(service -> service.done().containsKey(task))
                .map(PastService::doneOn)
                .toList();
        List<LocalDate> last = days.subList(Math.max(0, days.size() - MOST_AROUND), days.size());
        if (last.isEmpty()) {
            return List.of();
        }
        List<ReadingRow> rows =
                books.between(who.siteId(), tank, last.get(0).minusDays(AROUND_BEFORE_DAYS), tanks.today()).stream()
                        .filter(row -> row.parameter().equals(parameter) && !row.early())
                        .toList();
        return last.stream().map(on -> around(on, rows)).toList();
    }

    /** Ids of the tasks that were ever done at a tank. */
    @Transactional(readOnly = true)
    public Set<Long> done(SignedIn who, long tank) {
        tanks.find(who, tank);
        return history.list(who.siteId(), tank, null).stream()
                .flatMap(service -> service.done().keySet().stream())
                .collect(Collectors.toCollection(TreeSet::new));
    }

    private Around around(LocalDate on, List<ReadingRow> rows) {
        List<Double> days = new ArrayList<>();
        List<Double> amounts = new ArrayList<>();
        Instant noon = on.atStartOfDay(clock.getZone()).toInstant().plus(12, ChronoUnit.HOURS);
        for (ReadingRow row : rows) {
            double after = ChronoUnit.MINUTES.between(noon, row.takenAt()) / (24.0 * 60);
            if (after >= -AROUND_BEFORE_DAYS && after <= AROUND_AFTER_DAYS) {
                days.add(Math.round(after * 100) / 100.0);
                amounts.add(row.amount());
            }
        }
        return new Around(on, days, amounts);
    }

    private List<Line> lines(SignedIn who, WaterKind water, List<ReadingRow> rows) {
        Map<String, List<ReadingRow>> by = rows.stream()
                .collect(Collectors.groupingBy(ReadingRow::parameter, LinkedHashMap::new, Collectors.toList()));
        return methods.parameters(who).stream()
                .filter(parameter -> by.containsKey(parameter.code()))
                .map(parameter -> line(parameter, water, Objects.requireNonNull(by.get(parameter.code()))))
                .toList();
    }

    private static Line line(ParameterView parameter, WaterKind water, List<ReadingRow> rows) {
        List<ReadingRow> thin =
                Thinning.thin(rows, row -> (double) row.takenAt().getEpochSecond(), ReadingRow::amount, MOST_POINTS);
        return new Line(
                parameter,
                WaterRows.known(parameter.code())
                        .flatMap(known -> TargetBand.of(known, water))
                        .orElse(null),
                thin.stream().map(row -> row.takenAt().getEpochSecond()).toList(),
                thin.stream().map(ReadingRow::amount).toList(),
                thin.stream()
                        .map(row -> (row.belowDetection() ? "b" : "") + (row.early() ? "e" : ""))
                        .toList(),
                rows.size());
    }

    private List<LocalDate> services(SignedIn who, long tank, LocalDate from, LocalDate to) {
        return history.list(who.siteId(), tank, from).stream()
                .map(PastService::doneOn)
                .filter(day -> !day.isAfter(to))
                .distinct()
                .toList();
    }
}
