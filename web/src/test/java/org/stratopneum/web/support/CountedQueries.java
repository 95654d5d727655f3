package org.stratopneum.web.support;

import java.util.List;
import java.util.concurrent.CopyOnWriteArrayList;
import javax.sql.DataSource;
import net.ttddyy.dsproxy.QueryInfo;
import net.ttddyy.dsproxy.support.ProxyDataSourceBuilder;
import org.springframework.beans.factory.config.BeanPostProcessor;

/** Listens at the data source of the running application, and hands over every statement that went to PostgreSQL. */
public final class CountedQueries implements BeanPostProcessor {

    private static final List<String> HEARD = new CopyOnWriteArrayList<>();

    @Override
    public Object postProcessAfterInitialization(Object bean, String name) {
        if (!(bean instanceof DataSource dataSource)) {
            return bean;
        }
        return ProxyDataSourceBuilder.create(dataSource)
                .afterQuery((execution, queries) -> {
                    String thread = Thread.currentThread().getName();
                    if (BESIDE_PAGES.stream().noneMatch(thread::startsWith)) {
                        queries.stream().map(QueryInfo::getQuery).forEach(HEARD::add);
                    }
                })
                .build();
    }

    /**
     * Mail is sent every minute, files are read, results are kept, on threads that are called so; it has nothing to do with
     * the page that is counted.
     */
    private static final List<String> BESIDE_PAGES = List.of("db-scheduler-", "keeper");

    /** The statements that {@code work} led to, but for those that keep sessions and slow guessing. */
    public static List<String> during(Runnable work) {
        HEARD.clear();
        work.run();
        return HEARD.stream().filter(query -> !query.contains("visits.")).toList();
    }
}
