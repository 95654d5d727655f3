package org.stratopneum.web.platform.replica;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertSame;
import static org.junit.jupiter.api.Assertions.assertTrue;
import static org.mockito.ArgumentMatchers.anyString;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Duration;
import java.time.Instant;
import java.util.Optional;
import java.util.Random;
import javax.sql.DataSource;
import org.junit.jupiter.api.Test;

/** Whoever has written something that a copy has not yet is never answered by the copy. */
class ReplicaPositionTest {

    private static final Duration LOOK = Duration.ofSeconds(1);
    private static final Duration A_WHILE = Duration.ofSeconds(11);

    private Instant now = Instant.parse("2026-11-30T06:00:00Z");
    private final Server original = new Server();
    private final Server replica = new Server();
    private final ReplicaPosition position = new ReplicaPosition(original.source, replica.source, () -> now);

    /** A database that says where it is, or that it is away. */
    private static final class Server {

        private final Connection connection = mock(Connection.class);
        private final DataSource source = mock(DataSource.class);
        private long at;
        private boolean away;

        Server() {
            try {
                Statement statement = mock(Statement.class);
                ResultSet answer = mock(ResultSet.class);
                when(source.getConnection()).thenAnswer(call -> {
                    if (away) {
                        throw new SQLException("away");
                    }
                    return connection;
                });
                when(connection.createStatement()).thenReturn(statement);
                when(statement.executeQuery(anyString())).thenReturn(answer);
                when(answer.getLong(1)).thenAnswer(call -> at);
            } catch (SQLException exception) {
                throw new IllegalStateException(exception);
            }
        }
    }

    @Test
    void hasWhatItHasReplayed() {
        original.at = 1000;
        replica.at = 1000;
        assertTrue(position.has(1000));
        assertFalse(position.has(1001));
        replica.at = 1001;
        assertTrue(position.has(1001), "looked at again for one who wants more than it had");
    }

    @Test
    void neverSaysThatItHasWhatItHasNot() {
        Random random = new Random(4);
        for (int i = 0; i < 2000; i++) {
            now = now.plusMillis(random.nextInt(1500));
            original.at += random.nextInt(100);
            replica.at = Math.max(replica.at, original.at - random.nextInt(200));
            replica.away = random.nextInt(20) == 0;
            long wanted = original.at - random.nextInt(300);
            if (position.has(wanted)) {
                assertTrue(replica.at >= wanted, () -> "wanted " + wanted + ", had " + replica.at);
            }
        }
    }

    @Test
    void leavesOneAloneThatFallsBehind() {
        original.at = 1000;
        replica.at = 1000;
        assertTrue(position.has(0));
        original.at = 5000;
        now = now.plus(LOOK);
        assertTrue(position.has(0), "what was written since the last look may be on its way");
        now = now.plus(LOOK);
        assertFalse(position.has(0));
        replica.at = 5000;
        now = now.plus(LOOK);
        assertTrue(position.has(0));
    }

    @Test
    void leavesOneAloneThatDoesNotAnswer() {
        original.at = 1000;
        replica.at = 1000;
        replica.away = true;
        assertFalse(position.has(0));
        replica.away = false;
        now = now.plus(LOOK);
        assertFalse(position.has(0), "not asked at each page");
        now = now.plus(A_WHILE);
        assertTrue(position.has(0));
    }

    @Test
    void readersGoToTheCopyOnlyWhereItHasWhatTheyWant() throws SQLException {
        original.at = 1000;
        replica.at = 900;
        long[] wanted = {900};
        ReadingDataSource reading = new ReadingDataSource(
                original.source,
                replica.source,
                position,
                () -> wanted[0] < 0 ? Optional.empty() : Optional.of(wanted[0]));
        assertSame(replica.connection, reading.getConnection());
        wanted[0] = 901;
        assertSame(original.connection, reading.getConnection());
        wanted[0] = -1;
        assertSame(original.connection, reading.getConnection());
        wanted[0] = 0;
        replica.away = true;
        assertSame(original.connection, reading.getConnection(), "it went away");
        replica.away = false;
        assertSame(original.connection, reading.getConnection(), "and is left alone for a while");
        assertEquals(1000, position.written());
    }
}
