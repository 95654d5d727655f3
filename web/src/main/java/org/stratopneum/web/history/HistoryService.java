package org.stratopneum.web.history;

import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.stratopneum.core.history.TreadWear;
import org.stratopneum.core.history.WindowDays;
import org.stratopneum.core.pressure.BikeAdvice;
import org.stratopneum.core.pressure.PressureWindow;
import org.stratopneum.core.pressure.WheelAdvice;
import org.stratopneum.web.fleet.bikes.BikeState;
import org.stratopneum.web.fleet.bikes.FittedTires;
import org.stratopneum.web.fleet.bikes.Garage;
import org.stratopneum.web.fleet.bikes.WheelHeads;
import org.stratopneum.web.fleet.bikes.WheelPosition;
import org.stratopneum.web.fleet.kept.RiderMemory;
import org.stratopneum.web.log.LogEntry;
import org.stratopneum.web.log.LogKind;
import org.stratopneum.web.log.LogOutcomes;
import org.stratopneum.web.log.LogRow;
import org.stratopneum.web.log.LogSubject;
import org.stratopneum.web.log.LogWording;
import org.stratopneum.web.log.Logbook;
import org.stratopneum.web.platform.drawing.HistoryBand;
import org.stratopneum.web.platform.drawing.HistorySpot;
import org.stratopneum.web.platform.fault.NotThereException;
import org.stratopneum.web.platform.wording.DateText;
import org.stratopneum.web.platform.wording.FormReader;
import org.stratopneum.web.platform.wording.FormView;
import org.stratopneum.web.platform.wording.ProblemWording;
import org.stratopneum.web.platform.wording.Wording;
import org.stratopneum.web.pressure.BikeAdvisor;
import org.stratopneum.web.pressure.WindowWording;
import org.stratopneum.web.rider.Rider;
import org.stratopneum.web.rider.Riders;

/** Shows the years of wheels and tires, and takes what is measured of a tread. */
@Service
class HistoryService {

    private static final int LATEST = 10;
    private static final int MOST_REMEMBERED = 50;

    /** What is drawn of a wheel. */
    private record Asked(UUID wheel, HistoryPage.Shown shown) {}

    private final PartHistories lives;
    private final HistoryDrawing drawing;
    private final WheelHeads heads;
    private final Garage garage;
    private final BikeAdvisor advisor;
    private final WindowWording windows;
    private final Riders riders;
    private final Logbook logbook;
    private final LogOutcomes outcomes;
    private final LogWording logWording;
    private final HistoryWording lifeWording;
    private final Wording wording;
    private final ProblemWording problemWording;
    private final WheelLives wheels;
    private final RiderMemory.Of<Asked, HistoryBand> bands;

    HistoryService(
            PartHistories lives,
            HistoryDrawing drawing,
            WheelHeads heads,
            Garage garage,
            BikeAdvisor advisor,
            WindowWording windows,
            Riders riders,
            Logbook logbook,
            LogOutcomes outcomes,
            LogWording logWording,
            HistoryWording lifeWording,
            Wording wording,
            ProblemWording problemWording,
            WheelLives wheels,
            RiderMemory memory) {
        bands = memory.of("BANDS", MOST_REMEMBERED);
        this.wheels = wheels;
        this.lives = lives;
        this.drawing = drawing;
        this.heads = heads;
        this.garage = garage;
        this.advisor = advisor;
        this.windows = windows;
        this.riders = riders;
        this.logbook = logbook;
        this.outcomes = outcomes;
        this.logWording = logWording;
        this.lifeWording = lifeWording;
        this.wording = wording;
        this.problemWording = problemWording;
    }

    /**
     * @param written entries that were just written, or null; {@code struck} deleted
     * @throws NotThereException when this rider has no such wheel
     */
    @Transactional(readOnly = true)
    HistoryPage wheel(UUID id, HistoryPage.Shown shown, List<UUID> written, List<UUID> struck) {
        Rider rider = riders.self();
        Instant now = lives.now();
        WheelLives.Lived lived = wheels.of(id, rider, now);
        PartHistory life = lived.life();
        List<WindowDays.Read> readings = lives.readings(life);
        List<HistoryPage.Figure> figures = new ArrayList<>(lived.figures());
        WheelHeads.Known known = heads.of(id, rider);
        inside(life, readings, window(known.bike(), known.wheel().position()), rider, now)
                .ifPresent(figures::add);
        List<UUID> ids = PartHistories.wheels(life);
        // an hour is no more than the width of a line
        HistoryBand band = bands.get(
                changes -> changes.ofWheels(ids),
                new Asked(id, shown),
                now.truncatedTo(ChronoUnit.HOURS),
                () -> drawing.band(life, readings, lived.name(), shown, rider, now));
        String path = "/wheels/" + id;
        return new HistoryPage(
                known.head(),
                lived.place(),
                new HistoryPage.Where(path, "/log?about=wheel-" + id, path + "/history", path + "/history.pdf", shown),
                band,
                said(life, readings, rider, now),
                lived.stays(),
                figures,
                logbook.ofWheel(id, List.of(LogKind.values()), LATEST).stream()
                        .map(row -> logWording.ofWheel(row, rider))
                        .toList(),
                null,
                outcomes.of(written, struck, rider));
    }

    /**
     * @param written entries that were just written, or null; {@code struck} struck through
     * @throws NotThereException when this rider has no such tire
     */
    @Transactional(readOnly = true)
    HistoryPage tire(UUID id, HistoryPage.Shown shown, List<UUID> written, List<UUID> struck) {
        return tire(id, shown, null, written, struck);
    }

    private HistoryPage tire(UUID id, HistoryPage.Shown shown, FormView typed, List<UUID> written, List<UUID> struck) {
        Rider rider = riders.self();
        PartHistoryBook book = lives.bookOfTires(Set.of(id), rider);
        List<HistoryMapper.TireRow> tires = lives.tires();
        HistoryMapper.TireRow tire =
                tires.stream().filter(row -> row.id().equals(id)).findFirst().orElseThrow(NotThereException::new);
        Instant now = lives.now();
        PartHistory life = book.ofTire(id);
        List<WindowDays.Read> readings = lives.readings(life);
        HistoryFigures found = HistoryFigures.of(life, PartHistories.priced(book, tires), id, now);
        List<HistoryPage.Figure> figures = new ArrayList<>(lifeWording.figures(found, rider));
        inside(
                        life,
                        readings,
                        life.current()
                                .flatMap(stay ->
                                        window(book.fitted().wheel(stay.wheel()).orElseThrow())),
                        rider,
                        now)
                .ifPresent(figures::add);
        Function<PartHistory.Stay, String> name = stay ->
                book.fitted().wheel(stay.wheel()).map(lifeWording::place).orElse("");
        String path = "/tires/" + id;
        return new HistoryPage(
                null,
                tire.name(),
                new HistoryPage.Where(path, "/log?about=tire-" + id, path + "/history", null, shown),
                drawing.band(life, readings, name, shown, rider, now),
                said(life, readings, rider, now),
                lifeWording.stays(life, stay -> "/wheels/" + stay.wheel() + "/history", name, rider, now),
                figures,
                List.of(),
                tread(id, life, found, typed, rider, now),
                outcomes.of(written, struck, rider));
    }

    /**
     * What the places of a wheel's band say.
     *
     * @throws NotThereException when this rider has no such wheel
     */
    @Transactional(readOnly = true)
    List<HistorySpot> spotsOfWheel(UUID id, HistoryPage.Shown shown) {
        Rider rider = riders.self();
        return spots(wheels.of(id, rider, lives.now()).life(), shown, rider);
    }

    /**
     * The same of a tire's.
     *
     * @throws NotThereException when this rider has no such tire
     */
    @Transactional(readOnly = true)
    List<HistorySpot> spotsOfTire(UUID id, HistoryPage.Shown shown) {
        Rider rider = riders.self();
        require(id);
        return spots(lives.bookOfTires(Set.of(id), rider).ofTire(id), shown, rider);
    }

    private List<HistorySpot> spots(PartHistory life, HistoryPage.Shown shown, Rider rider) {
        return drawing.spots(life, lives.readings(life), shown, rider, lives.now());
    }

    private void require(UUID tire) {
        if (lives.tires().stream().noneMatch(row -> row.id().equals(tire))) {
            throw new NotThereException();
        }
    }

    private Optional<HistoryPage.Figure> inside(
            PartHistory life,
            List<WindowDays.Read> readings,
            Optional<PressureWindow> window,
            Rider rider,
            Instant now) {
        return life.current()
                .flatMap(stay -> window.map(range -> lifeWording.inside(
                        WindowDays.of(readings, stay.from(), now, range.low(), range.high()),
                        windows.range(range, rider.pressureUnit()))));
    }

    private Optional<PressureWindow> window(FittedTires.Wheel wheel) {
        return window(garage.bikeOn(wheel.bikeId(), wheel.wheelsetId()), wheel.position());
    }

    private Optional<PressureWindow> window(BikeState bike, WheelPosition position) {
        Optional<BikeAdvice> advice = advisor.adviseUsual(bike);
        return advice.map(found -> position == WheelPosition.REAR ? found.rear() : found.front())
                .map(WheelAdvice::window);
    }

    private String said(PartHistory life, List<WindowDays.Read> readings, Rider rider, Instant now) {
        return life.stays().isEmpty()
                ? ""
                : wording.text(
                        "life.band.said",
                        DateText.date(life.stays().get(0).from(), rider.zoneId()),
                        DateText.date(now, rider.zoneId()),
                        life.stays().size(),
                        life.rides().size(),
                        readings.size(),
                        life.fillings().size(),
                        life.holes().size());
    }

    private HistoryPage.Tread tread(
            UUID id, PartHistory life, HistoryFigures found, FormView typed, Rider rider, Instant now) {
        double wornAt = HistoryFigures.wornAtMm(life.treads(), id);
        List<HistoryPage.Measured> measured = new ArrayList<>();
        if (!life.treads().isEmpty()) {
            List<UUID> ids = life.treads().stream().map(PartHistory.Tread::id).toList();
            List<LogRow> rows = new ArrayList<>(logbook.heads(ids));
            rows.sort(Comparator.comparing(LogRow::happenedAt).reversed());
            for (LogRow row : rows) {
                measured.add(new HistoryPage.Measured(
                        row.id(),
                        DateText.date(row.happenedAt(), rider.zoneId()),
                        logWording.line(row, rider).what(),
                        wording.text(
                                "life.tread.after", HistoryWording.distance(life.km(id, row.happenedAt()), rider))));
            }
        }
        return new HistoryPage.Tread(
                id,
                measured,
                wear(life, found, wornAt, rider, now),
                typed == null ? new FormView(TreadForm.blank(wornAt, rider), Map.of()) : typed,
                rider.lengthUnit().symbol(),
                UUID.randomUUID());
    }

    private List<String> wear(PartHistory life, HistoryFigures found, double wornAt, Rider rider, Instant now) {
        List<String> lines = new ArrayList<>();
        add(lines, "life.wear.middle", found.middle(), wornAt, found, rider, now);
        add(lines, "life.wear.shoulder", found.shoulder(), wornAt, found, rider, now);
        if (lines.isEmpty()) {
            long distances = life.treads().stream()
                    .map(tread -> life.km(tread.tire(), tread.at()))
                    .distinct()
                    .count();
            lines.add(wording.text(
                    distances == 0 ? "life.tread.none" : distances == 1 ? "life.tread.one" : "life.tread.grew"));
        }
        return lines;
    }

    private void add(
            List<String> lines,
            String place,
            Optional<TreadWear> wear,
            double wornAt,
            HistoryFigures found,
            Rider rider,
            Instant now) {
        wear.ifPresent(known -> lines.addAll(lifeWording.wear(place, known, wornAt, found.kmADay(), rider, now)));
    }

    /** What came of noting a depth: the entry, or the page again. */
    record Outcome(HistoryPage again, UUID entry) {}

    /** @throws NotThereException when this rider has no such tire */
    @Transactional
    Outcome measure(UUID tire, UUID entry, Map<String, String> typed) {
        Rider rider = riders.self();
        require(tire);
        Instant now = lives.now();
        FormReader reader = new FormReader(typed);
        Optional<TreadForm.Read> read = TreadForm.read(reader, rider, now);
        if (read.isEmpty()) {
            FormView form = new FormView(
                    typed, problemWording.messages(reader.problems().list()));
            return new Outcome(tire(tire, HistoryPage.Shown.of(HistoryPage.Span.ALL, "", ""), form, null, null), null);
        }
        Instant at = read.get().at().orElse(now);
        PartHistoryBook book = lives.bookOfTires(Set.of(tire), rider);
        LogSubject subject = book.ofTire(tire).stays().stream()
                .filter(stay -> stay.at(at))
                .findFirst()
                .flatMap(stay -> book.fitted().wheel(stay.wheel()))
                .map(wheel -> LogSubject.wheel(wheel.bikeId(), wheel.id(), tire))
                .orElse(LogSubject.wheel(null, null, tire));
        logbook.write(
                LogEntry.of(entry, at, now, rider.zone(), subject, read.get().measured()));
        return new Outcome(null, entry);
    }
}
