package app.chervil.server.procedure;

import app.chervil.server.TestSite;
import app.chervil.server.account.SignedIn;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.springframework.beans.factory.annotation.Autowired;
import tools.jackson.databind.JsonNode;

/** A tank with a canister that is served step by step. */
abstract class GuidedSite {
    @Autowired
    TestSite site;

    SignedIn keeper;
    long tank;
    JsonNode weir;
    String path;

    @BeforeEach
    void begin() throws Exception {
        keeper = site.keeper();
        tank = site.tank(keeper);
        weir = site.canister(keeper, tank, "Weir", "2026-05-20");
        path = "/api/guided-services/" + UUID.randomUUID();
    }

    long task(String name) {
        return TestSite.task(weir, name);
    }
}
