package app.chervil.server.calendar;

import app.chervil.core.agenda.Standing.Visit;
import app.chervil.core.agenda.VisitWords;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.time.ZonedDateTime;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
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
import net.fortuna.ical4j.model.property.Url;
import net.fortuna.ical4j.model.property.XProperty;
import net.fortuna.ical4j.model.property.immutable.ImmutableAction;
import net.fortuna.ical4j.model.property.immutable.ImmutableCalScale;
import net.fortuna.ical4j.model.property.immutable.ImmutableVersion;
import org.jspecify.annotations.Nullable;

/** Visits as an iCalendar document (RFC 5545). A visit keeps its UID when it moves; its sequence rises. */
final class CalendarFile {
    private static final int LEAST_MINUTES = 5;
    private static final int MOST_OCTETS = 75;

    private final String name;
    private final ZoneId zone;
    private final LocalTime startsAt;
    private final @Nullable Integer alarmMinutes;
    private final String site;
    private final @Nullable TimeZone timeZone;

    /**
     * A calendar.
     *
     * @param startsAt when a day's first visit begins; the others follow one after the other
     * @param alarmMinutes before each visit; absent for none
     * @param site address under which the site is reached, without a slash at its end
     */
    CalendarFile(String name, ZoneId zone, LocalTime startsAt, @Nullable Integer alarmMinutes, String site) {
        this.name = name;
        this.site = site;
        this.zone = zone;
        this.startsAt = startsAt;
        this.alarmMinutes = alarmMinutes;
        boolean universal = zone.getRules().equals(ZoneOffset.UTC.getRules());
        timeZone = universal
                ? null
                : TimeZoneRegistryFactory.getInstance().createRegistry().getTimeZone(zone.getId());
    }

    /** The document with these visits. */
    String of(List<Visit> visits) {
        Calendar calendar = new Calendar();
        calendar.add(new ProdId("-//Chervil//Plan//EN"));
        calendar.add(ImmutableVersion.VERSION_2_0);
        calendar.add(ImmutableCalScale.GREGORIAN);
        calendar.add(new XProperty("X-WR-CALNAME", name));
        if (timeZone != null) {
            calendar.add(timeZone.getVTimeZone());
        }
        Map<LocalDate, LocalTime> next = new HashMap<>();
        for (Visit visit : visits) {
            LocalTime start = next.getOrDefault(visit.on(), startsAt);
            calendar.add(event(visit, start));
            next.put(visit.on(), start.plusMinutes(lasting(visit)));
        }
        return folded(calendar.toString());
    }

    /** Lines of at most 75 octets (RFC 5545, 3.1); no character is torn. */
    private static String folded(String document) {
        StringBuilder folded = new StringBuilder();
        for (String line : document.lines().toList()) {
            int octets = 0;
            for (int at = 0; at < line.length(); at = line.offsetByCodePoints(at, 1)) {
                String character = Character.toString(line.codePointAt(at));
                int more = character.getBytes(StandardCharsets.UTF_8).length;
                if (octets + more > MOST_OCTETS) {
                    folded.append("\r\n ");
                    octets = 1;
                }
                folded.append(character);
                octets += more;
            }
            folded.append("\r\n");
        }
        return folded.toString();
    }

    private static int lasting(Visit visit) {
        return Math.max(LEAST_MINUTES, visit.minutes());
    }

    private VEvent event(Visit visit, LocalTime start) {
        VEvent event = new VEvent(false);
        event.add(new Uid(visit.booked().id() + "@chervil"));
        event.add(new DtStamp(visit.booked().changedAt()));
        event.add(new Sequence(visit.booked().sequence()));
        event.add(started(visit.on(), start));
        event.add(new net.fortuna.ical4j.model.property.Duration(Duration.ofMinutes(lasting(visit))));
        event.add(new Summary(VisitWords.summary(visit)));
        event.add(new Description(VisitWords.description(visit)));
        event.add(new Url(URI.create(site + "/plan?visit=" + visit.booked().id())));
        if (!visit.tank().room().isEmpty()) {
            event.add(new Location(visit.tank().room()));
        }
        if (alarmMinutes != null) {
            VAlarm alarm = new VAlarm(Duration.ofMinutes(-alarmMinutes));
            alarm.add(ImmutableAction.DISPLAY);
            alarm.add(new Description(VisitWords.summary(visit)));
            event.add(alarm);
        }
        return event;
    }

    private DtStart<?> started(LocalDate on, LocalTime at) {
        return timeZone == null
                ? new DtStart<>(on.atTime(at).toInstant(ZoneOffset.UTC))
                : new DtStart<>(ZonedDateTime.of(on, at, zone));
    }
}
