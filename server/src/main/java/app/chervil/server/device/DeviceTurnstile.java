package app.chervil.server.device;

import app.chervil.server.problem.Problems;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.Semaphore;
import java.util.concurrent.TimeUnit;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Lets devices in one at a time, and the next only after as long a rest, so that however many speak at once, people find the
 * server and its database free. Who cannot be let in within a moment is told to come again, before anything of the request is
 * read.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE + 2)
class DeviceTurnstile extends OncePerRequestFilter {
    static final String PATH = "/api/device-readings";
    static final int AT_ONCE = 1;
    private static final long WAITS_MS = 200;
    private static final long LONGEST_REST_NANOS = TimeUnit.MILLISECONDS.toNanos(50);

    private final Semaphore free = new Semaphore(AT_ONCE, true);

    @Override
    protected boolean shouldNotFilter(HttpServletRequest request) {
        return !PATH.equals(request.getRequestURI());
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        if (!admitted()) {
            response.setHeader(HttpHeaders.RETRY_AFTER, "1");
            Problems.write(
                    response,
                    HttpStatus.SERVICE_UNAVAILABLE,
                    "busy",
                    "Too many devices speak at once. Send the same readings again in a second.");
            return;
        }
        long began = System.nanoTime();
        try {
            chain.doFilter(request, response);
        } finally {
            CompletableFuture.delayedExecutor(restAfter(began), TimeUnit.NANOSECONDS)
                    .execute(free::release);
        }
    }

    /**
     * How long devices rest after work for one of them, so that people get as much of the server's time as it took.
     *
     * @param began by {@link System#nanoTime}
     * @return nanoseconds
     */
    static long restAfter(long began) {
        return Math.min(System.nanoTime() - began, LONGEST_REST_NANOS);
    }

    private boolean admitted() {
        try {
            return free.tryAcquire(WAITS_MS, TimeUnit.MILLISECONDS);
        } catch (InterruptedException ending) {
            Thread.currentThread().interrupt();
            return false;
        }
    }
}
