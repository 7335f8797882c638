package app.chervil.core.site;

import app.chervil.core.calc.Check;
import app.chervil.core.water.Parameter;
import java.time.LocalDate;
import java.util.Optional;
import java.util.OptionalInt;

/**
 * What a trial says of a task's interval.
 *
 * @param days the interval; empty where the trial leaves the thing out for now
 * @param adopted whether the trial is over and its keeper chose this way; it then says where a fixed interval comes from
 * @param reads what a trial that runs wants read; empty otherwise
 */
public record Tried(OptionalInt days, boolean adopted, Optional<Reads> reads) {
    /** Of the interval alone. */
    public Tried(OptionalInt days, boolean adopted) {
        this(days, adopted, Optional.empty());
    }

    /**
     * A reading that is wanted again and again.
     *
     * @param since the first day of the present turn: each turn wants its own
     * @param until the last day of the turn
     * @param everyDays 1 or above
     */
    public record Reads(Parameter parameter, LocalDate since, LocalDate until, int everyDays) {
        public Reads {
            Check.within("everyDays", everyDays, 1, 366);
        }
    }
}
