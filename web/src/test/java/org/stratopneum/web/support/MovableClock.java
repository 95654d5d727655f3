package org.stratopneum.web.support;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import org.springframework.beans.factory.config.BeanPostProcessor;

/** Lets a night pass in a test: the application's clock, and how far tests have moved it on. */
public final class MovableClock extends Clock implements BeanPostProcessor {

    private static volatile Duration moved = Duration.ZERO;

    private final Clock clock;

    MovableClock() {
        this(Clock.systemUTC());
    }

    private MovableClock(Clock clock) {
        this.clock = clock;
    }

    /** Does something as if it were later by {@code time}. */
    public static void after(Duration time, Runnable doing) {
        moved = time;
        try {
            doing.run();
        } finally {
            moved = Duration.ZERO;
        }
    }

    @Override
    public Object postProcessAfterInitialization(Object bean, String name) {
        return bean instanceof Clock real && !(bean instanceof MovableClock) ? new MovableClock(real) : bean;
    }

    @Override
    public ZoneId getZone() {
        return clock.getZone();
    }

    @Override
    public Clock withZone(ZoneId zone) {
        return new MovableClock(clock.withZone(zone));
    }

    @Override
    public Instant instant() {
        return clock.instant().plus(moved);
    }
}
