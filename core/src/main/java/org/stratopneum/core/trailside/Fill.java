package org.stratopneum.core.trailside;

import java.util.List;
import org.stratopneum.core.quantity.GaugePressure;

/**
 * Air put in once.
 *
 * @param parts what each cartridge gives, in the order of the bag; none by pump
 * @param strokes of the pump, unrounded; 0 by gas
 * @param low where it ends if least of the gas gets in
 * @param likely where it most likely ends
 * @param best where it ends if all of the gas gets in; never above the ceiling
 * @param left the cartridges afterwards
 */
public record Fill(
        List<Part> parts,
        double strokes,
        GaugePressure low,
        GaugePressure likely,
        GaugePressure best,
        List<Charge> left) {

    /**
     * A part of a cartridge.
     *
     * @param index which one of the bag, from 0
     * @param grams what it held when it was full (g)
     * @param share what goes in, as a share of the full one (ratio)
     * @param held whether the ceiling keeps it from being let in whole
     */
    public record Part(int index, double grams, double share, boolean held) {}

    public Fill {
        parts = List.copyOf(parts);
        left = List.copyOf(left);
    }
}
