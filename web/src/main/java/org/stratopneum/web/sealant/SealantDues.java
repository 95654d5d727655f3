package org.stratopneum.web.sealant;

import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.stratopneum.core.agenda.DueItem;
import org.stratopneum.core.agenda.SealantLooks;
import org.stratopneum.web.bikes.BikeStanding;
import org.stratopneum.web.bikes.WheelPosition;
import org.stratopneum.web.bikes.WheelStanding;
import org.stratopneum.web.logbook.LogKind;
import org.stratopneum.web.logbook.LogRow;
import org.stratopneum.web.logbook.Logbook;
import org.stratopneum.web.rider.Rider;

/** What the liquid in the tires of many wheels makes due, asked of the log once. */
@Service
public class SealantDues {

    private final Logbook logbook;
    private final Storage storage;

    SealantDues(Logbook logbook, Storage storage) {
        this.logbook = logbook;
        this.storage = storage;
    }

    /** By wheel; nothing for a wheel with a tube, or without a filling since its tire went on. */
    @Transactional(readOnly = true)
    public Map<UUID, List<DueItem>> of(List<BikeStanding> bikes, Rider rider, Instant now) {
        List<WheelStanding> liquid = bikes.stream()
                .flatMap(bike -> Stream.of(WheelPosition.values()).map(bike::wheel))
                .flatMap(Optional::stream)
                .filter(wheel -> wheel.fits() && !wheel.tubed())
                .toList();
        if (liquid.isEmpty()) {
            return Map.of();
        }
        LocalDate today = LocalDate.ofInstant(now, rider.zoneId());
        Map<UUID, List<LogRow>> rows =
                logbook.current(LogKind.SEALANT).stream().collect(Collectors.groupingBy(LogRow::wheelId));
        Storage.Air air = storage.of(bikes.get(0).home(), today, rider);
        Map<UUID, List<DueItem>> due = new HashMap<>();
        for (WheelStanding wheel : liquid) {
            WheelSealant sealant = new WheelSealant(wheel);
            SealantRecord record = SealantRecord.of(
                    sealant.tire(),
                    sealant.pool(),
                    sealant.dose().minimumMl(),
                    rows.getOrDefault(wheel.wheelId(), new ArrayList<>()),
                    logbook,
                    rider.zoneId());
            sealant.on(today, record, air.climate())
                    .ifPresent(forecast -> due.put(wheel.wheelId(), SealantLooks.of(wheel.wheelId(), forecast, today)));
        }
        return due;
    }
}
