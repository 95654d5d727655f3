package org.stratopneum.web.fleet.correction;

import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.stratopneum.core.check.Problem;
import org.stratopneum.core.pressure.SetupKind;
import org.stratopneum.core.tire.TireOnRim;
import org.stratopneum.web.fleet.bikes.Garage;
import org.stratopneum.web.log.LogDetail;
import org.stratopneum.web.log.LogKind;
import org.stratopneum.web.log.LogLine;
import org.stratopneum.web.log.LogRow;
import org.stratopneum.web.log.LogWording;
import org.stratopneum.web.log.Logbook;
import org.stratopneum.web.platform.wording.FormReader;
import org.stratopneum.web.platform.wording.FormView;
import org.stratopneum.web.platform.wording.ProblemWording;
import org.stratopneum.web.platform.wording.Units;
import org.stratopneum.web.rider.Rider;
import org.stratopneum.web.rider.Riders;

/** Shows an entry to be put right, and puts it right. */
@Service
class CorrectionService {

    private static final int FITTINGS = 1000;

    private final Logbook logbook;
    private final LogWording logWording;
    private final Riders riders;
    private final Garage garage;
    private final ProblemWording problemWording;

    CorrectionService(
            Logbook logbook, LogWording logWording, Riders riders, Garage garage, ProblemWording problemWording) {
        this.logbook = logbook;
        this.logWording = logWording;
        this.riders = riders;
        this.garage = garage;
        this.problemWording = problemWording;
    }

    /**
     * An entry to be put right.
     *
     * @param line what it says now
     * @param stale whether something else has taken its place already
     * @param ride the bike that was ridden, where it is a ride, which has a form of its own; else null
     */
    record Page(UUID id, LogKind kind, LogLine line, UUID wheel, FormView form, Units units, boolean stale, UUID ride) {
        /** Whether it is something that a gauge showed. */
        public boolean reading() {
            return LogKind.READINGS.contains(kind);
        }

        public List<SetupKind> setups() {
            return List.of(SetupKind.values());
        }
    }

    /** What came of it: the page again, or the entry that took the place, with its wheel where it has one. */
    record Outcome(Page again, UUID entry, UUID wheel) {}

    @Transactional(readOnly = true)
    Page page(UUID id) {
        Rider rider = riders.self();
        LogRow row = logbook.entry(id);
        return page(row, rider, new FormView(form(row, rider).texts(), Map.of()));
    }

    private Page page(LogRow row, Rider rider, FormView form) {
        boolean stale = logbook.heads(List.of(row.id())).isEmpty();
        return new Page(
                row.id(),
                row.kind(),
                logWording.line(row, rider),
                row.subject().wheelId(),
                form,
                rider.units(),
                stale,
                row.kind() == LogKind.RIDDEN && !stale ? row.subject().bikeId() : null);
    }

    private CorrectionForm form(LogRow row, Rider rider) {
        return new CorrectionForm(row, logbook.detailOf(row), rider);
    }

    @Transactional
    Outcome correct(UUID id, Map<String, String> typed) {
        Rider rider = riders.self();
        LogRow row = logbook.entry(id);
        FormReader reader = new FormReader(typed);
        Optional<CorrectionForm.Corrected> corrected = form(row, rider).read(reader, logbook.now());
        corrected.ifPresent(found -> check(reader, row, found));
        if (corrected.isEmpty() || !reader.problems().isEmpty()) {
            FormView form = new FormView(
                    typed, problemWording.messages(reader.problems().list()));
            return new Outcome(page(row, rider, form), null, null);
        }
        CorrectionForm.Corrected found = corrected.get();
        UUID entry = logbook.correct(id, found.at(), found.temperatureC(), found.detail());
        return new Outcome(null, entry, row.subject().wheelId());
    }

    private void check(FormReader reader, LogRow row, CorrectionForm.Corrected corrected) {
        if (LogKind.FITTINGS.contains(row.kind())) {
            checkOrder(reader, row, corrected.at());
        }
        if (corrected.detail() instanceof LogDetail.TireFitted fitted && fitted.measuredWidthMm() != null) {
            double rim = garage.rimWidthMm(row.subject().wheelId());
            if (fitted.measuredWidthMm() <= rim) {
                reader.add(
                        new Problem("measured", TireOnRim.MEASURED_NOT_ABOVE_RIM, rim, fitted.measuredWidthMm(), "mm"));
            }
        }
    }

    /** Tires go on and come off in the order in which they did; only the days between may move. */
    private void checkOrder(FormReader reader, LogRow row, Instant at) {
        boolean outOfOrder = logbook.ofWheel(row.subject().wheelId(), LogKind.FITTINGS, FITTINGS).stream()
                .filter(other -> !other.struck() && !other.id().equals(row.id()))
                .anyMatch(other -> comesBefore(other, row)
                        ? other.happenedAt().isAfter(at)
                        : !other.happenedAt().isAfter(at));
        if (outOfOrder) {
            reader.fault("at", "out-of-order");
        }
    }

    private static boolean comesBefore(LogRow one, LogRow other) {
        int byTime = one.happenedAt().compareTo(other.happenedAt());
        return byTime == 0 ? one.sequence() < other.sequence() : byTime < 0;
    }
}
