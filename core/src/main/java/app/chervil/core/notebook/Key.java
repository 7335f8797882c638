package app.chervil.core.notebook;

import app.chervil.core.calc.Unit;
import app.chervil.core.interval.Finding;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.Set;

/**
 * How a table is read.
 *
 * @param columns one for each heading
 * @param order of numbers in a date
 * @param dayFromAbove whether an empty day means the day of the row above
 * @param flowUnit of flows that name none
 * @param work what a phrase means, by {@link Phrase#key}; a phrase that is missing is kept as a note
 * @param grades what a word in a column of findings means, by {@link Phrase#key}; one that is missing says nothing
 */
public record Key(
        List<Column> columns,
        DayOrder order,
        boolean dayFromAbove,
        Unit flowUnit,
        Map<String, Work> work,
        Map<String, Finding> grades) {
    public Key {
        columns = List.copyOf(columns);
        work = Map.copyOf(work);
        grades = Map.copyOf(grades);
    }

    /**
     * What a column says.
     *
     * @param subject the task of {@link Role#TASK}, the filter of a flow
     */
    public record Column(Role role, OptionalLong subject) {
        public static Column of(Role role) {
            return new Column(role, OptionalLong.empty());
        }
    }

    /** What becomes of a phrase. */
    public enum Use {
        DONE,
        NOTED,
        LEFT_OUT
    }

    /**
     * What a phrase means.
     *
     * @param tasks done, by id; none unless it is work
     * @param found how dirty it was, where the phrase says so
     */
    public record Work(Use use, Set<Long> tasks, Optional<Finding> found) {
        public static final Work NOTE = new Work(Use.NOTED, Set.of(), Optional.empty());

        public Work {
            tasks = Set.copyOf(tasks);
        }
    }
}
