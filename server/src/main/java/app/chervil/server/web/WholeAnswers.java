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

/**
 * Holds an answer until it is whole. One that is sent off in parts has its session stored when the first part goes, and
 * looked up again when the last has gone.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE + 3)
class WholeAnswers extends OncePerRequestFilter {
    private static final int MOST_BYTES = 1 << 22;

    @Override
    protected boolean shouldNotFilter(HttpServletRequest request) {
        return !request.getRequestURI().startsWith("/api/");
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        response.setBufferSize(MOST_BYTES);
        chain.doFilter(request, response);
    }
}
