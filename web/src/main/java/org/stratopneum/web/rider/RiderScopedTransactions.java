package org.stratopneum.web.rider;

import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.SQLException;
import javax.sql.DataSource;
import org.springframework.jdbc.CannotGetJdbcConnectionException;
import org.springframework.jdbc.datasource.ConnectionHolder;
import org.springframework.jdbc.support.JdbcTransactionManager;
import org.springframework.stereotype.Component;
import org.springframework.transaction.TransactionDefinition;
import org.springframework.transaction.support.DefaultTransactionStatus;
import org.springframework.transaction.support.TransactionSynchronizationManager;
import org.stratopneum.web.platform.replica.OwnWrites;

/**
 * Names the rider to the database at the beginning of every transaction. Row security does the rest: a query that runs
 * without a transaction, or for nobody, sees no rows. This is the one place where the scope is set.
 */
@Component
class RiderScopedTransactions extends JdbcTransactionManager {

    private static final long serialVersionUID = 1L;

    private static final String NAME_THE_RIDER = "select set_config('stratopneum.rider', ?, true)";

    RiderScopedTransactions(DataSource dataSource) {
        super(dataSource);
    }

    @Override
    protected void doBegin(Object transaction, TransactionDefinition definition) {
        // asked first: it may have to load the session, which has a transaction of its own
        String rider = CurrentRider.id().map(Object::toString).orElse("");
        super.doBegin(transaction, definition);
        var holder = (ConnectionHolder) TransactionSynchronizationManager.getResource(obtainDataSource());
        try (PreparedStatement statement = connectionOf(holder).prepareStatement(NAME_THE_RIDER)) {
            statement.setString(1, rider);
            statement.execute();
        } catch (SQLException exception) {
            doCleanupAfterCompletion(transaction);
            throw new CannotGetJdbcConnectionException("Could not name the rider of a transaction", exception);
        }
    }

    @Override
    protected void doCommit(DefaultTransactionStatus status) {
        super.doCommit(status);
        if (!status.isReadOnly()) {
            OwnWrites.happened();
        }
    }

    private static Connection connectionOf(ConnectionHolder holder) {
        if (holder == null) {
            throw new IllegalStateException("A transaction has begun without a connection");
        }
        return holder.getConnection();
    }
}
