package org.stratopneum.web.platform.replica;

import com.zaxxer.hikari.HikariConfig;
import com.zaxxer.hikari.HikariDataSource;
import java.time.InstantSource;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.beans.factory.config.BeanPostProcessor;
import org.springframework.jdbc.datasource.LazyConnectionDataSourceProxy;
import org.stratopneum.web.platform.site.SiteCookies;

/** Puts a copy of the database beside it, where one is named: for transactions that only read. */
final class ReplicaReads implements BeanPostProcessor, DisposableBean {

    /** Whoever waits for a copy longer than this is answered by the original (ms). */
    private static final long PATIENCE_MS = 500;

    private final String address;
    private final ObjectProvider<SiteCookies> cookies;
    private HikariDataSource replica;
    private ReplicaPosition position;

    /** @param address of the copy (JDBC), or an empty text where there is none */
    ReplicaReads(String address, ObjectProvider<SiteCookies> cookies) {
        this.address = address;
        this.cookies = cookies;
    }

    boolean areOn() {
        return !address.isEmpty();
    }

    /** The pool of connections to the copy; null where there is none. */
    HikariDataSource replica() {
        return replica;
    }

    /** How far the copy is; null where there is none. */
    ReplicaPosition position() {
        return position;
    }

    @Override
    public Object postProcessAfterInitialization(Object bean, String name) {
        if (!areOn() || !(bean instanceof HikariDataSource original)) {
            return bean;
        }
        HikariConfig settings = new HikariConfig();
        original.copyStateTo(settings);
        settings.setJdbcUrl(address);
        settings.setPoolName(original.getPoolName() + "-replica");
        settings.setReadOnly(true);
        settings.setConnectionTimeout(PATIENCE_MS);
        // the application starts without it
        settings.setInitializationFailTimeout(-1);
        replica = new HikariDataSource(settings);
        position = new ReplicaPosition(original, replica, InstantSource.system());
        LazyConnectionDataSourceProxy both = new LazyConnectionDataSourceProxy(original);
        both.setReadOnlyDataSource(
                new ReadingDataSource(original, replica, position, () -> OwnWrites.wanted(cookies.getObject())));
        return both;
    }

    @Override
    public void destroy() {
        if (replica != null) {
            replica.close();
        }
    }
}
