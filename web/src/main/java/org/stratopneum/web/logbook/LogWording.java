package org.stratopneum.web.logbook;

import java.util.ArrayList;
import java.util.List;
import org.springframework.stereotype.Component;
import org.stratopneum.core.quantity.GaugePressure;
import org.stratopneum.core.quantity.PressureUnit;
import org.stratopneum.web.rider.Rider;
import org.stratopneum.web.wording.Age;
import org.stratopneum.web.wording.PressureText;
import org.stratopneum.web.wording.QuantityText;
import org.stratopneum.web.wording.Wording;

/** Puts entries into words. */
@Component
public class LogWording {

    private final Wording wording;
    private final LogDetailJson json;

    LogWording(Wording wording, LogDetailJson json) {
        this.wording = wording;
        this.json = json;
    }

    public LogLine line(LogRow row, Rider rider) {
        return new LogLine(
                row.id(),
                Age.time(row.happenedAt(), rider.zoneId()),
                row.bikeName(),
                where(row),
                what(row),
                note(row, rider),
                row.struck(),
                row.supersedes() != null && !row.struck());
    }

    /** "rear" or "front"; nothing where the entry is about both wheels. */
    private String where(LogRow row) {
        return row.wheelPosition() == null ? "" : wording.text("position." + row.wheelPosition());
    }

    private String what(LogRow row) {
        LogDetail detail = json.read(row);
        if (detail instanceof LogDetail.PressureRead read) {
            String key = read.afterInflation() ? "log.read.set" : "log.read.found";
            return wording.text(key, asRead(read.pressure(), read.readIn()));
        }
        if (detail instanceof LogDetail.TireFitted fitted) {
            return wording.text("log.fitted", row.tireName(), wording.of("setup", fitted.setup()));
        }
        if (detail instanceof LogDetail.TireRemoved) {
            return wording.text("log.removed", row.tireName());
        }
        return wording.text("log.mounted", row.wheelsetName());
    }

    private String note(LogRow row, Rider rider) {
        List<String> notes = new ArrayList<>();
        if (json.read(row) instanceof LogDetail.PressureRead read) {
            if (read.toldKpa() != null) {
                String told = PressureText.text(GaugePressure.kpa(read.toldKpa()), read.readIn());
                notes.add(wording.text("log.note.told", told));
            }
            if (row.temperatureC() != null) {
                notes.add(QuantityText.text(row.temperatureC(), rider.temperatureUnit()));
            }
            if (row.gaugeName() != null) {
                notes.add(row.gaugeName());
            }
        }
        return String.join(" · ", notes);
    }

    private static String asRead(GaugePressure pressure, PressureUnit unit) {
        return PressureText.both(pressure, unit);
    }
}
