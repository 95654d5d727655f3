package org.stratopneum.web.parts.wheels;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import org.springframework.stereotype.Component;
import org.stratopneum.core.pressure.PressureWindow;
import org.stratopneum.web.log.LogDetail;
import org.stratopneum.web.log.LogLine;
import org.stratopneum.web.log.LogRow;
import org.stratopneum.web.log.LogWording;
import org.stratopneum.web.log.Logbook;
import org.stratopneum.web.platform.drawing.ReadingsChart;
import org.stratopneum.web.platform.wording.DateText;
import org.stratopneum.web.platform.wording.Wording;
import org.stratopneum.web.rider.Rider;

/** What the log holds of a wheel: readings, tires, and what was done to it. */
@Component
class WheelHistory {

    private final Logbook logbook;
    private final LogWording logWording;
    private final Wording wording;

    WheelHistory(Logbook logbook, LogWording logWording, Wording wording) {
        this.logbook = logbook;
        this.logWording = logWording;
        this.wording = wording;
    }

    ReadingsChart chart(List<LogRow> rows, PressureWindow window, Rider rider, Instant now) {
        List<ReadingsChart.Reading> readings = rows.stream()
                .filter(row -> !row.struck())
                .map(row -> {
                    LogDetail.GaugeRead read = (LogDetail.GaugeRead) logbook.detailOf(row);
                    return new ReadingsChart.Reading(
                            row.happenedAt(),
                            row.names().gaugeFit().toReference(read.pressure()),
                            read.afterInflation());
                })
                .sorted(Comparator.comparing(ReadingsChart.Reading::at))
                .toList();
        return readings.isEmpty()
                ? null
                : ReadingsChart.of(readings, window, rider.pressureUnit(), rider.zoneId(), now);
    }

    WheelPage.Entry entry(LogRow row, Rider rider) {
        LogLine line = logWording.line(row, rider);
        return new WheelPage.Entry(
                row.id(),
                DateText.moment(row.happenedAt(), rider.zoneId()),
                line.what(),
                line.note(),
                row.struck(),
                line.corrected());
    }

    /** Newest first; a tire that went on before the last one came off ends where the next begins. */
    List<WheelPage.Period> periods(List<LogRow> rows, Rider rider) {
        List<WheelPage.Period> periods = new ArrayList<>();
        Instant until = null;
        for (LogRow row : rows) {
            if (row.struck()) {
                continue;
            }
            if (logbook.detailOf(row) instanceof LogDetail.TireFitted fitted) {
                periods.add(new WheelPage.Period(
                        row.id(),
                        row.names().tire(),
                        wording.of("setup", fitted.setup()),
                        DateText.date(row.happenedAt(), rider.zoneId()),
                        until == null ? wording.text("wheel.until-now") : DateText.date(until, rider.zoneId()),
                        until == null));
            }
            until = row.happenedAt();
        }
        return periods;
    }
}
