package org.stratopneum.web.intake;

import com.github.kagkarlsson.scheduler.task.CompletionHandler;
import com.github.kagkarlsson.scheduler.task.ExecutionContext;
import com.github.kagkarlsson.scheduler.task.TaskInstance;
import com.github.kagkarlsson.scheduler.task.helper.CustomTask;
import com.github.kagkarlsson.scheduler.task.helper.Tasks;
import com.github.kagkarlsson.scheduler.task.schedule.FixedDelay;
import java.time.Duration;
import java.util.UUID;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.stratopneum.web.rider.CurrentRider;
import org.stratopneum.web.rider.RiderPrincipal;
import org.stratopneum.web.rider.Riders;

/**
 * Files that wait to be read. Of each rider one is read at a time; the others of theirs go to the end of the line, so that
 * nobody's many files hold up another's one.
 */
@Configuration(proxyBeanMethods = false)
class ImportQueue {

    private static final String NAME = "import";
    private static final FixedDelay LATER = FixedDelay.of(Duration.ofSeconds(1));

    /** After a fault that may pass, such as a database that is away. */
    private static final FixedDelay AFTER_A_FAULT = FixedDelay.of(Duration.ofSeconds(5));

    /** A file of the rider of the thread, as it stands at that version. */
    static TaskInstance<Void> place(UUID id, int version) {
        return new TaskInstance<>(
                NAME, String.join(" ", CurrentRider.id().orElseThrow().toString(), id.toString(), "" + version));
    }

    @Bean
    CustomTask<Void> readingOfFiles(ImportWorker worker, Riders riders) {
        return Tasks.custom(NAME, Void.class)
                .onFailureReschedule(AFTER_A_FAULT)
                .onDeadExecutionRevive()
                .execute((place, context) -> read(worker, riders, place.getId().split(" "), context));
    }

    private static CompletionHandler<Void> read(
            ImportWorker worker, Riders riders, String[] place, ExecutionContext context) {
        ImportWorker.Outcome outcome = CurrentRider.askAs(new RiderPrincipal(UUID.fromString(place[0]), false), () -> {
            // what is found is told in their words
            riders.find();
            return worker.read(
                    UUID.fromString(place[1]),
                    Integer.parseInt(place[2]),
                    () -> context.getSchedulerState().isShuttingDown());
        });
        return outcome == ImportWorker.Outcome.ENDED
                ? new CompletionHandler.OnCompleteRemove<>()
                : new CompletionHandler.OnCompleteReschedule<>(LATER);
    }
}
