package org.stratopneum.web.rider;

import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.Optional;
import java.util.UUID;
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

    /** The same, and what has changed of the rider's. */
    private static final String NAME_AND_ASK = NAME_THE_RIDER + ", but_readings, readings from changes_of(?::uuid)";

    RiderScopedTransactions(DataSource dataSource) {
        super(dataSource);
    }

    @Override
    protected void doBegin(Object transaction, TransactionDefinition definition) {
        // asked first: it may have to load the session, which has a transaction of its own
        Optional<UUID> rider = CurrentRider.id();
        super.doBegin(transaction, definition);
        var holder = (ConnectionHolder) TransactionSynchronizationManager.getResource(obtainDataSource());
        try {
            if (rider.isPresent() && definition.isReadOnly() && RiderChanges.areMissing()) {
                nameAndAsk(connectionOf(holder), rider.get());
            } else {
                name(connectionOf(holder), rider.map(UUID::toString).orElse(""));
            }
        } catch (SQLException exception) {
            doCleanupAfterCompletion(transaction);
            throw new CannotGetJdbcConnectionException("Could not name the rider of a transaction", exception);
        }
    }

    private static void name(Connection connection, String rider) throws SQLException {
        try (PreparedStatement statement = connection.prepareStatement(NAME_THE_RIDER)) {
            statement.setString(1, rider);
            statement.execute();
        }
    }

    private static void nameAndAsk(Connection connection, UUID rider) throws SQLException {
        try (PreparedStatement statement = connection.prepareStatement(NAME_AND_ASK)) {
            statement.setString(1, rider.toString());
            statement.setString(2, rider.toString());
            try (ResultSet row = statement.executeQuery()) {
                if (row.next()) {
                    RiderChanges.remember(
                            new RiderChanges(rider, row.getString("but_readings"), row.getString("readings")));
                }
            }
        }
    }

    @Override
    protected void doCommit(DefaultTransactionStatus status) {
        super.doCommit(status);
        if (!status.isReadOnly()) {
            OwnWrites.happened();
            RiderChanges.forget();
        }
    }

    private static Connection connectionOf(ConnectionHolder holder) {
        if (holder == null) {
            throw new IllegalStateException("A transaction has begun without a connection");
        }
        return holder.getConnection();
    }
}
