package org.stratopneum.web.parts.garage;

import java.util.UUID;
import org.stratopneum.core.pressure.SetupKind;

/**
 * How a tire goes on a wheel.
 *
 * @param shelfTire the tire of the garage that goes on, or null for {@code newTire}
 * @param newTire a tire that is entered with it, or null
 * @param measuredWidthMm width measured on this rim (mm), or null
 */
record FitSpec(UUID shelfTire, TireSpec newTire, SetupKind setup, boolean insert, Double measuredWidthMm) {

    /** The same with a tire of the garage instead of a new one. */
    FitSpec fromTheShelf(UUID tire) {
        return new FitSpec(tire, null, setup, insert, measuredWidthMm);
    }
}
