package org.stratopneum.web.history;

import org.springframework.stereotype.Component;
import org.stratopneum.web.log.LogLine;
import org.stratopneum.web.log.LogRow;
import org.stratopneum.web.log.LogWording;
import org.stratopneum.web.log.Logbook;
import org.stratopneum.web.platform.wording.DateText;
import org.stratopneum.web.platform.wording.Wording;
import org.stratopneum.web.rider.Rider;

/** What the log holds of a wheel, in words. */
@Component
class WheelLog {

    private final Logbook logbook;
    private final LogWording logWording;
    private final Wording wording;

    WheelLog(Logbook logbook, LogWording logWording, Wording wording) {
        this.logbook = logbook;
        this.logWording = logWording;
        this.wording = wording;
    }

    HistoryPage.Entry entry(LogRow row, Rider rider) {
        LogLine line = logWording.line(row, rider);
        return new HistoryPage.Entry(
                row.id(),
                DateText.moment(row.happenedAt(), rider.zoneId()),
                line.what(),
                line.note(),
                row.struck(),
                line.corrected());
    }
}
