package org.stratopneum.web.fleet.bikes;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.UUID;
import java.util.stream.Collectors;
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
import org.stratopneum.core.dialling.Taste;
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
import org.stratopneum.web.platform.fault.NotThereException;

/** Learns from the log which pressure suits the rider on each wheel of a bike, and keeps it where pages find it. */
@Service
public class PressureLearning {

    /** Rides that share so much of their ground with the usual one are on the same ground (ratio; our judgement). */
    private static final double SAME_GROUND = 0.5;

    /** What was heard of so many wheels is kept in memory: the same notes always say the same. */
    private static final int MOST_HEARD = 2000;

    private final GarageMapper mapper;
    private final Logbook logbook;
    private final ApplicationEventPublisher listeners;
    private final Cache<List<RideNote>, Taste.Heard> heardOf =
            Caffeine.newBuilder().maximumSize(MOST_HEARD).build();

    PressureLearning(GarageMapper mapper, Logbook logbook, ApplicationEventPublisher listeners) {
        this.mapper = mapper;
        this.logbook = logbook;
        this.listeners = listeners;
    }

    /**
     * All that the log says of one wheel.
     *
     * @param start what is believed before any note of its own
     * @param notes what counts since the last reset, oldest first
     * @param changedSince whether another tire or wheel was put on after the last of them
     * @param ownKpa the rider's own number (kPa gauge), or null
     */
    public record Learned(PersonalFactor start, List<Counted> notes, boolean changedSince, Double ownKpa) {

        public PersonalFactor factor() {
            PersonalFactor factor = start.after(said());
            return changedSince ? factor.afterChange() : factor;
        }

        public Set<NoteDoubt> doubts() {
            return NoteDoubt.of(start, said());
        }

        /** Whether other wheels tell anything of this one. */
        public boolean hasTaste() {
            return start != PersonalFactor.PRIOR;
        }

        private List<RideNote> said() {
            return notes.stream().map(Counted::note).toList();
        }

        private Learned startingFrom(PersonalFactor taste) {
            return new Learned(taste, notes, changedSince, ownKpa);
        }

        /** Whether there is anything to keep. */
        private boolean isSomething() {
            return !notes.isEmpty() || ownKpa != null || hasTaste();
        }
    }

    /** A note that counts, and the entry that it stands in. */
    public record Counted(RideNote note, LogRow row) {}

    /**
     * All that the log says of the wheels of one bike.
     *
     * @param rows entries of the bike, oldest first
     * @param keepers whether it is ridden by whoever keeps it
     * @param alone whether they want it to be learned alone
     * @param others whether there are other bikes to learn from
     */
    public record OfBike(
            List<LogRow> rows, Map<WheelPosition, Learned> wheels, boolean keepers, boolean alone, boolean others) {}

    @EventListener
    void changed(LearningChanged event) {
        refit(event.bikes());
    }

    /** Start pressures mean something else now: learns anew for every bike. */
    @EventListener
    void changed(GaugesRefitted event) {
        refit(Set.copyOf(mapper.bikesDialled()));
    }

    /** Learns anew what suits the rider on a bike's wheels, and what that says of others. */
    @Transactional
    public void refit(UUID bikeId) {
        refit(Set.of(bikeId));
    }

    /** Learns what the rider's other bikes say of one that was just entered. */
    @Transactional
    public void begun() {
        refit(Set.of());
    }

    /** Has a bike learned alone, or with the others. */
    @Transactional
    public void standAlone(UUID bikeId, boolean alone) {
        if (mapper.standAlone(bikeId, alone) == 0) {
            throw new NotThereException();
        }
        refit(bikeId);
    }

    private void refit(Set<UUID> asked) {
        mapper.lock();
        Scope scope = new Scope(mapper.tastes());
        Set<UUID> bikes = new TreeSet<>(asked);
        bikes.addAll(scope.sharing());
        learned(scope, logbook.ofBikes(bikes, LogKind.LEARNING), bikes)
                .forEach((bike, wheels) -> wheels.forEach((position, learned) -> {
                    if (asked.contains(bike) || learned.isSomething()) {
                        mapper.keepDialled(bike, position, PersonalFactor.MODEL, dialled(learned));
                    }
                }));
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
        return dialled(learned(bikeId).wheels().get(position));
    }

    private static LearnedPressure dialled(Learned learned) {
        PersonalFactor factor = learned.factor();
        return new LearnedPressure(
                factor.factor(), factor.low(), factor.high(), learned.notes().size(), learned.ownKpa());
    }

    /** All that is known of a bike's wheels, and of the rider's taste by their other bikes. */
    @Transactional(readOnly = true)
    public OfBike learned(UUID bikeId) {
        Scope scope = new Scope(mapper.tastes());
        Set<UUID> bikes = new TreeSet<>(Set.of(bikeId));
        if (scope.sharing().contains(bikeId)) {
            bikes.addAll(scope.sharing());
        }
        List<LogRow> rows = logbook.ofBikes(bikes, LogKind.LEARNING);
        return new OfBike(
                rows.stream()
                        .filter(row -> bikeId.equals(row.subject().bikeId()))
                        .toList(),
                learned(scope, rows, bikes).get(bikeId),
                scope.of(bikeId).keepers(),
                scope.of(bikeId).alone(),
                scope.sharing().stream().anyMatch(other -> !other.equals(bikeId)));
    }

    /** The bikes of a rider, with their usual rides. */
    private record Scope(Map<UUID, List<TasteRow>> bikes) {

        Scope(List<TasteRow> rows) {
            this(rows.stream().collect(Collectors.groupingBy(TasteRow::bikeId)));
        }

        TasteRow of(UUID bikeId) {
            return bikes.get(bikeId).get(0);
        }

        /** Those that tell of each other. */
        Set<UUID> sharing() {
            return bikes.keySet().stream()
                    .filter(bike -> of(bike).shares())
                    .collect(Collectors.toCollection(TreeSet::new));
        }

        Map<Ground, Double> usual(UUID bikeId) {
            return bikes.get(bikeId).stream()
                    .filter(row -> row.ground() != null)
                    .collect(Collectors.toMap(TasteRow::ground, TasteRow::share));
        }
    }

    private Map<UUID, Map<WheelPosition, Learned>> learned(Scope scope, List<LogRow> rows, Set<UUID> bikes) {
        Map<UUID, List<LogRow>> byBike =
                rows.stream().collect(Collectors.groupingBy(row -> row.subject().bikeId()));
        Map<UUID, Map<WheelPosition, Learned>> learned = new HashMap<>();
        for (UUID bike : bikes) {
            List<LogRow> own = byBike.getOrDefault(bike, List.of());
            Map<WheelPosition, Learned> wheels = new EnumMap<>(WheelPosition.class);
            for (WheelPosition position : WheelPosition.values()) {
                wheels.put(position, learned(own, position, scope.usual(bike)));
            }
            learned.put(bike, wheels);
        }
        Map<UUID, Map<WheelPosition, Taste.Heard>> heard = new HashMap<>();
        learned.forEach((bike, wheels) -> {
            Map<WheelPosition, Taste.Heard> each = new EnumMap<>(WheelPosition.class);
            wheels.forEach((position, wheel) -> each.put(position, heardOf.get(wheel.said(), Taste.Heard::of)));
            heard.put(bike, each);
        });
        learned.forEach((bike, wheels) ->
                wheels.replaceAll((position, wheel) -> wheel.startingFrom(start(scope, heard, bike, position))));
        return learned;
    }

    private static PersonalFactor start(
            Scope scope, Map<UUID, Map<WheelPosition, Taste.Heard>> heard, UUID bike, WheelPosition position) {
        List<Taste.Heard> beside = heard.get(bike).entrySet().stream()
                .filter(other -> other.getKey() != position)
                .map(Map.Entry::getValue)
                .toList();
        Set<UUID> sharing = scope.sharing();
        List<List<Taste.Heard>> elsewhere = !sharing.contains(bike)
                ? List.of()
                : heard.entrySet().stream()
                        .filter(other -> sharing.contains(other.getKey())
                                && !other.getKey().equals(bike))
                        .map(other -> List.copyOf(other.getValue().values()))
                        .toList();
        return Taste.start(beside, elsewhere);
    }

    private Learned learned(List<LogRow> rows, WheelPosition position, Map<Ground, Double> usual) {
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
        return new Learned(PersonalFactor.PRIOR, notes, changed, own);
    }

    /** Silence counts as nothing, and so does a note without the pressure that it is about. */
    private static Optional<RideNote> note(
            LogRow row, Ridden ridden, WheelPosition position, Map<Ground, Double> usual, boolean changed) {
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

    private static boolean sameGround(Map<Ground, Double> ridden, Map<Ground, Double> usual) {
        double shared = usual.entrySet().stream()
                .mapToDouble(share -> Math.min(share.getValue(), ridden.getOrDefault(share.getKey(), 0.0)))
                .sum();
        return shared >= SAME_GROUND - 1e-9;
    }
}
