package org.stratopneum.web.sealant;

import java.time.Instant;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.stratopneum.core.agenda.DueItem;
import org.stratopneum.core.agenda.DueReason;
import org.stratopneum.core.agenda.SealantLooks;
import org.stratopneum.core.sealant.DryingClimate;
import org.stratopneum.core.sealant.SealantForecast;
import org.stratopneum.core.sealant.TubeSealant;
import org.stratopneum.web.fleet.bikes.BikeState;
import org.stratopneum.web.fleet.bikes.WheelPosition;
import org.stratopneum.web.fleet.bikes.WheelState;
import org.stratopneum.web.fleet.care.Care;
import org.stratopneum.web.fleet.care.CareStatus;
import org.stratopneum.web.fleet.kept.KeptResults;
import org.stratopneum.web.fleet.kept.RiderMemory;
import org.stratopneum.web.log.LogDetail.CareDone;
import org.stratopneum.web.log.LogKind;
import org.stratopneum.web.log.LogRow;
import org.stratopneum.web.log.Logbook;
import org.stratopneum.web.rider.Rider;
import org.stratopneum.web.rider.RiderChanges;

/** The liquid in the tires of many wheels, and what it makes due, asked of the log once. */
@Service
public class SealantDues {

    /** What says that somebody filled a tube, or listened to it. */
    private static final List<LogKind> LOOKED_AT = List.of(LogKind.SEALANT_ADDED, LogKind.SEALANT_HEARD);

    private static final String MATTER = "SEALANT";

    private static final int MOST_REMEMBERED = 300;

    private final Logbook logbook;
    private final Storage storage;
    private final Care care;
    private final KeptResults results;
    private final RiderMemory.Of<List<UUID>, InTires> remembered;

    SealantDues(Logbook logbook, Storage storage, Care care, KeptResults results, RiderMemory memory) {
        this.care = care;
        this.logbook = logbook;
        this.storage = storage;
        this.results = results;
        remembered = memory.of("SEALANT", MOST_REMEMBERED);
    }

    /**
     * What is in the tires of some bikes.
     *
     * @param liquid by wheel; nothing for a wheel with a tube, or without a filling since its tire went on
     * @param tubes when the sealant in tubes is to be looked at, by wheel; nothing for a tube without any
     */
    public record InTires(Map<UUID, SealantState> liquid, Map<UUID, DueItem> tubes) {

        public InTires {
            liquid = Map.copyOf(liquid);
            tubes = Map.copyOf(tubes);
        }
    }

    /**
     * @param cared how wheels are cared for, and {@code kept} what was worked out before, both asked for where they are
     *     needed
     */
    @Transactional(readOnly = true)
    public InTires all(
            List<BikeState> bikes,
            Supplier<CareStatus> cared,
            Supplier<KeptResults.Kept> kept,
            Rider rider,
            Instant now) {
        LocalDate today = LocalDate.ofInstant(now, rider.zoneId());
        return remembered.get(RiderChanges::butReadings, wheels(bikes), today, () -> {
            List<LogRow> rows = rows(bikes);
            return new InTires(of(bikes, rows, cared.get(), kept.get(), rider, today), inTubes(bikes, rows, rider));
        });
    }

    /** Those that can be ridden: another set of the same bike is another matter. */
    private static List<UUID> wheels(List<BikeState> bikes) {
        return bikes.stream()
                .flatMap(SealantDues::fitted)
                .map(WheelState::wheelId)
                .toList();
    }

    /** What the log says of it; newest first. */
    private List<LogRow> rows(List<BikeState> bikes) {
        return since(bikes)
                .map(first -> logbook.current(wheels(bikes), List.of(new Logbook.Asked(LogKind.SEALANT, first))))
                .orElse(List.of());
    }

    private Map<UUID, SealantState> of(
            List<BikeState> bikes,
            List<LogRow> rows,
            CareStatus cared,
            KeptResults.Kept all,
            Rider rider,
            LocalDate today) {
        if (bikes.stream().flatMap(SealantDues::liquid).findAny().isEmpty()) {
            return Map.of();
        }
        Storage.Air air = storage.of(bikes.get(0).home(), today, rider);
        KeptResults.Of<SealantToday> kept = all.of(MATTER, SealantToday.class);
        Asked asked = new Asked(cared, rider, today, air, kept);
        Map<UUID, List<LogRow>> byWheel = rows.stream()
                .filter(row -> LogKind.SEALANT.contains(row.kind()))
                .collect(Collectors.groupingBy(row -> row.subject().wheelId()));
        Map<UUID, SealantState> states = new HashMap<>();
        for (BikeState bike : bikes) {
            liquid(bike)
                    .forEach(wheel -> state(bike, wheel, byWheel.getOrDefault(wheel.wheelId(), List.of()), asked)
                            .ifPresent(state -> states.put(wheel.wheelId(), state)));
        }
        kept.keep();
        return states;
    }

    /** The liquid alone, by wheel. */
    @Transactional(readOnly = true)
    public Map<UUID, SealantState> of(List<BikeState> bikes, Rider rider, Instant now) {
        return all(bikes, care::all, results::all, rider, now).liquid;
    }

    /** From when on the log is to be asked: since the tires went on that are on now; empty without any tire. */
    private static Optional<Instant> since(List<BikeState> bikes) {
        return bikes.stream()
                .flatMap(SealantDues::fitted)
                .map(wheel -> wheel.tire().orElseThrow().since())
                .min(Comparator.naturalOrder())
                // what was filled in while the tire was put on may have been noted first that day
                .map(first -> first.minus(1, ChronoUnit.DAYS));
    }

    private record Asked(
            CareStatus cared, Rider rider, LocalDate today, Storage.Air air, KeptResults.Of<SealantToday> kept) {}

    private static Stream<WheelState> fitted(BikeState bike) {
        return Stream.of(WheelPosition.values())
                .map(bike::wheel)
                .flatMap(Optional::stream)
                .filter(WheelState::fits);
    }

    private static Stream<WheelState> liquid(BikeState bike) {
        return fitted(bike).filter(wheel -> !wheel.tubed());
    }

    private static Map<UUID, DueItem> inTubes(List<BikeState> bikes, List<LogRow> rows, Rider rider) {
        Map<UUID, DueItem> due = new HashMap<>();
        bikes.stream()
                .flatMap(SealantDues::fitted)
                .filter(WheelState::tubed)
                .forEach(wheel -> inTube(wheel, rows, rider)
                        .ifPresent(day ->
                                due.put(wheel.wheelId(), new DueItem(wheel.wheelId(), DueReason.SEALANT_LOOK, day))));
        return due;
    }

    private static Optional<LocalDate> inTube(WheelState wheel, List<LogRow> rows, Rider rider) {
        Instant since = wheel.tire().orElseThrow().since();
        List<LogRow> own = rows.stream()
                .filter(row -> wheel.wheelId().equals(row.subject().wheelId())
                        && !row.struck()
                        && !row.happenedAt().isBefore(since.minus(1, ChronoUnit.DAYS)))
                .toList();
        boolean filled = own.stream().anyMatch(row -> row.kind() == LogKind.SEALANT_ADDED);
        return own.stream()
                .filter(row -> filled && LOOKED_AT.contains(row.kind()))
                .map(LogRow::happenedAt)
                .max(Comparator.naturalOrder())
                .map(last -> TubeSealant.lookBy(LocalDate.ofInstant(last, rider.zoneId())));
    }

    private Optional<SealantState> state(BikeState bike, WheelState wheel, List<LogRow> rows, Asked asked) {
        WheelSealant liquid = new WheelSealant(wheel, asked.cared.how(wheel.wheelId()));
        SealantRecord record = SealantRecord.of(liquid.tire(), liquid.minimumMl(), rows, logbook, asked.rider.zoneId());
        return record.events().isEmpty() ? Optional.empty() : Optional.of(state(bike, liquid, record, asked));
    }

    private static SealantState state(BikeState bike, WheelSealant liquid, SealantRecord record, Asked asked) {
        DryingClimate climate = asked.air.of(bike.id());
        Supplier<SealantForecast> forecast =
                new ForecastAgain(() -> liquid.on(asked.today, record, climate).orElseThrow());
        LocalDate serviced = asked.cared.lastDone(liquid.wheelId(), CareDone.Care.CORE_SERVICE, asked.rider);
        SealantToday today = asked.kept.get(
                liquid.wheelId(),
                List.of(
                        asked.today,
                        asked.air.madeFrom(bike.id()),
                        liquid.section(),
                        liquid.tire(),
                        liquid.care(),
                        record.events(),
                        String.valueOf(record.family()),
                        String.valueOf(serviced)),
                () -> {
                    SealantForecast found = forecast.get();
                    return SealantToday.of(
                            asked.today,
                            SealantLooks.of(liquid.wheelId(), liquid.care().schedule(), found, serviced, asked.today),
                            found);
                });
        return new SealantState(
                today,
                forecast,
                liquid.minimumMl(),
                liquid.fullMl(),
                liquid.topUpMl(liquid.minimumMl()),
                record.bottle());
    }
}
