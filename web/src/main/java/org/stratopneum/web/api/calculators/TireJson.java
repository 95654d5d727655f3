package org.stratopneum.web.api.calculators;

import java.util.Optional;
import org.stratopneum.core.tire.TireOnRim;
import org.stratopneum.web.platform.json.JsonFields;

/** The common object {@code tire}. */
final class TireJson {

    private TireJson() {}

    /** Reads the object {@code tire} of {@code parent}; empty where it is faulty. */
    static Optional<TireOnRim> read(JsonFields parent) {
        JsonFields tire = parent.object("tire");
        double nominal = tire.number("nominalWidthMm", TireOnRim.NOMINAL_WIDTH_MM);
        double bead = tire.number("beadSeatDiameterMm", TireOnRim.BEAD_SEAT_DIAMETER_MM);
        Double measuringRim = tire.optionalNumber("measuringRimWidthMm", TireOnRim.MEASURING_RIM_WIDTH_MM);
        double rim = tire.number("rimInternalWidthMm", TireOnRim.RIM_INTERNAL_WIDTH_MM);
        Double measured = tire.optionalNumber("measuredWidthMm", TireOnRim.MEASURED_WIDTH_MM);
        return tire.build(() -> new TireOnRim(nominal, bead, measuringRim, rim, measured));
    }
}
