package app.chervil.core.notebook;

import app.chervil.core.calc.FlowRate;
import app.chervil.core.calc.Unit;
import app.chervil.core.interval.Finding;
import app.chervil.core.notebook.Key.Column;
import app.chervil.core.notebook.Key.Use;
import app.chervil.core.notebook.Key.Work;
import app.chervil.core.notebook.Notebook.Row;
import app.chervil.core.site.PastService.Flows;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.OptionalLong;
import java.util.Set;
import java.util.TreeMap;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;

/**
 * A table read with a key: a service for each day it tells of.
 *
 * @param days oldest first
 * @param earlier the first day the table tells of, where that is before the tank was there
 * @param faults rows that are left out, and why
 * @param doubts cells that are left out of rows that come in, and why
 */
public record History(List<PastDay> days, Optional<LocalDate> earlier, List<Trouble> faults, List<Trouble> doubts) {
    private static final int FIRST_YEAR = 1950;
    private static final int LONGEST_NOTE = 2000;
    private static final int LONGEST_NAME = 60;
    private static final int MOST_MINUTES = 1440;
    private static final double MOST_FLOW = 1_000_000;
    private static final Pattern AMOUNT =
            Pattern.compile("(?:about|ca\\.?|~)?\\s*(\\d{1,7}(?:[.,]\\d{1,3})?)\\s*(\\D*)");
    private static final Pattern CLOCK = Pattern.compile("(\\d{1,2}):(\\d{2})(?::\\d{2})?");
    private static final Pattern HOURS = Pattern.compile("(\\d{1,2})\\s*h(?:ours?|rs?)?\\s*(?:(\\d{1,2})\\s*m?.*)?");

    /** What stands in a column of one task where it was not done. */
    private static final Set<String> NOT = Set.of("no", "n", "none", "0", "false", "skipped", "not done", "na", "n/a");

    public History {
        days = List.copyOf(days);
        faults = List.copyOf(faults);
        doubts = List.copyOf(doubts);
    }

    /**
     * What is wrong in a table.
     *
     * @param line of the file
     * @param column its heading; empty for the whole row
     */
    public record Trouble(long line, String column, String message) {}

    /**
     * What a table may tell of.
     *
     * @param first day there can be a record of; the tank was not there before
     * @param today after which nothing was done yet
     * @param graded tasks that have findings
     */
    public record Limits(LocalDate first, LocalDate today, Set<Long> graded) {
        public Limits {
            graded = Set.copyOf(graded);
        }
    }

    /** Reads a table; whatever it holds, nothing but its own words comes out. */
    public static History of(Notebook notebook, Key key, Limits limits) {
        return new Reader(notebook, key, limits).read();
    }

    /** A day being gathered from the rows that tell of it. */
    private static final class Gathered {
        private final Set<String> by = new LinkedHashSet<>();
        private final Map<Long, Optional<Finding>> done = new LinkedHashMap<>();
        private final Map<Long, Flows> flows = new LinkedHashMap<>();
        private final Set<String> notes = new LinkedHashSet<>();
        private final List<Long> lines = new ArrayList<>();
        private int minutes;

        void done(long task, Optional<Finding> found) {
            // Of two grades for the same work the fuller.
            done.merge(task, found, (one, other) -> fuller(one, other));
        }

        private static Optional<Finding> fuller(Optional<Finding> one, Optional<Finding> other) {
            return Stream.of(one, other).flatMap(Optional::stream).max(Comparator.comparingInt(Finding::grade));
        }

        PastDay on(LocalDate day) {
            String names = String.join(", ", by);
            return new PastDay(
                    day,
                    names.substring(0, Math.min(names.length(), LONGEST_NAME)),
                    minutes == 0 ? OptionalInt.empty() : OptionalInt.of(Math.min(minutes, MOST_MINUTES)),
                    done,
                    flows,
                    cut(String.join("\n", notes)),
                    lines);
        }

        private static String cut(String text) {
            return text.length() <= LONGEST_NOTE ? text : text.substring(0, LONGEST_NOTE - 1) + "…";
        }
    }

    private static final class Reader {
        private final Notebook notebook;
        private final Key key;
        private final Limits limits;
        private final Map<LocalDate, Gathered> days = new TreeMap<>();
        private final List<Trouble> faults = new ArrayList<>();
        private final List<Trouble> doubts = new ArrayList<>();
        private Optional<LocalDate> above = Optional.empty();
        private Optional<LocalDate> earlier = Optional.empty();

        Reader(Notebook notebook, Key key, Limits limits) {
            this.notebook = notebook;
            this.key = key;
            this.limits = limits;
        }

        History read() {
            notebook.rows().stream().filter(row -> !row.blank()).forEach(this::read);
            return new History(
                    days.entrySet().stream()
                            .map(day -> day.getValue().on(day.getKey()))
                            .toList(),
                    earlier,
                    faults,
                    doubts);
        }

        private void read(Row row) {
            Optional<LocalDate> day = day(row);
            if (day.isEmpty()) {
                return;
            }
            Gathered gathered = new Gathered();
            notebook.columns().forEach(i -> read(row, i, gathered));
            graded(row, gathered);
            if (gathered.done.isEmpty() && gathered.flows.isEmpty() && gathered.notes.isEmpty()) {
                return;
            }
            Gathered whole = days.computeIfAbsent(day.get(), one -> new Gathered());
            gathered.done.forEach(whole::done);
            whole.flows.putAll(gathered.flows);
            whole.notes.addAll(gathered.notes);
            whole.by.addAll(gathered.by);
            whole.minutes += gathered.minutes;
            whole.lines.add(row.line());
        }

        private Optional<LocalDate> day(Row row) {
            int column = first(Role.DAY);
            String cell = column < 0 ? "" : row.cell(column);
            String heading = column < 0 ? "" : notebook.headings().get(column);
            if (cell.isEmpty()) {
                if (key.dayFromAbove() && above.isPresent()) {
                    return above;
                }
                faults.add(new Trouble(row.line(), heading, "No day is written here."));
                return Optional.empty();
            }
            Optional<LocalDate> day = key.order().read(cell);
            above = day.filter(one -> !one.isBefore(limits.first()) && !one.isAfter(limits.today()));
            if (above.isEmpty()) {
                faults.add(new Trouble(row.line(), heading, why(cell, day)));
            }
            return above;
        }

        private String why(String cell, Optional<LocalDate> day) {
            if (day.isEmpty()) {
                return "“" + cell + "” is no day.";
            }
            if (day.get().isBefore(limits.first()) && day.get().getYear() >= FIRST_YEAR) {
                earlier = earlier.filter(one -> one.isBefore(day.get())).or(() -> day);
            }
            return day.get().isAfter(limits.today())
                    ? "“" + cell + "” has not come yet."
                    : "“" + cell + "” is before the tank was set up.";
        }

        private void read(Row row, int i, Gathered gathered) {
            Column column = i < key.columns().size() ? key.columns().get(i) : Column.of(Role.NOTHING);
            String cell = row.cell(i);
            if (cell.isEmpty()) {
                return;
            }
            switch (column.role()) {
                case WORK -> work(cell, gathered);
                case TASK -> mark(column, cell, gathered);
                case BY -> gathered.by.add(cell);
                case NOTE -> gathered.notes.add(cell);
                case MINUTES ->
                    minutes(cell)
                            .ifPresentOrElse(
                                    value -> gathered.minutes += value,
                                    () -> doubt(row, i, "“" + cell + "” is no number of minutes."));
                case FLOW_BEFORE, FLOW_AFTER -> flow(row, i, column, gathered);
                case DAY, FOUND, NOTHING -> {}
            }
        }

        private void doubt(Row row, int column, String message) {
            doubts.add(new Trouble(row.line(), notebook.headings().get(column), message));
        }

        /** The parts of a cell one after another; a part that tells of a finding alone belongs to the work before it. */
        private void work(String cell, Gathered gathered) {
            Set<Long> before = Set.of();
            List<String> noted = new ArrayList<>();
            for (String part : Phrase.parts(cell)) {
                Work work = key.work().getOrDefault(Phrase.key(part), Work.NOTE);
                Optional<Finding> found = work.found();
                if (work.use() == Use.DONE) {
                    work.tasks().forEach(task -> gathered.done(task, graded(task, found)));
                    before = work.tasks();
                } else if (found.isPresent() && !before.isEmpty()) {
                    before.forEach(task -> gathered.done(task, graded(task, found)));
                } else if (work.use() == Use.NOTED) {
                    noted.add(part);
                }
            }
            if (!noted.isEmpty()) {
                gathered.notes.add(String.join(", ", noted));
            }
        }

        private void mark(Column column, String cell, Gathered gathered) {
            String word = Phrase.key(cell);
            if (column.subject().isPresent() && !word.isEmpty() && !NOT.contains(word)) {
                long task = column.subject().getAsLong();
                gathered.done(
                        task, graded(task, Optional.ofNullable(key.grades().get(word))));
                if (word.length() > 3 && !key.grades().containsKey(word)) {
                    gathered.notes.add(cell);
                }
            }
        }

        /** What the column of findings says holds for whatever of this row has no finding of its own. */
        private void graded(Row row, Gathered gathered) {
            notebook.columns()
                    .filter(i -> role(i) == Role.FOUND && !row.cell(i).isEmpty())
                    .forEach(i -> {
                        Optional<Finding> found =
                                Optional.ofNullable(key.grades().get(Phrase.key(row.cell(i))));
                        if (found.isEmpty()) {
                            gathered.notes.add(row.cell(i));
                        }
                        gathered.done.replaceAll((task, said) -> said.isPresent() ? said : graded(task, found));
                    });
        }

        private Optional<Finding> graded(long task, Optional<Finding> found) {
            return limits.graded().contains(task) ? found : Optional.empty();
        }

        private void flow(Row row, int i, Column column, Gathered gathered) {
            OptionalDouble flow = litresAnHour(row.cell(i));
            if (flow.isEmpty()) {
                doubt(row, i, "“" + row.cell(i) + "” is no flow.");
                return;
            }
            OptionalLong filter = column.subject();
            if (filter.isPresent()) {
                Optional<FlowRate> rate = Optional.of(new FlowRate(flow.getAsDouble()));
                Flows was = gathered.flows.getOrDefault(filter.getAsLong(), Flows.NONE);
                gathered.flows.put(
                        filter.getAsLong(),
                        column.role() == Role.FLOW_BEFORE
                                ? new Flows(rate, was.after())
                                : new Flows(was.before(), rate));
            }
        }

        private OptionalDouble litresAnHour(String cell) {
            Matcher amount = AMOUNT.matcher(cell.toLowerCase(Locale.ROOT));
            if (!amount.matches()) {
                return OptionalDouble.empty();
            }
            double value = Double.parseDouble(amount.group(1).replace(',', '.'));
            String said = amount.group(2);
            Unit unit = key.flowUnit();
            if (said.startsWith("l")) {
                unit = Unit.LITRES_AN_HOUR;
            } else if (said.startsWith("gph") || said.startsWith("gal") || said.startsWith("us")) {
                unit = unit == Unit.UK_GALLONS_AN_HOUR ? unit : Unit.US_GALLONS_AN_HOUR;
            }
            double flow = unit.stored(value);
            return flow >= 1 && flow <= MOST_FLOW ? OptionalDouble.of(flow) : OptionalDouble.empty();
        }

        private int first(Role role) {
            return notebook.columns().filter(i -> role(i) == role).findFirst().orElse(-1);
        }

        private Role role(int i) {
            return i < key.columns().size() ? key.columns().get(i).role() : Role.NOTHING;
        }
    }

    /** "25", "25 min", "1:10", "1 h 10"; a number of hours has to say so. */
    static OptionalInt minutes(String cell) {
        String written = cell.toLowerCase(Locale.ROOT).replace("1/2", "0.5").replace("½", "0.5");
        Matcher clock = CLOCK.matcher(written);
        Matcher hours = HOURS.matcher(written);
        Matcher amount = AMOUNT.matcher(written);
        double minutes = -1;
        if (clock.matches()) {
            minutes = 60 * Integer.parseInt(clock.group(1)) + Integer.parseInt(clock.group(2));
        } else if (hours.matches()) {
            minutes = 60 * Integer.parseInt(hours.group(1))
                    + (hours.group(2) == null ? 0 : Integer.parseInt(hours.group(2)));
        } else if (amount.matches()) {
            boolean inHours = amount.group(2).startsWith("h");
            minutes = Double.parseDouble(amount.group(1).replace(',', '.')) * (inHours ? 60 : 1);
        }
        int whole = (int) Math.round(minutes);
        return whole >= 1 && whole <= MOST_MINUTES ? OptionalInt.of(whole) : OptionalInt.empty();
    }

    /**
     * Without what is on record already.
     *
     * @param logged tasks that were logged on a day, by day
     * @return days with something new to tell; notes alone are taken as new
     */
    public List<PastDay> without(Map<LocalDate, Set<Long>> logged) {
        return days.stream()
                .map(day -> {
                    Set<Long> there = logged.getOrDefault(day.day(), Collections.emptySet());
                    Map<Long, Optional<Finding>> fresh = new LinkedHashMap<>(day.done());
                    fresh.keySet().removeAll(there);
                    return new PastDay(day.day(), day.by(), day.minutes(), fresh, day.flows(), day.note(), day.lines());
                })
                .filter(day -> !day.done().isEmpty() || !logged.containsKey(day.day()))
                .toList();
    }
}
