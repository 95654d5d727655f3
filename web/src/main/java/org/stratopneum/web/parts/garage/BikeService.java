package org.stratopneum.web.parts.garage;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.stratopneum.core.check.Problems;
import org.stratopneum.core.pressure.LoadShare;
import org.stratopneum.core.quantity.PressureUnit;
import org.stratopneum.web.fleet.bikes.BikeRider;
import org.stratopneum.web.fleet.bikes.BikeState;
import org.stratopneum.web.fleet.bikes.Garage;
import org.stratopneum.web.fleet.bikes.WheelPosition;
import org.stratopneum.web.log.Logbook;
import org.stratopneum.web.platform.fault.NotThereException;
import org.stratopneum.web.platform.wording.Numbers;
import org.stratopneum.web.platform.wording.PressureText;
import org.stratopneum.web.platform.wording.QuantityText;
import org.stratopneum.web.platform.wording.Wording;
import org.stratopneum.web.pressure.AdvisedPressures;
import org.stratopneum.web.pressure.BikeAdvisor;
import org.stratopneum.web.rider.Rider;
import org.stratopneum.web.rider.Riders;

/** Gathers what the pages show on which a rider enters or changes a bike or a pair of wheels. */
@Service
class BikeService {

    private final Garage garage;
    private final PartsMapper parts;
    private final Riders riders;
    private final Logbook logbook;
    private final BikeDrafts drafts;
    private final BikeAdvisor advisor;
    private final Wording wording;

    BikeService(
            Garage garage,
            PartsMapper parts,
            Riders riders,
            Logbook logbook,
            BikeDrafts drafts,
            BikeAdvisor advisor,
            Wording wording) {
        this.advisor = advisor;
        this.garage = garage;
        this.parts = parts;
        this.riders = riders;
        this.logbook = logbook;
        this.drafts = drafts;
        this.wording = wording;
    }

    BikeDrafts.Draft draft(Map<String, String> parameters) {
        return drafts.of(riders.self(), parameters);
    }

    /** @throws NotThereException when this rider has no such bike */
    @Transactional(readOnly = true)
    BikePage edit(UUID id, Map<String, String> parameters, Problems problems) {
        PartsMapper.BikeRow row = parts.bike(id).orElseThrow(NotThereException::new);
        BikeState bike = garage.bike(id);
        return drafts.page(kept(bike, parameters), problems)
                .of(row.id(), row.name(), row.version())
                .with(share(bike), apart(bike));
    }

    private String share(BikeState bike) {
        return bike.weighed().known()
                ? wording.text("garage.weighed.share", percent(bike.share()), percent(LoadShare.of(bike.posture())))
                : null;
    }

    private String apart(BikeState bike) {
        Rider rider = riders.self();
        return bike.rider().apart() && !bike.rider().other() && rider.bodyKg() != null
                ? wording.text(
                        "garage.rider.apart",
                        QuantityText.text(bike.rider().kg(), rider.massUnit()),
                        QuantityText.text(rider.bodyKg(), rider.massUnit()))
                : null;
    }

    private static String percent(LoadShare share) {
        return Numbers.fixed(100 * share.front(), 1);
    }

    /** What becomes of what the rider weighs; {@code id} is null for a bike that is not kept yet. */
    @Transactional(readOnly = true)
    MassChange mass(UUID id, BikeSpec bike) {
        BikeRider was = id == null ? null : garage.bike(id).rider();
        return MassChange.of(was, bike, riders.self().bodyKg());
    }

    /** The other bikes that a change of the rider's mass would reach, with what it does to each. */
    @Transactional(readOnly = true)
    MassPage reached(UUID id, MassChange mass, Map<String, String> parameters) {
        Rider rider = riders.self();
        List<MassPage.Bike> reached = garage.bikes().stream()
                .filter(bike -> !bike.rider().apart() && !bike.id().equals(id))
                .map(bike -> new MassPage.Bike(
                        bike.id(), bike.name(), pressures(bike, rider), pressures(bike.under(mass.keeperTo()), rider)))
                .toList();
        return new MassPage(
                id,
                QuantityText.text(mass.keeperFrom(), rider.massUnit()),
                QuantityText.text(mass.keeperTo(), rider.massUnit()),
                mass.keeperTo(),
                reached,
                parameters);
    }

    /** "rear 24.0 psi, front 21.5 psi"; null while something for them is missing. */
    private String pressures(BikeState bike, Rider rider) {
        PressureUnit unit = rider.pressureUnit();
        return advisor.adviseUsual(bike)
                .flatMap(advice -> AdvisedPressures.settable(advice, unit))
                .map(told -> wording.text(
                        "garage.mass.pressures",
                        PressureText.text(told.pressure(WheelPosition.REAR), unit),
                        PressureText.text(told.pressure(WheelPosition.FRONT), unit)))
                .orElse(null);
    }

    /** The bike as it was changed; empty with faults in {@code problems}. */
    @Transactional(readOnly = true)
    Optional<BikeSpec> changed(UUID id, Map<String, String> parameters, Problems problems) {
        Optional<BikeSpec> bike = kept(garage.bike(id), parameters).bike(problems, null);
        return problems.isEmpty() ? bike : Optional.empty();
    }

    private BikeForm kept(BikeState bike, Map<String, String> parameters) {
        Rider rider = riders.self();
        return BikeForm.of(bike, rider.units(), parameters);
    }

    /** The page for another pair of wheels; {@code problems} is null on a form that nobody has touched. */
    @Transactional(readOnly = true)
    BikePage wheels(UUID bikeId, Map<String, String> parameters, Problems problems) {
        PartsMapper.BikeRow bike = parts.bike(bikeId).orElseThrow(NotThereException::new);
        Rider rider = riders.self();
        BikeForm form = BikeForm.of(parameters, rider.units(), rider.bodyKg());
        return drafts.page(form, problems == null ? new Problems() : problems)
                .of(bike.id(), bike.name(), bike.version());
    }

    Optional<NewWheelset> newWheels(Map<String, String> parameters, Problems problems) {
        Rider rider = riders.self();
        LocalDate today = LocalDate.ofInstant(logbook.now(), rider.zoneId());
        return BikeForm.of(parameters, rider.units(), rider.bodyKg()).wheels(problems, today);
    }
}
