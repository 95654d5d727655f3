package org.stratopneum.web.demo;

import java.sql.Connection;
import javax.sql.DataSource;
import org.springframework.core.io.ClassPathResource;
import org.springframework.jdbc.datasource.DataSourceUtils;
import org.springframework.jdbc.datasource.init.ScriptUtils;
import org.springframework.stereotype.Component;

/** Bikes, wheels, rims and tires of the demo, and its open job card, from its scripts. */
@Component
class DemoParts {

    private final DataSource dataSource;

    DemoParts(DataSource dataSource) {
        this.dataSource = dataSource;
    }

    /** Loads a script inside the running transaction. */
    void load(String script) {
        Connection connection = DataSourceUtils.getConnection(dataSource);
        try {
            ScriptUtils.executeSqlScript(connection, new ClassPathResource(script));
        } finally {
            DataSourceUtils.releaseConnection(connection, dataSource);
        }
    }
}
