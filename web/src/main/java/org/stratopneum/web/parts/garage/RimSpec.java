package org.stratopneum.web.parts.garage;

import java.math.BigDecimal;
import java.time.LocalDate;
import org.stratopneum.core.fit.RimBed;
import org.stratopneum.core.fit.ValveHole;

/**
 * A rim as it is entered.
 *
 * @param beadSeatDiameterMm bead seat diameter (mm)
 * @param internalWidthMm width between the inner faces of its walls (mm)
 * @param widthAssumed whether that width is only usual for its tire, not measured
 * @param depthMm depth from the valve's nut to the bed (mm), or null
 * @param hookless whether its walls are straight, or null where nobody looked
 * @param maxKpa highest printed pressure (kPa gauge), or null
 */
record RimSpec(
        String name,
        double beadSeatDiameterMm,
        double internalWidthMm,
        Double depthMm,
        Boolean hookless,
        RimBed bed,
        ValveHole valveHole,
        Double maxKpa,
        Integer spokes,
        LocalDate boughtOn,
        BigDecimal price,
        boolean widthAssumed) {}
