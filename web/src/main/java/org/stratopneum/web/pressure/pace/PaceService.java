package org.stratopneum.web.pressure.pace;

import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.util.function.SingletonSupplier;
import org.stratopneum.core.leak.AirLoss;
import org.stratopneum.core.leak.LeakClass;
import org.stratopneum.core.leak.LeakReading;
import org.stratopneum.core.leak.PaceRise;
import org.stratopneum.core.leak.PressureOutlook;
import org.stratopneum.core.leak.Turn;
import org.stratopneum.core.pressure.Ceiling;
import org.stratopneum.core.pressure.PressureWindow;
import org.stratopneum.core.pressure.WheelAdvice;
import org.stratopneum.core.quantity.GaugePressure;
import org.stratopneum.web.fleet.bikes.BikeState;
import org.stratopneum.web.fleet.bikes.WheelHeads;
import org.stratopneum.web.fleet.bikes.WheelLoss;
import org.stratopneum.web.fleet.bikes.WheelPlace;
import org.stratopneum.web.fleet.bikes.WheelPosition;
import org.stratopneum.web.fleet.bikes.WheelState;
import org.stratopneum.web.log.LogKind;
import org.stratopneum.web.log.LogRow;
import org.stratopneum.web.log.LogWording;
import org.stratopneum.web.log.Logbook;
import org.stratopneum.web.platform.drawing.LossChart;
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

    private static final int LATEST_SPANS = 6;
    private static final int READINGS = 60;

    /** What the log holds so many days before a change, and after it, is named beside it. */
    private static final int NEAR_BEFORE = 4;

    private static final int NEAR_AFTER = 1;

    private final Riders riders;
    private final BikeAdvisor advisor;
    private final Logbook logbook;
    private final LogWording logWording;
    private final WheelHeads heads;
    private final HoldReading holds;
    private final PaceWording words;
    private final Wording wording;
    private final ProblemWording problemWording;

    PaceService(
            Riders riders,
            BikeAdvisor advisor,
            Logbook logbook,
            LogWording logWording,
            WheelHeads heads,
            HoldReading holds,
            PaceWording words,
            Wording wording,
            ProblemWording problemWording) {
        this.riders = riders;
        this.advisor = advisor;
        this.logbook = logbook;
        this.logWording = logWording;
        this.heads = heads;
        this.holds = holds;
        this.words = words;
        this.wording = wording;
        this.problemWording = problemWording;
    }

    /** @throws org.stratopneum.web.platform.fault.NotThereException when this rider has no such wheel */
    @Transactional(readOnly = true)
    PacePage page(UUID id, Map<String, String> typed) {
        Rider rider = riders.self();
        WheelHeads.Known known = heads.of(id, rider);
        WheelPlace place = known.place();
        BikeState bike = known.bike();
        WheelState wheel = known.wheel();
        Instant now = logbook.now();
        Supplier<List<LogRow>> readings = SingletonSupplier.of(() -> logbook.ofWheel(id, LogKind.READINGS, READINGS));
        Optional<WheelLoss> read = known.loss();
        Optional<AirLoss> loss = read.map(WheelLoss::loss);
        Optional<PressureOutlook> outlook = loss.flatMap(AirLoss::outlook);
        Optional<WheelAdvice> advice = advisor.adviseUsual(bike)
                .map(found -> place.position() == WheelPosition.REAR ? found.rear() : found.front());
        GaugePressure told = advice.map(WheelAdvice::pressure).orElse(null);
        PressureWindow window = advice.map(WheelAdvice::window).orElse(null);
        EveningForm evening = EveningForm.of(typed, told, rider, now);
        GaugePressure ceiling = wheel.ceiling().map(Ceiling::pressure).orElse(null);
        Optional<HoleForm> hole = wheel.tireOnRim()
                .map(onRim -> HoleForm.of(typed, onRim.section().airVolumeL(), bike.heightM(), rider.pressureUnit()));
        return new PacePage(
                known.head(),
                loss.flatMap(found ->
                                found.rate().map(rate -> words.rate(rate, found, bike.heightM(), told, wheel, rider)))
                        .orElse(null),
                loss.flatMap(found -> found.rise().map(rise -> change(rise, found, bike, id, rider)))
                        .orElse(null),
                loss.flatMap(found -> words.flat(found, rider)).orElse(null),
                loss.filter(found -> found.alarm() == AirLoss.Alarm.READ_ONCE_MORE)
                        .flatMap(found -> words.onceMore(found, rider))
                        .orElse(null),
                read.flatMap(found -> unlogged(found, readings, rider)).orElse(null),
                read.flatMap(found -> gone(found, rider)).orElse(null),
                outlook.map(found -> words.ahead(found, window, rider, now)).orElse(List.of()),
                new FormView(
                        evening.typed(),
                        problemWording.messages(evening.problems().list())),
                outlook.flatMap(found -> evening.asked()
                                .flatMap(asked -> words.evening(found, asked, ceiling, isFast(loss.get()), rider, now)))
                        .orElse(null),
                hole.map(form -> new FormView(
                                form.reader().typed(),
                                problemWording.messages(form.reader().problems().list())))
                        .orElse(null),
                hole.flatMap(HoleForm::diameterMm).map(words::hole).orElse(null),
                wheel.tire()
                        .flatMap(tire -> holds.of(since(tire.since(), readings.get()), rider))
                        .orElse(null),
                read.flatMap(found -> chart(id, found, advice.orElse(null), rider, now))
                        .orElse(null),
                read.map(found -> wording.text("pace.chart", found.turns().size()))
                        .orElse(null),
                rider.pressureUnit().symbol(),
                read.map(found -> spans(found, rider)).orElse(List.of()),
                loss.map(words::bands).orElse(List.of()));
    }

    private static boolean isFast(AirLoss loss) {
        return loss.named() == LeakClass.FAST;
    }

    private PacePage.Change change(PaceRise rise, AirLoss loss, BikeState bike, UUID wheelId, Rider rider) {
        Instant from = rise.since().minus(NEAR_BEFORE, ChronoUnit.DAYS);
        Instant to = rise.seen().plus(NEAR_AFTER, ChronoUnit.DAYS);
        List<PacePage.Near> near = Stream.concat(
                        logbook
                                .current(List.of(wheelId), List.of(new Logbook.Asked(LogKind.SETTING_UP, from)))
                                .stream(),
                        logbook.ridesOfBike(bike.id(), from).stream())
                .filter(row -> row.happenedAt().isBefore(to))
                .sorted(Comparator.comparing(LogRow::happenedAt))
                .map(row -> new PacePage.Near(
                        row.id(),
                        DateText.moment(row.happenedAt(), rider.zoneId()),
                        logWording.line(row, rider).what()))
                .toList();
        return words.change(rise, loss.alarm(), near, rider);
    }

    /** Asked once: after the next inflation that is noted it matters no more. */
    private Optional<PacePage.Unlogged> unlogged(WheelLoss read, Supplier<List<LogRow>> readings, Rider rider) {
        List<List<LeakReading>> spans = Turn.spans(read.turns());
        return read.loss().unlogged().stream()
                .filter(found -> spans.get(spans.size() - 1).contains(found.after()))
                .reduce((earlier, later) -> later)
                .flatMap(found -> readings.get().stream()
                        .filter(row -> row.happenedAt().equals(found.after().at()))
                        .findFirst()
                        .map(row -> words.unlogged(row.id(), found, read.heightM(), rider)));
    }

    /** As long as the stretch is among those that are listed. */
    private Optional<String> gone(WheelLoss read, Rider rider) {
        List<List<LeakReading>> spans = Turn.spans(read.turns());
        return read.loss().goneAtOnce().stream()
                .filter(found -> spans.subList(Math.max(0, spans.size() - LATEST_SPANS), spans.size()).stream()
                        .anyMatch(span -> span.contains(found.after())))
                .reduce((earlier, later) -> later)
                .map(found -> words.gone(found, read.heightM(), rider));
    }

    private List<PacePage.Span> spans(WheelLoss read, Rider rider) {
        List<PacePage.Span> spans = new ArrayList<>();
        for (List<LeakReading> span : Turn.spans(read.turns())) {
            spans.add(0, words.span(span, read.heightM(), rider));
        }
        return spans.subList(0, Math.min(LATEST_SPANS, spans.size()));
    }

    private static List<LogRow> since(Instant fitted, List<LogRow> readings) {
        return readings.stream()
                .filter(row -> !row.happenedAt().isBefore(fitted))
                .toList();
    }

    /** The last span, and the one before where that has only begun; all at 20 C, as it was fitted. */
    private Optional<LossChart> chart(UUID wheelId, WheelLoss read, WheelAdvice advice, Rider rider, Instant now) {
        List<List<LeakReading>> spans = Turn.spans(read.turns());
        if (spans.isEmpty()) {
            return Optional.empty();
        }
        List<LeakReading> span = spans.get(spans.size() - 1);
        Set<Instant> pumped = read.turns().stream()
                .filter(Turn::afterInflation)
                .map(turn -> turn.reading().at())
                .collect(Collectors.toSet());
        PressureOutlook outlook = read.loss().outlook().orElse(null);
        PressureWindow window = advice == null ? null : advice.window();
        GaugePressure floor = advice == null ? null : advice.limits().floor();
        return Optional.of(new LossChart(
                new LossChart.Shown(
                        span.stream()
                                .map(reading -> new LossChart.Read(
                                        reading.at(),
                                        reading.at20(read.heightM()),
                                        pumped.contains(reading.at()),
                                        wording.text(
                                                pumped.contains(reading.at())
                                                        ? "pace.chart.pumped"
                                                        : "pace.chart.read")))
                                .toList(),
                        outlook,
                        read.loss().bands().from(LeakClass.SLOW),
                        window,
                        floor,
                        PaceWording.code(read.loss().named()),
                        "/log?topic=READINGS&about=wheel-" + wheelId,
                        rider.pressureUnit(),
                        rider.zoneId(),
                        now),
                words.chart(outlook, window, floor, rider)));
    }
}
