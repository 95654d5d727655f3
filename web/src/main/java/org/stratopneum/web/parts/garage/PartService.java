package org.stratopneum.web.parts.garage;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.stratopneum.core.fit.RimBed;
import org.stratopneum.core.fit.ValveHole;
import org.stratopneum.core.pressure.Casing;
import org.stratopneum.core.pressure.SetupKind;
import org.stratopneum.core.tire.SizeText;
import org.stratopneum.core.tire.TireSize;
import org.stratopneum.web.fleet.bikes.BikeState;
import org.stratopneum.web.fleet.bikes.Garage;
import org.stratopneum.web.fleet.bikes.Marking;
import org.stratopneum.web.fleet.bikes.WheelPlace;
import org.stratopneum.web.fleet.bikes.WheelState;
import org.stratopneum.web.log.LogLine;
import org.stratopneum.web.log.LogRow;
import org.stratopneum.web.log.LogWording;
import org.stratopneum.web.log.Logbook;
import org.stratopneum.web.platform.fault.NotThereException;
import org.stratopneum.web.platform.wording.DateText;
import org.stratopneum.web.platform.wording.FormReader;
import org.stratopneum.web.platform.wording.FormView;
import org.stratopneum.web.platform.wording.ProblemWording;
import org.stratopneum.web.platform.wording.Wording;
import org.stratopneum.web.rider.Rider;
import org.stratopneum.web.rider.Riders;

/** Changes rims and tires; a change that would make a fitted pair impossible is refused. */
@Service
class PartService {

    private static final int PLACES = 100;

    private final PartsMapper parts;
    private final Riders riders;
    private final ProblemWording problemWording;
    private final Logbook logbook;
    private final LogWording logWording;
    private final Wording wording;
    private final Garage garage;

    PartService(
            PartsMapper parts,
            Riders riders,
            ProblemWording problemWording,
            Logbook logbook,
            LogWording logWording,
            Wording wording,
            Garage garage) {
        this.garage = garage;
        this.parts = parts;
        this.riders = riders;
        this.problemWording = problemWording;
        this.logbook = logbook;
        this.logWording = logWording;
        this.wording = wording;
    }

    /** What came of a change: nothing to say, or the page again with what is wrong. */
    record Outcome(PartPage again, boolean conflict, UUID back) {}

    /** @param id the tire, or null for a new one */
    @Transactional(readOnly = true)
    PartPage tire(UUID id) {
        Rider rider = riders.self();
        Map<String, String> texts = new TreeMap<>();
        if (id == null) {
            return tirePage(null, rider, texts, Map.of(), 0);
        }
        PartsMapper.TireRow row = parts.tire(id).orElseThrow(NotThereException::new);
        new PartFields(rider.units()).fill(texts, specOf(row));
        return tirePage(row, rider, texts, Map.of(), row.version());
    }

    private PartPage tirePage(
            PartsMapper.TireRow row, Rider rider, Map<String, String> texts, Map<String, String> errors, int version) {
        return new PartPage(
                row == null ? null : row.id(),
                row == null ? null : row.name(),
                null,
                new FormView(texts, errors),
                rider.units(),
                SizeText.read(texts.get("size")),
                List.of(),
                row != null && !garage.casingQuestions(row.id()).isEmpty(),
                row == null ? List.of() : been(logbook.ofTire(row.id(), PLACES), rider),
                row == null ? null : wheelUnder(row.id()).orElse(null),
                version);
    }

    private Optional<UUID> wheelUnder(UUID tire) {
        return parts.fittings().stream()
                .filter(fitting -> fitting.fitted() && fitting.tireId().equals(tire))
                .map(PartsMapper.Fitting::wheelId)
                .findFirst();
    }

    /** @param id the tire, or null for a new one, which is kept under {@code newId} */
    @Transactional
    Outcome changeTire(UUID id, UUID newId, Map<String, String> typed, int version) {
        Rider rider = riders.self();
        PartsMapper.TireRow row = id == null ? null : parts.tire(id).orElseThrow(NotThereException::new);
        FormReader reader = new FormReader(typed);
        Optional<TireSpec> tire = new PartFields(rider.units()).tire(reader, row == null ? null : specOf(row));
        if (row != null && tire.isPresent()) {
            wheelUnder(id).ifPresent(wheel -> checkOnRim(reader, rider, wheel, tire.get()));
        }
        if (tire.isEmpty() || !reader.problems().isEmpty()) {
            return new Outcome(tirePage(row, rider, typed, messages(reader), version), false, null);
        }
        if (row == null) {
            parts.insertTire(newId, tire.get());
            return new Outcome(null, false, null);
        }
        if (parts.updateTire(id, tire.get(), version) == 0) {
            return new Outcome(tirePage(row, rider, typed, Map.of(), row.version()), true, null);
        }
        return new Outcome(null, false, wheelUnder(id).orElse(null));
    }

    private void checkOnRim(FormReader reader, Rider rider, UUID wheelId, TireSpec tire) {
        PartsMapper.WheelRow wheel = parts.wheel(wheelId).orElseThrow(NotThereException::new);
        RimSpec rim = specOf(parts.rim(wheel.rimId()).orElseThrow(NotThereException::new));
        FitChecks.check(reader, rider.units(), rim, tire, onWheel(tire, wheelId), PartService::tireFieldOf);
    }

    /** What counts when a part is changed under a tire that is on already: no width measured anew, no insert. */
    private FitSpec onWheel(TireSpec tire, UUID wheelId) {
        WheelPlace place = garage.place(wheelId);
        SetupKind setup = garage.bikeOn(place.bikeId(), place.wheelsetId())
                .wheel(place.position())
                .flatMap(WheelState::tire)
                .map(fitted -> fitted.fitted().setup())
                .orElse(SetupKind.TUBELESS);
        return new FitSpec(null, tire, setup, false, null);
    }

    /** A tire's page has none of the rim's fields. */
    static String tireFieldOf(String field) {
        return field.equals("rimWidth") || field.equals("bed") ? "size" : field;
    }

    private List<PartPage.Been> been(List<LogRow> rows, Rider rider) {
        return rows.stream()
                .filter(row -> !row.struck())
                .map(row -> {
                    LogLine line = logWording.line(row, rider);
                    return new PartPage.Been(
                            DateText.date(row.happenedAt(), rider.zoneId()),
                            line.bike() + " " + line.where(),
                            line.what());
                })
                .toList();
    }

    /** Another tire of the same kind, with its name, on the shelf. */
    @Transactional
    UUID duplicateTire(UUID id) {
        UUID copy = UUID.randomUUID();
        parts.insertTire(copy, specOf(parts.tire(id).orElseThrow(NotThereException::new)));
        parts.askAsOf(copy, id);
        return copy;
    }

    /** @throws NotThereException when this rider has no such tire */
    @Transactional
    void chooseCasing(UUID id, Casing casing) {
        if (parts.chooseCasing(id, casing) == 0) {
            throw new NotThereException();
        }
    }

    /**
     * Notes what was read off a wheel; the other wheel of the pair shares the answer where its part is called the same and
     * nobody knew of it either. A width is not answered by yes or no.
     *
     * @throws NotThereException when this rider has no such wheel, or nothing is on it
     */
    @Transactional
    void read(UUID wheelId, Marking marking, boolean answer) {
        WheelPlace place = garage.place(wheelId);
        BikeState bike = garage.bikeOn(place.bikeId(), place.wheelsetId());
        WheelState wheel = bike.wheel(place.position()).orElseThrow();
        WheelState.Tire tire = wheel.tire().orElseThrow(NotThereException::new);
        Optional<WheelState> twin = bike.wheel(place.position().other());
        UUID twinTire = twin.flatMap(WheelState::tire).map(WheelState.Tire::id).orElse(null);
        UUID twinRim = twin.map(other -> other.rim().id()).orElse(null);
        switch (marking) {
            case TUBELESS_TIRE -> parts.answerOfTire(tire.id(), twinTire, answer, null);
            case HOOKLESS_TIRE -> parts.answerOfTire(tire.id(), twinTire, null, answer);
            case RIM_EDGE -> parts.answerOfRim(wheel.rim().id(), twinRim, answer);
            case RIM_WIDTH -> throw new NotThereException();
        }
    }

    /** The same for a rim. */
    @Transactional
    UUID duplicateRim(UUID id) {
        UUID copy = UUID.randomUUID();
        parts.insertRim(copy, specOf(parts.rim(id).orElseThrow(NotThereException::new)));
        return copy;
    }

    /** A rim to be entered for the shelf. */
    @Transactional(readOnly = true)
    PartPage blankRim() {
        return rimPage(null, riders.self(), Map.of("bed", RimBed.UNTAPED.name()), Map.of(), 0);
    }

    @Transactional
    Outcome addRim(UUID newId, Map<String, String> typed) {
        Rider rider = riders.self();
        FormReader reader = new FormReader(typed);
        Optional<RimSpec> rim = new PartFields(rider.units()).rim(reader, null, null, RimBed.UNTAPED, null);
        if (rim.isEmpty() || !reader.problems().isEmpty()) {
            return new Outcome(rimPage(null, rider, typed, messages(reader), 0), false, null);
        }
        parts.insertRim(newId, rim.get());
        return new Outcome(null, false, null);
    }

    /** @throws NotThereException when this rider has no such rim */
    @Transactional(readOnly = true)
    PartPage rim(UUID id) {
        Rider rider = riders.self();
        PartsMapper.RimRow row = parts.rim(id).orElseThrow(NotThereException::new);
        Map<String, String> texts = new TreeMap<>();
        new PartFields(rider.units()).fill(texts, specOf(row));
        return rimPage(row, rider, texts, Map.of(), row.version());
    }

    private PartPage rimPage(
            PartsMapper.RimRow row, Rider rider, Map<String, String> texts, Map<String, String> errors, int version) {
        List<PartsMapper.WheelRow> wheels = row == null ? List.of() : parts.wheelsOnRim(row.id());
        return new PartPage(
                row == null ? null : row.id(),
                row == null ? null : row.name(),
                null,
                new FormView(texts, errors),
                rider.units(),
                List.of(),
                List.of(),
                false,
                wheels.stream().map(this::built).toList(),
                wheels.stream().map(PartsMapper.WheelRow::id).findFirst().orElse(null),
                version);
    }

    /** A rim stays in the wheel that it was built into. */
    private PartPage.Been built(PartsMapper.WheelRow wheel) {
        return new PartPage.Been(
                "", wheel.bikeName() + " " + wording.of("position", wheel.position()), wording.text("shelf.built-in"));
    }

    @Transactional
    Outcome changeRim(UUID id, Map<String, String> typed, int version) {
        Rider rider = riders.self();
        PartsMapper.RimRow row = parts.rim(id).orElseThrow(NotThereException::new);
        FormReader reader = new FormReader(typed);
        Optional<RimSpec> rim = new PartFields(rider.units()).rim(reader, null, null, row.tubelessBed(), specOf(row));
        rim.ifPresent(changed -> parts.wheelsOnRim(id)
                .forEach(wheel -> fittedTire(wheel.id()).ifPresent(tire -> {
                    // said beside the rim's own fields: this page has none of the tire's
                    FitSpec on = onWheel(tire, wheel.id());
                    FitChecks.check(reader, rider.units(), changed, tire, on, PartService::rimFieldOf);
                })));
        if (rim.isEmpty() || !reader.problems().isEmpty()) {
            return new Outcome(rimPage(row, rider, typed, messages(reader), version), false, null);
        }
        if (parts.updateRim(id, rim.get(), version) == 0) {
            return new Outcome(rimPage(row, rider, typed, Map.of(), row.version()), true, null);
        }
        UUID back = parts.wheelsOnRim(id).stream()
                .map(PartsMapper.WheelRow::id)
                .findFirst()
                .orElse(null);
        return new Outcome(null, false, back);
    }

    private static String rimFieldOf(String field) {
        return switch (field) {
            case "size" -> "rimDiameter";
            case "hooklessOk" -> "hookless";
            case "tubeless" -> "hookless";
            case "rimMax", "bed" -> field;
            default -> "rimWidth";
        };
    }

    private Optional<TireSpec> fittedTire(UUID wheel) {
        return parts.fittings().stream()
                .filter(fitting -> fitting.fitted() && fitting.wheelId().equals(wheel))
                .findFirst()
                .flatMap(fitting -> parts.tire(fitting.tireId()))
                .map(PartService::specOf);
    }

    private Map<String, String> messages(FormReader reader) {
        return problemWording.messages(reader.problems().list());
    }

    static TireSpec specOf(PartsMapper.TireRow row) {
        return new TireSpec(
                row.name(),
                new TireSize(row.nominalWidthMm(), row.bsdMm()),
                row.measuringRimWidthMm(),
                row.casing(),
                row.tubelessMarked(),
                row.hooklessAllowed(),
                row.directional(),
                row.maxKpa(),
                row.minKpa(),
                row.maxLoadKg(),
                row.boughtOn(),
                row.price());
    }

    static RimSpec specOf(PartsMapper.RimRow row) {
        return new RimSpec(
                row.name(),
                row.bsdMm(),
                row.internalWidthMm(),
                row.depthMm(),
                row.hookless(),
                row.tubelessBed(),
                new ValveHole(row.valveHoleMm(), row.valveSeat(), row.valveOffCentre()),
                row.maxKpa(),
                row.spokes(),
                row.boughtOn(),
                row.price(),
                Boolean.TRUE.equals(row.widthAssumed()));
    }
}
