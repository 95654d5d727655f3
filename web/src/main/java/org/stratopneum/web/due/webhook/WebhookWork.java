package org.stratopneum.web.due.webhook;

import com.github.kagkarlsson.scheduler.task.CompletionHandler;
import com.github.kagkarlsson.scheduler.task.TaskInstance;
import com.github.kagkarlsson.scheduler.task.helper.CustomTask;
import com.github.kagkarlsson.scheduler.task.helper.RecurringTask;
import com.github.kagkarlsson.scheduler.task.helper.Tasks;
import com.github.kagkarlsson.scheduler.task.schedule.FixedDelay;
import java.time.Duration;
import java.util.UUID;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.stratopneum.web.rider.CurrentRider;
import org.stratopneum.web.rider.RiderPrincipal;

/** What is done for webhooks in the background. */
@Configuration(proxyBeanMethods = false)
class WebhookWork {

    private static final String NAME = "webhook";
    private static final FixedDelay AFTER_A_FAULT = FixedDelay.of(Duration.ofMinutes(1));

    /** A letter of the rider of the thread. */
    static TaskInstance<Void> letter(UUID delivery) {
        return new TaskInstance<>(NAME, CurrentRider.id().orElseThrow() + " " + delivery);
    }

    @Bean
    RecurringTask<Void> lookingForWhatIsDue(
            WebhookScan scan, @Value("${stratopneum.webhooks.every:PT1M}") Duration every) {
        return Tasks.recurring("webhooks", FixedDelay.of(every)).execute((again, context) -> scan.all());
    }

    @Bean
    CustomTask<Void> sendingOfWebhooks(WebhookSender sender) {
        return Tasks.custom(NAME, Void.class)
                .onFailureReschedule(AFTER_A_FAULT)
                .onDeadExecutionRevive()
                .execute((letter, context) -> {
                    String[] names = letter.getId().split(" ");
                    return CurrentRider.askAs(
                                    new RiderPrincipal(UUID.fromString(names[0]), false),
                                    () -> sender.send(UUID.fromString(names[1])))
                            .<CompletionHandler<Void>>map(
                                    later -> new CompletionHandler.OnCompleteReschedule<>(FixedDelay.of(later)))
                            .orElseGet(CompletionHandler.OnCompleteRemove::new);
                });
    }
}
