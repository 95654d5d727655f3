package org.stratopneum.web.fleet.bikes;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.stratopneum.core.dialling.PersonalFactor;
import org.stratopneum.core.fit.ValveHole;
import org.stratopneum.core.pressure.Casing;
import org.stratopneum.core.pressure.Ground;
import org.stratopneum.core.tire.TireSize;
import org.stratopneum.web.fleet.places.Place;
import org.stratopneum.web.log.LogDetail.GaugeRead;
import org.stratopneum.web.log.LogDetail.TireFitted;
import org.stratopneum.web.log.LogKind;
import org.stratopneum.web.log.Logbook;
import org.stratopneum.web.platform.fault.NotThereException;

/** The rider's bikes as they stand now, computed from the log. */
@Service
public class Garage {

    private final GarageMapper mapper;
    private final Logbook logbook;
    private final PressureLearning dialling;

    Garage(GarageMapper mapper, Logbook logbook, PressureLearning dialling) {
        this.dialling = dialling;
        this.mapper = mapper;
        this.logbook = logbook;
    }

    @Transactional(readOnly = true)
    public List<BikeState> bikes() {
        return assemble(mapper.standing(null, null, false, logbook.now()));
    }

    /** All bikes, retired ones too, once for each of their wheelsets, as they would stand with it in. */
    @Transactional(readOnly = true)
    public List<BikeState> bikesOnEachWheelset() {
        return assemble(mapper.standing(null, null, true, logbook.now()));
    }

    /** @throws NotThereException when this rider has no such bike */
    @Transactional(readOnly = true)
    public BikeState bike(UUID id) {
        return first(mapper.standing(id, null, false, logbook.now()));
    }

    /**
     * A bike as it would stand with one of its wheelsets in.
     *
     * @throws NotThereException when this rider has no such bike
     */
    @Transactional(readOnly = true)
    public BikeState bikeOn(UUID bikeId, UUID wheelsetId) {
        return first(mapper.standing(bikeId, wheelsetId, false, logbook.now()));
    }

    /** What is asked once of the tires that are on a bike. */
    @Transactional(readOnly = true)
    public List<CasingQuestion> casingQuestions(BikeState bike) {
        List<UUID> light = Stream.of(WheelPosition.values())
                .map(bike::wheel)
                .flatMap(Optional::stream)
                .map(WheelState::tire)
                .flatMap(Optional::stream)
                .filter(tire -> tire.casing() == Casing.LIGHT)
                .map(WheelState.Tire::id)
                .toList();
        return light.isEmpty() ? List.of() : mapper.casingQuestions(light.get(0), light.get(light.size() - 1));
    }

    /** The same of one tire. */
    @Transactional(readOnly = true)
    public List<CasingQuestion> casingQuestions(UUID tire) {
        return mapper.casingQuestions(tire, null);
    }

    /** @throws NotThereException when this rider has no such wheel */
    @Transactional(readOnly = true)
    public WheelPlace place(UUID wheelId) {
        return mapper.place(wheelId).orElseThrow(NotThereException::new);
    }

    /**
     * @return width between the inner faces of the rim's walls (mm)
     * @throws NotThereException when this rider has no such wheel
     */
    @Transactional(readOnly = true)
    public double rimWidthMm(UUID wheelId) {
        return Optional.ofNullable(mapper.rimWidthMm(wheelId)).orElseThrow(NotThereException::new);
    }

    private BikeState first(List<WheelStateRow> rows) {
        return assemble(rows).stream().findFirst().orElseThrow(NotThereException::new);
    }

    private List<BikeState> assemble(List<WheelStateRow> rows) {
        Map<List<UUID>, List<WheelStateRow>> byBike = new LinkedHashMap<>();
        rows.forEach(
                row -> byBike.computeIfAbsent(Arrays.asList(row.bikeId(), row.wheelsetId()), one -> new ArrayList<>())
                        .add(row));
        return byBike.values().stream().map(this::bikeOf).toList();
    }

    private BikeState bikeOf(List<WheelStateRow> rows) {
        WheelStateRow bike = rows.get(0);
        Map<WheelPosition, WheelState> wheels = new EnumMap<>(WheelPosition.class);
        rows.stream().filter(row -> row.wheelId() != null).forEach(row -> wheels.put(row.position(), wheelOf(row)));
        return new BikeState(
                bike.bikeId(),
                bike.bikeName(),
                bike.posture(),
                new BikeRider(bike.riderName(), bike.riderKg(), bike.riderApart()),
                new WheelLoads(bike.weighedRearKg(), bike.weighedFrontKg()),
                new BikeState.Masses(
                        bike.bikeKg(),
                        bike.gearKg(),
                        bike.luggageFrontKg(),
                        bike.luggageMiddleKg(),
                        bike.luggageRearKg()),
                bike.dropSchool(),
                bike.wet(),
                grounds(bike.grounds()),
                bike.wheelsetId(),
                bike.wheelsetName(),
                new TireClearance(bike.openingRearMm(), bike.openingFrontMm()),
                bike.handId() == null
                        ? HandGauge.NONE
                        : new HandGauge(
                                bike.handId(), bike.handName(), HandGauge.fit(bike.handOffsetKpa(), bike.handSlope())),
                bike.homeId() == null
                        ? null
                        : new Place(
                                bike.homeId(),
                                bike.homeName(),
                                bike.homeHeightM(),
                                true,
                                bike.homeIndoorC(),
                                bike.homeHumidity(),
                                bike.homeLatitudeDeg(),
                                bike.homeLongitudeDeg(),
                                null,
                                0),
                wheels.get(WheelPosition.REAR),
                wheels.get(WheelPosition.FRONT));
    }

    /** Shares of grounds as the query joins them, such as "ROCK=0.6;MUD=0.4", largest first. */
    private static Map<Ground, Double> grounds(String joined) {
        Map<Ground, Double> ride = new LinkedHashMap<>();
        if (joined != null) {
            for (String ground : joined.split(";")) {
                String[] pair = ground.split("=");
                ride.put(Ground.valueOf(pair[0]), Double.valueOf(pair[1]));
            }
        }
        return ride;
    }

    private WheelState wheelOf(WheelStateRow row) {
        return new WheelState(
                row.wheelId(),
                row.position(),
                new WheelState.Rim(
                        row.rimId(),
                        row.rimName(),
                        row.rimInternalWidthMm(),
                        row.bsdMm(),
                        row.rimDepthMm(),
                        row.hookless(),
                        row.tubelessBed(),
                        new ValveHole(row.rimValveHoleMm(), row.rimValveSeat(), row.rimValveOffCentre()),
                        row.rimMaxKpa(),
                        row.rimSpokes(),
                        Boolean.TRUE.equals(row.rimWidthAssumed())),
                row.tireId() == null ? Optional.empty() : Optional.of(tireOf(row)),
                row.readingDetail() == null ? Optional.empty() : Optional.of(readingOf(row)),
                dialledOf(row));
    }

    private LearnedPressure dialledOf(WheelStateRow row) {
        if (row.dialledModel() == null) {
            return LearnedPressure.NOTHING;
        }
        return row.dialledModel() == PersonalFactor.MODEL
                ? new LearnedPressure(
                        row.dialledFactor(), row.dialledLow(), row.dialledHigh(), row.dialledNotes(), row.ownKpa())
                : dialling.anew(row.bikeId(), row.position());
    }

    private WheelState.Tire tireOf(WheelStateRow row) {
        return new WheelState.Tire(
                row.tireId(),
                row.tireName(),
                new TireSize(row.nominalWidthMm(), row.tireBsdMm()),
                row.measuringRimWidthMm(),
                row.casing(),
                new WheelState.Marks(row.tubelessMarked(), row.hooklessAllowed(), row.directional()),
                row.tireMaxKpa(),
                row.tireMinKpa(),
                row.maxLoadKg(),
                (TireFitted) logbook.detail(LogKind.TIRE_FITTED, row.fittedDetail()),
                row.fittedSince());
    }

    private WheelState.Reading readingOf(WheelStateRow row) {
        return new WheelState.Reading(
                (GaugeRead) logbook.detail(row.readingKind(), row.readingDetail()),
                row.readAt(),
                HandGauge.fit(row.readingOffsetKpa(), row.readingSlope()));
    }
}
