package app.chervil.server.interval;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import app.chervil.server.ChervilTest;
import app.chervil.server.TestSite;
import app.chervil.server.account.SignedIn;
import java.time.Clock;
import java.time.LocalDate;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import tools.jackson.databind.JsonNode;

/** A filter that stood still, from the first entry to its being taken out. */
@ChervilTest
class PauseApiTest {
    @Autowired
    TestSite site;

    @Autowired
    Clock clock;

    private SignedIn keeper;
    private long tank;
    private JsonNode filter;
    private LocalDate today;

    @BeforeEach
    void canister() throws Exception {
        today = LocalDate.now(clock);
        keeper = site.keeper();
        tank = site.tank(keeper);
        filter = site.canister(keeper, tank, "Weir", today.minusDays(10).toString());
    }

    @Test
    void its_dates_wait_while_it_stands_and_come_back_when_that_is_taken_out() throws Exception {
        LocalDate usual = opening();
        UUID pause = UUID.randomUUID();

        save(pause, filter.get("id").asLong(), today.minusDays(5), today.plusDays(15));
        assertThat(opening()).isEqualTo(usual.plusDays(20));

        site.delete(keeper, "/api/pauses/" + pause).andExpect(status().isNoContent());
        assertThat(opening()).isEqualTo(usual);
        site.delete(keeper, "/api/pauses/" + pause).andExpect(status().isNotFound());
    }

    @Test
    void one_that_lasts_ends_by_its_own_call() throws Exception {
        LocalDate usual = opening();
        UUID pause = UUID.randomUUID();
        save(pause, filter.get("id").asLong(), today.minusDays(8), null);
        assertThat(opening()).isAfter(today.plusYears(5));

        site.put(keeper, "/api/pauses/" + pause + "/end", "{\"untilDay\": \"%s\"}".formatted(today.minusDays(8)))
                .andExpect(status().isUnprocessableContent())
                .andExpect(jsonPath("$.errors[0].field").value("untilDay"));
        site.put(keeper, "/api/pauses/" + pause + "/end", "{\"untilDay\": \"%s\"}".formatted(today))
                .andExpect(status().isNoContent());

        assertThat(opening()).isEqualTo(usual.plusDays(8));
    }

    @Test
    void sent_twice_it_counts_once_and_of_the_whole_tank_it_reaches_every_filter() throws Exception {
        LocalDate usual = opening();
        UUID pause = UUID.randomUUID();

        save(pause, null, today.minusDays(5), today.plusDays(5));
        save(pause, null, today.minusDays(5), today.plusDays(5));

        site.get(keeper, "/api/tanks/" + tank + "/pauses")
                .andExpect(jsonPath("$.length()").value(1));
        assertThat(opening()).isEqualTo(usual.plusDays(10));
    }

    @Test
    void another_sites_pause_is_nobodys_to_see_or_to_end() throws Exception {
        UUID pause = UUID.randomUUID();
        save(pause, null, today.minusDays(5), null);
        SignedIn stranger = site.keeper();

        site.get(stranger, "/api/tanks/" + tank + "/pauses").andExpect(status().isNotFound());
        site.delete(stranger, "/api/pauses/" + pause).andExpect(status().isNotFound());
        site.put(stranger, "/api/pauses/" + pause + "/end", "{\"untilDay\": \"%s\"}".formatted(today))
                .andExpect(status().isNotFound());
    }

    private void save(UUID pause, Long filterId, LocalDate from, LocalDate until) throws Exception {
        String end = until == null ? "null" : "\"" + until + "\"";
        site.put(keeper, "/api/tanks/" + tank + "/pauses/" + pause, """
                {"filterId": %s, "cause": "OFF", "firstDay": "%s", "untilDay": %s}""".formatted(filterId, from, end))
                .andExpect(status().isOk());
    }

    private LocalDate opening() throws Exception {
        long task = TestSite.task(filter, "Open canister Weir");
        return site.read(site.get(keeper, "/api/forecasts?tank=" + tank))
                .valueStream()
                .filter(forecast -> forecast.get("subject").get("taskId").asLong() == task)
                .map(forecast ->
                        LocalDate.parse(forecast.get("window").get("ideal").asString()))
                .findFirst()
                .orElseThrow();
    }
}
