package org.stratopneum.web.log;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.regex.Pattern;
import org.springframework.stereotype.Component;
import org.stratopneum.core.diagnosis.Cause;
import org.stratopneum.core.quantity.GaugePressure;
import org.stratopneum.core.quantity.PressureUnit;
import org.stratopneum.core.trailside.CutSize;
import org.stratopneum.core.trailside.Rung;
import org.stratopneum.web.platform.wording.DateText;
import org.stratopneum.web.platform.wording.Numbers;
import org.stratopneum.web.platform.wording.PressureText;
import org.stratopneum.web.platform.wording.QuantityText;
import org.stratopneum.web.platform.wording.Wording;
import org.stratopneum.web.rider.Rider;

/** Puts entries into words. */
@Component
public class LogWording {

    private static final Pattern WITH_DIGITS = Pattern.compile("\\S*\\d\\S*");
    private static final int MOST_WORDS = 2000;

    /** Units do not matter where numbers are left out. */
    private static final Rider NOBODY = Rider.fresh(new UUID(0, 0), "", "UTC", PressureUnit.BAR);

    private final Wording wording;
    private final LogDetailJson json;

    LogWording(Wording wording, LogDetailJson json) {
        this.wording = wording;
        this.json = json;
    }

    /** "12 entries". */
    String entries(int count) {
        return wording.text("log.entries", count);
    }

    public LogLine line(LogRow row, Rider rider) {
        LogDetail detail = json.read(row);
        return new LogLine(
                row.id(),
                DateText.time(row.happenedAt(), rider.zoneId()),
                row.bikeName(),
                where(row),
                what(row, detail, rider),
                note(row, detail, rider),
                row.struck(),
                row.supersedes() != null && !row.struck());
    }

    /** The words of what an entry says by itself, without names and numbers: it is found by them. */
    String words(LogEntry entry) {
        String words = WITH_DIGITS.matcher(says(entry, NOBODY)).replaceAll(" ");
        return words.substring(0, Math.min(words.length(), MOST_WORDS)).strip();
    }

    /** What an entry says that is not written yet, without the names of what it is about. */
    public String says(LogEntry entry, Rider rider) {
        LogSubject about = entry.subject();
        LogRow row = new LogRow(
                entry.id(),
                0,
                entry.kind(),
                entry.happenedAt(),
                entry.writtenAt(),
                entry.zone(),
                about.bikeId(),
                about.wheelsetId(),
                about.wheelId(),
                about.tireId(),
                about.gaugeId(),
                about.placeId(),
                about.partId(),
                entry.temperatureC(),
                "",
                entry.detail().version(),
                entry.source(),
                entry.supersedes(),
                entry.struck(),
                entry.note(),
                entry.reference(),
                "",
                null,
                "",
                "",
                "",
                null,
                null,
                "",
                null);
        return what(row, entry.detail(), rider);
    }

    /** "rear" or "front"; nothing where the entry is about both wheels. */
    private String where(LogRow row) {
        return row.wheelPosition() == null ? "" : where(row.wheelPosition());
    }

    /** "rear" or "front". */
    public String where(String position) {
        return wording.text("position." + position);
    }

    private String what(LogRow row, LogDetail detail, Rider rider) {
        if (detail instanceof LogDetail.GaugeRead read) {
            return wording.text(keyOf(read), asRead(read.pressure(), read.readIn()));
        }
        if (detail instanceof LogDetail.TireFitted fitted) {
            return wording.text("log.fitted", row.tireName(), wording.of("setup", fitted.setup()));
        }
        if (detail instanceof LogDetail.TireRemoved) {
            return wording.text("log.removed", row.tireName());
        }
        if (detail instanceof Ridden ridden) {
            return ridden(ridden, rider);
        }
        if (detail instanceof LogDetail.OwnPressure own) {
            return own.gaugeKpa() == null
                    ? wording.text("log.own.none")
                    : wording.text("log.own", asRead(GaugePressure.kpa(own.gaugeKpa()), own.readIn()));
        }
        if (detail instanceof LogDetail.DiallingReset) {
            return wording.text("log.dialling-reset");
        }
        if (detail instanceof LogDetail.WheelsetMounted) {
            return wording.text("log.mounted", row.wheelsetName());
        }
        return setUp(row, detail, rider);
    }

    private String ridden(Ridden ridden, Rider rider) {
        List<String> parts = new ArrayList<>();
        parts.add(
                ridden.distanceM() == null
                        ? wording.text("log.ridden")
                        : wording.text(
                                "log.ridden.far",
                                QuantityText.text(
                                        ridden.distanceM() / 1000, rider.units().distance())));
        felt(ridden.rear(), "position.REAR").ifPresent(parts::add);
        felt(ridden.front(), "position.FRONT").ifPresent(parts::add);
        return String.join(", ", parts);
    }

    private Optional<String> felt(WheelNote note, String where) {
        return note == null
                ? Optional.empty()
                : note.counts().map(feel -> wording.text(where) + " " + wording.of("feel", feel));
    }

    private static String keyOf(LogDetail.GaugeRead read) {
        return switch (read.kind()) {
            case HOLD_STARTED -> "log.hold.started";
            case HOLD_ENDED -> "log.hold.ended";
            default -> read.afterInflation() ? "log.read.set" : "log.read.found";
        };
    }

    private String setUp(LogRow row, LogDetail detail, Rider rider) {
        if (detail instanceof LogDetail.SealantAdded added) {
            return wording.text(
                    Boolean.TRUE.equals(added.renewed()) ? "log.sealant.renewed" : "log.sealant",
                    QuantityText.text(added.volumeMl(), rider.volumeUnit()));
        }
        if (detail instanceof LogDetail.SealantDipped dipped) {
            return wording.text("log.dipped", QuantityText.text(dipped.depthMm(), rider.lengthUnit()));
        }
        if (detail instanceof LogDetail.SealantHeard heard) {
            return wording.of("sound", heard.sound());
        }
        if (detail instanceof LogDetail.PunctureSealed sealed) {
            return wording.text(
                    Boolean.TRUE.equals(sealed.traces()) ? "log.puncture-sealed.traces" : "log.puncture-sealed");
        }
        if (detail instanceof LogDetail.CareDone done) {
            return wording.of("care", done.care());
        }
        if (detail instanceof LogDetail.JobEnded ended) {
            return wording.text("log.job", wording.of("job", ended.job()), wording.of("ending", ended.ending()));
        }
        if (detail instanceof LeakFound found) {
            return leak(found);
        }
        if (detail instanceof TrailMend mend) {
            return stop(mend);
        }
        if (detail instanceof TreadMeasured tread) {
            return tread(tread, rider);
        }
        if (detail instanceof LogDetail.WarningAccepted accepted) {
            return wording.text("log.accepted", wording.text("accepted." + accepted.code()), accepted.note());
        }
        return detail instanceof LogDetail.RimTaped
                ? wording.text("log.taped")
                : wording.text("log.part", row.partName());
    }

    private String leak(LeakFound found) {
        if (found.cause() == Cause.NORMAL) {
            return wording.text("log.leak.none");
        }
        String cause = wording.of("cause", found.cause());
        return found.hour() == null
                ? wording.text("log.leak", cause)
                : wording.text("log.leak.at", cause, Numbers.upTo(found.hour(), 1));
    }

    /** "tread 3.2 mm in the middle, 2.8 mm at the shoulder, flanks sound". */
    private String tread(TreadMeasured tread, Rider rider) {
        List<String> parts = new ArrayList<>();
        parts.add(wording.text("log.tread", QuantityText.text(tread.middleMm(), rider.lengthUnit())));
        if (tread.shoulderMm() != null) {
            parts.add(wording.text("log.tread.shoulder", QuantityText.text(tread.shoulderMm(), rider.lengthUnit())));
        }
        if (tread.flanks() != null) {
            parts.add(wording.of("flanks", tread.flanks()));
        }
        return String.join(", ", parts);
    }

    /** "Beside the trail: the tread, up to 3 mm; turn the hole to the bottom: closed; ride on". */
    private String stop(TrailMend mend) {
        List<String> parts = new ArrayList<>();
        if (mend.where() != null) {
            parts.add(wording.of("trail.where", mend.where()));
        }
        if (mend.size() != CutSize.NOT_SEEN) {
            parts.add(wording.of("trail.size", mend.size()));
        }
        mend.said().stream()
                .filter(said -> !said.reply().equals(Rung.LACKS))
                .reduce((first, last) -> last)
                .ifPresent(last -> parts.add(wording.text(
                        "log.trail.last",
                        wording.text("trail.rung." + last.rung()),
                        wording.text("trail.reply." + last.reply()))));
        parts.add(wording.of("trail.end", mend.end()));
        return wording.text("log.trail", String.join("; ", parts));
    }

    private String note(LogRow row, LogDetail detail, Rider rider) {
        List<String> notes = new ArrayList<>();
        if (detail instanceof LogDetail.PressureRead asked && asked.toldKpa() != null) {
            String told = PressureText.text(GaugePressure.kpa(asked.toldKpa()), asked.readIn());
            notes.add(wording.text("log.note.told", told));
        }
        if (detail instanceof LogDetail.GaugeRead read) {
            if (row.temperatureC() != null) {
                notes.add(QuantityText.text(row.temperatureC(), rider.temperatureUnit()));
            }
            if (row.gaugeName() != null) {
                notes.add(row.gaugeName());
            }
            if (!row.gaugeFit().changesNothing()) {
                GaugePressure corrected = row.gaugeFit().toReference(read.pressure());
                notes.add(wording.text("log.note.corrected", PressureText.text(corrected, read.readIn())));
            }
        }
        if (row.partName() != null && row.kind() != LogKind.PART_FITTED) {
            notes.add(row.partName());
        }
        if (row.note() != null) {
            notes.add("“" + row.note() + "”");
        }
        return String.join(" · ", notes);
    }

    private static String asRead(GaugePressure pressure, PressureUnit unit) {
        return PressureText.both(pressure, unit);
    }
}
