package org.stratopneum.web.history;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.stratopneum.web.fleet.bikes.Garage;
import org.stratopneum.web.fleet.bikes.WheelPlace;
import org.stratopneum.web.log.LogKind;
import org.stratopneum.web.log.LogLine;
import org.stratopneum.web.log.LogRow;
import org.stratopneum.web.log.LogWording;
import org.stratopneum.web.log.Logbook;
import org.stratopneum.web.platform.wording.DateText;
import org.stratopneum.web.platform.wording.Wording;
import org.stratopneum.web.rider.Rider;
import org.stratopneum.web.rider.Riders;

/** Lays out on paper what a wheel went through. */
@Service
class WheelPaperService {

    /** Some sixty sheets: more of it leaves as a table. */
    private static final int MOST = 3000;

    private final Garage garage;
    private final Logbook logbook;
    private final LogWording logWording;
    private final Riders riders;
    private final Wording wording;

    WheelPaperService(Garage garage, Logbook logbook, LogWording logWording, Riders riders, Wording wording) {
        this.garage = garage;
        this.logbook = logbook;
        this.logWording = logWording;
        this.riders = riders;
        this.wording = wording;
    }

    /** @throws org.stratopneum.web.platform.fault.NotThereException when this rider has no such wheel */
    @Transactional(readOnly = true)
    WheelPaper paper(UUID wheel) {
        Rider rider = riders.self();
        WheelPlace place = garage.place(wheel);
        List<LogRow> rows = new ArrayList<>(logbook.ofWheel(wheel, List.of(LogKind.values()), MOST + 1));
        boolean earlier = rows.size() > MOST;
        List<LogRow> kept = new ArrayList<>(rows.subList(0, Math.min(MOST, rows.size())));
        Collections.reverse(kept);
        Map<Integer, List<WheelPaper.Line>> years = new LinkedHashMap<>();
        int struck = 0;
        for (LogRow row : kept) {
            if (row.struck()) {
                struck++;
                continue;
            }
            LocalDate day = LocalDate.ofInstant(row.happenedAt(), rider.zoneId());
            LogLine line = logWording.line(row, rider);
            years.computeIfAbsent(day.getYear(), year -> new ArrayList<>())
                    .add(new WheelPaper.Line(
                            DateText.shortDay(day),
                            line.time(),
                            row.names().tire() == null ? "" : row.names().tire(),
                            line.what(),
                            line.note()));
        }
        return new WheelPaper(
                place.bikeName() + ", " + wording.of("position", place.position()) + " · " + place.wheelsetName(),
                DateText.date(logbook.now(), rider.zoneId()),
                years.entrySet().stream()
                        .map(year -> new WheelPaper.Year(String.valueOf(year.getKey()), year.getValue()))
                        .toList(),
                kept.size() - struck,
                struck,
                earlier);
    }
}
