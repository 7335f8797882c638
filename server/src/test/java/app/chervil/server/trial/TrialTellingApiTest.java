package app.chervil.server.trial;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import app.chervil.server.ChervilTest;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** What is told beside the days of a trial: other changes, what is watched, and what the rounds ask for. */
@ChervilTest
class TrialTellingApiTest extends TriedSite {
    private void event(UUID event, int daysAgo, String kind, String note, int expected) throws Exception {
        site.put(
                        keeper,
                        "/api/tanks/" + tank + "/events/" + event,
                        "{\"onDay\": \"%s\", \"kind\": \"%s\", \"note\": \"%s\"}"
                                .formatted(TODAY.minusDays(daysAgo), kind, note))
                .andExpect(status().is(expected));
    }

    @Test
    void what_else_changed_is_told_allowed_for_and_can_be_taken_back() throws Exception {
        begin(56);
        double nitrate = 10;
        for (int day = 0; day <= 55; day++) {
            if (day % 4 == 0) {
                read(56 - day, nitrate);
            }
            // Fed more from day 35 on, which is neither way's doing.
            nitrate += ((day >= 14 && day < 42 ? 4 : 2) + (day >= 35 ? 6 : 0)) / 7.0;
        }
        double blurred =
                only().get("pairs").get(0).get("difference").get("perWeek").asDouble();
        UUID fed = UUID.randomUUID();

        event(fed, 21, "FED_MORE", "fry", 204);
        event(fed, 21, "FED_MORE", "fry", 204);

        JsonNode told = only();
        assertThat(told.get("changes")).hasSize(1);
        assertThat(told.get("changes").get(0).get("words").asString()).isEqualTo("Fed more: fry");
        assertThat(told.get("changes").get(0).get("allowedFor").asBoolean()).isTrue();
        double apart = told.get("pairs").get(0).get("difference").get("perWeek").asDouble();
        assertThat(Math.abs(apart - 2)).isLessThan(Math.abs(blurred - 2)).isLessThan(0.5);
        site.delete(keeper, "/api/tank-events/" + fed).andExpect(status().isNoContent());
        assertThat(only().get("changes")).isEmpty();
        site.post(keeper, "/api/tank-events/" + fed + "/restore", "").andExpect(status().isNoContent());
        assertThat(only().get("changes")).hasSize(1);
    }

    @Test
    void what_changed_is_refused_where_it_says_nothing_or_is_to_come_or_stands_under_another_id() throws Exception {
        event(UUID.randomUUID(), 0, "OTHER", " ", 422);
        event(UUID.randomUUID(), -1, "FED_LESS", "", 422);
        UUID taken = UUID.randomUUID();
        event(taken, 3, "ANIMALS_LOST", "", 204);
        event(taken, 4, "ANIMALS_ADDED", "", 409);
        site.delete(keeper, "/api/tank-events/" + UUID.randomUUID()).andExpect(status().isNotFound());
        site.delete(site.keeper(), "/api/tank-events/" + taken).andExpect(status().isNotFound());
    }

    @Test
    void what_is_watched_is_shown_by_way_and_without_a_verdict() throws Exception {
        site.put(
                        keeper,
                        TRIALS + "/" + id,
                        trial(prefilter, 56, 4, 7, 14).replace("}", ", \"watched\": [\"PHOSPHATE\", \"PH\"]}"))
                .andExpect(status().isNoContent());
        for (int day = 56; day > 0; day -= 4) {
            boolean second = day <= 42 && day > 14;
            site.post(keeper, "/api/tanks/" + tank + "/readings", """
                            {"takenAt": "%sT12:00:00Z", "moment": "PLAIN", "values": [{"id": "%s", "parameter": "PH",
                             "amount": %s, "belowDetection": false, "early": false, "method": "Drop test"}]}""".formatted(
                                    TODAY.minusDays(day), UUID.randomUUID(), second ? 7.5 : 7.0))
                    .andExpect(status().is2xxSuccessful());
        }

        JsonNode watched = only().get("watched");

        assertThat(watched.get(0).get("parameter").asString()).isEqualTo("Phosphate");
        assertThat(watched.get(0).get("byWay").get(0).has("rise")).isFalse();
        JsonNode held = watched.get(1).get("byWay");
        assertThat(held.get(0).get("held").get("mean").asDouble()).isEqualTo(7.0);
        assertThat(held.get(1).get("held").get("mean").asDouble()).isEqualTo(7.5);
        assertThat(held.get(1).get("held").get("readings").asInt()).isEqualTo(7);
        site.put(
                        keeper,
                        TRIALS + "/" + UUID.randomUUID(),
                        trial(prefilter, 150, 4, 7, 14).replace("}", ", \"watched\": [\"NITRATE\"]}"))
                .andExpect(status().isUnprocessableContent())
                .andExpect(jsonPath("$.errors[0].field").value("watched"));
    }

    private JsonNode due() throws Exception {
        return site.read(site.get(keeper, "/api/rounds").andExpect(status().isOk()));
    }

    @Test
    void the_rounds_ask_for_the_reading_that_a_trial_wants() throws Exception {
        begin(3);
        assertThat(due().toString()).contains("A trial compares it");
        assertThat(only().get("readBy").asString()).isEqualTo(TODAY.toString());

        read(0, 12);

        assertThat(due().toString()).doesNotContain("A trial compares it");
        assertThat(only().get("readBy").asString()).isEqualTo(TODAY.plusDays(7).toString());
        assertThat(only().get("ways").get(0).get("readings").asInt()).isEqualTo(1);
    }

    @Test
    void the_rounds_say_when_to_take_the_thing_out_and_when_to_put_it_back() throws Exception {
        site.put(keeper, TRIALS + "/" + id, trial(prefilter, 1, 4, 0, 7)).andExpect(status().isNoContent());

        JsonNode look = site.read(site.get(keeper, "/api/rounds")).get("looks").get(0);

        assertThat(look.get("words").asString())
                .startsWith("A trial runs without the pre-filter of Weir for 14 days: take it out")
                .contains("Fry and shrimp");
        String done = "/api/follow-ups/" + look.get("id").asString() + "/done";
        site.put(keeper, done, "").andExpect(status().is2xxSuccessful());
        assertThat(site.read(site.get(keeper, "/api/rounds")).get("looks")).isEmpty();
        site.delete(keeper, done).andExpect(status().is2xxSuccessful());
        assertThat(site.read(site.get(keeper, "/api/rounds")).get("looks")).hasSize(1);
    }
}
