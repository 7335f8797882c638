package app.chervil.server.trial;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import app.chervil.server.TestSite;
import app.chervil.server.account.SignedIn;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.springframework.beans.factory.annotation.Autowired;
import tools.jackson.databind.JsonNode;

/** A keeper tries two intervals of a pre-filter; today is Monday 1 June 2026. */
abstract class TriedSite {
    static final LocalDate TODAY = LocalDate.of(2026, 6, 1);
    static final String TRIALS = "/api/trials";

    @Autowired
    TestSite site;

    SignedIn keeper;
    long tank;
    JsonNode canister;
    long prefilter;
    final UUID id = UUID.randomUUID();

    @BeforeEach
    void tank() throws Exception {
        keeper = site.keeper();
        tank = site.tank(keeper);
        canister = site.canister(keeper, tank, "Weir", "2026-02-01");
        prefilter = TestSite.task(canister, "Rinse the pre-filter");
    }

    static String trial(long task, int beganDaysAgo, int periods, Integer... ways) {
        return """
            {"taskId": %d, "parameter": "NITRATE", "began": "%s", "periodDays": 14, "periods": %d, "ways": %s}""".formatted(task, TODAY.minusDays(beganDaysAgo), periods, List.of(ways));
    }

    void begin(int daysAgo) throws Exception {
        site.put(keeper, TRIALS + "/" + id, trial(prefilter, daysAgo, 4, 7, 14)).andExpect(status().isNoContent());
    }

    JsonNode only() throws Exception {
        JsonNode trials = site.read(site.get(keeper, TRIALS).andExpect(status().isOk()));
        assertThat(trials).hasSize(1);
        return trials.get(0);
    }

    void read(int daysAgo, double nitrate) throws Exception {
        read(tank, daysAgo, nitrate);
    }

    void read(long where, int daysAgo, double nitrate) throws Exception {
        site.post(keeper, "/api/tanks/" + where + "/readings", """
                {"takenAt": "%sT12:00:00Z", "moment": "PLAIN", "values": [{"id": "%s", "parameter": "NITRATE",
                 "amount": %s, "belowDetection": false, "early": false, "method": "Drop test"}]}""".formatted(
                                TODAY.minusDays(daysAgo), UUID.randomUUID(), nitrate))
                .andExpect(status().is2xxSuccessful());
    }

    /** The trial of a tank among several. */
    JsonNode on(long where) throws Exception {
        return site.read(site.get(keeper, TRIALS))
                .valueStream()
                .filter(one -> one.get("subject").get("tankId").asLong() == where)
                .findFirst()
                .orElseThrow();
    }

    void rises(long where, int fromDaysAgo, int toDaysAgo, double start, double aWeek) throws Exception {
        for (int day = fromDaysAgo; day > toDaysAgo; day -= 4) {
            read(where, day, start + (fromDaysAgo - day) * aWeek / 7);
        }
    }
}
