package org.stratopneum.web.demo;

import java.time.Clock;
import java.time.LocalDate;
import java.time.ZoneId;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.context.SmartLifecycle;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;
import org.stratopneum.core.quantity.PressureUnit;
import org.stratopneum.web.fleet.gauges.Gauges;
import org.stratopneum.web.log.Logbook;
import org.stratopneum.web.rider.CurrentRider;
import org.stratopneum.web.rider.Rider;
import org.stratopneum.web.rider.RiderMapper;

/**
 * Loads the demo once, before the first request is answered, and at a start on a later day moves it forward so that it
 * never ages.
 */
@Component
class DemoGarage implements SmartLifecycle {

    private static final Logger LOG = LoggerFactory.getLogger(DemoGarage.class);

    private static final double BODY_KG = 64;
    private static final long SEED = 118_407;

    private final RiderMapper riders;
    private final DemoParts parts;
    private final DemoYear year;
    private final DemoBench bench;
    private final Logbook logbook;
    private final Gauges gauges;
    private final TransactionTemplate transaction;
    private final Clock clock;
    private final boolean wanted;
    private boolean running;

    DemoGarage(
            RiderMapper riders,
            DemoParts parts,
            DemoYear year,
            DemoBench bench,
            Logbook logbook,
            Gauges gauges,
            TransactionTemplate transaction,
            Clock clock,
            @Value("${stratopneum.demo}") boolean wanted) {
        this.wanted = wanted;
        this.riders = riders;
        this.parts = parts;
        this.year = year;
        this.bench = bench;
        this.logbook = logbook;
        this.gauges = gauges;
        this.transaction = transaction;
        this.clock = clock;
    }

    @Override
    public boolean isAutoStartup() {
        return wanted;
    }

    @Override
    public void start() {
        CurrentRider.runAs(
                DemoConfiguration.DEMO_RIDER, () -> transaction.executeWithoutResult(status -> loadOrMove()));
        running = true;
    }

    private void loadOrMove() {
        Rider known = riders.self().orElse(null);
        if (known == null) {
            ZoneId zone = ZoneId.systemDefault();
            LocalDate today = LocalDate.ofInstant(clock.instant(), zone);
            riders.insert(
                    Rider.fresh(
                                    DemoConfiguration.DEMO_RIDER.riderId(),
                                    "Ilse Varga-Lund",
                                    zone.getId(),
                                    PressureUnit.PSI)
                            .asDemo(BODY_KG, today),
                    clock.instant());
            parts.load("demo/garage.sql");
            DemoLogWriter pen = new DemoLogWriter(logbook, today, zone, SEED);
            year.write(pen);
            bench.write(pen);
            parts.load("demo/card.sql");
            parts.load("demo/care.sql");
            parts.load("demo/kit.sql");
            gauges.refit();
            LOG.info("Demo garage loaded with {} log entries", pen.entries());
            return;
        }
        LocalDate today = LocalDate.ofInstant(clock.instant(), known.zoneId());
        int moved = riders.moveDemoTo(known.id(), today);
        if (moved > 0) {
            LOG.info("Demo garage moved to {}: {} log entries", today, moved);
        }
    }

    @Override
    public void stop() {
        running = false;
    }

    @Override
    public boolean isRunning() {
        return running;
    }

    /** Before the web server, which starts late. */
    @Override
    public int getPhase() {
        return 0;
    }
}
