package org.stratopneum.web.fleet.bikes;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
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
import org.stratopneum.web.fleet.places.Place;
import org.stratopneum.web.log.LogDetail;
import org.stratopneum.web.log.LogKind;
import org.stratopneum.web.log.LogRow;
import org.stratopneum.web.log.Logbook;
import org.stratopneum.web.platform.weather.Weather;
import org.stratopneum.web.rider.Rider;
import org.stratopneum.web.rider.Riders;

/** Works out from the log how the wheels of bikes lose their air. */
@Service
public class AirLosses {

    /** Older readings tell nothing of the pace now. */
    private static final Duration READ_FOR = Duration.ofDays(120);

    private final Logbook logbook;
    private final Weather weather;
    private final Riders riders;

    AirLosses(Logbook logbook, Weather weather, Riders riders) {
        this.logbook = logbook;
        this.weather = weather;
        this.riders = riders;
    }

    /** What the log is to be asked for. */
    public static List<Logbook.Asked> asked(Instant now) {
        List<LogKind> kinds = new ArrayList<>(LogKind.READINGS);
        kinds.addAll(LogKind.MENDING);
        kinds.add(LogKind.JOB_ENDED);
        return List.of(new Logbook.Asked(kinds, now.minus(READ_FOR)));
    }

    /** The wheels to ask for: each tells of the gauge that the other is read with. */
    public static List<UUID> wheels(BikeState bike) {
        return states(bike).map(WheelState::wheelId).toList();
    }

    /** Of one wheel; empty without a tire. */
    @Transactional(readOnly = true)
    public Optional<WheelLoss> of(BikeState bike, WheelPosition position) {
        return bike.wheel(position).flatMap(wheel -> Optional.ofNullable(of(bike).get(wheel.wheelId())));
    }

    /** Of both wheels, by wheel; those without a tire are left out. */
    @Transactional(readOnly = true)
    public Map<UUID, WheelLoss> of(BikeState bike) {
        Instant now = logbook.now();
        return of(List.of(bike), logbook.current(wheels(bike), asked(now)), riders.self(), now);
    }

    /**
     * Of all wheels of some bikes, by wheel.
     *
     * @param rows what the log holds of what is {@link #asked} for, newest first; anything else is left out
     */
    public Map<UUID, WheelLoss> of(List<BikeState> bikes, Collection<LogRow> rows, Rider rider, Instant now) {
        Map<UUID, List<LogRow>> byWheel = rows.stream()
                .filter(row -> !row.struck() && !row.happenedAt().isBefore(now.minus(READ_FOR)))
                .collect(Collectors.groupingBy(row -> row.subject().wheelId()));
        Warmths warmths = new Warmths(rider, now);
        Map<UUID, WheelLoss> losses = new HashMap<>();
        for (BikeState bike : bikes) {
            List<Read> read = states(bike)
                    .filter(wheel -> wheel.tire().isPresent())
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
        Instant settled = now.minus(PressureLooks.SETTLING_DAYS, ChronoUnit.DAYS);
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

    private Read read(BikeState bike, WheelState wheel, List<LogRow> rows, Warmths warmths, Instant now) {
        WheelState.Tire tire = wheel.tire().orElseThrow();
        Instant mended = latest(rows, LogKind.MENDING);
        List<LogRow> readings = rows.stream()
                .filter(row -> LogKind.READINGS.contains(row.kind()) && isOf(row, wheel, tire))
                .filter(row -> mended == null || !row.happenedAt().isBefore(mended))
                .toList();
        List<Turn> turns = new ArrayList<>();
        readings.forEach(row -> turns.add(turn(row, bike.home(), warmths)));
        Collections.reverse(turns);
        boolean fresh = isFresh(wheel, tire, turns, now);
        return new Read(
                wheel.wheelId(),
                turns,
                readings.isEmpty() ? null : readings.get(0).subject().gaugeId(),
                LeakBands.of(tire.fitted().setup(), fresh),
                bike.heightM(),
                fresh,
                latest(rows, List.of(LogKind.JOB_ENDED)));
    }

    /** A tubeless tire that came off and on is still the same; a tube may be another one. */
    private static boolean isOf(LogRow row, WheelState wheel, WheelState.Tire tire) {
        return wheel.tubed()
                ? !row.happenedAt().isBefore(tire.since())
                : tire.id().equals(row.subject().tireId());
    }

    private static Instant latest(List<LogRow> rows, Collection<LogKind> kinds) {
        return rows.stream()
                .filter(row -> kinds.contains(row.kind()))
                .map(LogRow::happenedAt)
                .findFirst()
                .orElse(null);
    }

    /** By the reference, not by the gauge. */
    private Turn turn(LogRow row, Place home, Warmths warmths) {
        LogDetail.GaugeRead read = (LogDetail.GaugeRead) logbook.detailOf(row);
        return new Turn(
                warmths.reading(row, row.names().gaugeFit().toReference(read.pressure()), home), read.afterInflation());
    }

    /** How warm tires were: as noted, as the room is kept, or as the weather was; each place is asked for once. */
    private final class Warmths {

        private final Rider rider;
        private final LocalDate today;
        private final Map<UUID, Map<LocalDate, DailyWeather>> byPlace = new HashMap<>();

        Warmths(Rider rider, Instant now) {
            this.rider = rider;
            this.today = LocalDate.ofInstant(now, rider.zoneId());
        }

        LeakReading reading(LogRow row, GaugePressure pressure, Place home) {
            Instant at = row.happenedAt();
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

        /** A year of it, as the sealant of the same place asks for: a service need not be asked twice. */
        private Map<LocalDate, DailyWeather> days(Place home) {
            return byPlace.computeIfAbsent(
                    home.id(),
                    id -> weather.days(home.station(), today.minusYears(1), today).stream()
                            .collect(Collectors.toMap(DailyWeather::day, day -> day)));
        }
    }
}
