package org.stratopneum.web.pressure.pace;

import java.time.Duration;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.stratopneum.core.leak.LeakClass;
import org.stratopneum.core.leak.LeakRate;
import org.stratopneum.core.leak.LeakReading;
import org.stratopneum.core.leak.PaceChange;
import org.stratopneum.core.leak.PressureFall;
import org.stratopneum.core.leak.PressureOutlook;
import org.stratopneum.core.leak.Turn;
import org.stratopneum.core.leak.UnexplainedRise;
import org.stratopneum.core.pressure.Ceiling;
import org.stratopneum.core.pressure.PressureWindow;
import org.stratopneum.core.pressure.WheelAdvice;
import org.stratopneum.core.quantity.GaugePressure;
import org.stratopneum.web.fleet.bikes.BikeState;
import org.stratopneum.web.fleet.bikes.Garage;
import org.stratopneum.web.fleet.bikes.Outlooks;
import org.stratopneum.web.fleet.bikes.WheelPlace;
import org.stratopneum.web.fleet.bikes.WheelPosition;
import org.stratopneum.web.fleet.bikes.WheelState;
import org.stratopneum.web.log.LogKind;
import org.stratopneum.web.log.LogRow;
import org.stratopneum.web.log.LogWording;
import org.stratopneum.web.log.Logbook;
import org.stratopneum.web.platform.drawing.ReadingsChart;
import org.stratopneum.web.platform.wording.DateText;
import org.stratopneum.web.platform.wording.FormView;
import org.stratopneum.web.platform.wording.ProblemWording;
import org.stratopneum.web.platform.wording.Wording;
import org.stratopneum.web.pressure.BikeAdvisor;
import org.stratopneum.web.rider.Rider;
import org.stratopneum.web.rider.Riders;

/** Says how fast a wheel loses its air, since when, and what comes of it. */
@Service
class PaceService {

    private static final int SET_UP = 200;
    private static final int LATEST_SPANS = 6;

    /** What the log holds so many days before a change, and after it, is named beside it. */
    private static final int NEAR_BEFORE = 4;

    private static final int NEAR_AFTER = 1;

    /** A fitted fall is drawn with so many points. */
    private static final int CURVE_POINTS = 24;

    private final Garage garage;
    private final Riders riders;
    private final BikeAdvisor advisor;
    private final Logbook logbook;
    private final LogWording logWording;
    private final Paces paces;
    private final PaceWording words;
    private final Wording wording;
    private final ProblemWording problemWording;

    PaceService(
            Garage garage,
            Riders riders,
            BikeAdvisor advisor,
            Logbook logbook,
            LogWording logWording,
            Paces paces,
            PaceWording words,
            Wording wording,
            ProblemWording problemWording) {
        this.garage = garage;
        this.riders = riders;
        this.advisor = advisor;
        this.logbook = logbook;
        this.logWording = logWording;
        this.paces = paces;
        this.words = words;
        this.wording = wording;
        this.problemWording = problemWording;
    }

    /** @throws org.stratopneum.web.platform.fault.NotThereException when this rider has no such wheel */
    @Transactional(readOnly = true)
    PacePage page(UUID id, Map<String, String> typed) {
        Rider rider = riders.self();
        WheelPlace place = garage.place(id);
        BikeState bike = garage.bikeOn(place.bikeId(), place.wheelsetId());
        WheelState wheel = bike.wheel(place.position()).orElseThrow();
        Instant now = logbook.now();
        List<LogRow> rows = logbook.ofWheel(id, LogKind.READINGS, Outlooks.READINGS);
        Optional<WheelPace> pace = paces.of(bike, wheel, rows, now);
        Optional<PressureOutlook> outlook = pace.flatMap(found -> PressureOutlook.of(found.turns(), found.heightM()));
        Optional<WheelAdvice> advice = advisor.adviseUsual(bike, rider.bodyKg())
                .map(found -> place.position() == WheelPosition.REAR ? found.rear() : found.front());
        GaugePressure told = advice.map(WheelAdvice::pressure).orElse(null);
        PressureWindow window = advice.map(WheelAdvice::window).orElse(null);
        EveningForm evening = EveningForm.of(typed, told, rider, now);
        GaugePressure ceiling = wheel.ceiling().map(Ceiling::pressure).orElse(null);
        Optional<HoleForm> hole = wheel.tireOnRim()
                .map(onRim ->
                        HoleForm.of(typed, onRim.section().airVolumeL(), Paces.heightM(bike), rider.pressureUnit()));
        return new PacePage(
                id,
                wording.of("position", place.position()),
                place.bikeName(),
                pace.isPresent(),
                pace.flatMap(WheelPace::rate)
                        .map(rate -> words.rate(rate, pace.get(), told, wheel, rider))
                        .orElse(null),
                pace.flatMap(WheelPace::change)
                        .map(change -> change(change, bike, id, rider))
                        .orElse(null),
                pace.flatMap(WheelPace::flat)
                        .map(flat -> words.flat(flat, rider))
                        .orElse(null),
                pace.flatMap(found -> rise(found, rows, rider)).orElse(null),
                outlook.map(found -> words.ahead(found, window, rider, now)).orElse(List.of()),
                new FormView(
                        evening.typed(),
                        problemWording.messages(evening.problems().list())),
                outlook.flatMap(found -> evening.asked()
                                .flatMap(asked -> words.evening(found, asked, ceiling, isFast(pace.get()), rider, now)))
                        .orElse(null),
                hole.map(form -> new FormView(
                                form.reader().typed(),
                                problemWording.messages(form.reader().problems().list())))
                        .orElse(null),
                hole.flatMap(HoleForm::diameterMm).map(words::hole).orElse(null),
                pace.map(found -> chart(found, window, rider, now)).orElse(null),
                rider.pressureUnit().symbol(),
                pace.map(found -> spans(found, rider)).orElse(List.of()),
                pace.map(words::bands).orElse(List.of()));
    }

    private static boolean isFast(WheelPace pace) {
        return pace.rate().map(LeakRate::named).filter(LeakClass.FAST::equals).isPresent();
    }

    private PacePage.Change change(PaceChange change, BikeState bike, UUID wheelId, Rider rider) {
        Instant from = change.since().minus(NEAR_BEFORE, ChronoUnit.DAYS);
        Instant to = change.since().plus(NEAR_AFTER, ChronoUnit.DAYS);
        List<PacePage.Near> near = Stream.concat(
                        logbook.ofWheel(wheelId, LogKind.SETTING_UP, SET_UP).stream(),
                        logbook.ofBike(bike.id(), List.of(LogKind.RIDDEN)).stream())
                .filter(row -> !row.struck()
                        && !row.happenedAt().isBefore(from)
                        && row.happenedAt().isBefore(to))
                .sorted(Comparator.comparing(LogRow::happenedAt))
                .map(row -> new PacePage.Near(
                        row.id(),
                        DateText.moment(row.happenedAt(), rider.zoneId()),
                        logWording.line(row, rider).what()))
                .toList();
        return words.change(change, near, rider);
    }

    private Optional<PacePage.Rise> rise(WheelPace pace, List<LogRow> rows, Rider rider) {
        return UnexplainedRise.in(pace.lastSpan(), pace.heightM())
                .flatMap(rise -> rows.stream()
                        .filter(row -> row.happenedAt().equals(rise.after().at()))
                        .findFirst()
                        .map(row -> words.rise(row.id(), rise, pace.heightM(), rider)));
    }

    private List<PacePage.Span> spans(WheelPace pace, Rider rider) {
        List<PacePage.Span> spans = new ArrayList<>();
        for (List<LeakReading> span : Turn.spans(pace.turns())) {
            spans.add(0, words.span(span, PressureFall.of(span, pace.heightM()), rider));
        }
        return spans.subList(0, Math.min(LATEST_SPANS, spans.size()));
    }

    /** All at 20 C, so that what is drawn is what was fitted. */
    private static ReadingsChart chart(WheelPace pace, PressureWindow window, Rider rider, Instant now) {
        if (pace.turns().isEmpty()) {
            return null;
        }
        List<ReadingsChart.Reading> readings = pace.turns().stream()
                .map(turn -> new ReadingsChart.Reading(
                        turn.reading().at(), turn.reading().at20(pace.heightM()), turn.afterInflation()))
                .toList();
        List<List<ReadingsChart.Reading>> curves = Turn.spans(pace.turns()).stream()
                .map(span -> PressureFall.of(span, pace.heightM()))
                .flatMap(Optional::stream)
                .map(PaceService::curve)
                .toList();
        return ReadingsChart.of(readings, curves, window, rider.pressureUnit(), rider.zoneId(), now);
    }

    private static List<ReadingsChart.Reading> curve(PressureFall fall) {
        Duration step = Duration.between(fall.start(), fall.end()).dividedBy(CURVE_POINTS);
        return Stream.iterate(fall.start(), at -> at.plus(step))
                .limit(CURVE_POINTS + 1L)
                .map(at -> new ReadingsChart.Reading(at, fall.at(at).likely(), false))
                .toList();
    }
}
