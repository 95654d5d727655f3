package org.stratopneum.web.rider.activity;

import io.micrometer.core.instrument.MeterRegistry;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.List;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.stratopneum.web.rider.CurrentRider;

/** Notes what is done at the door of an account: for its rider, for a while, and in the log file. */
@Service
public class Activity {

    private static final Logger LOG = LoggerFactory.getLogger(Activity.class);

    private static final Duration KEPT = Duration.ofDays(180);
    private static final int MOST = 500;

    private final ActivityMapper mapper;
    private final Clock clock;
    private final MeterRegistry meters;

    Activity(ActivityMapper mapper, Clock clock, MeterRegistry meters) {
        this.meters = meters;
        this.mapper = mapper;
        this.clock = clock;
    }

    /** Notes something of the account of the rider on whose behalf this runs. */
    @Transactional
    public void note(AccountEvent.Kind kind, Caller caller) {
        count(kind);
        Instant now = clock.instant().truncatedTo(ChronoUnit.MICROS);
        LOG.info(
                "Account {}: {} from {}",
                CurrentRider.id().map(Object::toString).orElse("?"),
                kind,
                caller.address());
        mapper.insert(new AccountEvent(now, kind, caller.device(), caller.address()));
        mapper.forget(now.minus(KEPT), MOST);
    }

    /** Notes that a name which nobody has was tried. The name is left out: people type passwords there. */
    public void unknownName(Caller caller) {
        count(AccountEvent.Kind.FAILED);
        LOG.info("No such account: {} from {}", AccountEvent.Kind.FAILED, caller.address());
    }

    private void count(AccountEvent.Kind kind) {
        meters.counter("stratopneum.account", "event", kind.name()).increment();
    }

    @Transactional(readOnly = true)
    public List<AccountEvent> newest(int most) {
        return mapper.newest(most);
    }
}
