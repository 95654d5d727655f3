package org.stratopneum.web.pressure.pace;

import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.stratopneum.core.agenda.DueItem;
import org.stratopneum.core.agenda.LeakLooks;
import org.stratopneum.web.fleet.bikes.BikeState;
import org.stratopneum.web.fleet.bikes.Outlooks;
import org.stratopneum.web.fleet.bikes.WheelPosition;
import org.stratopneum.web.fleet.bikes.WheelState;
import org.stratopneum.web.log.LogKind;
import org.stratopneum.web.log.LogRow;
import org.stratopneum.web.log.Logbook;
import org.stratopneum.web.rider.Rider;

/** Reads the pace of wheels from the log. */
@Service
public class Paces {

    /** A pace that nobody read for longer is news no more (days). */
    private static final int RECENT_DAYS = 40;

    private final Logbook logbook;
    private final Outlooks outlooks;

    Paces(Logbook logbook, Outlooks outlooks) {
        this.logbook = logbook;
        this.outlooks = outlooks;
    }

    /**
     * Empty without a tire.
     *
     * @param rows readings of the wheel, newest first, struck ones included
     */
    public Optional<WheelPace> of(BikeState bike, WheelState wheel, List<LogRow> rows, Instant now) {
        return wheel.tire().isEmpty()
                ? Optional.empty()
                : Optional.of(WheelPace.of(
                        wheel,
                        outlooks.turns(wheel, rows),
                        outlooks.turnsOfTire(wheel, rows, since(now)),
                        heightM(bike),
                        now));
    }

    @Transactional(readOnly = true)
    public Optional<WheelPace> of(BikeState bike, WheelState wheel) {
        List<LogRow> rows = logbook.ofWheel(wheel.wheelId(), LogKind.READINGS, Outlooks.READINGS);
        return of(bike, wheel, rows, logbook.now());
    }

    static double heightM(BikeState bike) {
        return bike.home() == null ? 0 : bike.home().heightM();
    }

    /** From when on the log is to be asked for {@link #due}. */
    public static Instant since(Instant now) {
        return now.minus(RECENT_DAYS, ChronoUnit.DAYS);
    }

    /**
     * The leaks that are to be looked for, by wheel.
     *
     * @param rows what the log holds of readings, {@link #since} at least, newest first; anything else is left out
     */
    public Map<UUID, DueItem> due(List<BikeState> bikes, List<LogRow> rows, Rider rider, Instant now) {
        Map<UUID, List<LogRow>> byWheel = rows.stream()
                .filter(row -> LogKind.READINGS.contains(row.kind())
                        && !row.happenedAt().isBefore(since(now)))
                .collect(Collectors.groupingBy(row -> row.subject().wheelId()));
        Map<UUID, DueItem> due = new HashMap<>();
        for (BikeState bike : bikes) {
            wheels(bike)
                    .forEach(wheel -> leak(bike, wheel, byWheel.getOrDefault(wheel.wheelId(), List.of()), rider, now)
                            .ifPresent(item -> due.put(wheel.wheelId(), item)));
        }
        return due;
    }

    private static Stream<WheelState> wheels(BikeState bike) {
        return Stream.of(WheelPosition.values()).map(bike::wheel).flatMap(Optional::stream);
    }

    private Optional<DueItem> leak(BikeState bike, WheelState wheel, List<LogRow> rows, Rider rider, Instant now) {
        return of(bike, wheel, rows, now)
                .flatMap(
                        pace -> LeakLooks.of(wheel.wheelId(), pace.rate(), pace.flat(), pace.change(), rider.zoneId()));
    }
}
