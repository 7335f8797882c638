package app.chervil.server;

import java.sql.SQLException;
import java.time.Duration;
import org.springframework.core.retry.RetryException;
import org.springframework.core.retry.RetryPolicy;
import org.springframework.core.retry.RetryTemplate;
import org.springframework.dao.DataAccessException;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.transaction.support.TransactionOperations;

/**
 * Empties the tables of a site's data beside a server at work. Every lock is taken at once or none is: whoever reads in the
 * background reads on, and no two wait for each other for ever.
 */
public class TestTables {
    /** What PostgreSQL says when it was told not to wait. */
    private static final String LOCK_NOT_AVAILABLE = "55P03";

    private final JdbcTemplate database;
    private final TransactionOperations transactions;
    private final RetryTemplate inAQuietMoment = new RetryTemplate(RetryPolicy.builder()
            .predicate(TestTables::isTaken)
            .maxRetries(500)
            .delay(Duration.ofMillis(20))
            .build());

    public TestTables(JdbcTemplate database, TransactionOperations transactions) {
        this.database = database;
        this.transactions = transactions;
    }

    /** New rows take new ids: what the server remembers of old ones is never asked for again. */
    public void empty() throws RetryException {
        truncate("continue identity");
    }

    /** New rows count from one, as in a database just made. */
    public void emptyFromOne() throws RetryException {
        truncate("restart identity");
    }

    private static boolean isTaken(Throwable failure) {
        return failure instanceof DataAccessException data
                && data.getRootCause() instanceof SQLException cause
                && LOCK_NOT_AVAILABLE.equals(cause.getSQLState());
    }

    private void truncate(String identity) throws RetryException {
        String tables = database.queryForObject("""
                select string_agg(quote_ident(tablename), ', ') from pg_tables
                where schemaname = 'public' and tablename not in ('flyway_schema_history', 'scheduled_tasks')""", String.class);
        inAQuietMoment.<Boolean>execute(() -> transactions.execute(within -> {
            database.execute("lock table " + tables + " in access exclusive mode nowait");
            database.execute("truncate " + tables + " " + identity);
            return true;
        }));
    }
}
