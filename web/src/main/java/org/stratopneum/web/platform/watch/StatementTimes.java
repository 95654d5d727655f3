package org.stratopneum.web.platform.watch;

import io.micrometer.core.instrument.MeterRegistry;
import io.micrometer.core.instrument.Timer;
import java.lang.reflect.InvocationTargetException;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.TimeUnit;
import org.apache.ibatis.cache.CacheKey;
import org.apache.ibatis.executor.Executor;
import org.apache.ibatis.mapping.BoundSql;
import org.apache.ibatis.mapping.MappedStatement;
import org.apache.ibatis.plugin.Interceptor;
import org.apache.ibatis.plugin.Intercepts;
import org.apache.ibatis.plugin.Invocation;
import org.apache.ibatis.plugin.Signature;
import org.apache.ibatis.session.ResultHandler;
import org.apache.ibatis.session.RowBounds;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.stereotype.Component;

/** Times the statements to the database, by the mapper that they are of. */
@Component
@Intercepts({
    @Signature(
            type = Executor.class,
            method = "query",
            args = {MappedStatement.class, Object.class, RowBounds.class, ResultHandler.class}),
    @Signature(
            type = Executor.class,
            method = "query",
            args = {
                MappedStatement.class,
                Object.class,
                RowBounds.class,
                ResultHandler.class,
                CacheKey.class,
                BoundSql.class
            }),
    @Signature(
            type = Executor.class,
            method = "queryCursor",
            args = {MappedStatement.class, Object.class, RowBounds.class}),
    @Signature(
            type = Executor.class,
            method = "update",
            args = {MappedStatement.class, Object.class})
})
class StatementTimes implements Interceptor {

    private final ObjectProvider<MeterRegistry> registry;
    private final Map<String, Timer> timers = new ConcurrentHashMap<>();

    StatementTimes(ObjectProvider<MeterRegistry> registry) {
        this.registry = registry;
    }

    @Override
    public Object intercept(Invocation invocation) throws InvocationTargetException, IllegalAccessException {
        String id = ((MappedStatement) invocation.getArgs()[0]).getId();
        Timer timer = timers.computeIfAbsent(id, this::timer);
        long begun = System.nanoTime();
        try {
            return invocation.proceed();
        } finally {
            timer.record(System.nanoTime() - begun, TimeUnit.NANOSECONDS);
        }
    }

    /** @param id such as org.stratopneum.web.log.LogMapper.append */
    private Timer timer(String id) {
        String mapper = id.substring(0, id.lastIndexOf('.'));
        return Timer.builder("stratopneum.statements")
                .description("statements to the database")
                .tag("mapper", mapper.substring(mapper.lastIndexOf('.') + 1))
                .register(registry.getObject());
    }
}
