package app.chervil.server.notebook;

import app.chervil.core.calc.Quantity;
import app.chervil.core.interval.Finding;
import app.chervil.core.notebook.DayOrder;
import app.chervil.core.notebook.Guess;
import app.chervil.core.notebook.History;
import app.chervil.core.notebook.History.Limits;
import app.chervil.core.notebook.Key;
import app.chervil.core.notebook.Notebook;
import app.chervil.core.notebook.PastDay;
import app.chervil.core.notebook.Role;
import app.chervil.core.site.Filter;
import app.chervil.core.site.FilterTask;
import app.chervil.core.site.TankBook;
import app.chervil.server.account.AccountOperations;
import app.chervil.server.account.SignedIn;
import app.chervil.server.account.SiteUnits;
import app.chervil.server.book.SiteBooks;
import app.chervil.server.notebook.KeyInput.PhraseCount;
import app.chervil.server.problem.Rejected;
import app.chervil.server.table.Csv;
import app.chervil.server.tank.TankOperations;
import app.chervil.server.visit.SavedService.Moved;
import app.chervil.server.visit.ServiceInput;
import app.chervil.server.visit.ServiceOperations;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * Old notes: a guess at how a table is meant, a look at what it would bring in, and the bringing in. Nothing is stored before
 * the last, and the same table brings the same services in once.
 */
@Service
public class NotebookOperations {
    static final int MOST_ROWS = 20_000;
    static final int MOST_DAYS = 4_000;
    private static final int MOST_COLUMNS = 100;
    private static final int SHOWN = 200;
    private static final int SAMPLE = 12;

    private final SiteBooks books;
    private final ServiceOperations services;
    private final AccountOperations accounts;
    private final TankOperations tanks;

    NotebookOperations(SiteBooks books, ServiceOperations services, AccountOperations accounts, TankOperations tanks) {
        this.books = books;
        this.services = services;
        this.accounts = accounts;
        this.tanks = tanks;
    }

    /** A task that notes may tell of. */
    record TaskChoice(long id, long filterId, String filter, String name, boolean graded) {}

    record FilterChoice(long id, String name) {}

    /**
     * A table and how it is most likely meant.
     *
     * @param sample the first rows as they are
     * @param phrases what stands in columns of work, the most frequent first
     * @param words what stands in columns of findings, the most frequent first
     */
    record KeyView(
            List<String> headings,
            int rows,
            List<List<String>> sample,
            KeyInput key,
            List<PhraseCount> phrases,
            List<PhraseCount> words,
            List<TaskChoice> tasks,
            List<FilterChoice> filters) {}

    /** How often a task would be logged, and how often with a finding. */
    record TaskCount(long taskId, String name, int times, int graded) {}

    /** One day as it would be logged. */
    record ToldDay(LocalDate day, String by, @Nullable Integer minutes, List<ToldTask> done, String note) {}

    record ToldTask(String name, @Nullable Finding finding) {}

    /** What is wrong in a table. */
    record TableFault(long line, String column, String message) {}

    /**
     * What a table would bring in.
     *
     * @param days services, one for each day
     * @param known of all days told of, how many are in the log already
     * @param earlier the first day it tells of, where that is before the tank was set up
     * @param faults rows that stay out, at most 200 of them
     * @param faultsInAll how many there are
     * @param doubts cells that stay out, at most 200 of them
     */
    record Preview(
            int days,
            int known,
            @Nullable LocalDate first,
            @Nullable LocalDate last,
            @Nullable LocalDate earlier,
            List<TaskCount> tasks,
            List<ToldDay> sample,
            List<TableFault> faults,
            int faultsInAll,
            List<TableFault> doubts) {}

    /** What was brought in. */
    record Brought(int days, List<Moved> moved) {}

    /**
     * A guess at how a table is meant.
     *
     * @param told columns as its keeper set them; empty to guess those as well
     */
    KeyView guess(SignedIn who, long tank, String csv, Optional<KeyInput> told) {
        TankBook book = books.tank(who, tank);
        List<Filter> filters = book.records().filters();
        Notebook notebook = notebook(csv);
        SiteUnits units = accounts.units(who);
        Guess guess = new Guess(filters);
        DayOrder usual = DayOrder.valueOf(units.dateOrder().name());
        Key key = told.map(one -> guess.with(notebook, one.told(), one.order(), one.flowUnit()))
                .orElseGet(() -> guess.of(notebook, usual, units.measures().of(Quantity.FLOW)));
        Map<String, Integer> phrases = Guess.counted(notebook, key, Set.of(Role.WORK));
        Map<String, Integer> words = Guess.counted(notebook, key, Set.of(Role.FOUND, Role.TASK));
        return new KeyView(
                notebook.headings(),
                notebook.rows().size(),
                notebook.rows().stream().limit(SAMPLE).map(Notebook.Row::cells).toList(),
                KeyInput.of(key, phrases, words),
                KeyInput.counted(phrases),
                KeyInput.counted(words),
                filters.stream()
                        .flatMap(filter -> filter.inUse().stream().map(task -> choice(filter, task)))
                        .toList(),
                filters.stream()
                        .map(filter -> new FilterChoice(filter.id(), filter.name()))
                        .toList());
    }

    private static TaskChoice choice(Filter filter, FilterTask task) {
        return new TaskChoice(task.id(), filter.id(), filter.name(), task.name(), task.graded());
    }

    /** What a table would bring in; nothing is stored. */
    Preview preview(SignedIn who, long tank, String csv, KeyInput key) {
        TankBook book = books.tank(who, tank);
        History history = history(book, csv, key);
        Map<UUID, PastDay> fresh = fresh(who, book, history);
        List<PastDay> days = List.copyOf(fresh.values());
        Map<Long, String> names = names(book);
        return new Preview(
                days.size(),
                history.days().size() - days.size(),
                days.isEmpty() ? null : days.get(0).day(),
                days.isEmpty() ? null : days.get(days.size() - 1).day(),
                history.earlier().orElse(null),
                counts(days, names),
                days.subList(Math.max(0, days.size() - SAMPLE), days.size()).stream()
                        .map(day -> view(day, names))
                        .toList(),
                troubles(history.faults()),
                history.faults().size(),
                troubles(history.doubts()));
    }

    /**
     * Brings a table in, each day as a service.
     *
     * @param withoutFaults whether rows at fault may stay out
     * @throws Rejected if rows are at fault and may not, or nothing is new; then nothing is stored
     */
    @Transactional
    Brought bringIn(SignedIn who, long tank, String csv, KeyInput key, boolean withoutFaults) {
        TankBook book = books.tank(who, tank);
        History history = history(book, csv, key);
        Map<UUID, PastDay> fresh = fresh(who, book, history);
        new Rejected.Gatherer()
                .check(
                        withoutFaults || history.faults().isEmpty(),
                        "csv",
                        "rows-at-fault",
                        "Some rows are at fault; nothing was brought in.")
                .check(
                        fresh.size() <= MOST_DAYS,
                        "csv",
                        "too-many",
                        "At most 4,000 days at once. Bring the table in year by year.")
                .done();
        Map<UUID, ServiceInput> inputs = new LinkedHashMap<>();
        fresh.forEach((id, day) -> inputs.put(id, input(tank, day, who.name())));
        if (inputs.isEmpty()) {
            return new Brought(0, List.of());
        }
        if (key.stoodSince() != null) {
            tanks.dateBack(who, tank, key.stoodSince());
        }
        return new Brought(inputs.size(), services.bringIn(who, tank, inputs));
    }

    private History history(TankBook book, String csv, KeyInput key) {
        Set<Long> tasks = new HashSet<>();
        Set<Long> graded = new HashSet<>();
        Set<Long> filters = new HashSet<>();
        book.records().filters().forEach(filter -> {
            filters.add(filter.id());
            filter.tasks().forEach(task -> {
                tasks.add(task.id());
                if (task.graded()) {
                    graded.add(task.id());
                }
            });
        });
        Notebook notebook = notebook(csv);
        check(notebook, key, tasks, filters);
        return History.of(notebook, key.key(), new Limits(stoodSince(book, key), tanks.today(), graded));
    }

    private static LocalDate stoodSince(TankBook book, KeyInput key) {
        LocalDate known = book.tank().establishedOn();
        return key.stoodSince() != null && key.stoodSince().isBefore(known) ? key.stoodSince() : known;
    }

    private static void check(Notebook notebook, KeyInput key, Set<Long> tasks, Set<Long> filters) {
        Rejected.Gatherer gatherer = new Rejected.Gatherer()
                .check(
                        key.columns().size() == notebook.headings().size(),
                        "key.columns",
                        "other-table",
                        "This table has other columns. Choose it again.")
                .check(
                        key.columns().stream()
                                        .filter(column -> column.role() == Role.DAY)
                                        .count()
                                == 1,
                        "key.columns",
                        "one-day",
                        "Say which column holds the day. There is one.");
        checkSubjects(gatherer, key, tasks, filters);
        for (int i = 0; i < key.work().size(); i++) {
            gatherer.check(
                    tasks.containsAll(key.work().get(i).tasks()),
                    "key.work[" + i + "].tasks",
                    "unknown",
                    "Choose tasks of this tank.");
        }
        gatherer.done();
    }

    private static void checkSubjects(Rejected.Gatherer gatherer, KeyInput key, Set<Long> tasks, Set<Long> filters) {
        for (int i = 0; i < key.columns().size(); i++) {
            KeyInput.ColumnInput column = key.columns().get(i);
            String field = "key.columns[" + i + "].subject";
            switch (column.role()) {
                case TASK ->
                    gatherer.check(
                            column.subject() != null && tasks.contains(column.subject()),
                            field,
                            "needed",
                            "Which task is this column about?");
                case FLOW_BEFORE, FLOW_AFTER ->
                    gatherer.check(
                            column.subject() != null && filters.contains(column.subject()),
                            field,
                            "needed",
                            "Which filter’s flow is this?");
                default -> {}
            }
        }
    }

    /** Days with something new to tell, oldest first, each under an id that follows from what it tells. */
    private Map<UUID, PastDay> fresh(SignedIn who, TankBook book, History history) {
        Map<LocalDate, Set<Long>> logged = new TreeMap<>();
        book.records().services().forEach(service -> logged.computeIfAbsent(service.doneOn(), day -> new HashSet<>())
                .addAll(service.done().keySet()));
        Map<UUID, PastDay> days = new LinkedHashMap<>();
        history.without(logged).forEach(day -> days.put(id(book.tank().id(), day), day));
        days.keySet().removeAll(services.logged(who, Set.copyOf(days.keySet())));
        return days;
    }

    private static UUID id(long tank, PastDay day) {
        String told = tank + " " + day.day() + " " + new TreeMap<>(day.done()) + " " + new TreeMap<>(day.flows()) + " "
                + day.note();
        return UUID.nameUUIDFromBytes(told.getBytes(StandardCharsets.UTF_8));
    }

    private static ServiceInput input(long tank, PastDay day, String writer) {
        return new ServiceInput(
                tank,
                day.day(),
                day.by().isBlank() ? writer : day.by(),
                day.minutes().isPresent() ? day.minutes().getAsInt() : null,
                day.note(),
                day.done().entrySet().stream()
                        .map(done -> new ServiceInput.Done(
                                done.getKey(), done.getValue().orElse(null)))
                        .toList(),
                day.flows().entrySet().stream()
                        .map(flow -> new ServiceInput.FlowInput(
                                flow.getKey(),
                                reading(flow.getValue().before()),
                                reading(flow.getValue().after())))
                        .toList(),
                null);
    }

    private static ServiceInput.@Nullable FlowReading reading(Optional<app.chervil.core.calc.FlowRate> flow) {
        return flow.map(rate -> new ServiceInput.FlowReading(rate.litresPerHour(), null, null))
                .orElse(null);
    }

    private static Notebook notebook(String csv) {
        Csv.Rows rows = Csv.read(csv)
                .orElseThrow(() -> Rejected.field("csv", "no-table", "This is no table of comma-separated values."));
        new Rejected.Gatherer()
                .check(
                        rows.headings().size() <= MOST_COLUMNS,
                        "csv",
                        "too-wide",
                        "At most 100 columns. Leave out those that say nothing.")
                .check(rows.rows().size() <= MOST_ROWS, "csv", "too-many", "At most 20,000 rows at once.")
                .done();
        return new Notebook(
                rows.headings(),
                rows.rows().stream()
                        .map(row -> new Notebook.Row(row.line(), row.cells()))
                        .toList());
    }

    private static Map<Long, String> names(TankBook book) {
        boolean several = book.records().filters().size() > 1;
        return book.records().filters().stream()
                .flatMap(filter -> filter.tasks().stream()
                        .map(task -> Map.entry(task.id(), several ? task.name() + ", " + filter.name() : task.name())))
                .collect(Collectors.toMap(Map.Entry::getKey, Map.Entry::getValue));
    }

    private static List<TaskCount> counts(List<PastDay> days, Map<Long, String> names) {
        return names.keySet().stream()
                .sorted()
                .map(task -> new TaskCount(
                        task,
                        names.getOrDefault(task, ""),
                        (int) days.stream()
                                .filter(day -> day.done().containsKey(task))
                                .count(),
                        (int) days.stream()
                                .filter(day -> day.done()
                                        .getOrDefault(task, Optional.empty())
                                        .isPresent())
                                .count()))
                .filter(count -> count.times() > 0)
                .toList();
    }

    private static ToldDay view(PastDay day, Map<Long, String> names) {
        return new ToldDay(
                day.day(),
                day.by(),
                day.minutes().isPresent() ? day.minutes().getAsInt() : null,
                day.done().entrySet().stream()
                        .map(done -> new ToldTask(
                                names.getOrDefault(done.getKey(), ""),
                                done.getValue().orElse(null)))
                        .toList(),
                day.note());
    }

    private static List<TableFault> troubles(List<History.Trouble> troubles) {
        return troubles.stream()
                .limit(SHOWN)
                .map(one -> new TableFault(one.line(), one.column(), one.message()))
                .toList();
    }
}
