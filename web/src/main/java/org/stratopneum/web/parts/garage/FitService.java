package org.stratopneum.web.parts.garage;

import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.stratopneum.core.check.Problem;
import org.stratopneum.core.tire.SizeText;
import org.stratopneum.core.tire.TireSize;
import org.stratopneum.web.log.Logbook;
import org.stratopneum.web.platform.fault.NotThereException;
import org.stratopneum.web.platform.wording.FormReader;
import org.stratopneum.web.platform.wording.FormView;
import org.stratopneum.web.platform.wording.ProblemWording;
import org.stratopneum.web.rider.Rider;
import org.stratopneum.web.rider.Riders;

/** Puts a tire on a wheel: one from the shelf, or a new one that is entered with it. */
@Service
class FitService {

    private final PartsMapper parts;
    private final Workshop workshop;
    private final Riders riders;
    private final Logbook logbook;
    private final ProblemWording problemWording;

    FitService(PartsMapper parts, Workshop workshop, Riders riders, Logbook logbook, ProblemWording problemWording) {
        this.parts = parts;
        this.workshop = workshop;
        this.riders = riders;
        this.logbook = logbook;
        this.problemWording = problemWording;
    }

    /** What came of it: the page again, or the entries that were written. */
    record Outcome(PartPage again, List<UUID> entries) {}

    /** @throws NotThereException when this rider has no such wheel */
    @Transactional(readOnly = true)
    PartPage page(UUID wheelId) {
        return page(wheel(wheelId), riders.self(), Map.of("setup", "TUBELESS"), Map.of());
    }

    private PartsMapper.WheelRow wheel(UUID id) {
        return parts.wheel(id).orElseThrow(NotThereException::new);
    }

    private PartPage page(
            PartsMapper.WheelRow wheel, Rider rider, Map<String, String> typed, Map<String, String> errors) {
        List<PartsMapper.Fitting> fittings = parts.fittings();
        double beadSeat = parts.rim(wheel.rimId()).orElseThrow().bsdMm();
        List<PartPage.SpareTire> shelf = parts.tires().stream()
                .filter(tire -> tire.retiredOn() == null && tire.bsdMm() == beadSeat)
                .filter(tire -> fittings.stream()
                        .noneMatch(
                                fitting -> fitting.fitted() && fitting.tireId().equals(tire.id())))
                .map(tire -> new PartPage.SpareTire(
                        tire.id(), tire.name(), new TireSize(tire.nominalWidthMm(), tire.bsdMm()).designation()))
                .toList();
        return new PartPage(
                wheel.id(),
                wheel.bikeName(),
                wheel.position(),
                new FormView(typed, errors),
                rider.units(),
                SizeText.read(typed.get("size")),
                shelf,
                false,
                List.of(),
                wheel.id(),
                0);
    }

    @Transactional
    Outcome fit(UUID wheelId, UUID newId, Map<String, String> parameters) {
        Rider rider = riders.self();
        PartsMapper.WheelRow wheel = wheel(wheelId);
        Map<String, String> typed = new TreeMap<>(parameters);
        FormReader reader = new FormReader(typed);
        RimSpec rim = PartService.specOf(parts.rim(wheel.rimId()).orElseThrow());
        if (isOn(wheel, reader.text("shelf"))) {
            // sent twice
            return new Outcome(null, List.of());
        }
        UUID shelf = shelfTire(reader).orElse(null);
        Optional<TireSpec> tire = shelf == null && reader.isBlank("shelf")
                ? new PartFields(rider.units()).tire(reader, null)
                : Optional.ofNullable(shelf).flatMap(parts::tire).map(PartService::specOf);
        Optional<FitSpec> fit = new WheelFields(rider.units()).fit(reader, tire.orElse(null));
        LocalDate today = LocalDate.ofInstant(logbook.now(), rider.zoneId());
        Optional<LocalDate> since = FittingDay.read(reader, today);
        checkOrder(reader, wheel, shelf, since.orElse(null), rider);
        if (tire.isPresent() && fit.isPresent()) {
            FitChecks.check(reader, rider.units(), rim, tire.get(), fit.get(), FitService::fieldOf);
        }
        if (tire.isEmpty() || fit.isEmpty() || !reader.problems().isEmpty()) {
            Map<String, String> errors =
                    problemWording.messages(reader.problems().list());
            return new Outcome(page(wheel, rider, typed, shelf == null ? errors : onTheShelf(errors)), List.of());
        }
        FitSpec wanted = shelf == null ? fit.get() : fit.get().fromTheShelf(shelf);
        return new Outcome(null, workshop.fit(wheel, wanted, newId, since.orElse(null)));
    }

    /** The rim is what it is here: what it lacks is mended by another tire, or another set-up. */
    private static String fieldOf(String field) {
        return field.equals("bed") ? "setup" : PartService.tireFieldOf(field);
    }

    private boolean isOn(PartsMapper.WheelRow wheel, String tire) {
        return parts.fittings().stream()
                .filter(PartsMapper.Fitting::fitted)
                .anyMatch(fitting -> fitting.wheelId().equals(wheel.id())
                        && fitting.tireId().toString().equals(tire));
    }

    /** Faults of a tire from the shelf are said beside the choice: its own fields are not shown to be mended. */
    private static Map<String, String> onTheShelf(Map<String, String> errors) {
        Map<String, String> moved = new TreeMap<>(errors);
        for (String field :
                List.of("size", "hooklessOk", "tubeless", "tireMin", "tireMax", "measuringRim", "rimWidth")) {
            String message = moved.remove(field);
            if (message != null) {
                moved.putIfAbsent("shelf", message);
            }
        }
        return moved;
    }

    private Optional<UUID> shelfTire(FormReader reader) {
        if (reader.isBlank("shelf")) {
            return Optional.empty();
        }
        Optional<UUID> id = parts.tires().stream()
                .map(PartsMapper.TireRow::id)
                .filter(tire -> tire.toString().equals(reader.text("shelf")))
                .filter(tire -> parts.fittings().stream()
                        .noneMatch(
                                fitting -> fitting.fitted() && fitting.tireId().equals(tire)))
                .findFirst();
        if (id.isEmpty()) {
            reader.fault("shelf", "not-on-the-shelf");
        }
        return id;
    }

    /** What is written now must come after what the wheel, or the tire, has behind it; else the log would say nonsense. */
    private void checkOrder(FormReader reader, PartsMapper.WheelRow wheel, UUID tire, LocalDate since, Rider rider) {
        Instant at = FittingDay.moment(since, rider.zoneId(), logbook.now());
        boolean tooEarly = parts.fittings().stream()
                .filter(fitting ->
                        fitting.wheelId().equals(wheel.id()) || fitting.tireId().equals(tire))
                .anyMatch(fitting -> !fitting.at().isBefore(at));
        if (tooEarly) {
            reader.add(Problem.of("since", "before-the-last-fitting"));
        }
    }

    /** Takes the tire off; the entries that say so. */
    @Transactional
    List<UUID> takeOff(UUID wheelId) {
        return workshop.takeOff(wheel(wheelId));
    }
}
