package app.chervil.server.account;

import jakarta.servlet.http.HttpServletRequest;
import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.SQLException;
import java.util.Optional;
import javax.sql.DataSource;
import org.springframework.jdbc.datasource.DataSourceUtils;
import org.springframework.jdbc.support.JdbcTransactionManager;
import org.springframework.stereotype.Component;
import org.springframework.transaction.TransactionDefinition;
import org.springframework.transaction.support.DefaultTransactionStatus;
import org.springframework.web.context.request.RequestContextHolder;
import org.springframework.web.context.request.ServletRequestAttributes;

/**
 * Transactions that know who is at work. Rows take their writer from it, and what was asked for is written down as a deed by
 * the same transaction: either both are kept, or neither.
 */
@Component("transactionManager")
class PersonalTransactions extends JdbcTransactionManager {
    private static final long serialVersionUID = 1;
    private static final String WRITTEN = PersonalTransactions.class.getName();
    private static final String INSERT = "insert into deed (site_id, account_id, act, subject) values (?, ?, ?, ?)";

    PersonalTransactions(DataSource database) {
        super(database);
    }

    @Override
    protected void prepareTransactionalConnection(Connection connection, TransactionDefinition definition)
            throws SQLException {
        super.prepareTransactionalConnection(connection, definition);
        Optional<SignedIn> who = atWork();
        if (who.isPresent() && !definition.isReadOnly()) {
            try (PreparedStatement tell =
                    connection.prepareStatement("select set_config('chervil.account', ?, true)")) {
                tell.setString(1, Long.toString(who.get().accountId()));
                tell.execute();
            }
        }
    }

    @Override
    protected void prepareForCommit(DefaultTransactionStatus status) {
        // One that runs inside another would wait for rows that the other holds.
        boolean outermost = status.isNewTransaction() && status.getSuspendedResources() == null;
        if (outermost && !status.isReadOnly() && !status.isRollbackOnly()) {
            unwritten().ifPresent(request -> atWork().ifPresent(who -> write(request, who)));
        }
        super.prepareForCommit(status);
    }

    private void write(HttpServletRequest request, SignedIn who) {
        Rights.Claim claim = Rights.of(request).orElseThrow();
        DataSource database = obtainDataSource();
        Connection connection = DataSourceUtils.getConnection(database);
        try (PreparedStatement insert = connection.prepareStatement(INSERT)) {
            insert.setLong(1, who.siteId());
            insert.setLong(2, who.accountId());
            insert.setString(3, claim.right().key());
            insert.setString(4, claim.subject());
            insert.executeUpdate();
        } catch (SQLException failed) {
            throw translateException("write a deed", failed);
        } finally {
            DataSourceUtils.releaseConnection(connection, database);
        }
        request.setAttribute(WRITTEN, true);
    }

    /** The request of this thread, if it is one whose deed is kept and was not yet. */
    private static Optional<HttpServletRequest> unwritten() {
        return request().filter(one -> one.getAttribute(WRITTEN) == null).filter(one -> Rights.of(one)
                .filter(claim -> !claim.right().deed().isEmpty())
                .isPresent());
    }

    /** Who asks, once it has been found out; finding it out opens transactions itself. */
    private static Optional<SignedIn> atWork() {
        return request().flatMap(Rights::person);
    }

    private static Optional<HttpServletRequest> request() {
        return RequestContextHolder.getRequestAttributes() instanceof ServletRequestAttributes attributes
                ? Optional.of(attributes.getRequest())
                : Optional.empty();
    }
}
