package org.stratopneum.web.platform.database;

import java.io.IOException;
import java.util.Arrays;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.springframework.core.io.Resource;
import org.springframework.core.io.support.PathMatchingResourcePatternResolver;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;

/** Does not let an application start on tables that are older than it knows: they are brought up to date before. */
@Component
class SchemaCheck {

    private static final Pattern STEP = Pattern.compile("V(\\d+)__.*");

    SchemaCheck(JdbcTemplate jdbc) throws IOException {
        int known = newestKnown();
        Integer there = jdbc.queryForObject("select schema_step()", Integer.class);
        if (there == null || there < known) {
            throw new IllegalStateException("The tables are at step " + there + " and this version needs step " + known
                    + ": bring them up to date first, see docs/deploy.md");
        }
    }

    private static int newestKnown() throws IOException {
        Resource[] steps = new PathMatchingResourcePatternResolver().getResources("classpath:db/migration/V*.sql");
        return Arrays.stream(steps)
                .map(step -> STEP.matcher(String.valueOf(step.getFilename())))
                .filter(Matcher::matches)
                .mapToInt(step -> Integer.parseInt(step.group(1)))
                .max()
                .orElseThrow();
    }
}
