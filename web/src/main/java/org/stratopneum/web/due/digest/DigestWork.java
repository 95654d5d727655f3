package org.stratopneum.web.due.digest;

import com.github.kagkarlsson.scheduler.task.helper.RecurringTask;
import com.github.kagkarlsson.scheduler.task.helper.Tasks;
import com.github.kagkarlsson.scheduler.task.schedule.FixedDelay;
import java.time.Duration;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** Looks for digests whose time has come, whichever process does. */
@Configuration(proxyBeanMethods = false)
class DigestWork {

    @Bean
    RecurringTask<Void> sendingOfDigests(DigestSender sender, @Value("${stratopneum.mail.every:PT1M}") Duration every) {
        return Tasks.recurring("digests", FixedDelay.of(every)).execute((again, context) -> sender.sendDue());
    }
}
