package app.chervil.server.device;

import app.chervil.server.problem.Problems;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
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

    /** Until when devices rest, by {@link System#nanoTime}; told by the one who leaves to the next, as the place itself is. */
    private volatile long restsUntil = System.nanoTime();

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
            restsUntil = System.nanoTime() + restAfter(began);
            free.release();
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

    /**
     * Waits for the place, and in it until the rest is over. Whoever comes waits out the rest, so that nobody has to come and
     * open: a device that sends its readings one after the other is let in each time, however busy the machine is.
     */
    private boolean admitted() {
        boolean inside = false;
        try {
            inside = free.tryAcquire(WAITS_MS, TimeUnit.MILLISECONDS);
            if (inside) {
                TimeUnit.NANOSECONDS.sleep(restsUntil - System.nanoTime());
            }
            return inside;
        } catch (InterruptedException ending) {
            if (inside) {
                free.release();
            }
            Thread.currentThread().interrupt();
            return false;
        }
    }
}
