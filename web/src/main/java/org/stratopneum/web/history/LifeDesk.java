package org.stratopneum.web.history;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.stratopneum.core.history.TreadWear;
import org.stratopneum.core.history.WindowDays;
import org.stratopneum.core.pressure.BikeAdvice;
import org.stratopneum.core.pressure.PressureWindow;
import org.stratopneum.core.pressure.WheelAdvice;
import org.stratopneum.web.bikes.BikeStanding;
import org.stratopneum.web.bikes.FittedTires;
import org.stratopneum.web.bikes.Garage;
import org.stratopneum.web.bikes.WheelPosition;
import org.stratopneum.web.drawing.LifeBand;
import org.stratopneum.web.fault.NotThereException;
import org.stratopneum.web.logbook.LogEntry;
import org.stratopneum.web.logbook.LogOutcomes;
import org.stratopneum.web.logbook.LogRow;
import org.stratopneum.web.logbook.LogSubject;
import org.stratopneum.web.logbook.LogWording;
import org.stratopneum.web.logbook.Logbook;
import org.stratopneum.web.pressure.BikeAdvisor;
import org.stratopneum.web.pressure.WindowWording;
import org.stratopneum.web.rider.Rider;
import org.stratopneum.web.rider.Riders;
import org.stratopneum.web.wording.Age;
import org.stratopneum.web.wording.FormReader;
import org.stratopneum.web.wording.FormView;
import org.stratopneum.web.wording.ProblemWording;
import org.stratopneum.web.wording.Wording;

/** Shows the years of wheels and tires, and takes what is measured of a tread. */
@Service
class LifeDesk {

    private final Lives lives;
    private final Garage garage;
    private final BikeAdvisor advisor;
    private final WindowWording windows;
    private final Riders riders;
    private final Logbook logbook;
    private final LogOutcomes outcomes;
    private final LogWording logWording;
    private final LifeWording lifeWording;
    private final Wording wording;
    private final ProblemWording problemWording;

    LifeDesk(
            Lives lives,
            Garage garage,
            BikeAdvisor advisor,
            WindowWording windows,
            Riders riders,
            Logbook logbook,
            LogOutcomes outcomes,
            LogWording logWording,
            LifeWording lifeWording,
            Wording wording,
            ProblemWording problemWording) {
        this.lives = lives;
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

    /** @throws NotThereException when this rider has no such wheel */
    @Transactional(readOnly = true)
    LifePage wheel(UUID id, LifePage.Span span) {
        Rider rider = riders.self();
        LifeBook book = lives.book(rider);
        FittedTires.Wheel wheel = book.fitted().wheel(id).orElseThrow(NotThereException::new);
        List<LifeMapper.TireRow> tires = lives.tires();
        Map<UUID, String> names =
                tires.stream().collect(Collectors.toMap(LifeMapper.TireRow::id, LifeMapper.TireRow::name));
        Function<Life.Stay, String> name = LifeDrawing.tires(names);
        Instant now = lives.now();
        Life life = book.ofWheel(id);
        List<WindowDays.Read> readings = lives.readings(life);
        UUID on = current(life).map(Life.Stay::tire).orElse(null);
        LifeFigures found = LifeFigures.of(life, Lives.priced(book, tires), on, now);
        List<LifePage.Figure> figures = new ArrayList<>(lifeWording.figures(found, rider));
        inside(life, readings, book, rider, now).ifPresent(figures::add);
        LifeBand band = LifeDrawing.band(life, readings, name, span, rider, now);
        String path = "/wheels/" + id;
        return new LifePage(
                place(wheel),
                new LifePage.Where(path, "/log?about=wheel-" + id, path + "/history", path + "/history.pdf", span),
                band,
                said(life, readings, rider, now),
                stays(life, stay -> "/tires/" + stay.tire() + "/history", name, rider, now),
                figures,
                null,
                null);
    }

    /**
     * @param written entries that were just written, or null; {@code struck} struck through
     * @throws NotThereException when this rider has no such tire
     */
    @Transactional(readOnly = true)
    LifePage tire(UUID id, LifePage.Span span, List<UUID> written, List<UUID> struck) {
        return tire(id, span, null, written, struck);
    }

    private LifePage tire(UUID id, LifePage.Span span, FormView typed, List<UUID> written, List<UUID> struck) {
        Rider rider = riders.self();
        LifeBook book = lives.book(rider);
        List<LifeMapper.TireRow> tires = lives.tires();
        LifeMapper.TireRow tire =
                tires.stream().filter(row -> row.id().equals(id)).findFirst().orElseThrow(NotThereException::new);
        Instant now = lives.now();
        Life life = book.ofTire(id);
        List<WindowDays.Read> readings = lives.readings(life);
        LifeFigures found = LifeFigures.of(life, Lives.priced(book, tires), id, now);
        List<LifePage.Figure> figures = new ArrayList<>(lifeWording.figures(found, rider));
        inside(life, readings, book, rider, now).ifPresent(figures::add);
        Function<Life.Stay, String> name =
                stay -> book.fitted().wheel(stay.wheel()).map(this::place).orElse("");
        String path = "/tires/" + id;
        return new LifePage(
                tire.name(),
                new LifePage.Where(path, "/log?about=tire-" + id, path + "/history", null, span),
                LifeDrawing.band(life, readings, name, span, rider, now),
                said(life, readings, rider, now),
                stays(life, stay -> "/wheels/" + stay.wheel() + "/history", name, rider, now),
                figures,
                tread(id, life, found, typed, rider, now),
                outcomes.of(written, struck, rider));
    }

    /** "Skylark, rear · everyday wheels". */
    private String place(FittedTires.Wheel wheel) {
        return wheel.bikeName() + ", " + wording.of("position", wheel.position()) + " · " + wheel.wheelsetName();
    }

    private static Optional<Life.Stay> current(Life life) {
        return life.stays().stream().filter(stay -> stay.until() == null).findFirst();
    }

    private Optional<LifePage.Figure> inside(
            Life life, List<WindowDays.Read> readings, LifeBook book, Rider rider, Instant now) {
        Optional<Life.Stay> on = current(life);
        return on.flatMap(stay -> window(book.fitted().wheel(stay.wheel()).orElseThrow(), rider)
                .map(window -> lifeWording.inside(
                        WindowDays.of(readings, stay.from(), now, window.low(), window.high()),
                        windows.range(window, rider.pressureUnit()))));
    }

    private Optional<PressureWindow> window(FittedTires.Wheel wheel, Rider rider) {
        BikeStanding bike = garage.bikeOn(wheel.bikeId(), wheel.wheelsetId());
        Optional<BikeAdvice> advice = advisor.adviseUsual(bike, rider.bodyKg());
        return advice.map(found -> wheel.position() == WheelPosition.REAR ? found.rear() : found.front())
                .map(WheelAdvice::window);
    }

    private String said(Life life, List<WindowDays.Read> readings, Rider rider, Instant now) {
        return life.stays().isEmpty()
                ? ""
                : wording.text(
                        "life.band.said",
                        Age.date(life.stays().get(0).from(), rider.zoneId()),
                        Age.date(now, rider.zoneId()),
                        life.stays().size(),
                        life.rides().size(),
                        readings.size(),
                        life.fillings().size(),
                        life.holes().size());
    }

    private List<LifePage.Stay> stays(
            Life life, Function<Life.Stay, String> link, Function<Life.Stay, String> name, Rider rider, Instant now) {
        List<LifePage.Stay> stays = new ArrayList<>();
        for (Life.Stay stay : life.stays()) {
            double km = life.rides().stream()
                    .filter(ride -> ride.km() != null && stay.at(ride.at()))
                    .mapToDouble(Life.Ride::km)
                    .sum();
            stays.add(new LifePage.Stay(
                    name.apply(stay),
                    link.apply(stay),
                    Age.date(stay.from(), rider.zoneId()),
                    stay.until() == null ? wording.text("life.still") : Age.date(stay.until(), rider.zoneId()),
                    String.valueOf(Math.round(stay.days(now))),
                    LifeWording.distance(km, rider)));
        }
        Collections.reverse(stays);
        return stays;
    }

    private LifePage.Tread tread(UUID id, Life life, LifeFigures found, FormView typed, Rider rider, Instant now) {
        double wornAt = LifeFigures.wornAtMm(life.treads(), id);
        List<LifePage.Measured> measured = new ArrayList<>();
        if (!life.treads().isEmpty()) {
            List<UUID> ids = life.treads().stream().map(Life.Tread::id).toList();
            List<LogRow> rows = new ArrayList<>(logbook.heads(ids));
            rows.sort(Comparator.comparing(LogRow::happenedAt).reversed());
            for (LogRow row : rows) {
                measured.add(new LifePage.Measured(
                        row.id(),
                        Age.date(row.happenedAt(), rider.zoneId()),
                        logWording.line(row, rider).what(),
                        wording.text("life.tread.after", LifeWording.distance(life.km(id, row.happenedAt()), rider))));
            }
        }
        return new LifePage.Tread(
                id,
                measured,
                wear(life, found, wornAt, rider, now),
                typed == null ? new FormView(TreadForm.blank(wornAt, rider), Map.of()) : typed,
                rider.lengthUnit().symbol(),
                UUID.randomUUID());
    }

    private List<String> wear(Life life, LifeFigures found, double wornAt, Rider rider, Instant now) {
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
            LifeFigures found,
            Rider rider,
            Instant now) {
        wear.ifPresent(known -> lines.addAll(lifeWording.wear(place, known, wornAt, found.kmADay(), rider, now)));
    }

    /** What came of noting a depth: the entry, or the page again. */
    record Outcome(LifePage again, UUID entry) {}

    /** @throws NotThereException when this rider has no such tire */
    @Transactional
    Outcome measure(UUID tire, UUID entry, Map<String, String> typed) {
        Rider rider = riders.self();
        if (lives.tires().stream().noneMatch(row -> row.id().equals(tire))) {
            throw new NotThereException();
        }
        Instant now = lives.now();
        FormReader reader = new FormReader(typed);
        Optional<TreadForm.Read> read = TreadForm.read(reader, rider, now);
        if (read.isEmpty()) {
            FormView form = new FormView(
                    typed, problemWording.messages(reader.problems().list()));
            return new Outcome(tire(tire, LifePage.Span.ALL, form, null, null), null);
        }
        Instant at = read.get().at().orElse(now);
        LifeBook book = lives.book(rider);
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
