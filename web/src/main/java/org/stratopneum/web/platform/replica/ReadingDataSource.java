package org.stratopneum.web.platform.replica;

import java.sql.Connection;
import java.sql.SQLException;
import java.util.Optional;
import java.util.function.Supplier;
import javax.sql.DataSource;
import org.springframework.jdbc.datasource.AbstractDataSource;

/** Connections for transactions that only read: to the copy where it has what the one who asks has written, else to the original. */
final class ReadingDataSource extends AbstractDataSource {

    private final DataSource original;
    private final DataSource replica;
    private final ReplicaPosition position;
    private final Supplier<Optional<Long>> wanted;

    /** @param wanted what the copy must have for the present request; empty where only the original may answer */
    ReadingDataSource(
            DataSource original, DataSource replica, ReplicaPosition position, Supplier<Optional<Long>> wanted) {
        this.original = original;
        this.replica = replica;
        this.position = position;
        this.wanted = wanted;
    }

    @Override
    public Connection getConnection() throws SQLException {
        if (wanted.get().filter(position::has).isPresent()) {
            try {
                return replica.getConnection();
            } catch (SQLException exception) {
                position.lost(exception);
            }
        }
        OwnWrites.readTheOriginal();
        return original.getConnection();
    }

    @Override
    public Connection getConnection(String user, String password) throws SQLException {
        return original.getConnection(user, password);
    }
}
