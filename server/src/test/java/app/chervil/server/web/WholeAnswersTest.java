package app.chervil.server.web;

import static org.assertj.core.api.Assertions.assertThat;

import jakarta.servlet.FilterChain;
import jakarta.servlet.http.HttpServletResponse;
import java.util.Arrays;
import org.junit.jupiter.api.Test;
import org.springframework.mock.web.MockHttpServletRequest;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.security.web.util.OnCommittedResponseWrapper;

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
        answer(path, inParts);
    }

    private void answer(String path, FilterChain chain) throws Exception {
        new WholeAnswers().doFilter(new MockHttpServletRequest("GET", path), response, chain);
    }

    /** As whoever keeps sessions: it has work to do once an answer is longer than what fits before it leaves. */
    private FilterChain withWorkAtTheEnd() {
        return (request, answer) -> new OnCommittedResponseWrapper((HttpServletResponse) answer) {
            @Override
            protected void onResponseCommitted() {
                leftEarly = true;
            }
        }.getWriter().write("a".repeat(PART));
    }

    @Test
    void a_long_answer_leaves_once_it_is_whole() throws Exception {
        answer("/api/rounds");

        assertThat(leftEarly).isFalse();
        assertThat(response.getContentAsByteArray()).hasSize(PARTS * PART);
        assertThat(response.getContentLength()).isEqualTo(PARTS * PART);
    }

    @Test
    void nobody_takes_a_long_answer_for_one_on_its_way() throws Exception {
        answer("/api/plan", withWorkAtTheEnd());

        assertThat(leftEarly).isFalse();
        assertThat(response.getContentAsByteArray()).hasSize(PART);
    }

    @Test
    void a_stream_leaves_as_it_comes() throws Exception {
        answer("/api/alerts/stream");

        assertThat(leftEarly).isTrue();
    }
}
