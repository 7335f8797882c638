package app.chervil.server.upkeep;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.mock.web.MockHttpServletRequest;

class MonitorTest {
    @ParameterizedTest
    @CsvSource({
        // from, called by, passed on, with, token set, may
        "127.0.0.1, localhost, false, '', '', true",
        "::1, [::1], false, '', secret, true",
        "127.0.0.1, tanks.example.org, false, '', '', false",
        "127.0.0.1, localhost, true, '', '', false",
        "192.168.1.9, localhost, false, '', '', false",
        "192.168.1.9, tanks.example.org, true, Bearer secret, secret, true",
        "192.168.1.9, tanks.example.org, true, Bearer secre, secret, false",
        "192.168.1.9, tanks.example.org, true, 'Bearer ', '', false"
    })
    void health_is_for_this_machine_and_for_who_has_the_token(
            String from, String name, boolean passedOn, String with, String token, boolean may) {
        MockHttpServletRequest request = new MockHttpServletRequest("GET", "/manage/health");
        request.setRemoteAddr(from);
        request.setServerName(name);
        request.addHeader("Authorization", with);
        if (passedOn) {
            request.addHeader("X-Forwarded-For", "203.0.113.4");
        }

        assertThat(Monitor.may(request, token)).isEqualTo(may);
    }
}
