package app.chervil.server.upkeep;

import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import app.chervil.server.ChervilTest;
import app.chervil.server.TestSite;
import app.chervil.server.account.SignedIn;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

@ChervilTest
class BackupApiTest {
    @Autowired
    TestSite site;

    @Test
    void the_keeper_is_told_and_helpers_are_not() throws Exception {
        SignedIn keeper = site.keeper();

        site.get(keeper, "/api/backup").andExpect(jsonPath("$.nightly").value(false));
        site.get(site.helperOf(keeper), "/api/backup").andExpect(status().isForbidden());
    }
}
