package app.chervil.server.plan;

import static org.assertj.core.api.Assertions.assertThat;

import app.chervil.core.interval.Window;
import app.chervil.server.plan.PlanMapper.VisitRow;
import app.chervil.server.plan.PlanView.CarriedThing;
import app.chervil.server.plan.PlanView.PlannedTask;
import app.chervil.server.plan.PlanView.PlannedVisit;
import java.io.StringReader;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.time.ZonedDateTime;
import java.util.List;
import java.util.UUID;
import net.fortuna.ical4j.data.CalendarBuilder;
import net.fortuna.ical4j.model.Calendar;
import net.fortuna.ical4j.model.Component;
import net.fortuna.ical4j.model.component.VEvent;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class CalendarFileTest {
    private static VisitRow row(UUID id, LocalDate on) {
        return new VisitRow(id, 1, on, null, 25, "[]", 3, Instant.parse("2026-03-01T10:00:00Z"));
    }

    private static PlannedVisit visit(UUID id, LocalDate on) {
        PlannedTask task = new PlannedTask(
                1, 1L, null, "Rinse the pre-filter; both, halves", "Weir", 5, new Window(on, on, on), 0, false, false);
        return new PlannedVisit(
                id, 1, "Brook", "Lab", on, 25, null, List.of(task), List.of(new CarriedThing("Bucket", 1, true)));
    }

    private static List<VEvent> read(String text) throws Exception {
        Calendar calendar = new CalendarBuilder().build(new StringReader(text));
        assertThat(calendar.validate(true).getEntries()).isEmpty();
        return calendar.getComponents(Component.VEVENT);
    }

    @ParameterizedTest
    @CsvSource({"2026-03-28, 16", "2026-03-30, 15"})
    void the_hour_stays_the_hour_when_the_clocks_change(LocalDate on, int hourInUtc) throws Exception {
        UUID id = UUID.randomUUID();

        String text = new CalendarFile("Site", ZoneId.of("Europe/Berlin"), LocalTime.of(17, 0), null)
                .of(List.of(visit(id, on)), List.of(row(id, on)));

        assertThat(text).contains("BEGIN:VTIMEZONE", "DTSTART;TZID=Europe/Berlin:");
        ZonedDateTime start =
                ZonedDateTime.from(read(text).get(0).getDateTimeStart().getDate());
        assertThat(start.toInstant()).isEqualTo(on.atTime(hourInUtc, 0).toInstant(java.time.ZoneOffset.UTC));
    }

    @Test
    void visits_of_a_day_follow_one_another_with_their_work_and_what_to_carry() throws Exception {
        LocalDate on = LocalDate.of(2026, 6, 3);
        UUID first = UUID.randomUUID();
        UUID second = UUID.randomUUID();

        List<VEvent> events = read(new CalendarFile("Site", ZoneId.of("UTC"), LocalTime.of(17, 0), 30)
                .of(List.of(visit(first, on), visit(second, on)), List.of(row(first, on), row(second, on))));

        assertThat(events)
                .extracting(event -> event.getDateTimeStart().getValue())
                .containsExactly("20260603T170000Z", "20260603T172500Z");
        VEvent event = events.get(0);
        assertThat(event.getSequence().getSequenceNo()).isEqualTo(3);
        assertThat(event.getSummary().getValue()).isEqualTo("Brook: Rinse the pre-filter; both, halves, 25 min");
        assertThat(event.getDescription().getValue()).contains("(Weir), 5 min").contains("Carry: Bucket");
        assertThat(event.getAlarms()).hasSize(1);
    }
}
