package org.stratopneum.web.parts.garage;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.stratopneum.core.pressure.SetupKind;
import org.stratopneum.core.tire.TireSize;
import org.stratopneum.web.fleet.bikes.WheelState;
import org.stratopneum.web.log.LogDetail;
import org.stratopneum.web.platform.wording.Numbers;
import org.stratopneum.web.platform.wording.QuantityText;
import org.stratopneum.web.platform.wording.Units;
import org.stratopneum.web.platform.wording.Wording;
import org.stratopneum.web.rider.Riders;

/** Tires and rims that are on no wheel, those in use first. */
@Service
public class SpareParts {

    private final PartsMapper parts;
    private final Riders riders;
    private final Wording wording;

    SpareParts(PartsMapper parts, Riders riders, Wording wording) {
        this.parts = parts;
        this.riders = riders;
        this.wording = wording;
    }

    @Transactional(readOnly = true)
    public List<SparePart> tires() {
        Set<UUID> fitted = parts.fittings().stream()
                .filter(PartsMapper.Fitting::fitted)
                .map(PartsMapper.Fitting::tireId)
                .collect(Collectors.toSet());
        return parts.tires().stream()
                .filter(tire -> !fitted.contains(tire.id()))
                .map(tire -> new SparePart(tire.id(), tire.name(), tire.bsdMm(), facts(tire), tire.retiredOn()))
                .toList();
    }

    private String facts(PartsMapper.TireRow tire) {
        TireSize size = new TireSize(tire.nominalWidthMm(), tire.bsdMm());
        String mark = tire.tubelessMarked() == null
                ? ""
                : wording.text(tire.tubelessMarked() ? "tire.tubeless" : "shelf.fact.not-tubeless");
        return listed(size.designation(), wording.of("casing", tire.casing()), mark);
    }

    /**
     * A tire as it would go on a wheel, tubeless and just now, with the width that it was measured to have there; empty
     * where this rider has none of that id.
     */
    @Transactional(readOnly = true)
    public Optional<WheelState.Tire> tireFor(UUID wheelId, UUID id) {
        return parts.tire(id)
                .map(row -> new WheelState.Tire(
                        row.id(),
                        row.name(),
                        new TireSize(row.nominalWidthMm(), row.bsdMm()),
                        row.measuringRimWidthMm(),
                        row.casing(),
                        new WheelState.Marks(row.tubelessMarked(), row.hooklessAllowed(), row.directional()),
                        row.maxKpa(),
                        row.minKpa(),
                        row.maxLoadKg(),
                        new LogDetail.TireFitted(
                                SetupKind.TUBELESS,
                                false,
                                parts.measuredWidthMm(id, wheelId).orElse(null)),
                        Instant.EPOCH));
    }

    /** The rim of this id was taped. */
    @Transactional
    public void tapeRim(UUID rimId) {
        parts.tapeRim(rimId);
    }

    @Transactional(readOnly = true)
    public List<SparePart> rims() {
        Units units = riders.self().units();
        return parts.spareRims().stream()
                .map(rim -> new SparePart(rim.id(), rim.name(), rim.bsdMm(), facts(rim, units), rim.retiredOn()))
                .toList();
    }

    private String facts(PartsMapper.RimRow rim, Units units) {
        return listed(
                Numbers.upTo(rim.bsdMm(), 1),
                wording.text("wheel.rim.inside", QuantityText.size(rim.internalWidthMm(), units.length())),
                wording.rimEdge(rim.hookless()),
                wording.of("bed", rim.tubelessBed()));
    }

    private static String listed(String... facts) {
        return Stream.of(facts).filter(fact -> !fact.isEmpty()).collect(Collectors.joining(", "));
    }
}
