package app.chervil.server.calendar;

import static org.assertj.core.api.Assertions.assertThat;

import app.chervil.core.agenda.Agenda.Subject;
import app.chervil.core.agenda.BookedVisit;
import app.chervil.core.agenda.Carried;
import app.chervil.core.agenda.Standing.Task;
import app.chervil.core.agenda.Standing.Visit;
import app.chervil.core.filter.Material;
import app.chervil.core.interval.Window;
import app.chervil.core.plan.ChainId;
import app.chervil.core.site.Tank;
import app.chervil.core.tank.BacteriaHome;
import app.chervil.core.tank.Feeding;
import app.chervil.core.tank.RinseWater;
import app.chervil.core.tank.Schools;
import app.chervil.core.tank.Stocking;
import app.chervil.core.tank.TapWater;
import app.chervil.core.tank.Thoroughness;
import app.chervil.core.tank.WaterKind;
import java.io.StringReader;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.time.ZonedDateTime;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import net.fortuna.ical4j.data.CalendarBuilder;
import net.fortuna.ical4j.model.Calendar;
import net.fortuna.ical4j.model.Component;
import net.fortuna.ical4j.model.component.VEvent;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class CalendarFileTest {
    private static final String SITE = "https://tern.example";

    private static final Tank BROOK = new Tank(
            1,
            1,
            "Brook",
            "Lab",
            220,
            LocalDate.of(2024, 1, 1),
            new Tank.Setting(
                    WaterKind.FRESH, Stocking.NORMAL, Feeding.NORMAL, BacteriaHome.MEDIA, TapWater.CHLORAMINE, 8, 0.25),
            new Tank.Practice(Schools.DEFAULT, RinseWater.TANK_WATER, Thoroughness.LIGHT),
            false,
            Optional.empty());

    private static Visit visit(LocalDate on) {
        Subject rinse = new Subject(
                "Rinse the pre-filter; both, halves", "Weir", Optional.empty(), List.of(Material.BUCKET), "");
        return new Visit(
                new BookedVisit(
                        UUID.randomUUID(),
                        1,
                        on,
                        Optional.empty(),
                        25,
                        List.of(),
                        3,
                        Instant.parse("2026-03-01T10:00:00Z")),
                BROOK,
                Optional.empty(),
                List.of(new Task(ChainId.ofTask(1), rinse, 5, new Window(on, on, on), 0, false, false)),
                List.of(new Carried(Material.BUCKET, 1)));
    }

    private static List<VEvent> read(String text) throws Exception {
        Calendar calendar = new CalendarBuilder().build(new StringReader(text));
        assertThat(calendar.validate(true).getEntries()).isEmpty();
        return calendar.getComponents(Component.VEVENT);
    }

    @ParameterizedTest
    @CsvSource({"2026-03-28, 16", "2026-03-30, 15"})
    void the_hour_stays_the_hour_when_the_clocks_change(LocalDate on, int hourInUtc) throws Exception {
        String text = new CalendarFile("Site", ZoneId.of("Europe/Berlin"), LocalTime.of(17, 0), null, SITE)
                .of(List.of(visit(on)));

        assertThat(text).contains("BEGIN:VTIMEZONE", "DTSTART;TZID=Europe/Berlin:");
        ZonedDateTime start =
                ZonedDateTime.from(read(text).get(0).getDateTimeStart().getDate());
        assertThat(start.toInstant()).isEqualTo(on.atTime(hourInUtc, 0).toInstant(java.time.ZoneOffset.UTC));
    }

    @Test
    void visits_of_a_day_follow_one_another_with_their_work_and_what_to_carry() throws Exception {
        LocalDate on = LocalDate.of(2026, 6, 3);

        List<VEvent> events = read(new CalendarFile("Site", ZoneId.of("UTC"), LocalTime.of(17, 0), 30, SITE)
                .of(List.of(visit(on), visit(on))));

        assertThat(events)
                .extracting(event -> event.getDateTimeStart().getValue())
                .containsExactly("20260603T170000Z", "20260603T172500Z");
        VEvent event = events.get(0);
        assertThat(event.getSequence().getSequenceNo()).isEqualTo(3);
        assertThat(event.getSummary().getValue()).isEqualTo("Brook: Rinse the pre-filter; both, halves, 25 min");
        assertThat(event.getDescription().getValue()).contains("(Weir), 5 min").contains("Bring: ");
        assertThat(event.getAlarms()).hasSize(1);
        assertThat(event.getUrl().getValue()).startsWith(SITE + "/plan?visit=").hasSizeGreaterThan(50);
    }

    @Test
    void no_line_is_longer_than_seventy_five_octets_and_none_is_torn() throws Exception {
        String name = "Å" + "水".repeat(60) + "🐟".repeat(20);

        String text = new CalendarFile(name, ZoneId.of("UTC"), LocalTime.of(17, 0), null, SITE)
                .of(List.of(visit(LocalDate.of(2026, 6, 3))));

        assertThat(text.split("\r\n")).allSatisfy(line -> assertThat(line.getBytes(StandardCharsets.UTF_8).length)
                .isLessThanOrEqualTo(75));
        assertThat(text.replace("\r\n ", "")).contains("X-WR-CALNAME:" + name);
        assertThat(read(text)).hasSize(1);
    }
}
