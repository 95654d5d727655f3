package org.stratopneum.web.platform.work;

import com.github.kagkarlsson.scheduler.Scheduler;
import com.github.kagkarlsson.scheduler.task.Task;
import com.github.kagkarlsson.scheduler.task.TaskInstance;
import com.github.kagkarlsson.scheduler.task.helper.CustomTask;
import com.github.kagkarlsson.scheduler.task.helper.RecurringTask;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import javax.sql.DataSource;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.context.SmartLifecycle;
import org.springframework.jdbc.datasource.TransactionAwareDataSourceProxy;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionSynchronization;
import org.springframework.transaction.support.TransactionSynchronizationManager;

/**
 * Does what is written down to be done, a few things at once. Whatever a process leaves undone that has died is done by
 * another one, or by the next: it is taken for dead once it was not seen for four of its heartbeats.
 */
@Component
public class BackgroundWork implements SmartLifecycle {

    /** Each thing that is done has a connection to the database, of which pages need most. */
    private static final int AT_ONCE = 3;

    private static final Duration LOOK = Duration.ofSeconds(2);
    private static final Duration PATIENCE = Duration.ofSeconds(20);
    private static final int MISSED = 4;

    private final Scheduler scheduler;
    private boolean running;

    /**
     * @param once what is done once where it is written down, by the beans that do it
     * @param again what is done again and again
     * @param heartbeat how often whoever works is seen to
     */
    BackgroundWork(
            DataSource dataSource,
            List<CustomTask<Void>> once,
            List<RecurringTask<Void>> again,
            @Value("${stratopneum.work.heartbeat:5s}") Duration heartbeat) {
        scheduler = Scheduler.create(
                        new TransactionAwareDataSourceProxy(dataSource),
                        once.stream().<Task<?>>map(task -> task).toList())
                .startTasks(again)
                .tableName("work.scheduled_tasks")
                .threads(AT_ONCE)
                .pollingInterval(LOOK)
                .heartbeatInterval(heartbeat)
                .missedHeartbeatsLimit(MISSED)
                .shutdownMaxWait(PATIENCE)
                .build();
    }

    /** Writes down that something is to be done now; begun once the transaction that this belongs to is committed. */
    public void add(TaskInstance<Void> work) {
        scheduler.scheduleIfNotExists(work, Instant.now());
        if (TransactionSynchronizationManager.isSynchronizationActive()) {
            TransactionSynchronizationManager.registerSynchronization(new TransactionSynchronization() {
                @Override
                public void afterCommit() {
                    scheduler.triggerCheckForDueExecutions();
                }
            });
        } else {
            scheduler.triggerCheckForDueExecutions();
        }
    }

    @Override
    public void start() {
        scheduler.start();
        running = true;
    }

    /** Whatever is being done is broken off, and done again later. */
    @Override
    public void stop() {
        scheduler.stop();
        running = false;
    }

    @Override
    public boolean isRunning() {
        return running;
    }
}
