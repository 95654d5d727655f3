package org.stratopneum.web.fleet.bikes;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.UUID;
import java.util.function.Function;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.stratopneum.core.agenda.PressureLooks;
import org.stratopneum.core.leak.AirLoss;
import org.stratopneum.core.leak.GaugeNoise;
import org.stratopneum.core.leak.LeakBands;
import org.stratopneum.core.leak.LeakReading;
import org.stratopneum.core.leak.Turn;
import org.stratopneum.core.quantity.GaugePressure;
import org.stratopneum.core.quantity.Temperature;
import org.stratopneum.core.weather.DailyWeather;
import org.stratopneum.web.fleet.kept.KeptResults;
import org.stratopneum.web.fleet.kept.RiderMemory;
import org.stratopneum.web.fleet.places.Place;
import org.stratopneum.web.log.LogKind;
import org.stratopneum.web.log.Logbook;
import org.stratopneum.web.platform.weather.Weather;
import org.stratopneum.web.rider.Rider;
import org.stratopneum.web.rider.Riders;

/** Works out from the log how the wheels of bikes lose their air. */
@Service
public class AirLosses {

    /** Older readings tell nothing of the pace now. */
    private static final Duration READ_FOR = Duration.ofDays(120);

    private static final List<LogKind> ASKED = asked();

    /** Air goes at once. */
    private static final List<LogKind> AT_ONCE = List.of(LogKind.RIDDEN, LogKind.PUNCTURE_SEALED);

    private static final String MATTER = "AIR_LOSS";

    private static final int MOST_REMEMBERED = 500;

    /** With their readings they are larger. */
    private static final int MOST_WHOLE = 150;

    private final ReadingsMapper readings;
    private final Logbook logbook;
    private final Weather weather;
    private final Riders riders;
    private final RiderMemory.Of<List<UUID>, Map<UUID, LossNow>> remembered;
    private final RiderMemory.Of<List<UUID>, Map<UUID, WheelLoss>> whole;

    AirLosses(ReadingsMapper readings, Logbook logbook, Weather weather, Riders riders, RiderMemory memory) {
        remembered = memory.of(MATTER, MOST_REMEMBERED);
        whole = memory.of("AIR_LOSS_WHOLE", MOST_WHOLE);
        this.readings = readings;
        this.logbook = logbook;
        this.weather = weather;
        this.riders = riders;
    }

    /** What the readings of a bike's wheels come to, by wheel. */
    @Transactional(readOnly = true)
    public Map<UUID, LossNow> now(BikeState bike) {
        Map<UUID, LossNow> now = new HashMap<>();
        of(bike).forEach((wheel, loss) -> now.put(wheel, loss.now()));
        return now;
    }

    /**
     * The same of all wheels of some bikes: as it is remembered or kept, or worked out where the readings or whatever else it
     * was made from have changed.
     *
     * @param all what was worked out before, asked for where it is needed
     */
    @Transactional(readOnly = true)
    public Map<UUID, LossNow> now(List<BikeState> bikes, Supplier<KeptResults.Kept> all, Rider rider, Instant now) {
        return remembered(remembered, bikes, now, others -> kept(others, all.get(), rider, now));
    }

    /**
     * What comes of some bikes' wheels, as far as it is remembered, and else worked out.
     *
     * @param work for bikes of which nothing is remembered
     */
    private static <T> Map<UUID, T> remembered(
            RiderMemory.Of<List<UUID>, Map<UUID, T>> memory,
            List<BikeState> bikes,
            Instant now,
            Function<List<BikeState>, Map<UUID, T>> work) {
        // a reading more or less that is as old as can be makes no difference for an hour
        Instant hour = now.truncatedTo(ChronoUnit.HOURS);
        Map<UUID, T> known = new HashMap<>();
        List<BikeState> others = new ArrayList<>();
        for (BikeState bike : bikes) {
            List<UUID> wheels = wheels(List.of(bike));
            memory.find(changes -> changes.ofWheels(wheels), wheels, hour)
                    .ifPresentOrElse(known::putAll, () -> others.add(bike));
        }
        if (others.isEmpty()) {
            return known;
        }
        Map<UUID, T> found = work.apply(others);
        for (BikeState bike : others) {
            List<UUID> wheels = wheels(List.of(bike));
            Map<UUID, T> own = new HashMap<>(found);
            own.keySet().retainAll(wheels);
            memory.put(changes -> changes.ofWheels(wheels), wheels, hour, Map.copyOf(own));
        }
        known.putAll(found);
        return known;
    }

    private Map<UUID, LossNow> kept(List<BikeState> bikes, KeptResults.Kept all, Rider rider, Instant now) {
        List<UUID> wheels = wheels(bikes);
        if (wheels.isEmpty()) {
            return Map.of();
        }
        Map<UUID, ReadingsMapper.Mark> marks = readings.marks(wheels, now.minus(READ_FOR), settled(now)).stream()
                .collect(Collectors.toMap(ReadingsMapper.Mark::wheelId, Function.identity()));
        Warmths warmths = new Warmths(rider, now);
        KeptResults.Of<LossNow> kept = all.of(MATTER, LossNow.class);
        Map<UUID, LossNow> losses = new HashMap<>();
        List<BikeState> changed = new ArrayList<>();
        for (BikeState bike : bikes) {
            List<String> from = madeFrom(bike, marks, warmths, now);
            List<UUID> own = fitted(bike).map(WheelState::wheelId).toList();
            Map<UUID, LossNow> known = new HashMap<>();
            own.forEach(wheel -> kept.find(wheel, from).ifPresent(loss -> known.put(wheel, loss)));
            if (known.size() == own.size()) {
                losses.putAll(known);
            } else {
                changed.add(bike);
            }
        }
        of(changed, rider, now).forEach((wheel, loss) -> losses.put(wheel, loss.now()));
        changed.forEach(bike -> {
            List<String> from = madeFrom(bike, marks, warmths, now);
            fitted(bike).forEach(wheel -> kept.put(wheel.wheelId(), from, losses.get(wheel.wheelId())));
        });
        kept.keep();
        return losses;
    }

    /** Of both wheels together: each tells of the gauge that the other is read with. */
    private static List<String> madeFrom(
            BikeState bike, Map<UUID, ReadingsMapper.Mark> marks, Warmths warmths, Instant now) {
        List<Object> from = new ArrayList<>();
        from.add(bike.home());
        from.add(warmths.known(bike.home()));
        states(bike).forEach(wheel -> {
            from.add(wheel.wheelId());
            from.add(marks.get(wheel.wheelId()));
            from.add(wheel.tire());
            from.add(
                    wheel.tire().map(tire -> tire.since().isAfter(settled(now))).orElse(false));
        });
        return List.of(KeptResults.digest(from));
    }

    /** A tubeless tire that went on after this is in its first fortnight. */
    private static Instant settled(Instant now) {
        return now.minus(PressureLooks.SETTLING_DAYS, ChronoUnit.DAYS);
    }

    private static Stream<WheelState> fitted(BikeState bike) {
        return states(bike).filter(wheel -> wheel.tire().isPresent());
    }

    private static List<UUID> wheels(List<BikeState> bikes) {
        return bikes.stream()
                .flatMap(AirLosses::states)
                .map(WheelState::wheelId)
                .toList();
    }

    private static List<LogKind> asked() {
        List<LogKind> kinds = new ArrayList<>(LogKind.READINGS);
        kinds.addAll(LogKind.MENDING);
        kinds.add(LogKind.PUNCTURE_SEALED);
        kinds.add(LogKind.JOB_ENDED);
        return List.copyOf(kinds);
    }

    /** Of one wheel; empty without a tire. */
    @Transactional(readOnly = true)
    public Optional<WheelLoss> of(BikeState bike, WheelPosition position) {
        return bike.wheel(position).flatMap(wheel -> Optional.ofNullable(of(bike).get(wheel.wheelId())));
    }

    /** Of both wheels, by wheel; those without a tire are left out. */
    @Transactional(readOnly = true)
    public Map<UUID, WheelLoss> of(BikeState bike) {
        return of(List.of(bike), riders.self(), logbook.now());
    }

    /** Of all wheels of some bikes, by wheel; each tells of the gauge that the bike's other one is read with. */
    @Transactional(readOnly = true)
    public Map<UUID, WheelLoss> of(List<BikeState> bikes, Rider rider, Instant now) {
        return remembered(whole, bikes, now, others -> read(others, rider, now));
    }

    private Map<UUID, WheelLoss> read(List<BikeState> bikes, Rider rider, Instant now) {
        List<UUID> wheels = wheels(bikes);
        if (wheels.isEmpty()) {
            return Map.of();
        }
        Map<UUID, List<ReadingsMapper.Row>> byWheel = readings.since(wheels, ASKED, now.minus(READ_FOR)).stream()
                .collect(Collectors.groupingBy(ReadingsMapper.Row::wheelId));
        Warmths warmths = new Warmths(rider, now);
        Map<UUID, WheelLoss> losses = new HashMap<>();
        for (BikeState bike : bikes) {
            List<Read> read = fitted(bike)
                    .map(wheel -> read(bike, wheel, byWheel.getOrDefault(wheel.wheelId(), List.of()), warmths, now))
                    .toList();
            read.forEach(one -> losses.put(one.wheelId, one.loss(read)));
        }
        return losses;
    }

    private static Stream<WheelState> states(BikeState bike) {
        return Stream.of(WheelPosition.values()).map(bike::wheel).flatMap(Optional::stream);
    }

    /** Whether a tubeless tire is in its first fortnight on the wheel; one that came off and on again is not. */
    private static boolean isFresh(WheelState wheel, WheelState.Tire tire, List<Turn> turns, Instant now) {
        Instant settled = settled(now);
        return !wheel.tubed()
                && tire.since().isAfter(settled)
                && turns.stream().allMatch(turn -> turn.reading().at().isAfter(settled));
    }

    /** What was read of a wheel, and with which gauge last. */
    private record Read(
            UUID wheelId,
            List<Turn> turns,
            UUID gaugeId,
            LeakBands bands,
            double heightM,
            boolean fresh,
            Instant worked) {

        AirLoss alone() {
            return AirLoss.of(turns, bands, GaugeNoise.USUAL, heightM);
        }

        /** With what the bike's other wheel tells of the gauge. */
        WheelLoss loss(List<Read> wheels) {
            GaugeNoise gauge = wheels.stream()
                    .filter(other -> other != this && gaugeId != null && gaugeId.equals(other.gaugeId))
                    .findFirst()
                    .map(other -> other.alone().noise().elsewhere())
                    .orElse(GaugeNoise.USUAL);
            return new WheelLoss(wheelId, turns, heightM, AirLoss.of(turns, bands, gauge, heightM), fresh, worked);
        }
    }

    private static Read read(
            BikeState bike, WheelState wheel, List<ReadingsMapper.Row> rows, Warmths warmths, Instant now) {
        WheelState.Tire tire = wheel.tire().orElseThrow();
        Instant mended = latest(rows, LogKind.MENDING);
        List<ReadingsMapper.Row> readings = rows.stream()
                .filter(row -> LogKind.READINGS.contains(row.kind()) && isOf(row, wheel, tire))
                .filter(row -> mended == null || !row.at().isBefore(mended))
                .toList();
        List<Turn> turns = turns(readings, rows, row -> warmths.reading(row, bike.home()));
        boolean fresh = isFresh(wheel, tire, turns, now);
        return new Read(
                wheel.wheelId(),
                turns,
                readings.isEmpty() ? null : readings.get(0).gaugeId(),
                LeakBands.of(tire.fitted().setup(), fresh),
                bike.heightM(),
                fresh,
                latest(rows, List.of(LogKind.JOB_ENDED)));
    }

    /**
     * Oldest first; what is read after air burst out, or a hole closed by itself, tells nothing of what was lost before, unless
     * it is flat.
     */
    private static List<Turn> turns(
            List<ReadingsMapper.Row> readings,
            List<ReadingsMapper.Row> rows,
            Function<ReadingsMapper.Row, LeakReading> asReading) {
        List<Instant> burst = rows.stream()
                .filter(row -> AT_ONCE.contains(row.kind()))
                .map(ReadingsMapper.Row::at)
                .toList();
        List<Turn> turns = new ArrayList<>();
        Instant before = Instant.MIN;
        for (int i = readings.size() - 1; i >= 0; i--) {
            ReadingsMapper.Row row = readings.get(i);
            Instant last = before;
            boolean anew = row.kpa() > AirLoss.FLAT_KPA
                    && burst.stream().anyMatch(at -> at.isAfter(last) && !at.isAfter(row.at()));
            turns.add(new Turn(asReading.apply(row), row.afterInflation() || anew));
            before = row.at();
        }
        return turns;
    }

    /** A tubeless tire that came off and on is still the same; a tube may be another one. */
    private static boolean isOf(ReadingsMapper.Row row, WheelState wheel, WheelState.Tire tire) {
        return wheel.tubed() ? !row.at().isBefore(tire.since()) : tire.id().equals(row.tireId());
    }

    private static Instant latest(List<ReadingsMapper.Row> rows, Collection<LogKind> kinds) {
        return rows.stream()
                .filter(row -> kinds.contains(row.kind()))
                .map(ReadingsMapper.Row::at)
                .findFirst()
                .orElse(null);
    }

    /** How warm tires were: as noted, as the room is kept, or as the weather was; each place is asked for once. */
    private final class Warmths {

        private final Rider rider;
        private final LocalDate today;
        private final Map<UUID, Map<LocalDate, DailyWeather>> byPlace = new HashMap<>();
        private final Map<UUID, String> said = new HashMap<>();

        Warmths(Rider rider, Instant now) {
            this.rider = rider;
            this.today = LocalDate.ofInstant(now, rider.zoneId());
        }

        /** By the reference, not by the gauge. */
        LeakReading reading(ReadingsMapper.Row row, Place home) {
            Instant at = row.at();
            GaugePressure pressure =
                    HandGauge.fit(row.offsetKpa(), row.slope()).toReference(GaugePressure.kpa(row.kpa()));
            if (row.temperatureC() != null || home == null) {
                return LeakReading.noted(
                        at, pressure, row.temperatureC() == null ? null : Temperature.celsius(row.temperatureC()));
            }
            if (home.indoorC() != null) {
                return new LeakReading(at, pressure, Temperature.celsius(home.indoorC()), LeakReading.Warmth.INDOORS);
            }
            DailyWeather day = days(home).get(LocalDate.ofInstant(at, rider.zoneId()));
            return day == null
                    ? LeakReading.noted(at, pressure, null)
                    : new LeakReading(
                            at,
                            pressure,
                            Temperature.celsius(
                                    day.temperatureAt(at.atZone(rider.zoneId()).toLocalTime())),
                            LeakReading.Warmth.WEATHER);
        }

        /** A text that tells what is known of the weather at a place. */
        String known(Place home) {
            return home == null || home.indoorC() != null
                    ? ""
                    : said.computeIfAbsent(home.id(), id -> KeptResults.digest(List.of(rider.zone(), days(home))));
        }

        /** A year of it, as the sealant of the same place asks for: a service need not be asked twice. */
        private Map<LocalDate, DailyWeather> days(Place home) {
            return byPlace.computeIfAbsent(
                    home.id(),
                    id -> weather.days(home.station(), today.minusYears(1), today).stream()
                            .collect(Collectors.toMap(
                                    DailyWeather::day, Function.identity(), (one, same) -> one, TreeMap::new)));
        }
    }
}
