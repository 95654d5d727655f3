package org.stratopneum.web.fleet.bikes;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.event.TransactionPhase;
import org.springframework.transaction.event.TransactionalEventListener;
import org.stratopneum.core.dialling.NoteDoubt;
import org.stratopneum.core.dialling.PersonalFactor;
import org.stratopneum.core.dialling.RideNote;
import org.stratopneum.core.pressure.Ground;
import org.stratopneum.core.quantity.GaugePressure;
import org.stratopneum.web.fleet.gauges.GaugesRefitted;
import org.stratopneum.web.log.LearningChanged;
import org.stratopneum.web.log.LogDetail;
import org.stratopneum.web.log.LogKind;
import org.stratopneum.web.log.LogRow;
import org.stratopneum.web.log.Logbook;
import org.stratopneum.web.log.Ridden;
import org.stratopneum.web.log.WheelNote;

/** Learns from the log which pressure suits the rider on each wheel of a bike, and keeps it where pages find it. */
@Service
public class PressureLearning {

    /** Rides that share so much of their ground with the usual one are on the same ground (ratio; our judgement). */
    private static final double SAME_GROUND = 0.5;

    private final GarageMapper mapper;
    private final Logbook logbook;
    private final ApplicationEventPublisher listeners;

    PressureLearning(GarageMapper mapper, Logbook logbook, ApplicationEventPublisher listeners) {
        this.mapper = mapper;
        this.logbook = logbook;
        this.listeners = listeners;
    }

    /**
     * All that the log says of one wheel.
     *
     * @param notes what counts since the last reset, oldest first
     * @param changedSince whether another tire or wheel was put on after the last of them
     * @param ownKpa the rider's own number (kPa gauge), or null
     */
    public record Learned(List<Counted> notes, boolean changedSince, Double ownKpa) {

        public PersonalFactor factor() {
            PersonalFactor factor = PersonalFactor.after(said());
            return changedSince ? factor.afterChange() : factor;
        }

        public Set<NoteDoubt> doubts() {
            return NoteDoubt.of(said());
        }

        private List<RideNote> said() {
            return notes.stream().map(Counted::note).toList();
        }
    }

    /** A note that counts, and the entry that it stands in. */
    public record Counted(RideNote note, LogRow row) {}

    @EventListener
    void changed(LearningChanged event) {
        event.bikes().forEach(this::refit);
    }

    /** Learns anew what suits the rider on a bike's wheels. */
    @Transactional
    public void refit(UUID bikeId) {
        mapper.lock(bikeId);
        learned(bikeId, mapper.groundsOf(bikeId))
                .forEach((position, learned) ->
                        mapper.keepDialled(bikeId, position, PersonalFactor.MODEL, dialled(learned)));
    }

    /** Start pressures mean something else now: learns anew for every bike. */
    @EventListener
    void changed(GaugesRefitted event) {
        mapper.bikesDialled().forEach(this::refit);
    }

    /** What is kept of a bike comes from another version of the model. */
    record Outdated(UUID bikeId) {}

    /** Once whoever asked has their answer, it is kept by the present version. */
    @TransactionalEventListener(phase = TransactionPhase.AFTER_COMPLETION)
    @Transactional(propagation = Propagation.REQUIRES_NEW)
    void outdated(Outdated event) {
        refit(event.bikeId);
    }

    /** What suits the rider on a wheel, where another version of the model is kept. */
    LearnedPressure anew(UUID bikeId, WheelPosition position) {
        listeners.publishEvent(new Outdated(bikeId));
        return dialled(learned(bikeId, mapper.groundsOf(bikeId)).get(position));
    }

    private static LearnedPressure dialled(Learned learned) {
        PersonalFactor factor = learned.factor();
        return new LearnedPressure(
                factor.factor(), factor.low(), factor.high(), learned.notes().size(), learned.ownKpa());
    }

    /** @param bike the bike, for its usual ground */
    @Transactional(readOnly = true)
    public Map<WheelPosition, Learned> learned(BikeState bike) {
        return learned(bike, logbook.ofBike(bike.id(), LogKind.LEARNING));
    }

    /** @param rows entries of the bike, oldest first */
    public Map<WheelPosition, Learned> learned(BikeState bike, List<LogRow> rows) {
        List<GroundRow> usual = bike.ground().entrySet().stream()
                .map(entry -> new GroundRow(bike.id(), entry.getKey(), entry.getValue()))
                .toList();
        return learned(rows, usual);
    }

    private Map<WheelPosition, Learned> learned(UUID bikeId, List<GroundRow> usual) {
        return learned(logbook.ofBike(bikeId, LogKind.LEARNING), usual);
    }

    private Map<WheelPosition, Learned> learned(List<LogRow> rows, List<GroundRow> usual) {
        Map<WheelPosition, Learned> learned = new EnumMap<>(WheelPosition.class);
        for (WheelPosition position : WheelPosition.values()) {
            learned.put(position, learned(rows, position, usual));
        }
        return learned;
    }

    private Learned learned(List<LogRow> rows, WheelPosition position, List<GroundRow> usual) {
        List<Counted> notes = new ArrayList<>();
        Double own = null;
        UUID tire = null;
        boolean changed = false;
        for (LogRow row : rows) {
            LogDetail detail = logbook.detailOf(row);
            boolean here = position.name().equals(row.names().position());
            if (detail instanceof Ridden ridden) {
                Optional<RideNote> note = note(row, ridden, position, usual, changed);
                note.ifPresent(found -> notes.add(new Counted(found, row)));
                changed &= note.isEmpty();
            } else if (detail instanceof LogDetail.WheelsetMounted) {
                changed = true;
            } else if (here && detail instanceof LogDetail.TireFitted) {
                changed |= tire != null && !tire.equals(row.subject().tireId());
                tire = row.subject().tireId();
            } else if (here && detail instanceof LogDetail.OwnPressure typed) {
                own = typed.gaugeKpa();
            } else if (here && detail instanceof LogDetail.DiallingReset) {
                notes.clear();
            }
        }
        return new Learned(notes, changed, own);
    }

    /** Silence counts as nothing, and so does a note without the pressure that it is about. */
    private static Optional<RideNote> note(
            LogRow row, Ridden ridden, WheelPosition position, List<GroundRow> usual, boolean changed) {
        WheelNote said = position == WheelPosition.REAR ? ridden.rear() : ridden.front();
        if (said == null || said.startKpa() == null || said.chainKpa() == null) {
            return Optional.empty();
        }
        GaugePressure start = row.names().gaugeFit().toReference(GaugePressure.kpa(said.startKpa()));
        double logRatio = Math.log(start.kpa() / said.chainKpa());
        if (!RideNote.LOG_RATIO.contains(logRatio)) {
            return Optional.empty();
        }
        return said.counts().map(feel -> new RideNote(logRatio, feel, sameGround(ridden.ground(), usual), changed));
    }

    private static boolean sameGround(Map<Ground, Double> ridden, List<GroundRow> usual) {
        double shared = usual.stream()
                .mapToDouble(row -> Math.min(row.share(), ridden.getOrDefault(row.ground(), 0.0)))
                .sum();
        return shared >= SAME_GROUND - 1e-9;
    }
}
