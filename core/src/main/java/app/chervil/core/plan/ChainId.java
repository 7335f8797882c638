package app.chervil.core.plan;

import java.util.Optional;

/**
 * Names a chain among all of a site: a care task or a chore, by its number there.
 *
 * @param number of the task, or that of the chore below zero; so it is stored
 */
public record ChainId(long number) implements Comparable<ChainId> {
    public static ChainId ofTask(long task) {
        return new ChainId(task);
    }

    public static ChainId ofChore(long chore) {
        return new ChainId(-chore);
    }

    /**
     * Reads what {@link #toString} wrote.
     *
     * @throws NumberFormatException if it is no number
     */
    public static ChainId valueOf(String text) {
        return new ChainId(Long.parseLong(text));
    }

    /** The care task; empty for a chore. */
    public Optional<Long> task() {
        return number > 0 ? Optional.of(number) : Optional.empty();
    }

    @Override
    public int compareTo(ChainId other) {
        return Long.compare(number, other.number);
    }

    /** Chores between tasks: by its bits, one below zero would fall on the task before it. */
    @Override
    public int hashCode() {
        return Long.hashCode((number << 1) ^ (number >> 63));
    }

    @Override
    public String toString() {
        return Long.toString(number);
    }
}
