package org.stratopneum.web.parts.garage;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.stratopneum.web.fleet.bikes.PressureLearning;
import org.stratopneum.web.fleet.bikes.WheelPosition;
import org.stratopneum.web.log.LogDetail;
import org.stratopneum.web.log.LogEntry;
import org.stratopneum.web.log.LogSubject;
import org.stratopneum.web.log.Logbook;
import org.stratopneum.web.platform.fault.NotThereException;
import org.stratopneum.web.platform.wording.Wording;
import org.stratopneum.web.rider.Rider;
import org.stratopneum.web.rider.Riders;

/** Puts bikes and wheels together and takes them apart; whatever goes on or comes off is written into the log. */
@Service
public class Workshop {

    /** One tire comes off before the other goes on; so the log keeps their order whatever is corrected later. */
    private static final Duration BETWEEN_OFF_AND_ON = Duration.ofMillis(1);

    private final PartsMapper parts;
    private final Logbook logbook;
    private final PressureLearning dialling;
    private final Riders riders;
    private final Wording wording;

    Workshop(PartsMapper parts, Logbook logbook, PressureLearning dialling, Riders riders, Wording wording) {
        this.dialling = dialling;
        this.parts = parts;
        this.logbook = logbook;
        this.riders = riders;
        this.wording = wording;
    }

    /** Keeps a bike with its wheels in; the same {@code id} again changes nothing. */
    @Transactional
    public void build(UUID id, NewBike bike) {
        build(id, bike, MassChange.of(null, bike.bike(), riders.self().bodyKg()), Set.of());
    }

    /**
     * The same where others may keep what the rider weighed before.
     *
     * @param declined bikes that the change does not reach
     */
    @Transactional
    void build(UUID id, NewBike bike, MassChange mass, Set<UUID> declined) {
        Rider rider = riders.self();
        if (parts.insertBike(id, bike.bike(), mass.ofBike()) == 0) {
            return;
        }
        insertGrounds(id, bike.bike());
        weigh(mass, declined);
        String name = Optional.ofNullable(bike.wheels().name())
                .orElseGet(
                        () -> wording.text("garage.wheelset.usual", bike.bike().name()));
        UUID wheelset = UUID.randomUUID();
        addWheels(id, wheelset, name, bike.wheels(), rider);
        mount(id, wheelset, moment(bike.wheels().since(), rider), rider);
        dialling.begun();
    }

    /** Keeps another pair of wheels for a bike; the same {@code id} again changes nothing. */
    @Transactional
    public void addWheelset(UUID bikeId, UUID id, NewWheelset wheels, boolean putIn) {
        PartsMapper.BikeRow bike = parts.bike(bikeId).orElseThrow(NotThereException::new);
        Rider rider = riders.self();
        if (parts.wheelset(id).isPresent()) {
            return;
        }
        String name =
                Optional.ofNullable(wheels.name()).orElseGet(() -> wording.text("garage.wheelset.usual", bike.name()));
        addWheels(bikeId, id, name, wheels, rider);
        if (putIn) {
            mount(bikeId, id, logbook.now(), rider);
        }
    }

    private void addWheels(UUID bikeId, UUID wheelset, String name, NewWheelset wheels, Rider rider) {
        parts.insertWheelset(wheelset, bikeId, name);
        Instant at = moment(wheels.since(), rider);
        for (WheelPosition position : WheelPosition.values()) {
            WheelSpec wheel = position == WheelPosition.REAR ? wheels.rear() : wheels.front();
            UUID rim = UUID.randomUUID();
            UUID wheelId = UUID.randomUUID();
            parts.insertRim(rim, wheel.rim());
            parts.insertWheel(wheelId, wheelset, position, rim);
            UUID tire = UUID.randomUUID();
            parts.insertTire(tire, wheel.fit().newTire());
            LogSubject there = LogSubject.wheel(bikeId, wheelId, tire);
            write(there, fitted(wheel.fit()), at, rider);
            foundFilled(wheel.fit(), there, rider);
        }
    }

    /**
     * Puts a pair of wheels in; nothing where it is in already.
     *
     * @return ids of the entries
     * @throws NotThereException when this rider has no such wheelset
     */
    @Transactional
    public List<UUID> mount(UUID wheelsetId) {
        PartsMapper.WheelsetRow wheelset = parts.wheelset(wheelsetId).orElseThrow(NotThereException::new);
        if (parts.stands().stream().anyMatch(row -> row.isIn(wheelsetId))) {
            return List.of();
        }
        return List.of(mount(wheelset.bikeId(), wheelsetId, logbook.now(), riders.self()));
    }

    private UUID mount(UUID bikeId, UUID wheelset, Instant at, Rider rider) {
        return write(LogSubject.wheelset(bikeId, wheelset), new LogDetail.WheelsetMounted(), at, rider);
    }

    /**
     * Puts a tire on a wheel; what was on it comes off at the same moment.
     *
     * @param newId what a new tire is kept under; the same id again changes nothing
     * @param since day of it, or null for now
     * @return ids of the entries
     */
    @Transactional
    List<UUID> fit(PartsMapper.WheelRow wheel, FitSpec fit, UUID newId, LocalDate since) {
        Rider rider = riders.self();
        if (fit.newTire() != null && parts.insertTire(newId, fit.newTire()) == 0) {
            return List.of();
        }
        UUID tire = fit.newTire() != null ? newId : fit.shelfTire();
        Instant at = moment(since, rider);
        List<UUID> entries = new ArrayList<>(takeOff(wheel, at.minus(BETWEEN_OFF_AND_ON), rider));
        LogSubject there = LogSubject.wheel(wheel.bikeId(), wheel.id(), tire);
        entries.add(write(there, fitted(fit), at, rider));
        foundFilled(fit, there, rider).ifPresent(entries::add);
        return entries;
    }

    /** What is in it is looked at today, whenever it was put on. */
    private Optional<UUID> foundFilled(FitSpec fit, LogSubject there, Rider rider) {
        return fit.hasUnknownSealant()
                ? Optional.of(write(there, new LogDetail.SealantFound(null), logbook.now(), rider))
                : Optional.empty();
    }

    /** Takes the tire off a wheel, now; nothing when there is none. */
    @Transactional
    List<UUID> takeOff(PartsMapper.WheelRow wheel) {
        return takeOff(wheel, logbook.now(), riders.self());
    }

    private List<UUID> takeOff(PartsMapper.WheelRow wheel, Instant at, Rider rider) {
        return parts.fittings().stream()
                .filter(fitting -> fitting.fitted() && fitting.wheelId().equals(wheel.id()))
                .map(fitting -> write(
                        LogSubject.wheel(wheel.bikeId(), wheel.id(), fitting.tireId()),
                        new LogDetail.TireRemoved(),
                        at,
                        rider))
                .toList();
    }

    /**
     * Changes a bike and its usual ride.
     *
     * @param mass what becomes of what its rider weighs
     * @param declined bikes that a change of it does not reach
     * @return false when the bike was changed since {@code version}
     */
    @Transactional
    boolean change(UUID id, BikeSpec bike, int version, MassChange mass, Set<UUID> declined) {
        if (parts.updateBike(id, bike, mass.ofBike(), version) == 0) {
            return false;
        }
        parts.clearGrounds(id);
        insertGrounds(id, bike);
        // notes from what is other ground now count half
        dialling.refit(id);
        weigh(mass, declined);
        return true;
    }

    private void weigh(MassChange mass, Set<UUID> declined) {
        if (mass.keeperTo() == null) {
            return;
        }
        riders.weigh(mass.keeperTo());
        if (mass.keeperFrom() != null) {
            declined.forEach(other -> parts.keepMass(other, mass.keeperFrom()));
        }
    }

    private void insertGrounds(UUID id, BikeSpec bike) {
        bike.ride().ground().shares().forEach((ground, share) -> parts.insertGround(id, ground, share));
    }

    private static LogDetail.TireFitted fitted(FitSpec fit) {
        return new LogDetail.TireFitted(fit.setup(), fit.insert(), fit.measuredWidthMm());
    }

    private Instant moment(LocalDate day, Rider rider) {
        return FittingDay.moment(day, rider.zoneId(), logbook.now());
    }

    private UUID write(LogSubject subject, LogDetail detail, Instant at, Rider rider) {
        UUID id = UUID.randomUUID();
        logbook.write(LogEntry.of(id, at, logbook.now(), rider.zone(), subject, detail));
        return id;
    }
}
