package org.stratopneum.web.parts.garage;

import java.util.Optional;
import org.stratopneum.core.check.Problem;
import org.stratopneum.core.fit.RimBed;
import org.stratopneum.core.pressure.SetupKind;
import org.stratopneum.core.tire.MeasuringRim;
import org.stratopneum.core.tire.TireOnRim;
import org.stratopneum.web.platform.wording.FormReader;
import org.stratopneum.web.platform.wording.Units;

/** Reads a whole wheel: rim, tire, and how it is set up, with the checks between them. */
final class WheelFields {

    private final Units units;
    private final PartFields parts;

    WheelFields(Units units) {
        this.units = units;
        this.parts = new PartFields(units);
    }

    /** A new wheel; its rim has the bead seat of its tire, and the width that is usual for it unless one is typed. */
    Optional<WheelSpec> wheel(FormReader reader) {
        Optional<TireSpec> tire = parts.tire(reader, null);
        Optional<FitSpec> fit = fit(reader, tire.orElse(null));
        RimBed usualBed = fit.filter(found -> found.setup() == SetupKind.TUBELESS)
                .map(found -> RimBed.TAPED)
                .orElse(RimBed.UNTAPED);
        Double beadSeat = tire.map(found -> found.size().beadSeatDiameterMm()).orElse(0.0);
        Double usualWidth = tire.map(found -> (double)
                        Math.round(MeasuringRim.usualWidthMm(found.size().nominalWidthMm())))
                .orElse(0.0);
        Optional<RimSpec> rim = parts.rim(reader, beadSeat, usualWidth, usualBed, null);
        if (tire.isEmpty() || fit.isEmpty() || rim.isEmpty()) {
            return Optional.empty();
        }
        FitChecks.check(reader, units, rim.get(), tire.get(), fit.get());
        return Optional.of(new WheelSpec(rim.get(), fit.get()));
    }

    /** How {@code tire} goes on; the tire itself may be one of the garage's. */
    Optional<FitSpec> fit(FormReader reader, TireSpec newTire) {
        Optional<SetupKind> setup = reader.choice("setup", SetupKind.class);
        if (reader.isBlank("setup")) {
            reader.fault("setup", Problem.MISSING);
        }
        Optional<Double> measured = reader.quantity("measured", TireOnRim.MEASURED_WIDTH_MM, units.length(), null);
        return setup.map(kind -> new FitSpec(
                null, newTire, kind, reader.ticked("insert"), measured.orElse(null), reader.ticked("found")));
    }
}
