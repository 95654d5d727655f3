package org.stratopneum.core.pressure;

/** What holds the air, with its factor on the pressure (rule of thumb; tubes need a margin against pinching). */
public enum SetupKind {
    TUBELESS(1.00),
    BUTYL_TUBE(1.07),
    TPU_TUBE(1.07),
    LATEX_TUBE(1.05);

    private final double factor;

    SetupKind(double factor) {
        this.factor = factor;
    }

    /** @return factor on the pressure (ratio) */
    public double factor() {
        return factor;
    }
}
