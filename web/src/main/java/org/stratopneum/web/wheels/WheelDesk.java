package org.stratopneum.web.wheels;

import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.stratopneum.core.fit.FitCheck;
import org.stratopneum.core.pressure.BikeAdvice;
import org.stratopneum.core.pressure.PressureWindow;
import org.stratopneum.core.pressure.WheelAdvice;
import org.stratopneum.core.quantity.GaugePressure;
import org.stratopneum.core.quantity.RiderUnit;
import org.stratopneum.core.tire.TireOnRim;
import org.stratopneum.web.bikes.BikeStanding;
import org.stratopneum.web.bikes.FitParts;
import org.stratopneum.web.bikes.Garage;
import org.stratopneum.web.bikes.WheelPlace;
import org.stratopneum.web.bikes.WheelPosition;
import org.stratopneum.web.bikes.WheelStanding;
import org.stratopneum.web.drawing.ReadingsChart;
import org.stratopneum.web.drawing.SectionDrawing;
import org.stratopneum.web.logbook.LogDetail;
import org.stratopneum.web.logbook.LogKind;
import org.stratopneum.web.logbook.LogLine;
import org.stratopneum.web.logbook.LogOutcomes;
import org.stratopneum.web.logbook.LogRow;
import org.stratopneum.web.logbook.LogWording;
import org.stratopneum.web.logbook.Logbook;
import org.stratopneum.web.pressure.BikeAdvisor;
import org.stratopneum.web.pressure.Told;
import org.stratopneum.web.pressure.WindowWording;
import org.stratopneum.web.rider.Rider;
import org.stratopneum.web.rider.Riders;
import org.stratopneum.web.shelf.Shelf;
import org.stratopneum.web.wording.Age;
import org.stratopneum.web.wording.FitText;
import org.stratopneum.web.wording.FitWording;
import org.stratopneum.web.wording.Numbers;
import org.stratopneum.web.wording.PressureText;
import org.stratopneum.web.wording.QuantityText;
import org.stratopneum.web.wording.Wording;

/** Gathers what a wheel's page shows. */
@Service
class WheelDesk {

    private static final int READINGS = 60;
    private static final int SET_UP = 200;
    private static final double ML_PER_LITRE = 1000;

    private final Garage garage;
    private final BikeAdvisor advisor;
    private final Riders riders;
    private final Logbook logbook;
    private final LogWording logWording;
    private final LogOutcomes outcomes;
    private final Wording wording;
    private final WindowWording windows;
    private final LimitWording limits;
    private final FitWording fits;
    private final HoldReading holds;
    private final Shelf shelf;

    WheelDesk(
            Garage garage,
            BikeAdvisor advisor,
            Riders riders,
            Logbook logbook,
            LogWording logWording,
            LogOutcomes outcomes,
            Wording wording,
            WindowWording windows,
            LimitWording limits,
            FitWording fits,
            HoldReading holds,
            Shelf shelf) {
        this.shelf = shelf;
        this.holds = holds;
        this.fits = fits;
        this.garage = garage;
        this.advisor = advisor;
        this.riders = riders;
        this.logbook = logbook;
        this.logWording = logWording;
        this.outcomes = outcomes;
        this.wording = wording;
        this.windows = windows;
        this.limits = limits;
    }

    /**
     * @param written entries that were just written, or null
     * @param struck entries that were just struck through, or null
     * @throws org.stratopneum.web.fault.NotThereException when this rider has no such wheel
     */
    @Transactional(readOnly = true)
    WheelPage page(UUID id, List<UUID> written, List<UUID> struck) {
        Rider rider = riders.self();
        WheelPlace place = garage.place(id);
        BikeStanding bike = garage.bikeOn(place.bikeId(), place.wheelsetId());
        WheelStanding wheel = bike.wheel(place.position()).orElseThrow();
        Optional<BikeAdvice> advice = advisor.adviseUsual(bike, rider.bodyKg());
        Optional<WheelAdvice> own =
                advice.map(found -> place.position() == WheelPosition.REAR ? found.rear() : found.front());
        List<LogRow> readings = logbook.ofWheel(id, LogKind.READINGS, READINGS);
        List<LogRow> setUp = logbook.ofWheel(id, LogKind.SETTING_UP, SET_UP);
        List<LogRow> fittings = setUp.stream()
                .filter(row -> LogKind.FITTINGS.contains(row.kind()))
                .toList();
        Instant now = logbook.now();
        FitParts parts = Shelf.fitParts(shelf.onWheel(id), bike.openings().at(place.position()));
        Optional<FitText> fit = wheel.fitCase(
                        own.map(found -> found.wheel().load()).orElse(null), parts)
                .map(FitCheck::of)
                .map(check -> fits.of(check, rider.units()));
        Knowing knowing = knowing(wheel, setUp);
        return new WheelPage(
                id,
                placeOf(place, rider, now),
                wheel.tire().map(tire -> tireOf(wheel, tire, rider)).orElse(null),
                rimOf(wheel, rider),
                sectionOf(wheel, rider),
                toldOf(advice, own, wheel, rider, now),
                fit.map(knowing::without).orElse(null),
                fit.map(knowing::accepted).orElse(List.of()),
                wheel.tire()
                        .flatMap(tire -> holds.of(since(tire.since(), readings), rider))
                        .orElse(null),
                limits.of(wheel, own.orElse(null), rider.units()),
                chartOf(readings, own.map(WheelAdvice::window).orElse(null), rider, now),
                rider.pressureUnit().symbol(),
                readings.stream().map(row -> entryOf(row, rider)).toList(),
                historyOf(fittings, rider),
                setUp.stream()
                        .filter(row -> !LogKind.FITTINGS.contains(row.kind()))
                        .map(row -> entryOf(row, rider))
                        .toList(),
                outcomes.of(written, struck, rider));
    }

    /** @throws org.stratopneum.web.fault.NotThereException when this rider has no such wheel */
    @Transactional(readOnly = true)
    WheelPage.Place place(UUID id) {
        return placeOf(garage.place(id), riders.self(), logbook.now());
    }

    /** What the rider goes on knowing, since the tire went on. */
    private Knowing knowing(WheelStanding wheel, List<LogRow> setUp) {
        Instant since = wheel.tire().map(WheelStanding.Tire::since).orElse(Instant.MAX);
        return new Knowing(setUp.stream()
                .filter(row -> row.kind() == LogKind.WARNING_ACCEPTED && !row.struck())
                .filter(row -> !row.happenedAt().isBefore(since))
                .collect(Collectors.toMap(
                        row -> (LogDetail.WarningAccepted) logbook.detailOf(row),
                        LogRow::id,
                        (newer, older) -> newer)));
    }

    /** Warnings that were accepted, each with the entry that says so. */
    private record Knowing(Map<LogDetail.WarningAccepted, UUID> entries) {
        private Optional<LogDetail.WarningAccepted> of(FitText.Said said) {
            return entries.keySet().stream()
                    .filter(accepted -> accepted.code().equals(said.code()))
                    .findFirst();
        }

        List<WheelPage.Accepted> accepted(FitText text) {
            return text.against().stream()
                    .flatMap(said -> of(said).stream()
                            .map(known -> new WheelPage.Accepted(entries.get(known), said.message(), known.note())))
                    .toList();
        }

        FitText without(FitText text) {
            return new FitText(
                    text.against().stream().filter(said -> of(said).isEmpty()).toList(), text.fine(), text.unchecked());
        }
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
                Age.day(LocalDate.ofInstant(now, rider.zoneId())));
    }

    private WheelPage.Tire tireOf(WheelStanding wheel, WheelStanding.Tire tire, Rider rider) {
        List<String> marks = new ArrayList<>();
        if (tire.marks().tubeless()) {
            marks.add(wording.text("tire.tubeless"));
        }
        if (tire.marks().hookless()) {
            marks.add(wording.text("tire.hookless"));
        }
        if (tire.marks().directional()) {
            marks.add(wording.text("tire.arrow"));
        }
        marks.add(wording.of("casing", tire.casing()));
        String setup = wording.of("setup", tire.fitted().setup())
                + (tire.fitted().insert() ? wording.text("wheel.with-insert") : "");
        return new WheelPage.Tire(
                tire.id(),
                tire.name(),
                wheel.size(),
                wheel.tireSize().orElseThrow().tradeName(),
                setup,
                Age.date(tire.since(), rider.zoneId()),
                String.join(", ", marks),
                wheel.tireOnRim()
                        .map(TireOnRim::section)
                        .map(section -> air(section.airVolumeL(), rider))
                        .orElse(""),
                !wheel.fits());
    }

    /** Air is a matter of litres; those who read fluid ounces get those. */
    private static String air(double litres, Rider rider) {
        return rider.volumeUnit() == RiderUnit.ML
                ? Numbers.fixed(litres, 2) + " l"
                : QuantityText.text(litres * ML_PER_LITRE, rider.volumeUnit());
    }

    private WheelPage.Rim rimOf(WheelStanding wheel, Rider rider) {
        WheelStanding.Rim rim = wheel.rim();
        return new WheelPage.Rim(
                rim.id(),
                rim.name(),
                QuantityText.text(rim.internalWidthMm(), rider.lengthUnit()),
                wording.text(rim.hookless() ? "rim.hookless" : "rim.hooked"),
                wording.of("bed", rim.bed()));
    }

    private static SectionDrawing sectionOf(WheelStanding wheel, Rider rider) {
        return wheel.tireOnRim()
                .map(tire -> SectionDrawing.of(
                        tire.section(),
                        new SectionDrawing.Inside(
                                wheel.rim().hookless(), wheel.rim().depthMm(), wheel.taped(), wheel.tubed()),
                        rider.lengthUnit()))
                .orElse(null);
    }

    private WheelPage.Told toldOf(
            Optional<BikeAdvice> advice, Optional<WheelAdvice> own, WheelStanding wheel, Rider rider, Instant now) {
        if (own.isEmpty()) {
            return null;
        }
        var unit = rider.pressureUnit();
        GaugePressure told = Told.of(advice.orElseThrow(), unit).pressure(wheel.position());
        PressureWindow window = own.get().window();
        WindowWording.Side side = wheel.lastReading()
                .map(reading -> windows.side(window, reading.read().pressure()))
                .orElse(WindowWording.Side.NONE);
        return new WheelPage.Told(
                own.get().blocked() ? null : PressureText.number(told, unit),
                unit.symbol(),
                PressureText.text(told, PressureText.beside(unit)),
                window == null ? "" : windows.range(window, unit),
                wheel.lastReading()
                        .map(reading -> PressureText.text(reading.read().pressure(), unit) + ", "
                                + Age.of(reading.at(), now, rider.zoneId(), wording))
                        .orElse(null),
                side.word(),
                side.code());
    }

    private ReadingsChart chartOf(List<LogRow> rows, PressureWindow window, Rider rider, Instant now) {
        List<ReadingsChart.Reading> readings = rows.stream()
                .filter(row -> !row.struck())
                .map(row -> {
                    LogDetail.GaugeRead read = (LogDetail.GaugeRead) logbook.detailOf(row);
                    return new ReadingsChart.Reading(row.happenedAt(), read.pressure(), read.afterInflation());
                })
                .sorted(Comparator.comparing(ReadingsChart.Reading::at))
                .toList();
        return readings.isEmpty()
                ? null
                : ReadingsChart.of(readings, window, rider.pressureUnit(), rider.zoneId(), now);
    }

    private WheelPage.Entry entryOf(LogRow row, Rider rider) {
        LogLine line = logWording.line(row, rider);
        return new WheelPage.Entry(
                row.id(),
                Age.moment(row.happenedAt(), rider.zoneId()),
                line.what(),
                line.note(),
                row.struck(),
                line.corrected());
    }

    /** Newest first; a tire that went on before the last one came off ends where the next begins. */
    private List<WheelPage.Period> historyOf(List<LogRow> rows, Rider rider) {
        List<WheelPage.Period> periods = new ArrayList<>();
        Instant until = null;
        for (LogRow row : rows) {
            if (row.struck()) {
                continue;
            }
            if (logbook.detailOf(row) instanceof LogDetail.TireFitted fitted) {
                periods.add(new WheelPage.Period(
                        row.id(),
                        row.tireName(),
                        wording.of("setup", fitted.setup()),
                        Age.date(row.happenedAt(), rider.zoneId()),
                        until == null ? wording.text("wheel.until-now") : Age.date(until, rider.zoneId()),
                        until == null));
            }
            until = row.happenedAt();
        }
        return periods;
    }
}
