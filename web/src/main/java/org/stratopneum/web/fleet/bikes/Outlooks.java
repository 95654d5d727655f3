package org.stratopneum.web.fleet.bikes;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.stratopneum.core.leak.LeakReading;
import org.stratopneum.core.leak.PressureOutlook;
import org.stratopneum.core.leak.Turn;
import org.stratopneum.core.quantity.Temperature;
import org.stratopneum.web.log.LogDetail;
import org.stratopneum.web.log.LogKind;
import org.stratopneum.web.log.LogRow;
import org.stratopneum.web.log.Logbook;

/** What the log's readings of a wheel say of the pressure that is in it now and later. */
@Service
public class Outlooks {

    /** So many readings reach back farther than any rate is taken from. */
    public static final int READINGS = 60;

    private final Logbook logbook;

    Outlooks(Logbook logbook) {
        this.logbook = logbook;
    }

    /** @param heightM where it is read (m) */
    @Transactional(readOnly = true)
    public Optional<PressureOutlook> of(WheelState wheel, double heightM) {
        return of(wheel, logbook.ofWheel(wheel.wheelId(), LogKind.READINGS, READINGS), heightM);
    }

    /** @param rows readings of the wheel, newest first, struck ones included */
    public Optional<PressureOutlook> of(WheelState wheel, List<LogRow> rows, double heightM) {
        if (wheel.tire().isEmpty()) {
            return Optional.empty();
        }
        return PressureOutlook.of(turns(wheel, rows), heightM);
    }

    /**
     * What the gauge showed since the tire that is on went on, by the reference, oldest first.
     *
     * @param rows readings of the wheel, newest first, struck ones included
     */
    public List<Turn> turns(WheelState wheel, List<LogRow> rows) {
        List<Turn> turns = new ArrayList<>();
        rows.stream()
                .filter(row -> !row.struck()
                        && !row.happenedAt().isBefore(wheel.tire().get().since()))
                .map(this::turn)
                .forEach(turns::add);
        Collections.reverse(turns);
        return turns;
    }

    /**
     * The same as long as the tire that is on has been on this wheel, also where it came off between.
     *
     * @param since nothing older than this
     */
    public List<Turn> turnsOfTire(WheelState wheel, List<LogRow> rows, Instant since) {
        UUID tire = wheel.tire().map(WheelState.Tire::id).orElseThrow();
        List<Turn> turns = new ArrayList<>();
        rows.stream()
                .filter(row -> !row.struck()
                        && tire.equals(row.subject().tireId())
                        && !row.happenedAt().isBefore(since))
                .map(this::turn)
                .forEach(turns::add);
        Collections.reverse(turns);
        return turns;
    }

    private Turn turn(LogRow row) {
        LogDetail.GaugeRead read = (LogDetail.GaugeRead) logbook.detailOf(row);
        Temperature temperature = row.temperatureC() == null ? null : Temperature.celsius(row.temperatureC());
        return new Turn(
                new LeakReading(row.happenedAt(), row.names().gaugeFit().toReference(read.pressure()), temperature),
                read.afterInflation());
    }
}
