package org.stratopneum.core.job;

import java.util.Optional;
import org.stratopneum.core.quantity.GaugePressure;

/** How hard beads are pressed into their seats (common practice); never above the ceiling. */
public enum SeatingSchool {
    /** The bead is helped by hand instead. */
    GENTLE(200),
    USUAL(275),
    HARD(345),
    /** What tire and rim allow, to push sealant into the pores. */
    PRINTED(Double.POSITIVE_INFINITY);

    /** Nobody goes above this where nothing is printed (our judgement: the gentle school; kPa). */
    private static final double WITHOUT_LIMIT_KPA = 200;

    private final double kpa;

    SeatingSchool(double kpa) {
        this.kpa = kpa;
    }

    /** @param ceiling the most that the parts may get, or empty where nothing says: then no school goes above 200 kPa */
    public GaugePressure pressure(Optional<GaugePressure> ceiling) {
        return GaugePressure.kpa(Math.min(kpa, ceiling.map(GaugePressure::kpa).orElse(WITHOUT_LIMIT_KPA)));
    }
}
