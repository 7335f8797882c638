package app.chervil.server.upkeep;

import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.header;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import app.chervil.server.ChervilTest;
import app.chervil.server.TestSite;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.MockMvc;

@ChervilTest
class MonitoringTest {
    @Autowired
    MockMvc mvc;

    @Autowired
    TestSite site;

    @Test
    void this_machine_reads_health_without_a_name_or_a_session() throws Exception {
        mvc.perform(get("/manage/health"))
                .andExpect(status().isOk())
                .andExpect(jsonPath("$.components.db.status").value("UP"))
                .andExpect(jsonPath("$.components.backup.details.nightly").value(false))
                .andExpect(header().doesNotExist("Set-Cookie"));
    }

    @Test
    void nobody_elsewhere_does_and_nothing_else_is_to_be_had() throws Exception {
        mvc.perform(get("/manage/health").with(one -> {
                    one.setRemoteAddr("192.168.1.9");
                    one.setSecure(true);
                    return one;
                }))
                .andExpect(status().isUnauthorized());
        mvc.perform(get("/manage/env")).andExpect(status().isNotFound());
    }

    @Test
    void a_server_on_this_machine_alone_says_so() throws Exception {
        site.get(site.keeper(), "/api/house")
                .andExpect(jsonPath("$.addresses").isEmpty())
                .andExpect(jsonPath("$.fingerprint").doesNotExist());
    }
}
