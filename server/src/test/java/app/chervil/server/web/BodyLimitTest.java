package app.chervil.server.web;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import java.io.IOException;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.mock.web.MockHttpServletRequest;
import org.springframework.mock.web.MockHttpServletResponse;

/** Bodies that do not say how long they are, and go on and on. */
class BodyLimitTest {
    private final BodyLimit limit = new BodyLimit();
    private final MockHttpServletResponse response = new MockHttpServletResponse();

    private static MockHttpServletRequest endless(String path, int bytes) {
        MockHttpServletRequest request = new MockHttpServletRequest("POST", path) {
            @Override
            public long getContentLengthLong() {
                return -1;
            }
        };
        request.setContent(new byte[bytes]);
        return request;
    }

    /** A controller that reads it all, and the framework that wraps what comes of it. */
    private static final FilterChain READS = (request, response) -> {
        try {
            request.getInputStream().readAllBytes();
        } catch (RuntimeException failed) {
            throw new ServletException("Request processing failed", failed);
        }
    };

    @ParameterizedTest
    @CsvSource({"/api/services, 1000001", "/api/services/a/photos/b, 6291457", "/api/tanks/1/readings/import, 8000001"})
    void they_are_cut_off_and_told_so(String path, int bytes) throws Exception {
        limit.doFilter(endless(path, bytes), response, READS);

        assertThat(response.getStatus()).isEqualTo(413);
        assertThat(response.getContentAsString()).contains("too-large");
    }

    @ParameterizedTest
    @CsvSource({"/api/services, 1000000", "/api/archive, 9000000", "/api/archive/preview, 9000000"})
    void what_is_within_their_limit_passes(String path, int bytes) throws Exception {
        limit.doFilter(endless(path, bytes), response, READS);

        assertThat(response.getStatus()).isEqualTo(200);
    }

    @Test
    void what_fails_for_another_reason_fails_as_before() {
        FilterChain broken = (request, response) -> {
            throw new ServletException("Request processing failed", new IOException("gone"));
        };

        assertThatThrownBy(() -> limit.doFilter(endless("/api/services", 1), response, broken))
                .isInstanceOf(ServletException.class);
    }
}
