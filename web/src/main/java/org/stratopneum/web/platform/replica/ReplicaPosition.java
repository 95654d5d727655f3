package org.stratopneum.web.platform.replica;

import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Duration;
import java.time.Instant;
import java.time.InstantSource;
import javax.sql.DataSource;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * How far a copy of the database has come. Positions are bytes of the write-ahead log, which both count alike. A copy that
 * lags behind what its original had two looks before, or does not answer, is left alone until it is abreast again.
 */
class ReplicaPosition {

    private static final Logger LOG = LoggerFactory.getLogger(ReplicaPosition.class);
    private static final String WRITTEN = "select pg_current_wal_lsn() - '0/0'";
    private static final String REPLAYED = "select pg_last_wal_replay_lsn() - '0/0'";
    private static final Duration BETWEEN_LOOKS = Duration.ofSeconds(1);
    private static final Duration LEFT_ALONE = Duration.ofSeconds(10);

    private final DataSource original;
    private final DataSource replica;
    private final InstantSource clock;
    private Instant nextLook = Instant.EPOCH;
    private long replayed = -1;
    private long goal;
    private boolean abreast;

    ReplicaPosition(DataSource original, DataSource replica, InstantSource clock) {
        this.original = original;
        this.replica = replica;
        this.clock = clock;
    }

    /** What the original has written so far. */
    long written() throws SQLException {
        return position(original, WRITTEN);
    }

    /** Whether the copy follows, and has all that was written up to {@code position}. */
    synchronized boolean has(long position) {
        if (!clock.instant().isBefore(nextLook)) {
            look();
        }
        if (abreast && replayed < position) {
            lookAtReplica();
        }
        return abreast && replayed >= position;
    }

    /** It did not answer. */
    synchronized void lost(SQLException why) {
        if (abreast) {
            LOG.warn("The database's replica is left alone: {}", why.getMessage());
        }
        abreast = false;
        nextLook = clock.instant().plus(LEFT_ALONE);
    }

    private void look() {
        nextLook = clock.instant().plus(BETWEEN_LOOKS);
        boolean before = abreast;
        abreast = true;
        lookAtReplica();
        if (!abreast) {
            return;
        }
        abreast = replayed >= goal;
        if (before != abreast) {
            LOG.info("The database's replica is {}", abreast ? "read from" : "too far behind to be read from");
        }
        try {
            goal = written();
        } catch (SQLException away) {
            LOG.warn("The database does not say how far it is: {}", away.getMessage());
        }
    }

    private void lookAtReplica() {
        try {
            replayed = position(replica, REPLAYED);
        } catch (SQLException exception) {
            lost(exception);
        }
    }

    private static long position(DataSource database, String question) throws SQLException {
        try (Connection connection = database.getConnection();
                Statement statement = connection.createStatement();
                ResultSet answer = statement.executeQuery(question)) {
            answer.next();
            return answer.getLong(1);
        }
    }
}
