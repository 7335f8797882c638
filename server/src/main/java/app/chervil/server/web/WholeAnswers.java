package app.chervil.server.web;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;
import org.springframework.web.util.ContentCachingResponseWrapper;

/**
 * Holds an answer until it is whole. One that is sent off in parts has its session stored when the first part goes, and
 * looked up again when the last has gone.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE + 3)
class WholeAnswers extends OncePerRequestFilter {
    /** Streams never are whole. */
    private static final String STREAM = "/stream";

    @Override
    protected boolean shouldNotFilter(HttpServletRequest request) {
        String path = request.getRequestURI();
        return !path.startsWith("/api/") || path.endsWith(STREAM);
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        Whole whole = new Whole(response);
        chain.doFilter(request, whole);
        whole.copyBodyToResponse();
    }

    /** Has room for all of an answer, and says so: who asks how much fits takes a longer answer for one on its way. */
    private static final class Whole extends ContentCachingResponseWrapper {
        Whole(HttpServletResponse response) {
            super(response);
        }

        @Override
        public int getBufferSize() {
            return Integer.MAX_VALUE;
        }
    }
}
