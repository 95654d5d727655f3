package org.stratopneum.web.platform.guard;

import java.time.Clock;
import org.springframework.context.ApplicationContext;
import org.springframework.transaction.PlatformTransactionManager;

/** Guards whose clock a test holds. */
public final class Guards {

    private Guards() {}

    public static Guard at(Clock clock, ApplicationContext context) {
        return new Guard(context.getBean(GuardMapper.class), clock, context.getBean(PlatformTransactionManager.class));
    }
}
