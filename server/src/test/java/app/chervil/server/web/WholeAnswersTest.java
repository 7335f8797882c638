package app.chervil.server.web;

import static org.assertj.core.api.Assertions.assertThat;

import jakarta.servlet.FilterChain;
import java.util.Arrays;
import org.junit.jupiter.api.Test;
import org.springframework.mock.web.MockHttpServletRequest;
import org.springframework.mock.web.MockHttpServletResponse;

class WholeAnswersTest {
    private static final int PART = 100_000;
    private static final int PARTS = 5;

    private final MockHttpServletResponse response = new MockHttpServletResponse();
    private boolean leftEarly;

    private void answer(String path) throws Exception {
        FilterChain inParts = (request, answer) -> {
            byte[] part = new byte[PART];
            Arrays.fill(part, (byte) 'a');
            for (int i = 0; i < PARTS; i++) {
                answer.getOutputStream().write(part);
                answer.flushBuffer();
            }
            leftEarly = response.isCommitted();
        };
        new WholeAnswers().doFilter(new MockHttpServletRequest("GET", path), response, inParts);
    }

    @Test
    void a_long_answer_leaves_once_it_is_whole() throws Exception {
        answer("/api/rounds");

        assertThat(leftEarly).isFalse();
        assertThat(response.getContentAsByteArray()).hasSize(PARTS * PART);
        assertThat(response.getContentLength()).isEqualTo(PARTS * PART);
    }

    @Test
    void a_stream_leaves_as_it_comes() throws Exception {
        answer("/api/alerts/stream");

        assertThat(leftEarly).isTrue();
    }
}
