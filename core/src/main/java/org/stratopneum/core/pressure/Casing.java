package org.stratopneum.core.pressure;

/** Build of the casing, with its factor on the pressure (rule of thumb: a heavy casing carries part of the load). */
public enum Casing {
    LIGHT(1.03),
    STANDARD(1.00),
    /** Two plies. */
    HEAVY(0.95);

    private final double factor;

    Casing(double factor) {
        this.factor = factor;
    }

    /** @return factor on the pressure (ratio) */
    public double factor() {
        return factor;
    }
}
