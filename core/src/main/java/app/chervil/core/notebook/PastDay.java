package app.chervil.core.notebook;

import app.chervil.core.interval.Finding;
import app.chervil.core.site.PastService.Flows;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;

/**
 * All that a table tells of one day at a tank.
 *
 * @param by who did it; empty if the table does not say
 * @param minutes in all; empty if nobody looked at the clock
 * @param done finding by task id; empty where none was written down
 * @param flows by filter id, in L/h
 * @param note in the words of the table
 * @param lines of the file that tell of it
 */
public record PastDay(
        LocalDate day,
        String by,
        OptionalInt minutes,
        Map<Long, Optional<Finding>> done,
        Map<Long, Flows> flows,
        String note,
        List<Long> lines) {
    public PastDay {
        done = Map.copyOf(done);
        flows = Map.copyOf(flows);
        lines = List.copyOf(lines);
    }
}
