package app.chervil.server.media;

import static org.assertj.core.api.Assertions.assertThat;
import static org.hamcrest.Matchers.containsString;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import app.chervil.server.ChervilTest;
import app.chervil.server.TestSite;
import app.chervil.server.account.SignedIn;
import java.time.Clock;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.test.web.servlet.ResultActions;
import tools.jackson.databind.JsonNode;

/** 1,500 g of media in Weir, in a tank of more than a year, exchanged in three portions. */
@ChervilTest
class ExchangeApiTest {
    @Autowired
    TestSite site;

    @Autowired
    JdbcTemplate database;

    @Autowired
    Clock clock;

    private SignedIn keeper;
    private LocalDate today;
    private long tank;
    private long media;
    private UUID exchange;

    @BeforeEach
    void weir() throws Exception {
        keeper = site.keeper();
        today = LocalDate.now(clock);
        tank = site.tank(keeper);
        String body =
                TestSite.canister("Weir", "2026-03-01").replace("\"BIO_MEDIA\"", "\"BIO_MEDIA\", \"massG\": 1500");
        media = site.read(site.post(keeper, "/api/tanks/" + tank + "/filters", body))
                .get("stages")
                .valueStream()
                .filter(stage -> stage.get("kind").asString().equals("BIO_MEDIA"))
                .findFirst()
                .orElseThrow()
                .get("id")
                .asLong();
        exchange = UUID.randomUUID();
    }

    private String wanted(double grams, int portions, String rest) {
        return """
                {"stageId": %d, "grams": %s, "portions": %d, "firstOn": "%s"%s}""".formatted(media, grams, portions, today, rest);
    }

    private ResultActions begin() throws Exception {
        return site.put(keeper, "/api/tanks/" + tank + "/exchanges/" + exchange, wanted(1500, 3, ""));
    }

    private void replaced(UUID id, LocalDate on, double grams) throws Exception {
        site.put(keeper, "/api/tanks/" + tank + "/media-replacements/" + id, """
                {"media": {"stageId": %d, "grams": %s}, "replacedOn": "%s", "overrideReason": "as planned"}""".formatted(media, grams, on))
                .andExpect(status().isOk());
    }

    /** Days on which the plan has the next portion. */
    private List<String> planned() throws Exception {
        JsonNode visits = site.read(site.get(keeper, "/api/plan?weeks=8")).get("visits");
        return visits.toString().contains("eplace the next portion of the bio media") ? List.of("planned") : List.of();
    }

    private JsonNode now() throws Exception {
        return site.read(site.get(keeper, "/api/tanks/" + tank + "/exchanges")).get(0);
    }

    @Test
    void it_is_shown_before_it_begins() throws Exception {
        site.post(keeper, "/api/tanks/" + tank + "/exchange-plan", wanted(1500, 1, ""))
                .andExpect(jsonPath("$.portions.length()").value(2))
                .andExpect(jsonPath("$.portions[0].grams").value(750))
                .andExpect(jsonPath("$.portions[1].on").value(today.plusDays(28).toString()))
                .andExpect(jsonPath("$.told[0]").value(containsString("no fewer than 2 portions")));
        site.post(
                        keeper,
                        "/api/tanks/" + tank + "/exchange-plan",
                        wanted(1500, 3, ", \"oldKind\": \"LAVA\", \"newKind\": \"POROUS\""))
                .andExpect(jsonPath("$.portions[0].freshGrams").value(org.hamcrest.Matchers.closeTo(166.7, 0.1)));
        assertThat(planned()).isEmpty();
    }

    @Test
    void the_plan_carries_each_portion_until_the_last_is_logged() throws Exception {
        begin().andExpect(status().isOk())
                .andExpect(jsonPath("$.portions.length()").value(3));
        begin().andExpect(status().isOk());
        assertThat(planned()).isNotEmpty();

        replaced(UUID.randomUUID(), today, 500);
        assertThat(now().get("done").asInt()).isEqualTo(1);
        assertThat(planned()).isNotEmpty();

        database.update(
                "update media_exchange set told_on = ?, first_on = ? where id = ?",
                today.minusDays(60),
                today.minusDays(60),
                exchange);
        replaced(UUID.randomUUID(), today.minusDays(56), 500);
        replaced(UUID.randomUUID(), today.minusDays(28), 500);
        assertThat(now().get("done").asInt()).isEqualTo(3);
        assertThat(now().get("endedOn").asString())
                .isEqualTo(today.minusDays(28).toString());
        assertThat(now().get("verdictOn").asString())
                .isEqualTo(today.plusDays(28).toString());
        assertThat(planned()).isEmpty();
    }

    @Test
    void eight_weeks_after_the_last_portion_it_says_how_the_tank_took_it() throws Exception {
        begin().andExpect(status().isOk());
        database.update(
                "update media_exchange set told_on = ?, first_on = ?, ended_on = ? where id = ?",
                today.minusDays(130),
                today.minusDays(130),
                today.minusDays(70),
                exchange);
        for (int week = 0; week < 26; week++) {
            LocalDate day = today.minusDays(186 - 7L * week);
            site.post(keeper, "/api/tanks/" + tank + "/readings", """
                    {"takenAt": "%sT10:00:00Z", "moment": "PLAIN", "confirmed": true, "values": [{"id": "%s",
                     "parameter": "NITRATE", "amount": %d, "belowDetection": false, "early": false, "method": ""}]}""".formatted(day, UUID.randomUUID(), 10 + week))
                    .andExpect(status().isOk());
        }

        assertThat(now().get("verdict").asString())
                .startsWith(
                        "No ammonia and no nitrite showed since the first portion. Nitrate rose 1 mg/L a week before")
                .contains("which cannot be told from no difference");
    }

    @Test
    void what_is_put_back_is_to_be_exchanged_still() throws Exception {
        site.put(keeper, "/api/tanks/" + tank + "/exchanges/" + exchange, wanted(700, 1, ""))
                .andExpect(status().isOk());
        UUID id = UUID.randomUUID();
        replaced(id, today, 700);
        assertThat(now().has("endedOn") && !now().get("endedOn").isNull()).isTrue();
        assertThat(planned()).isEmpty();

        site.delete(keeper, "/api/media-replacements/" + id).andExpect(status().isNoContent());
        assertThat(now().get("done").asInt()).isZero();
        assertThat(now().path("endedOn").isNull() || now().path("endedOn").isMissingNode())
                .isTrue();
        assertThat(planned()).isNotEmpty();
    }

    @Test
    void one_runs_on_a_tank_and_can_be_stopped() throws Exception {
        begin().andExpect(status().isOk());
        site.put(keeper, "/api/tanks/" + tank + "/exchanges/" + UUID.randomUUID(), wanted(300, 1, ""))
                .andExpect(jsonPath("$.errors[0].code").value("runs-already"));
        replaced(UUID.randomUUID(), today, 500);
        site.delete(keeper, "/api/exchanges/" + exchange).andExpect(status().isNoContent());

        assertThat(now().get("done").asInt()).as("what was exchanged stays so").isEqualTo(1);
        assertThat(planned()).isEmpty();
        site.delete(keeper, "/api/exchanges/" + exchange).andExpect(status().isNotFound());
    }

    @Test
    void stopped_before_it_began_it_is_forgotten() throws Exception {
        begin().andExpect(status().isOk());
        site.delete(keeper, "/api/exchanges/" + exchange).andExpect(status().isNoContent());

        site.get(keeper, "/api/tanks/" + tank + "/exchanges")
                .andExpect(jsonPath("$").isEmpty());
    }

    @Test
    void a_portion_is_logged_with_its_grams_and_no_keeper_plans_it_by_hand() throws Exception {
        begin().andExpect(status().isOk());
        site.put(keeper, "/api/chores-done/" + UUID.randomUUID(), """
                {"tankId": %d, "kind": "MEDIA_PORTION", "doneOn": "%s"}""".formatted(tank, today))
                .andExpect(status().isUnprocessableContent())
                .andExpect(jsonPath("$.errors[0].code").value("by-grams"));
        site.put(keeper, "/api/tanks/" + tank + "/chores/MEDIA_PORTION", "{\"everyDays\": 28}")
                .andExpect(status().isUnprocessableContent());
    }

    @Test
    void more_than_there_is_yesterday_and_half_a_kind_are_refused_at_their_field() throws Exception {
        String path = "/api/tanks/" + tank + "/exchanges/" + exchange;
        site.put(keeper, path, wanted(1600, 3, ""))
                .andExpect(jsonPath("$.errors[0].field").value("grams"));
        site.put(
                        keeper,
                        path,
                        wanted(100, 3, "")
                                .replace(today.toString(), today.minusDays(1).toString()))
                .andExpect(jsonPath("$.errors[0].field").value("firstOn"));
        site.put(keeper, path, wanted(100, 3, ", \"newKind\": \"LAVA\""))
                .andExpect(jsonPath("$.errors[0].field").value("newKind"));
        site.put(keeper, path, wanted(100, 13, ""))
                .andExpect(jsonPath("$.errors[0].field").value("portions"));
    }
}
