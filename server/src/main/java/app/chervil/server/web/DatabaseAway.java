package app.chervil.server.web;

import app.chervil.server.problem.Problems;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.sql.SQLException;
import java.sql.SQLNonTransientConnectionException;
import java.sql.SQLTransientConnectionException;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.dao.DataAccessResourceFailureException;
import org.springframework.http.HttpStatus;
import org.springframework.jdbc.CannotGetJdbcConnectionException;
import org.springframework.stereotype.Component;
import org.springframework.transaction.CannotCreateTransactionException;
import org.springframework.transaction.TransactionSystemException;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Says that the database is away, or that its disk is full, wherever that came to light: with the session, in an operation, at
 * its end.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE + 10)
class DatabaseAway extends OncePerRequestFilter {
    /** The state of PostgreSQL where its disk is full. */
    private static final String FULL = "53100";

    private static final Logger LOG = LoggerFactory.getLogger(DatabaseAway.class);

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        try {
            chain.doFilter(request, response);
        } catch (RuntimeException | ServletException failure) {
            boolean full = has(failure, FULL);
            if ((!full && !isAway(failure)) || response.isCommitted()) {
                throw failure;
            }
            LOG.warn("{}: {}", full ? "The disk is full" : "The database is away", failure.getMessage());
            response.reset();
            if (full) {
                Problems.write(
                        response,
                        HttpStatus.INSUFFICIENT_STORAGE,
                        "disk-full",
                        "There is no room left where Chervil keeps its records, so this was not stored. Make room, then try again.");
                return;
            }
            response.setHeader("Retry-After", "5");
            Problems.write(
                    response,
                    HttpStatus.SERVICE_UNAVAILABLE,
                    "database-away",
                    "Chervil cannot reach its records just now. What you typed is kept; try again in a moment.");
        }
    }

    /** Whether a failure comes from a connection that could not be had, or was cut, also while something was taken back. */
    static boolean isAway(Throwable failure) {
        for (@Nullable Throwable cause = failure; cause != null; cause = cause.getCause()) {
            if (cause instanceof CannotGetJdbcConnectionException
                    || cause instanceof CannotCreateTransactionException
                    || cause instanceof DataAccessResourceFailureException
                    || cause instanceof TransactionSystemException
                    || cause instanceof SQLTransientConnectionException
                    || cause instanceof SQLNonTransientConnectionException
                    || (cause instanceof SQLException sql && cutOff(sql.getSQLState()))) {
                return true;
            }
        }
        return false;
    }

    private static boolean has(Throwable failure, String state) {
        for (@Nullable Throwable cause = failure; cause != null; cause = cause.getCause()) {
            if (cause instanceof SQLException sql && state.equals(sql.getSQLState())) {
                return true;
            }
        }
        return false;
    }

    /** States of connections (08, 53300), of a server that shuts down (57P), and of one that only reads (25006). */
    private static boolean cutOff(@Nullable String state) {
        return state != null
                && (state.startsWith("08")
                        || state.startsWith("57P")
                        || state.equals("53300")
                        || state.equals("25006"));
    }
}
