package org.stratopneum.web.pressure.livegauge;

import java.time.Instant;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.stratopneum.core.check.Range;
import org.stratopneum.core.pressure.Ceiling;
import org.stratopneum.core.quantity.GaugePressure;
import org.stratopneum.web.fleet.bikes.BikeState;
import org.stratopneum.web.fleet.bikes.WheelHead;
import org.stratopneum.web.fleet.bikes.WheelHeads;
import org.stratopneum.web.fleet.bikes.WheelState;
import org.stratopneum.web.log.LogDetail;
import org.stratopneum.web.log.LogEntry;
import org.stratopneum.web.log.LogSource;
import org.stratopneum.web.log.LogSubject;
import org.stratopneum.web.log.Logbook;
import org.stratopneum.web.platform.wording.FormReader;
import org.stratopneum.web.platform.wording.PressureText;
import org.stratopneum.web.platform.wording.ProblemWording;
import org.stratopneum.web.pressure.AdvisedPressures;
import org.stratopneum.web.pressure.BikeAdvisor;
import org.stratopneum.web.rider.Rider;
import org.stratopneum.web.rider.Riders;

/** Shows what to set while a gauge is watched, and takes its value into the log. */
@Service
class LiveGaugeService {

    private static final double USUAL_LITRES = 4;
    private static final Range KPA = GaugePressure.TIRE_KPA;

    private final WheelHeads heads;
    private final Riders riders;
    private final BikeAdvisor advisor;
    private final Logbook logbook;
    private final ProblemWording problemWording;

    LiveGaugeService(
            WheelHeads heads, Riders riders, BikeAdvisor advisor, Logbook logbook, ProblemWording problemWording) {
        this.heads = heads;
        this.riders = riders;
        this.advisor = advisor;
        this.logbook = logbook;
        this.problemWording = problemWording;
    }

    /** A wheel with its bike and what is told for it. */
    private record Asked(Rider rider, WheelHead head, BikeState bike, WheelState wheel, Optional<GaugePressure> told) {}

    private Asked ask(UUID wheelId) {
        Rider rider = riders.self();
        WheelHeads.Known known = heads.of(wheelId, rider);
        Optional<GaugePressure> told = advisor.adviseUsual(known.bike())
                .flatMap(advice -> AdvisedPressures.settable(advice, rider.pressureUnit()))
                .map(found -> found.pressure(known.place().position()));
        return new Asked(rider, known.head(), known.bike(), known.wheel(), told);
    }

    /** @throws org.stratopneum.web.platform.fault.NotThereException when this rider has no such wheel */
    @Transactional(readOnly = true)
    LiveGaugePage page(UUID wheelId) {
        return page(ask(wheelId), null);
    }

    private LiveGaugePage page(Asked asked, String fault) {
        WheelState wheel = asked.wheel();
        double litres =
                wheel.tireOnRim().map(onRim -> onRim.section().airVolumeL()).orElse(USUAL_LITRES);
        double kpa = wheel.lastReading()
                .map(reading -> reading.pressure().kpa())
                .or(() -> asked.told().map(GaugePressure::kpa))
                .orElse(0.0);
        return new LiveGaugePage(
                asked.head(),
                asked.told()
                        .map(found -> asked.bike().hand().fit().toShown(found))
                        .map(found -> PressureText.both(found, asked.rider().pressureUnit()))
                        .orElse(null),
                asked.bike().hand().name(),
                asked.rider().pressureUnit().name(),
                asked.rider().pressureUnit().symbol(),
                String.format(Locale.ROOT, "tire %.3f %.1f", litres, kpa),
                wheel.ceiling()
                        .map(Ceiling::pressure)
                        .map(most -> asked.bike().hand().fit().toShown(most).kpa())
                        .map(most -> String.format(Locale.ROOT, "%.1f", most))
                        .orElse(""),
                UUID.randomUUID(),
                fault);
    }

    /** What came of taking a value: the page again, or the entry. */
    record Outcome(LiveGaugePage again, UUID entry) {}

    /** @throws org.stratopneum.web.platform.fault.NotThereException when this rider has no such wheel */
    @Transactional
    Outcome take(UUID wheelId, UUID entry, Map<String, String> typed) {
        Asked asked = ask(wheelId);
        FormReader reader = new FormReader(typed);
        Optional<Double> kpa = reader.requiredNumber("kpa", KPA);
        if (kpa.isEmpty()) {
            return new Outcome(
                    page(asked, problemWording.message(reader.problems().list().get(0))), null);
        }
        Instant now = logbook.now();
        LogDetail.PressureRead read = new LogDetail.PressureRead(
                kpa.get(),
                asked.rider().pressureUnit(),
                "SET".equals(reader.text("state")),
                asked.told().map(GaugePressure::kpa).orElse(null));
        LogSubject subject = LogSubject.wheel(
                        asked.bike().id(),
                        wheelId,
                        asked.wheel().tire().map(WheelState.Tire::id).orElse(null))
                .readWith(asked.bike().hand().id());
        logbook.write(LogEntry.of(entry, now, now, asked.rider().zone(), subject, read)
                .from(LogSource.GAUGE));
        return new Outcome(null, entry);
    }
}
