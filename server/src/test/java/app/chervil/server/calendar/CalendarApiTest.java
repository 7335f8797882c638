package app.chervil.server.calendar;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import app.chervil.server.ChervilTest;
import app.chervil.server.TestSite;
import app.chervil.server.account.SignedIn;
import java.io.StringReader;
import java.time.LocalDate;
import java.util.List;
import net.fortuna.ical4j.data.CalendarBuilder;
import net.fortuna.ical4j.model.Calendar;
import net.fortuna.ical4j.model.Component;
import net.fortuna.ical4j.model.component.VEvent;
import net.fortuna.ical4j.validate.ValidationResult;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import tools.jackson.databind.JsonNode;

/** The visits of a keeper of one tank with a canister, read from outside; today is Monday 1 June 2026. */
@ChervilTest
class CalendarApiTest {
    private static final String PLAN = "/api/plan";
    private static final String WEEKS = "?weeks=26";

    @Autowired
    TestSite site;

    private SignedIn keeper;

    @BeforeEach
    void tank() throws Exception {
        keeper = site.keeper();
        site.canister(keeper, site.tank(keeper), "Weir", "2026-01-20");
        site.put(keeper, "/api/plan/time/people/" + keeper.accountId(), """
            {"minutes": [0, 0, 90, 0, 0, 90, 0]}""").andExpect(status().isOk());
    }

    private JsonNode plan() throws Exception {
        return site.read(site.get(keeper, PLAN + WEEKS).andExpect(status().isOk()));
    }

    @Test
    void a_calendar_is_valid_follows_a_move_under_the_same_uid_and_ends_at_once() throws Exception {
        plan();
        String path = site.read(site.post(keeper, "/api/calendars", """
            {"startsAt": "17:30:00", "alarmMinutes": 30}""").andExpect(status().isCreated()))
                .get("path")
                .asString();
        Calendar first = read(path);
        VEvent event = events(first).get(0);
        JsonNode visit = plan().get("visits")
                .valueStream()
                .filter(one -> event.getUid()
                        .orElseThrow()
                        .getValue()
                        .startsWith(one.get("id").asString()))
                .findFirst()
                .orElseThrow();
        LocalDate on = LocalDate.parse(visit.get("on").asString());
        StringBuilder items = new StringBuilder();
        visit.get("tasks").forEach(task -> items.append(items.isEmpty() ? "" : ",")
                .append("{\"chain\": %d, \"on\": \"%s\"}"
                        .formatted(task.get("chain").asLong(), on)));

        site.post(keeper, PLAN + "/decisions" + WEEKS, """
            {"items": [%s], "how": "PIN", "to": "%s"}""".formatted(items, on.plusDays(1)))
                .andExpect(status().isOk());

        VEvent moved = events(read(path)).stream()
                .filter(one -> one.getUid().equals(event.getUid()))
                .findFirst()
                .orElseThrow();
        assertThat(moved.getSequence().getSequenceNo())
                .isGreaterThan(event.getSequence().getSequenceNo());
        assertThat(moved.getDateTimeStart().getValue())
                .startsWith(on.plusDays(1).toString().replace("-", ""));
        long id = site.read(site.get(keeper, "/api/calendars")).get(0).get("id").asLong();
        site.delete(site.keeper(), "/api/calendars/" + id).andExpect(status().isNotFound());
        site.delete(keeper, "/api/calendars/" + id).andExpect(status().isNoContent());
        site.get(keeper, path).andExpect(status().isNotFound());
    }

    private Calendar read(String path) throws Exception {
        String text = site.get(keeper, path)
                .andExpect(status().isOk())
                .andReturn()
                .getResponse()
                .getContentAsString(java.nio.charset.StandardCharsets.UTF_8);
        Calendar calendar = new CalendarBuilder().build(new StringReader(text));
        ValidationResult result = calendar.validate(true);
        assertThat(result.getEntries()).isEmpty();
        return calendar;
    }

    private static List<VEvent> events(Calendar calendar) {
        return calendar.getComponents(Component.VEVENT);
    }
}
