package app.chervil.core.water;

import java.time.LocalDate;
import java.util.Optional;

/**
 * A treatment of the whole tank.
 *
 * @param lastDay last day on which it works; empty while nobody said that it ended
 */
public record Medication(LocalDate firstDay, Optional<LocalDate> lastDay) {
    public Medication {
        if (lastDay.isPresent() && lastDay.get().isBefore(firstDay)) {
            throw new IllegalArgumentException("lastDay must not be before " + firstDay + " but was " + lastDay.get());
        }
    }

    /** Whether it works on a day. */
    public boolean works(LocalDate day) {
        return !day.isBefore(firstDay)
                && lastDay.map(last -> !day.isAfter(last)).orElse(true);
    }
}
