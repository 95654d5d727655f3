package org.stratopneum.web.parts.garage;

import java.util.UUID;
import org.stratopneum.core.pressure.SetupKind;

/**
 * How a tire goes on a wheel.
 *
 * @param shelfTire the tire of the garage that goes on, or null for {@code newTire}
 * @param newTire a tire that is entered with it, or null
 * @param measuredWidthMm width measured on this rim (mm), or null
 * @param foundFilled whether it came with sealant in it, of which nobody knows how much
 */
record FitSpec(
        UUID shelfTire,
        TireSpec newTire,
        SetupKind setup,
        boolean insert,
        Double measuredWidthMm,
        boolean foundFilled) {

    /** With nothing in it. */
    FitSpec(UUID shelfTire, TireSpec newTire, SetupKind setup, boolean insert, Double measuredWidthMm) {
        this(shelfTire, newTire, setup, insert, measuredWidthMm, false);
    }

    /** Only tubeless it has liquid that is followed. */
    boolean hasUnknownSealant() {
        return foundFilled && setup == SetupKind.TUBELESS;
    }

    /** The same with a tire of the garage instead of a new one. */
    FitSpec fromTheShelf(UUID tire) {
        return new FitSpec(tire, null, setup, insert, measuredWidthMm, foundFilled);
    }
}
