package org.stratopneum.web.demo;

import java.sql.Connection;
import javax.sql.DataSource;
import org.springframework.core.io.ClassPathResource;
import org.springframework.jdbc.datasource.DataSourceUtils;
import org.springframework.jdbc.datasource.init.ScriptUtils;
import org.springframework.stereotype.Component;

/** Bikes, wheels, rims and tires of the demo, from its script. */
@Component
class DemoParts {

    private final DataSource dataSource;

    DemoParts(DataSource dataSource) {
        this.dataSource = dataSource;
    }

    /** Loads the script inside the running transaction. */
    void load() {
        Connection connection = DataSourceUtils.getConnection(dataSource);
        try {
            ScriptUtils.executeSqlScript(connection, new ClassPathResource("demo/garage.sql"));
        } finally {
            DataSourceUtils.releaseConnection(connection, dataSource);
        }
    }
}
