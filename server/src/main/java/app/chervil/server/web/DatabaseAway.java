package app.chervil.server.web;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
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

/** Says that the database is away, wherever that came to light: with the session, in an operation, at its end. */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE + 10)
class DatabaseAway extends OncePerRequestFilter {
    private static final Logger LOG = LoggerFactory.getLogger(DatabaseAway.class);

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        try {
            chain.doFilter(request, response);
        } catch (RuntimeException | ServletException failure) {
            if (!isAway(failure) || response.isCommitted()) {
                throw failure;
            }
            LOG.warn("The database is away: {}", failure.getMessage());
            response.reset();
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
                    || (cause instanceof java.sql.SQLException sql && cutOff(sql.getSQLState()))) {
                return true;
            }
        }
        return false;
    }

    /** States of connections (08), of a server that shuts down (57P), and of one that only reads (25006). */
    private static boolean cutOff(@Nullable String state) {
        return state != null && (state.startsWith("08") || state.startsWith("57P") || state.equals("25006"));
    }
}
