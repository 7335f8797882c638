package app.chervil.server.trial;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import app.chervil.server.ChervilTest;
import app.chervil.server.TestSite;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** The same ways on several tanks, told one by one and together. */
@ChervilTest
class TrialOfSeveralApiTest extends TriedSite {
    @Test
    void the_same_ways_on_several_tanks_are_told_tank_by_tank_and_together() throws Exception {
        long pond = site.tank(keeper);
        JsonNode ewer = site.canister(keeper, pond, "Ewer", "2026-02-01");
        String also = trial(prefilter, 56, 4, 7, 14)
                .replace("}", ", \"alsoTaskIds\": [" + TestSite.task(ewer, "Rinse the pre-filter") + "]}");
        site.put(keeper, TRIALS + "/" + id, also).andExpect(status().isNoContent());
        site.put(keeper, TRIALS + "/" + id, also).andExpect(status().isNoContent());
        for (long one : new long[] {tank, pond}) {
            double nitrate = 10;
            for (int day = 0; day <= 55; day++) {
                if (day % 5 == 0) {
                    read(one, 56 - day, nitrate);
                }
                nitrate += (day >= 14 && day < 42 ? 6 : 2) / 7.0;
            }
        }

        JsonNode trials = site.read(site.get(keeper, TRIALS));

        assertThat(trials).hasSize(2);
        JsonNode together = trials.get(0).get("together");
        assertThat(together).isEqualTo(trials.get(1).get("together"));
        assertThat(together.get("tanks").asInt()).isEqualTo(2);
        assertThat(together.get("pairs").get(0).get("difference").get("perWeek").asDouble())
                .isBetween(3.5, 4.5);
        assertThat(together.get("pairs")
                        .get(0)
                        .get("difference")
                        .get("readings")
                        .asInt())
                .isEqualTo(24);
    }

    @Test
    void tanks_are_compared_by_the_same_task_and_each_tank_once() throws Exception {
        long pond = site.tank(keeper);
        JsonNode ewer = site.canister(keeper, pond, "Ewer", "2026-02-01");
        String other = TRIALS + "/" + UUID.randomUUID();

        site.put(
                        keeper,
                        other,
                        trial(prefilter, 1, 4, 7, 14)
                                .replace(
                                        "}", ", \"alsoTaskIds\": [" + TestSite.task(ewer, "Open canister Ewer") + "]}"))
                .andExpect(status().isUnprocessableContent())
                .andExpect(jsonPath("$.errors[0].code").value("not-alike"));
        site.put(keeper, other, trial(prefilter, 1, 4, 7, 14).replace("}", ", \"alsoTaskIds\": [" + prefilter + "]}"))
                .andExpect(jsonPath("$.errors[0].code").value("same-tank"));
        assertThat(site.read(site.get(keeper, TRIALS))).isEmpty();
    }

    private long pond() throws Exception {
        return site.tank(keeper);
    }

    /** A trial of the pre-filter on this tank and another, each keeping one way. */
    private void oneEach(long other, int daysAgo) throws Exception {
        JsonNode ewer = site.canister(keeper, other, "Ewer", "2026-02-01");
        site.put(
                        keeper,
                        TRIALS + "/" + id,
                        trial(prefilter, daysAgo, 4, 7, 14)
                                .replace(
                                        "}",
                                        ", \"oneEach\": true, \"alsoTaskIds\": ["
                                                + TestSite.task(ewer, "Rinse the pre-filter") + "]}"))
                .andExpect(status().isNoContent());
    }

    @Test
    void tanks_that_keep_one_way_each_tell_how_they_do_and_nothing_of_the_ways() throws Exception {
        long other = pond();
        oneEach(other, 40);
        rises(tank, 40, 0, 10, 2);
        rises(other, 40, 0, 10, 6);

        JsonNode first = on(tank);

        assertThat(first.get("plan").get("oneEach").asBoolean()).isTrue();
        assertThat(first.get("plan").get("maySwap").asBoolean()).isTrue();
        assertThat(first.get("ways").get(0).get("rise").get("perWeek").asDouble())
                .isBetween(1.7, 2.3);
        assertThat(first.get("ways").get(1).has("rise")).isFalse();
        assertThat(on(other).get("ways").get(1).get("rise").get("perWeek").asDouble())
                .isBetween(5.7, 6.3);
        assertThat(first.get("pairs")).isEmpty();
        assertThat(first.get("together").get("pairs")).isEmpty();
    }

    @Test
    void tanks_swap_their_ways_once_and_keep_the_new_ones_as_long_again() throws Exception {
        long other = pond();
        oneEach(other, 40);
        String swap = TRIALS + "/" + id + "/swap";

        site.post(keeper, swap, "").andExpect(status().isNoContent());

        assertThat(on(tank).get("now").asInt()).isEqualTo(1);
        assertThat(on(other).get("now").asInt()).isZero();
        assertThat(on(tank).get("plan").get("until").asString())
                .isEqualTo(TODAY.plusDays(56).toString());
        site.post(keeper, swap, "")
                .andExpect(status().isUnprocessableContent())
                .andExpect(jsonPath("$.errors[0].code").value("had-all"));
        site.delete(keeper, swap).andExpect(status().isNoContent());
        assertThat(on(tank).get("now").asInt()).isZero();
        assertThat(on(tank).get("plan").get("until").asString())
                .isEqualTo(TODAY.plusDays(16).toString());
    }

    @Test
    void one_way_each_wants_as_many_tanks_as_ways_and_has_nothing_to_foresee() throws Exception {
        String alone = trial(prefilter, 0, 4, 7, 14).replace("}", ", \"oneEach\": true}");

        site.put(keeper, TRIALS + "/" + id, alone)
                .andExpect(status().isUnprocessableContent())
                .andExpect(jsonPath("$.errors[0].code").value("too-few-tanks"));
        oneEach(pond(), 0);
        site.post(keeper, TRIALS + "/" + id + "/swap", "")
                .andExpect(jsonPath("$.errors[0].code").value("too-soon"));
    }
}
