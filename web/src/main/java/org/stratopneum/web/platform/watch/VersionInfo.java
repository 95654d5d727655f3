package org.stratopneum.web.platform.watch;

import java.util.Map;
import org.springframework.boot.actuate.info.Info;
import org.springframework.boot.actuate.info.InfoContributor;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;

/** Says at which step the tables are; the version is said by what the build wrote down. */
@Component
class VersionInfo implements InfoContributor {

    private final JdbcTemplate jdbc;

    VersionInfo(JdbcTemplate jdbc) {
        this.jdbc = jdbc;
    }

    @Override
    public void contribute(Info.Builder info) {
        info.withDetail("schema", Map.of("step", jdbc.queryForObject("select schema_step()", Integer.class)));
    }
}
