package app.chervil.core.interval;

import java.time.LocalDate;

/** Days on which a task is best done; earliest ≤ ideal ≤ latest. */
public record Window(LocalDate earliest, LocalDate ideal, LocalDate latest) {
    /** Where a day stands to the window. */
    public Standing standingOn(LocalDate day) {
        if (day.isAfter(latest)) {
            return Standing.LATE;
        }
        if (!day.isBefore(ideal)) {
            return Standing.DUE;
        }
        return day.isBefore(earliest) ? Standing.LATER : Standing.OPEN;
    }

    static Window after(LocalDate since, Days days) {
        return new Window(
                since.plusDays(Math.round(days.earliest())),
                since.plusDays(Math.max(1, Math.round(days.ideal()))),
                since.plusDays(Math.max(1, Math.round(days.latest()))));
    }

    /** A window as days after the last service, before rounding to dates. */
    public record Days(double earliest, double ideal, double latest) {}

    /** Where a day stands to a window. */
    public enum Standing {
        /** Before the earliest day. */
        LATER,
        /** May be done, from the earliest day on. */
        OPEN,
        /** The ideal day or after. */
        DUE,
        /** After the latest day. */
        LATE
    }
}
