package org.stratopneum.web.history;

import org.springframework.stereotype.Component;
import org.stratopneum.web.log.LogLine;
import org.stratopneum.web.log.LogRow;
import org.stratopneum.web.log.LogWording;
import org.stratopneum.web.platform.wording.DateText;
import org.stratopneum.web.rider.Rider;

/** What the log holds of a wheel, in words. */
@Component
class WheelLog {

    private final LogWording logWording;

    WheelLog(LogWording logWording) {
        this.logWording = logWording;
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
