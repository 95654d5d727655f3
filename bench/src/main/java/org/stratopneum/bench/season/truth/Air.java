package org.stratopneum.bench.season.truth;

/**
 * The air in one tire, as absolute pressure at 20 C (kPa). Rubber lets through the more the warmer it is (Arrhenius), a hole
 * lets air stream by the difference of the squares (thick flow through a long narrow way).
 */
public final class Air {

    static final double OUTSIDE_KPA = 101.3;
    private static final double ZERO_C = 273.15;
    private static final double AT = ZERO_C + 20;

    /** Activation energy of air through butyl rubber over the gas constant (K; value from memory, 35 kJ/mol). */
    private static final double ACTIVATION = 4210;

    private double absolute = OUTSIDE_KPA;

    /** As a true gauge would read it at some warmth (kPa). */
    double gauge(double celsius) {
        return Math.max(0, absolute * (ZERO_C + celsius) / AT - OUTSIDE_KPA);
    }

    void set(double gaugeKpa, double celsius) {
        absolute = (gaugeKpa + OUTSIDE_KPA) * AT / (ZERO_C + celsius);
    }

    void burp(double share) {
        absolute -= share * Math.max(0, absolute - OUTSIDE_KPA);
    }

    /**
     * A day passes.
     *
     * @param perDay what rubber and bead let through at 20 C (share of the overpressure)
     * @param leak what a hole lets through more, at 200 kPa (share of the overpressure)
     */
    void day(double celsius, double perDay, double leak) {
        double over = absolute - OUTSIDE_KPA;
        if (over <= 0) {
            return;
        }
        double rubber = perDay * Math.exp(ACTIVATION * (1 / AT - 1 / (ZERO_C + celsius)));
        double hole = leak * (absolute + OUTSIDE_KPA) / (200 + 2 * OUTSIDE_KPA);
        absolute = OUTSIDE_KPA + over * Math.exp(-rubber - hole);
    }
}
