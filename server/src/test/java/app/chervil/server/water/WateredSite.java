package app.chervil.server.water;

import app.chervil.server.TestSite;
import app.chervil.server.account.SignedIn;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.springframework.beans.factory.annotation.Autowired;

/** A keeper’s tank; today is 1 June 2026. */
abstract class WateredSite {
    @Autowired
    TestSite site;

    SignedIn keeper;
    long tank;

    @BeforeEach
    void tank() throws Exception {
        keeper = site.keeper();
        tank = site.tank(keeper);
    }

    String readings() {
        return "/api/tanks/" + tank + "/readings";
    }

    static String set(int daysAgo, String... values) {
        Instant at = Instant.parse("2026-06-01T11:00:00Z").minus(daysAgo, ChronoUnit.DAYS);
        String all = String.join(",", values);
        return """
            {"takenAt": "%s", "moment": "PLAIN", "values": [%s]}""".formatted(at, all);
    }

    static String value(String parameter, double amount) {
        return value(parameter, amount, false, false);
    }

    static String below(String parameter, double limit) {
        return value(parameter, limit, true, false);
    }

    static String early(String parameter, double amount) {
        return value(parameter, amount, false, true);
    }

    static String value(String parameter, double amount, boolean below, boolean early) {
        return """
            {"id": "%s", "parameter": "%s", "amount": %s, "belowDetection": %s, "early": %s, "method": ""}""".formatted(UUID.randomUUID(), parameter, amount, below, early);
    }
}
