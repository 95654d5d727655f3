package org.stratopneum.web.leak;

import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;
import org.stratopneum.core.fit.RimBed;
import org.stratopneum.core.leak.AirLoss;
import org.stratopneum.core.leak.LeakClass;
import org.stratopneum.web.fleet.bikes.AirLosses;
import org.stratopneum.web.fleet.bikes.BikeState;
import org.stratopneum.web.fleet.bikes.WheelLoss;
import org.stratopneum.web.fleet.bikes.WheelPosition;
import org.stratopneum.web.fleet.bikes.WheelState;
import org.stratopneum.web.log.LogKind;
import org.stratopneum.web.log.LogRow;
import org.stratopneum.web.log.Logbook;
import org.stratopneum.web.log.Ridden;
import org.stratopneum.web.log.WheelNote;
import org.stratopneum.web.platform.wording.DateText;
import org.stratopneum.web.platform.wording.Wording;
import org.stratopneum.web.pressure.pace.PaceWording;
import org.stratopneum.web.rider.Rider;

/** Reads from the log what is known of a wheel before anybody looks at it. */
@Component
class WheelContexts {

    /** What happened longer ago did not begin a leak that is looked for now (our judgement; days). */
    private static final int RECENT_DAYS = 14;

    /** Tape under a tube counts as new for so long (our judgement; days). */
    private static final int NEW_TAPE_DAYS = 30;

    private final Logbook logbook;
    private final AirLosses airLosses;
    private final PaceWording paceWording;
    private final Wording wording;

    WheelContexts(Logbook logbook, AirLosses airLosses, PaceWording paceWording, Wording wording) {
        this.logbook = logbook;
        this.airLosses = airLosses;
        this.paceWording = paceWording;
        this.wording = wording;
    }

    /**
     * The start form as the log fills it in.
     *
     * @param fields by their names
     * @param said where they come from, in words
     */
    record Filled(Map<String, String> fields, List<String> said) {}

    Filled of(BikeState bike, WheelState wheel, Rider rider) {
        Instant now = logbook.now();
        Map<String, String> fields = new TreeMap<>();
        List<String> said = new ArrayList<>();
        Optional<WheelState.Tire> tire = wheel.tire();
        Optional<WheelLoss> read =
                Optional.ofNullable(airLosses.of(List.of(bike), rider, now).get(wheel.wheelId()));
        Optional<AirLoss> loss = read.map(WheelLoss::loss);
        loss.filter(found -> found.named() != LeakClass.UNSURE).ifPresent(found -> {
            fields.put("rate", found.named().name());
            said.add(rate(found, rider));
        });
        tire.ifPresent(on -> {
            boolean fresh = read.filter(WheelLoss::fresh).isPresent();
            fields.put("setup", fresh ? "NEW" : "OLD");
            said.add(wording.text("search.log.fitted", DateText.date(on.since(), rider.zoneId())));
            boolean levered = ChronoUnit.DAYS.between(on.since(), now) < RECENT_DAYS
                    && loss.filter(WheelContexts::mayLeak).isPresent();
            tick(fields, "lever", levered);
            tick(fields, "insert", on.fitted().insert());
            tick(fields, "casing", !wheel.tubed() && !on.marks().madeForTubeless());
        });
        tick(fields, "sealed", !wheel.tubed() && wheel.rim().bed() == RimBed.SEALED);
        List<LogRow> setUp = setUp(wheel, now);
        sealant(wheel, setUp, now).ifPresent(filled -> {
            fields.put("sealant", ChronoUnit.DAYS.between(filled, now) > StartForm.OLD_DAYS ? "OLD" : "FRESH");
            said.add(wording.text("search.log.filled", DateText.date(filled, rider.zoneId())));
        });
        tick(
                fields,
                "newTape",
                wheel.tubed() && recent(setUp, LogKind.RIM_TAPED, now.minus(NEW_TAPE_DAYS, ChronoUnit.DAYS)));
        rides(bike, wheel, now).forEach(ride -> {
            if (ride.note.burp()) {
                fields.put("low", "on");
                said.add(wording.text("search.log.burp", DateText.date(ride.at, rider.zoneId())));
            }
            if (ride.note.strike()) {
                fields.put("hit", "on");
                said.add(wording.text("search.log.strike", DateText.date(ride.at, rider.zoneId())));
            }
        });
        return new Filled(fields, said);
    }

    private String rate(AirLoss loss, Rider rider) {
        return loss.sudden()
                .map(sudden -> paceWording.sudden(sudden, rider))
                .or(() -> loss.foundFlat().map(flat -> paceWording.foundFlat(flat, rider)))
                .orElseGet(() -> wording.text(
                        "search.log.rate", paceWording.percent(loss.rate().orElseThrow())));
    }

    /** Whether something was read, and it is not sure to be normal. */
    private static boolean mayLeak(AirLoss loss) {
        return loss.named() != LeakClass.NORMAL
                && (loss.named() != LeakClass.UNSURE || loss.rate().isPresent());
    }

    /** Fillings, and tape, as far back as they count, newest first. */
    private List<LogRow> setUp(WheelState wheel, Instant now) {
        List<Logbook.Asked> asked = new ArrayList<>();
        asked.add(new Logbook.Asked(List.of(LogKind.RIM_TAPED), now.minus(NEW_TAPE_DAYS, ChronoUnit.DAYS)));
        // what was filled in while the tire was put on may have been noted first that day
        wheel.tire()
                .map(tire -> tire.since().minus(1, ChronoUnit.DAYS))
                .ifPresent(first -> asked.add(new Logbook.Asked(List.of(LogKind.SEALANT_ADDED), first)));
        return logbook.current(List.of(wheel.wheelId()), asked);
    }

    private static void tick(Map<String, String> fields, String field, boolean holds) {
        if (holds) {
            fields.put(field, "on");
        }
    }

    /** When liquid went in last since the tire is on; empty with a tube. */
    private static Optional<Instant> sealant(WheelState wheel, List<LogRow> setUp, Instant now) {
        return wheel.tire()
                .filter(tire -> !wheel.tubed())
                .flatMap(tire -> setUp.stream()
                        .filter(row -> !row.struck() && row.kind() == LogKind.SEALANT_ADDED)
                        .map(LogRow::happenedAt)
                        .filter(at -> !at.isBefore(tire.since().minus(1, ChronoUnit.DAYS)) && !at.isAfter(now))
                        .findFirst());
    }

    private static boolean recent(List<LogRow> rows, LogKind kind, Instant since) {
        return rows.stream()
                .anyMatch(row ->
                        !row.struck() && row.kind() == kind && !row.happenedAt().isBefore(since));
    }

    private record Ride(Instant at, WheelNote note) {}

    private List<Ride> rides(BikeState bike, WheelState wheel, Instant now) {
        Instant since = now.minus(RECENT_DAYS, ChronoUnit.DAYS);
        return logbook.ridesOfBike(bike.id(), since).stream()
                .flatMap(row -> {
                    Ridden ridden = (Ridden) logbook.detailOf(row);
                    WheelNote note = wheel.position() == WheelPosition.REAR ? ridden.rear() : ridden.front();
                    return note == null ? Stream.empty() : Stream.of(new Ride(row.happenedAt(), note));
                })
                .toList();
    }
}
