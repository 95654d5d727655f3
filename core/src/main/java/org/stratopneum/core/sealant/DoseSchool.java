package org.stratopneum.core.sealant;

/** How thick a film of sealant people want on the inside of a tire (common practice, put into one law by us). */
public enum DoseSchool {
    /** Racing and weight; refreshed often. */
    LEAN(0.18),
    STANDARD(0.30),
    /** Thorns, long gaps, heavy or e-bike. */
    GENEROUS(0.38);

    private final double filmMm;

    DoseSchool(double filmMm) {
        this.filmMm = filmMm;
    }

    /** @return mean thickness of the film (mm) */
    public double filmMm() {
        return filmMm;
    }
}
