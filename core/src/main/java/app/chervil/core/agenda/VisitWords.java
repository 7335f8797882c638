package app.chervil.core.agenda;

import java.util.stream.Collectors;

/** A planned visit in words, for calendars and mails. */
public final class VisitWords {
    private VisitWords() {}

    /** In one line. */
    public static String summary(Standing.Visit visit) {
        String work = visit.tasks().size() == 1
                ? visit.tasks().get(0).subject().name()
                : visit.tasks().size() + " tasks";
        return visit.tank().name() + ": " + work + ", " + visit.minutes() + " min";
    }

    /** The tasks with their minutes, and what to carry, a line each. */
    public static String description(Standing.Visit visit) {
        StringBuilder text = new StringBuilder();
        for (Standing.Task task : visit.tasks()) {
            text.append("- ")
                    .append(named(task.subject()))
                    .append(", ")
                    .append(task.minutes())
                    .append(" min\n");
        }
        if (!visit.carry().isEmpty()) {
            text.append("Bring: ")
                    .append(visit.carry().stream().map(VisitWords::thing).collect(Collectors.joining(", ")));
        }
        return text.toString();
    }

    private static String named(Agenda.Subject subject) {
        return subject.filter().isEmpty() || subject.name().contains(subject.filter())
                ? subject.name()
                : subject.name() + " (" + subject.filter() + ")";
    }

    private static String thing(Carried carried) {
        String thing = carried.thing().words();
        return carried.count() > 1 ? carried.count() + " × " + thing : thing;
    }
}
