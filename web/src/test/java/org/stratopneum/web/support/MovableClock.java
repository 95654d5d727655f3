package org.stratopneum.web.support;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.beans.factory.config.BeanPostProcessor;
import org.stratopneum.web.rider.CurrentRider;

/** Lets a night pass in a test: the application's clock, and how far tests have moved it on. */
public final class MovableClock extends Clock implements BeanPostProcessor {

    private static final UUID EVERYBODY = new UUID(0, 0);
    private static final Map<UUID, Duration> MOVED = new ConcurrentHashMap<>();

    private final Clock clock;

    MovableClock() {
        this(Clock.systemUTC());
    }

    private MovableClock(Clock clock) {
        this.clock = clock;
    }

    /** Does something as if it were later by {@code time} for everybody: only where nothing else runs. */
    public static void after(Duration time, Runnable doing) {
        after(EVERYBODY, time, doing);
    }

    /** The same for one rider alone. */
    public static void after(Guest rider, Duration time, Runnable doing) {
        after(rider.riderId(), time, doing);
    }

    private static void after(UUID rider, Duration time, Runnable doing) {
        MOVED.put(rider, time);
        try {
            doing.run();
        } finally {
            MOVED.remove(rider);
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
        Duration own = CurrentRider.id().map(MOVED::get).orElse(Duration.ZERO);
        return clock.instant().plus(own).plus(MOVED.getOrDefault(EVERYBODY, Duration.ZERO));
    }
}
