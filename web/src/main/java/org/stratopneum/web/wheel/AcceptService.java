package org.stratopneum.web.wheel;

import java.time.Instant;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.stratopneum.core.check.Level;
import org.stratopneum.core.check.Problem;
import org.stratopneum.core.check.Verdict;
import org.stratopneum.core.fit.FitCheck;
import org.stratopneum.web.fleet.bikes.BikeState;
import org.stratopneum.web.fleet.bikes.Garage;
import org.stratopneum.web.fleet.bikes.WheelPlace;
import org.stratopneum.web.fleet.bikes.WheelState;
import org.stratopneum.web.log.LogDetail;
import org.stratopneum.web.log.LogEntry;
import org.stratopneum.web.log.LogSubject;
import org.stratopneum.web.log.Logbook;
import org.stratopneum.web.parts.shelf.Shelf;
import org.stratopneum.web.platform.wording.FormReader;
import org.stratopneum.web.platform.wording.ProblemWording;
import org.stratopneum.web.rider.Riders;

/** Accepts warnings, with a note that stays with the set-up. What blocks cannot be accepted. */
@Service
class AcceptService {

    static final int LONGEST_NOTE = 200;

    private final Garage garage;
    private final Logbook logbook;
    private final Riders riders;
    private final Shelf shelf;
    private final ProblemWording problemWording;

    AcceptService(Garage garage, Logbook logbook, Riders riders, Shelf shelf, ProblemWording problemWording) {
        this.garage = garage;
        this.logbook = logbook;
        this.riders = riders;
        this.shelf = shelf;
        this.problemWording = problemWording;
    }

    /**
     * What came of it.
     *
     * @param entry the entry that says so, or null where it was refused
     * @param code the warning, and {@code note} what was typed
     */
    record Outcome(UUID entry, String code, String note, String fault) {}

    /** @throws org.stratopneum.web.platform.fault.NotThereException when this rider has no such wheel */
    @Transactional
    Outcome accept(UUID wheelId, Map<String, String> typed) {
        WheelPlace place = garage.place(wheelId);
        FormReader reader = new FormReader(typed);
        String code = reader.text("code");
        BikeState bike = garage.bikeOn(place.bikeId(), place.wheelsetId());
        WheelState wheel = bike.wheel(place.position()).orElseThrow();
        Optional<String> note = reader.requiredName("note", LONGEST_NOTE);
        if (warning(wheel, bike.openings().at(place.position()), code).isEmpty()) {
            reader.add(Problem.of("note", "not-acceptable"));
        }
        if (!reader.problems().isEmpty()) {
            String fault = problemWording.messages(reader.problems().list()).get("note");
            return new Outcome(null, code, reader.text("note"), fault);
        }
        UUID id = UUID.randomUUID();
        Instant now = logbook.now();
        LogSubject subject = LogSubject.wheel(
                place.bikeId(), wheelId, wheel.tire().map(WheelState.Tire::id).orElse(null));
        LogDetail detail = new LogDetail.WarningAccepted(code, note.orElseThrow());
        logbook.write(LogEntry.of(id, now, now, riders.self().zone(), subject, detail));
        return new Outcome(id, code, null, null);
    }

    private Optional<Verdict> warning(WheelState wheel, Double openingMm, String code) {
        return wheel.fitCase(null, Shelf.fitParts(shelf.onWheel(wheel.wheelId()), openingMm))
                .map(FitCheck::of)
                .flatMap(check -> check.verdicts().stream()
                        .filter(verdict -> verdict.level() != Level.FINE && verdict.level() != Level.BLOCKS)
                        .filter(verdict -> verdict.code().equals(code))
                        .findFirst());
    }
}
