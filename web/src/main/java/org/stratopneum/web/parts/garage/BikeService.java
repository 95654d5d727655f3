package org.stratopneum.web.parts.garage;

import java.time.LocalDate;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.stratopneum.core.check.Problems;
import org.stratopneum.core.pressure.LoadShare;
import org.stratopneum.web.fleet.bikes.BikeState;
import org.stratopneum.web.fleet.bikes.Garage;
import org.stratopneum.web.log.Logbook;
import org.stratopneum.web.platform.fault.NotThereException;
import org.stratopneum.web.platform.wording.Numbers;
import org.stratopneum.web.platform.wording.Wording;
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
    private final Wording wording;

    BikeService(Garage garage, PartsMapper parts, Riders riders, Logbook logbook, BikeDrafts drafts, Wording wording) {
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
                .sharing(share(bike));
    }

    private String share(BikeState bike) {
        return bike.weighed().known()
                ? wording.text("garage.weighed.share", percent(bike.share()), percent(LoadShare.of(bike.posture())))
                : null;
    }

    private static String percent(LoadShare share) {
        return Numbers.fixed(100 * share.front(), 1);
    }

    /** The bike as it was changed; empty with faults in {@code problems}. */
    @Transactional(readOnly = true)
    Optional<BikeSpec> changed(UUID id, Map<String, String> parameters, Problems problems) {
        Optional<BikeSpec> bike = kept(garage.bike(id), parameters).bike(problems, null);
        return problems.isEmpty() ? bike : Optional.empty();
    }

    private BikeForm kept(BikeState bike, Map<String, String> parameters) {
        Rider rider = riders.self();
        return BikeForm.of(bike, rider.bodyKg(), rider.units(), parameters);
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
