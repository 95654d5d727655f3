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

    /** For a page that is about one wheel: which one it is need not be said, but the day. */
    public WheelLine ofWheel(LogRow row, Rider rider) {
        LogLine line = line(row, rider);
        return new WheelLine(
                row.id(),
                DateText.moment(row.happenedAt(), rider.zoneId()),
                line.what(),
                line.note(),
                row.struck(),
                line.corrected());
    }

    public LogLine line(LogRow row, Rider rider) {
        LogDetail detail = json.read(row);
        LogNames names = row.names();
        LogDetail.GaugeRead read = detail instanceof LogDetail.PressureRead gauge ? gauge : null;
        return new LogLine(
                row.id(),
                LogTopic.of(row.kind()),
                row.subject().wheelId(),
                DateText.time(row.happenedAt(), rider.zoneId()),
                names.bike(),
                names.position() == null ? "" : where(names.position()),
                what(detail, names, rider),
                read == null ? null : PressureText.text(read.pressure(), read.readIn()),
                read == null ? "" : said(read),
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
        return what(entry.detail(), LogNames.NONE, rider);
    }

    /** "rear" or "front". */
    public String where(String position) {
        return wording.text("position." + position);
    }

    /** A kind without a sentence does not compile. */
    private String what(LogDetail detail, LogNames names, Rider rider) {
        return switch (detail.kind()) {
            case PRESSURE_READ, HOLD_STARTED, HOLD_ENDED -> read((LogDetail.GaugeRead) detail);
            case TIRE_FITTED ->
                wording.text("log.fitted", names.tire(), wording.of("setup", ((LogDetail.TireFitted) detail).setup()));
            case TIRE_REMOVED -> wording.text("log.removed", names.tire());
            case WHEELSET_MOUNTED -> wording.text("log.mounted", names.wheelset());
            case RIM_TAPED -> wording.text("log.taped");
            case PART_FITTED -> wording.text("log.part", names.part());
            case SEALANT_ADDED -> added((LogDetail.SealantAdded) detail, rider);
            case SEALANT_DIPPED -> {
                double depth = ((LogDetail.SealantDipped) detail).depthMm();
                yield wording.text("log.dipped", QuantityText.text(depth, rider.lengthUnit()));
            }
            case SEALANT_HEARD -> wording.of("sound", ((LogDetail.SealantHeard) detail).sound());
            case PUNCTURE_SEALED -> sealed((LogDetail.PunctureSealed) detail);
            case SEALANT_LOST -> {
                double ml = ((LogDetail.SealantLost) detail).volumeMl();
                yield wording.text("log.sealant-lost", QuantityText.text(ml, rider.volumeUnit()));
            }
            case SEALANT_FOUND -> found((LogDetail.SealantFound) detail);
            case DIP_EXPLAINED -> explained((LogDetail.DipExplained) detail, rider);
            case JOB_ENDED -> ended((LogDetail.JobEnded) detail);
            case WARNING_ACCEPTED -> accepted((LogDetail.WarningAccepted) detail);
            case RIDDEN -> ridden((Ridden) detail, rider);
            case OWN_PRESSURE -> own((LogDetail.OwnPressure) detail);
            case DIALLING_RESET -> wording.text("log.dialling-reset");
            case CARE_DONE -> wording.of("care", ((LogDetail.CareDone) detail).care());
            case LEAK_FOUND -> leak((LeakFound) detail);
            case TRAIL_MEND -> stop((TrailMend) detail);
            case TREAD_MEASURED -> tread((TreadMeasured) detail, rider);
        };
    }

    private String read(LogDetail.GaugeRead read) {
        String key = switch (read.kind()) {
            case HOLD_STARTED -> "log.hold.started";
            case HOLD_ENDED -> "log.hold.ended";
            default -> read.afterInflation() ? "log.read.set" : "log.read.found";
        };
        return wording.text(key, asRead(read.pressure(), read.readIn()));
    }

    /** What a reading says beside its number. */
    private String said(LogDetail.GaugeRead read) {
        return wording.text(
                read.afterInflation() ? "log.said.set" : "log.said.found",
                PressureText.text(read.pressure(), PressureText.beside(read.readIn())));
    }

    private String added(LogDetail.SealantAdded added, Rider rider) {
        return wording.text(
                Boolean.TRUE.equals(added.renewed()) ? "log.sealant.renewed" : "log.sealant",
                QuantityText.text(added.volumeMl(), rider.volumeUnit()));
    }

    private String sealed(LogDetail.PunctureSealed sealed) {
        return wording.text(
                Boolean.TRUE.equals(sealed.traces()) ? "log.puncture-sealed.traces" : "log.puncture-sealed");
    }

    private String found(LogDetail.SealantFound found) {
        return found.filledOn() == null
                ? wording.text("log.sealant-found")
                : wording.text("log.sealant-found.since", DateText.date(found.filledOn()));
    }

    private String explained(LogDetail.DipExplained explained, Rider rider) {
        String reason = wording.of("dip-reason", explained.reason());
        String day = DateText.date(explained.on());
        return explained.volumeMl() == null
                ? wording.text("log.dip-explained", day, reason)
                : wording.text(
                        "log.dip-explained.volume",
                        day,
                        reason,
                        QuantityText.text(explained.volumeMl(), rider.volumeUnit()));
    }

    private String ended(LogDetail.JobEnded ended) {
        return wording.text("log.job", wording.of("job", ended.job()), wording.of("ending", ended.ending()));
    }

    private String accepted(LogDetail.WarningAccepted accepted) {
        return wording.text("log.accepted", wording.text("accepted." + accepted.code()), accepted.note());
    }

    private String own(LogDetail.OwnPressure own) {
        return own.gaugeKpa() == null
                ? wording.text("log.own.none")
                : wording.text("log.own", asRead(GaugePressure.kpa(own.gaugeKpa()), own.readIn()));
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
            parts.add(wording.of("sidewalls", tread.flanks()));
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
            notes.add(wording.text("log.note.recommended", told));
        }
        if (detail instanceof LogDetail.PressureRead pressed && pressed.thumb() != null) {
            notes.add(wording.of("log.thumb", pressed.thumb()));
        }
        if (detail instanceof LogDetail.GaugeRead read) {
            if (row.temperatureC() != null) {
                notes.add(QuantityText.text(row.temperatureC(), rider.temperatureUnit()));
            }
            if (row.names().gauge() != null) {
                notes.add(row.names().gauge());
            }
            if (!row.names().gaugeFit().changesNothing()) {
                GaugePressure corrected = row.names().gaugeFit().toReference(read.pressure());
                notes.add(wording.text("log.note.corrected", PressureText.text(corrected, read.readIn())));
            }
        }
        if (row.names().part() != null && row.kind() != LogKind.PART_FITTED) {
            notes.add(row.names().part());
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
