package app.chervil.server.plan;

import app.chervil.server.plan.PlanMapper.VisitRow;
import app.chervil.server.plan.PlanView.CarriedThing;
import app.chervil.server.plan.PlanView.PlannedTask;
import app.chervil.server.plan.PlanView.PlannedVisit;
import java.time.Duration;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.time.ZonedDateTime;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.UUID;
import java.util.stream.Collectors;
import net.fortuna.ical4j.model.Calendar;
import net.fortuna.ical4j.model.TimeZone;
import net.fortuna.ical4j.model.TimeZoneRegistryFactory;
import net.fortuna.ical4j.model.component.VAlarm;
import net.fortuna.ical4j.model.component.VEvent;
import net.fortuna.ical4j.model.property.Description;
import net.fortuna.ical4j.model.property.DtStamp;
import net.fortuna.ical4j.model.property.DtStart;
import net.fortuna.ical4j.model.property.Location;
import net.fortuna.ical4j.model.property.ProdId;
import net.fortuna.ical4j.model.property.Sequence;
import net.fortuna.ical4j.model.property.Summary;
import net.fortuna.ical4j.model.property.Uid;
import net.fortuna.ical4j.model.property.XProperty;
import net.fortuna.ical4j.model.property.immutable.ImmutableAction;
import net.fortuna.ical4j.model.property.immutable.ImmutableCalScale;
import net.fortuna.ical4j.model.property.immutable.ImmutableVersion;
import org.jspecify.annotations.Nullable;

/** Visits as an iCalendar document (RFC 5545). A visit keeps its UID when it moves; its sequence rises. */
final class CalendarFile {
    private static final int LEAST_MINUTES = 5;

    private final String name;
    private final ZoneId zone;
    private final LocalTime startsAt;
    private final @Nullable Integer alarmMinutes;
    private final @Nullable TimeZone timeZone;

    /**
     * A calendar.
     *
     * @param startsAt when a day's first visit begins; the others follow one after the other
     * @param alarmMinutes before each visit; absent for none
     */
    CalendarFile(String name, ZoneId zone, LocalTime startsAt, @Nullable Integer alarmMinutes) {
        this.name = name;
        this.zone = zone;
        this.startsAt = startsAt;
        this.alarmMinutes = alarmMinutes;
        boolean universal = zone.getRules().equals(ZoneOffset.UTC.getRules());
        timeZone = universal
                ? null
                : TimeZoneRegistryFactory.getInstance().createRegistry().getTimeZone(zone.getId());
    }

    /** The document with these visits. */
    String of(List<PlannedVisit> visits, List<VisitRow> rows) {
        Calendar calendar = new Calendar();
        calendar.add(new ProdId("-//Chervil//Plan//EN"));
        calendar.add(ImmutableVersion.VERSION_2_0);
        calendar.add(ImmutableCalScale.GREGORIAN);
        calendar.add(new XProperty("X-WR-CALNAME", name));
        if (timeZone != null) {
            calendar.add(timeZone.getVTimeZone());
        }
        Map<UUID, VisitRow> byId = rows.stream().collect(Collectors.toMap(VisitRow::id, row -> row));
        Map<LocalDate, LocalTime> next = new java.util.HashMap<>();
        for (PlannedVisit visit : visits) {
            LocalTime start = next.getOrDefault(visit.on(), startsAt);
            calendar.add(event(visit, Objects.requireNonNull(byId.get(visit.id())), start));
            next.put(visit.on(), start.plusMinutes(lasting(visit)));
        }
        return calendar.toString();
    }

    private static int lasting(PlannedVisit visit) {
        return Math.max(LEAST_MINUTES, visit.minutes());
    }

    private VEvent event(PlannedVisit visit, VisitRow row, LocalTime start) {
        VEvent event = new VEvent(false);
        event.add(new Uid(visit.id() + "@chervil"));
        event.add(new DtStamp(row.changedAt()));
        event.add(new Sequence(row.sequence()));
        event.add(started(visit.on(), start));
        event.add(new net.fortuna.ical4j.model.property.Duration(Duration.ofMinutes(lasting(visit))));
        event.add(new Summary(summary(visit)));
        event.add(new Description(description(visit)));
        if (!visit.room().isEmpty()) {
            event.add(new Location(visit.room()));
        }
        if (alarmMinutes != null) {
            VAlarm alarm = new VAlarm(Duration.ofMinutes(-alarmMinutes));
            alarm.add(ImmutableAction.DISPLAY);
            alarm.add(new Description(summary(visit)));
            event.add(alarm);
        }
        return event;
    }

    private DtStart<?> started(LocalDate on, LocalTime at) {
        return timeZone == null
                ? new DtStart<>(on.atTime(at).toInstant(ZoneOffset.UTC))
                : new DtStart<>(ZonedDateTime.of(on, at, zone));
    }

    private static String summary(PlannedVisit visit) {
        String work = visit.tasks().size() == 1
                ? visit.tasks().get(0).name()
                : visit.tasks().size() + " tasks";
        return visit.tank() + ": " + work + ", " + visit.minutes() + " min";
    }

    /** The tasks with their minutes, and what to carry. */
    static String description(PlannedVisit visit) {
        StringBuilder text = new StringBuilder();
        for (PlannedTask task : visit.tasks()) {
            text.append("- ").append(task.name());
            if (!task.filter().isEmpty() && !task.name().contains(task.filter())) {
                text.append(" (").append(task.filter()).append(')');
            }
            text.append(", ").append(task.minutes()).append(" min\n");
        }
        if (!visit.carry().isEmpty()) {
            text.append("Carry: ")
                    .append(visit.carry().stream().map(CalendarFile::thing).collect(Collectors.joining(", ")));
        }
        return text.toString();
    }

    private static String thing(CarriedThing carried) {
        return carried.count() > 1 ? carried.count() + " × " + carried.thing() : carried.thing();
    }
}
