package app.chervil.core.agenda;

import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;

/**
 * How a plan moved.
 *
 * @param causes why, in words
 * @param moves one or more
 */
public record Moved(Instant at, List<String> causes, List<Move> moves) {
    /**
     * One occurrence that moved.
     *
     * @param to empty if it left the plan
     */
    public record Move(String tank, String name, LocalDate from, Optional<LocalDate> to) {}
}
