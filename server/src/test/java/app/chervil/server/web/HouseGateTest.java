package app.chervil.server.web;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.mockito.Mockito.mock;

import jakarta.servlet.FilterChain;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.mock.web.MockHttpServletRequest;
import org.springframework.mock.web.MockHttpServletResponse;

class HouseGateTest {
    private final HouseGate gate = new HouseGate(new Reached(
            "Pi.local, tanks", "https://tanks.example.org", "https://192.168.1.20:8443,https://[fd00::5]:8443"));

    @ParameterizedTest
    @CsvSource({
        // called by, from, encrypted, answer
        "localhost, 127.0.0.1, false, 200",
        "127.0.0.1, 127.0.0.1, false, 200",
        "[::1], ::1, false, 200",
        "TANKS.example.org, 127.0.0.1, false, 200",
        "pi.local, 192.168.1.31, true, 200",
        "192.168.1.20, 192.168.1.31, true, 200",
        "[fd00::5], fd00::9, true, 200",
        "rebound.example.com, 127.0.0.1, false, 421",
        "192.168.1.21, 192.168.1.31, true, 421",
        "tanks.example.org.evil.example, 127.0.0.1, true, 421",
        "'', 127.0.0.1, true, 421",
        "192.168.1.20, 192.168.1.31, false, 426",
        "localhost, 192.168.1.31, false, 426"
    })
    void only_its_own_names_and_only_encrypted_from_elsewhere(String name, String from, boolean secure, int answer)
            throws Exception {
        MockHttpServletRequest request = new MockHttpServletRequest("GET", "/api/session");
        request.setServerName(name);
        request.setRemoteAddr(from);
        request.setSecure(secure);
        MockHttpServletResponse response = new MockHttpServletResponse();

        gate.doFilter(request, response, mock(FilterChain.class));

        assertThat(response.getStatus()).isEqualTo(answer);
        assertThat(response.getContentAsString().contains("\"code\"")).isEqualTo(answer != 200);
    }

    @Test
    void an_address_that_is_none_stops_the_start() {
        assertThatThrownBy(() -> new Reached("", "tanks.example.org", ""))
                .hasMessage("tanks.example.org is no address such as https://tanks.example.org");
    }
}
