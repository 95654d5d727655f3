package org.stratopneum.web.parts.garage;

import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.stratopneum.core.tire.TireSize;
import org.stratopneum.web.log.LogOutcomes;
import org.stratopneum.web.log.Logbook;
import org.stratopneum.web.platform.fault.NotThereException;
import org.stratopneum.web.platform.wording.DateText;
import org.stratopneum.web.rider.Rider;
import org.stratopneum.web.rider.Riders;

/** Shows the garage, and retires and restores what is in it. */
@Service
public class GarageService {

    private final PartsMapper parts;
    private final Riders riders;
    private final Logbook logbook;
    private final LogOutcomes outcomes;

    GarageService(PartsMapper parts, Riders riders, Logbook logbook, LogOutcomes outcomes) {
        this.outcomes = outcomes;
        this.parts = parts;
        this.riders = riders;
        this.logbook = logbook;
    }

    /**
     * @param written entries that were just written, or null
     * @param struck entries that were just struck through, or null
     */
    @Transactional(readOnly = true)
    public GaragePage garage(List<UUID> written, List<UUID> struck) {
        Rider rider = riders.self();
        return new GaragePage(bikes(parts.stands(), rider.zoneId()), outcomes.of(written, struck, rider));
    }

    private static String day(LocalDate day) {
        return day == null ? null : DateText.date(day);
    }

    private Set<UUID> fittedTires() {
        return parts.fittings().stream()
                .filter(PartsMapper.Fitting::fitted)
                .map(PartsMapper.Fitting::tireId)
                .collect(Collectors.toSet());
    }

    private static List<GaragePage.Bike> bikes(List<PartsMapper.StandRow> rows, ZoneId zone) {
        Map<UUID, GaragePage.Bike> bikes = new LinkedHashMap<>();
        Map<UUID, GaragePage.Wheelset> wheelsets = new LinkedHashMap<>();
        for (PartsMapper.StandRow row : rows) {
            GaragePage.Bike bike = bikes.computeIfAbsent(
                    row.bikeId(),
                    id -> new GaragePage.Bike(id, row.bikeName(), day(row.bikeRetiredOn()), new ArrayList<>()));
            if (row.wheelsetId() == null) {
                continue;
            }
            GaragePage.Wheelset wheelset = wheelsets.computeIfAbsent(row.wheelsetId(), id -> {
                GaragePage.Wheelset made = new GaragePage.Wheelset(
                        id,
                        row.wheelsetName(),
                        day(row.wheelsetRetiredOn()),
                        Boolean.TRUE.equals(row.mounted()),
                        new ArrayList<>());
                bike.wheelsets().add(made);
                return made;
            });
            if (row.wheelId() != null) {
                wheelset.wheels().add(wheel(row, zone));
            }
        }
        return List.copyOf(bikes.values());
    }

    private static GaragePage.Wheel wheel(PartsMapper.StandRow row, ZoneId zone) {
        String size = row.tireName() == null ? "" : new TireSize(row.nominalWidthMm(), row.bsdMm()).designation();
        String since = row.fittedSince() == null ? null : DateText.date(row.fittedSince(), zone);
        return new GaragePage.Wheel(row.wheelId(), row.position(), row.rimName(), row.tireName(), size, since);
    }

    /** Retires a bike, or restores it. */
    @Transactional
    void retireBike(UUID id, boolean retire) {
        found(parts.retireBike(id, retire ? today() : null));
    }

    /** Retires a wheelset or restores it; one that is in a bike stays. False when it stays. */
    @Transactional
    boolean retireWheelset(UUID id, boolean retire) {
        if (retire && parts.stands().stream().anyMatch(row -> row.isIn(id))) {
            return false;
        }
        found(parts.retireWheelset(id, retire ? today() : null));
        return true;
    }

    /** Retires a tire or restores it; one that is on a wheel stays. False when it stays. */
    @Transactional
    boolean retireTire(UUID id, boolean retire) {
        if (retire && fittedTires().contains(id)) {
            return false;
        }
        found(parts.retireTire(id, retire ? today() : null));
        return true;
    }

    /** Retires a rim or restores it; one that is built into a wheel stays. False when it stays. */
    @Transactional
    boolean retireRim(UUID id, boolean retire) {
        if (retire && !parts.wheelsOnRim(id).isEmpty()) {
            return false;
        }
        found(parts.retireRim(id, retire ? today() : null));
        return true;
    }

    private static void found(int rows) {
        if (rows == 0) {
            throw new NotThereException();
        }
    }

    private LocalDate today() {
        Rider rider = riders.self();
        return LocalDate.ofInstant(logbook.now(), rider.zoneId());
    }
}
