package org.stratopneum.web.parts.garage;

import java.math.BigDecimal;
import java.time.LocalDate;
import org.stratopneum.core.pressure.Casing;
import org.stratopneum.core.tire.TireSize;

/**
 * A tire as it is entered: what is printed on it, and what it cost.
 *
 * @param measuringRimWidthMm internal width of the rim on which it shows its nominal width (mm), or null
 * @param tubelessMarked whether the tire says that it is for tubeless, or null where nobody looked
 * @param hooklessAllowed whether the tire says that it may go on straight-walled rims, or null where nobody looked
 * @param directional whether it has an arrow
 * @param maxKpa highest printed pressure (kPa gauge), or null
 * @param minKpa lowest printed pressure (kPa gauge), or null
 * @param maxLoadKg highest printed load (kg), or null
 */
record TireSpec(
        String name,
        TireSize size,
        Double measuringRimWidthMm,
        Casing casing,
        Boolean tubelessMarked,
        Boolean hooklessAllowed,
        boolean directional,
        Double maxKpa,
        Double minKpa,
        Double maxLoadKg,
        LocalDate boughtOn,
        BigDecimal price) {}
