package org.stratopneum.core.sealant;

import java.time.LocalDate;
import org.stratopneum.core.tire.TireSection;

/**
 * How much sealant goes into a tube: a film on the inner surface of the tire that the tube fills, as thick as the amounts
 * that practice states for a narrow bicycle tube (15 to 19 ml) and for thick gel in a wide utility tube (120 ml, 4 fl oz)
 * make it (rule of thumb; the maker's figure wins). Holes up to 3 mm; no cuts, no pinches.
 */
public final class TubeSealant {

    /** Closes while riding, in whatever tube (mm). */
    private static final double THIN_FILM_MM = 0.12;

    /** Thick with fibres, for wide utility and e-bike tubes (mm). */
    private static final double THICK_FILM_MM = 0.35;

    private static final double CM2_MM_PER_ML = 10;

    /** Looked at after so many months. */
    private static final int LOOK_AFTER_MONTHS = 6;

    private TubeSealant() {}

    /**
     * @param family fibre is the thick kind, all others are thin
     * @return the amount for a tube in this tire (ml)
     */
    public static double ml(TireSection section, SealantFamily family) {
        double film = family == SealantFamily.FIBRE ? THICK_FILM_MM : THIN_FILM_MM;
        return film * section.innerSurfaceCm2() / CM2_MM_PER_ML;
    }

    /** When it is looked at. */
    public static LocalDate lookBy(LocalDate filled) {
        return filled.plusMonths(LOOK_AFTER_MONTHS);
    }
}
