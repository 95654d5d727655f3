package org.stratopneum.web.trailside;

import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.Optional;
import java.util.UUID;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.stratopneum.core.check.InvalidInputException;
import org.stratopneum.core.check.Problem;
import org.stratopneum.core.check.Problems;
import org.stratopneum.core.diagnosis.AirSystem;
import org.stratopneum.core.pressure.SetupKind;
import org.stratopneum.core.trailside.Chore;
import org.stratopneum.core.trailside.Stopped;
import org.stratopneum.web.due.Reminders;
import org.stratopneum.web.fleet.bikes.Garage;
import org.stratopneum.web.fleet.bikes.WheelPlace;
import org.stratopneum.web.fleet.bikes.WheelState;
import org.stratopneum.web.jobs.CardService;
import org.stratopneum.web.log.LogDetail;
import org.stratopneum.web.log.LogEntry;
import org.stratopneum.web.log.LogLine;
import org.stratopneum.web.log.LogSource;
import org.stratopneum.web.log.LogSubject;
import org.stratopneum.web.log.LogWording;
import org.stratopneum.web.log.Logbook;
import org.stratopneum.web.platform.fault.NotThereException;
import org.stratopneum.web.platform.wording.Wording;
import org.stratopneum.web.rider.Rider;
import org.stratopneum.web.rider.Riders;

/** Writes into the log what devices send, and makes work of it. */
@Service
class StopService {

    /** A phone's clock may run ahead by so much. */
    private static final Duration AHEAD = Duration.ofMinutes(5);

    private static final Instant EARLIEST = Instant.parse("1990-01-01T00:00:00Z");

    private final Logbook logbook;
    private final LogWording logWording;
    private final Garage garage;
    private final Riders riders;
    private final Reminders reminders;
    private final CardService cards;
    private final Wording wording;

    StopService(
            Logbook logbook,
            LogWording logWording,
            Garage garage,
            Riders riders,
            Reminders reminders,
            CardService cards,
            Wording wording) {
        this.cards = cards;
        this.logbook = logbook;
        this.logWording = logWording;
        this.garage = garage;
        this.riders = riders;
        this.reminders = reminders;
        this.wording = wording;
    }

    /**
     * @throws InvalidInputException where it cannot have happened so
     * @throws NotThereException where this rider has no such wheel
     * @throws org.stratopneum.web.log.LogConflictException where the id stands for something else
     */
    @Transactional
    public Sent.Answer write(Sent sent) {
        Rider rider = riders.self();
        Instant now = logbook.now();
        check(sent, now);
        if (sent.kind() == Sent.Kind.STEP) {
            return step(sent, now);
        }
        WheelPlace place = garage.place(sent.wheelId());
        if (!place.bikeId().equals(sent.bikeId())) {
            throw new NotThereException();
        }
        Instant at = sent.at() == null ? now : sent.at().truncatedTo(ChronoUnit.MILLIS);
        Optional<WheelState.Tire> tire = garage.bikeOn(place.bikeId(), place.wheelsetId())
                .wheel(place.position())
                .flatMap(WheelState::tire);
        Writing writing =
                new Writing(sent, rider, at, now, LogSubject.wheel(sent.bikeId(), sent.wheelId(), sent.tireId()), tire);
        Logbook.Written written = switch (sent.kind()) {
            case MEND -> writing.mend();
            case READING ->
                writing.write(
                        sent.id(),
                        new LogDetail.PressureRead(sent.kpa(), sent.unit(), !Boolean.FALSE.equals(sent.after()), null));
            case TRACES -> writing.traces();
            case STEP -> throw new IllegalStateException("a step is no entry");
        };
        return new Sent.Answer(
                written == Logbook.Written.NEW ? Sent.Status.WRITTEN : Sent.Status.REPEATED, said(sent.id(), rider));
    }

    private Sent.Answer step(Sent sent, Instant now) {
        Instant at = sent.at() == null || sent.at().isAfter(now) ? now : sent.at();
        return switch (cards.answerSent(sent.cardId(), sent.wheelId(), sent.step(), sent.answer(), at)) {
            case TAKEN -> new Sent.Answer(Sent.Status.WRITTEN, "");
            case REPEATED -> new Sent.Answer(Sent.Status.REPEATED, "");
            case MOVED_ON -> new Sent.Answer(Sent.Status.FAULTY, wording.text("card.moved-on"));
        };
    }

    private static void check(Sent sent, Instant now) {
        Problems problems = new Problems();
        require(sent.id(), "id", problems);
        require(sent.kind(), "kind", problems);
        require(sent.wheelId(), "wheelId", problems);
        if (sent.kind() == Sent.Kind.STEP) {
            require(sent.cardId(), "cardId", problems);
            require(sent.step(), "step", problems);
            require(sent.answer(), "answer", problems);
        } else {
            require(sent.bikeId(), "bikeId", problems);
            require(sent.tireId(), "tireId", problems);
        }
        if (sent.kind() == Sent.Kind.MEND) {
            require(sent.mend(), "mend", problems);
        }
        if (sent.kind() == Sent.Kind.READING) {
            require(sent.kpa(), "kpa", problems);
            require(sent.unit(), "unit", problems);
        }
        if (sent.at() != null && sent.at().isAfter(now.plus(AHEAD))) {
            problems.add(Problem.of("at", "in-the-future"));
        }
        if (sent.at() != null && sent.at().isBefore(EARLIEST)) {
            problems.add(Problem.of("at", "too-long-ago"));
        }
        problems.throwIfAny();
    }

    private static void require(Object value, String field, Problems problems) {
        if (value == null) {
            problems.add(Problem.of(field, Problem.MISSING));
        }
    }

    /** What stands in the log under {@code id}; empty where that is not this rider's to read. */
    @Transactional(readOnly = true)
    public String said(UUID id) {
        try {
            return said(id, riders.self());
        } catch (NotThereException notTheirs) {
            return "";
        }
    }

    private String said(UUID id, Rider rider) {
        LogLine line = logWording.line(logbook.entry(id), rider);
        return wording.text("trail.in-log", line.time(), line.bike(), line.where(), line.what());
    }

    /** One entry being written, with what follows from it. */
    private final class Writing {

        private final Sent sent;
        private final Rider rider;
        private final Instant at;
        private final Instant now;
        private final LogSubject subject;
        private final Optional<WheelState.Tire> tire;

        Writing(Sent sent, Rider rider, Instant at, Instant now, LogSubject subject, Optional<WheelState.Tire> tire) {
            this.sent = sent;
            this.rider = rider;
            this.at = at;
            this.now = now;
            this.subject = subject;
            this.tire = tire;
        }

        /** @throws NotThereException where the tire is not this rider's, or no tire at all */
        Logbook.Written write(UUID id, LogDetail detail) {
            try {
                return logbook.write(
                        LogEntry.of(id, at, now, rider.zone(), subject, detail).from(LogSource.OFFLINE));
            } catch (DataIntegrityViolationException unknown) {
                throw new NotThereException();
            }
        }

        /** The same again writes nothing, and makes no work a second time. */
        Logbook.Written mend() {
            Stopped stopped = sent.mend().stopped();
            Logbook.Written written = write(sent.id(), sent.mend());
            if (written == Logbook.Written.NEW) {
                boolean tubeless = sent.mend().system() == AirSystem.TUBELESS;
                if (tubeless && stopped.tubeIn()) {
                    tubeIn();
                } else if (tubeless && sent.mend().liveSealant() && stopped.spentLiquid()) {
                    write(derived("sealed"), new LogDetail.PunctureSealed());
                }
                stopped.chores(
                                sent.mend().system(),
                                sent.mend().liveSealant(),
                                sent.mend().end())
                        .forEach(chore -> remind(chore, at));
            }
            return written;
        }

        /** The tire that is on has a tube in it from then on. */
        private void tubeIn() {
            tire.filter(on -> on.id().equals(sent.tireId()) && on.since().isBefore(at))
                    .filter(on -> on.fitted().setup() == SetupKind.TUBELESS)
                    .ifPresent(on -> write(
                            derived("tube"),
                            new LogDetail.TireFitted(
                                    SetupKind.BUTYL_TUBE, false, on.fitted().measuredWidthMm())));
        }

        Logbook.Written traces() {
            Logbook.Written written = write(sent.id(), new LogDetail.PunctureSealed(true));
            if (written == Logbook.Written.NEW) {
                remind(Chore.DIP, null);
            }
            return written;
        }

        private void remind(Chore chore, Instant stop) {
            reminders.errand(
                    derived(chore.name()), sent.wheelId(), chore, stop, LocalDate.ofInstant(at, rider.zoneId()));
        }

        private UUID derived(String what) {
            return UUID.nameUUIDFromBytes((sent.id() + ":" + what).getBytes(StandardCharsets.UTF_8));
        }
    }
}
