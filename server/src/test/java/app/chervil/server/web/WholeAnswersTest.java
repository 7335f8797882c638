package app.chervil.server.web;

import static org.assertj.core.api.Assertions.assertThat;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletResponse;
import jakarta.servlet.http.HttpServletResponse;
import java.util.concurrent.atomic.AtomicBoolean;
import org.junit.jupiter.api.Test;
import org.springframework.mock.web.MockHttpServletRequest;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.security.web.util.OnCommittedResponseWrapper;

/** Whoever has work to do once an answer goes, as the keeper of sessions has, does it once, at the end. */
class WholeAnswersTest {
    private final MockHttpServletResponse answer = new MockHttpServletResponse();
    private final AtomicBoolean gone = new AtomicBoolean();

    private void answer(String path, int length) throws Exception {
        FilterChain chain = (request, response) -> {
            ServletResponse waiting = new OnCommittedResponseWrapper((HttpServletResponse) response) {
                @Override
                protected void onResponseCommitted() {
                    gone.set(true);
                }
            };
            waiting.getWriter().write("x".repeat(length));
        };
        new WholeAnswers().doFilter(new MockHttpServletRequest("GET", path), answer, chain);
    }

    @Test
    void an_answer_longer_than_the_servers_buffer_goes_in_one_piece() throws Exception {
        answer("/api/plan", 100_000);

        assertThat(gone).isFalse();
        assertThat(answer.getContentAsByteArray()).hasSize(100_000);
    }

    @Test
    void a_stream_goes_as_it_comes() throws Exception {
        answer("/api/alerts/stream", 100_000);

        assertThat(gone).isTrue();
    }
}
