package org.stratopneum.web.log;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.jdbc.core.JdbcTemplate;
import org.stratopneum.web.support.RunningApplication;

@ExtendWith(RunningApplication.class)
class LogKindTest {

    private final JdbcTemplate jdbc;

    LogKindTest(JdbcTemplate jdbc) {
        this.jdbc = jdbc;
    }

    @Test
    void theDatabaseTakesTheKindsThatTheApplicationWrites() {
        assertThat(jdbc.queryForList("select kind from log_kind", String.class))
                .containsExactlyInAnyOrderElementsOf(
                        Arrays.stream(LogKind.values()).map(Enum::name).toList());
    }

    /** A record of a sealed interface: each has its kind, and no two share one. */
    @Test
    void everyDetailHasAKindOfItsOwn() {
        assertThat(Arrays.stream(LogKind.values()).map(LogKind::detail)).doesNotHaveDuplicates();
    }
}
