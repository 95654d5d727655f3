package org.stratopneum.web.parts.wheels;

import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.stratopneum.core.fit.FitCheck;
import org.stratopneum.core.pressure.BikeAdvice;
import org.stratopneum.core.pressure.PressureWindow;
import org.stratopneum.core.pressure.WheelAdvice;
import org.stratopneum.core.quantity.GaugePressure;
import org.stratopneum.web.fleet.bikes.AirLosses;
import org.stratopneum.web.fleet.bikes.BikeState;
import org.stratopneum.web.fleet.bikes.FitParts;
import org.stratopneum.web.fleet.bikes.Garage;
import org.stratopneum.web.fleet.bikes.WheelPlace;
import org.stratopneum.web.fleet.bikes.WheelPosition;
import org.stratopneum.web.fleet.bikes.WheelState;
import org.stratopneum.web.log.LogKind;
import org.stratopneum.web.log.LogOutcomes;
import org.stratopneum.web.log.LogRow;
import org.stratopneum.web.log.Logbook;
import org.stratopneum.web.parts.shelf.Shelf;
import org.stratopneum.web.platform.wording.DateText;
import org.stratopneum.web.platform.wording.FitText;
import org.stratopneum.web.platform.wording.FitWording;
import org.stratopneum.web.platform.wording.PressureText;
import org.stratopneum.web.platform.wording.Wording;
import org.stratopneum.web.pressure.AdvisedPressures;
import org.stratopneum.web.pressure.BikeAdvisor;
import org.stratopneum.web.pressure.OutlookWording;
import org.stratopneum.web.pressure.WindowWording;
import org.stratopneum.web.rider.Rider;
import org.stratopneum.web.rider.Riders;

/** Gathers what a wheel's page shows. */
@Service
class WheelService {

    private static final int READINGS = 60;
    private static final int SET_UP = 200;

    private final Garage garage;
    private final BikeAdvisor advisor;
    private final Riders riders;
    private final Logbook logbook;
    private final WheelParts parts;
    private final WheelHistory history;
    private final LogOutcomes outcomes;
    private final Wording wording;
    private final WindowWording windows;
    private final LimitWording limits;
    private final FitWording fits;
    private final HoldReading holds;
    private final Shelf shelf;
    private final AirLosses airLosses;
    private final OutlookWording outlookWording;

    WheelService(
            Garage garage,
            BikeAdvisor advisor,
            Riders riders,
            Logbook logbook,
            WheelParts parts,
            WheelHistory history,
            LogOutcomes outcomes,
            Wording wording,
            WindowWording windows,
            LimitWording limits,
            FitWording fits,
            HoldReading holds,
            Shelf shelf,
            AirLosses airLosses,
            OutlookWording outlookWording) {
        this.airLosses = airLosses;
        this.outlookWording = outlookWording;
        this.shelf = shelf;
        this.holds = holds;
        this.fits = fits;
        this.garage = garage;
        this.advisor = advisor;
        this.riders = riders;
        this.logbook = logbook;
        this.parts = parts;
        this.history = history;
        this.outcomes = outcomes;
        this.wording = wording;
        this.windows = windows;
        this.limits = limits;
    }

    /**
     * @param written entries that were just written, or null
     * @param struck entries that were just struck through, or null
     * @throws org.stratopneum.web.platform.fault.NotThereException when this rider has no such wheel
     */
    @Transactional(readOnly = true)
    WheelPage page(UUID id, List<UUID> written, List<UUID> struck) {
        Rider rider = riders.self();
        WheelPlace place = garage.place(id);
        BikeState bike = garage.bikeOn(place.bikeId(), place.wheelsetId());
        WheelState wheel = bike.wheel(place.position()).orElseThrow();
        Optional<BikeAdvice> advice = advisor.adviseUsual(bike);
        Optional<WheelAdvice> own =
                advice.map(found -> place.position() == WheelPosition.REAR ? found.rear() : found.front());
        List<LogRow> readings = logbook.ofWheel(id, LogKind.READINGS, READINGS);
        List<LogRow> setUp = logbook.ofWheel(id, LogKind.SETTING_UP, SET_UP);
        List<LogRow> fittings = setUp.stream()
                .filter(row -> LogKind.FITTINGS.contains(row.kind()))
                .toList();
        Instant now = logbook.now();
        FitParts fitted = Shelf.fitParts(shelf.onWheel(id), bike.openings().at(place.position()));
        Optional<FitText> fit = wheel.fitCase(
                        own.map(found -> found.wheel().load()).orElse(null), fitted)
                .map(FitCheck::of)
                .map(check -> fits.of(check, rider.units()));
        AcceptedWarnings known = AcceptedWarnings.of(wheel, setUp, logbook);
        return new WheelPage(
                id,
                placeOf(place, rider, now),
                wheel.tire().map(tire -> parts.tire(wheel, tire, rider)).orElse(null),
                parts.rim(wheel, rider),
                WheelParts.section(wheel, rider),
                toldOf(advice, own, wheel, rider, now),
                fit.map(known::without).orElse(null),
                fit.map(known::accepted).orElse(List.of()),
                wheel.tire()
                        .flatMap(tire -> holds.of(since(tire.since(), readings), rider))
                        .orElse(null),
                airLosses
                        .of(bike, place.position())
                        .flatMap(found -> found.loss().outlook())
                        .map(outlook -> outlookWording.now(outlook, rider))
                        .orElse(List.of()),
                limits.of(wheel, own.orElse(null), rider.units()),
                history.chart(readings, own.map(WheelAdvice::window).orElse(null), rider, now),
                rider.pressureUnit().symbol(),
                readings.stream().map(row -> history.entry(row, rider)).toList(),
                history.periods(fittings, rider),
                setUp.stream()
                        .filter(row -> !LogKind.FITTINGS.contains(row.kind()))
                        .map(row -> history.entry(row, rider))
                        .toList(),
                outcomes.of(written, struck, rider));
    }

    private static List<LogRow> since(Instant fitted, List<LogRow> readings) {
        return readings.stream()
                .filter(row -> !row.happenedAt().isBefore(fitted))
                .toList();
    }

    private WheelPage.Place placeOf(WheelPlace place, Rider rider, Instant now) {
        return new WheelPage.Place(
                place.bikeId(),
                place.bikeName(),
                place.wheelsetName(),
                wording.of("position", place.position()),
                place.otherWheel(),
                place.mounted(),
                DateText.day(LocalDate.ofInstant(now, rider.zoneId())));
    }

    private WheelPage.AdvisedPressures toldOf(
            Optional<BikeAdvice> advice, Optional<WheelAdvice> own, WheelState wheel, Rider rider, Instant now) {
        if (own.isEmpty()) {
            return null;
        }
        var unit = rider.pressureUnit();
        GaugePressure told = AdvisedPressures.of(advice.orElseThrow(), unit).pressure(wheel.position());
        PressureWindow window = own.get().window();
        WindowWording.Side side = wheel.lastReading()
                .map(reading -> windows.side(window, reading.pressure()))
                .orElse(WindowWording.Side.NONE);
        return new WheelPage.AdvisedPressures(
                own.get().blocked() ? null : PressureText.number(told, unit),
                unit.symbol(),
                PressureText.text(told, PressureText.beside(unit)),
                window == null ? "" : windows.range(window, unit),
                wheel.lastReading()
                        .map(reading -> PressureText.text(reading.pressure(), unit) + ", "
                                + DateText.of(reading.at(), now, rider.zoneId(), wording))
                        .orElse(null),
                side.word(),
                side.code());
    }
}
