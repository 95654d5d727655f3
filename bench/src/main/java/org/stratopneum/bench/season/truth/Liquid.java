package org.stratopneum.bench.season.truth;

/**
 * The sealant in one tire: water and rubber. Water leaves by how much drier the air outside is than the liquid, which holds
 * it the tighter the less of it is left (Raoult's law of the mole share, with an effective weight); a film on the walls dries
 * first and no stick sees it. Solids stay on the walls as a skin; too thick, all of it sets. All in ml.
 */
public final class Liquid {

    /** Fresh sealant is so much rubber and other solids (ratio; common practice, no source). */
    static final double SOLIDS = 0.30;

    /** So much water the solids hold back (ratio of their volume). */
    private static final double HOLDS = 0.25;

    /** With less water than this it has set (ratio of the whole). */
    private static final double FLOWS_FROM = 0.42;

    /** Of the solids that were in the water that leaves so much stays on the walls as a skin (ratio; our guess). */
    private static final double SKIN = 0.5;

    private final double surfaceCm2;
    private final double filmMl;
    private final double perKpaDayMl;
    private double water;
    private double solids;

    /**
     * @param surfaceCm2 inner surface of the tire (cm2)
     * @param filmMm mean film that stays on the walls (mm)
     * @param factor how easily water gets through this casing (ratio; 1 is usual)
     */
    Liquid(double surfaceCm2, double filmMm, double factor) {
        this.surfaceCm2 = surfaceCm2;
        filmMl = filmMm * surfaceCm2 / 10;
        // a standard dose lasts four months in a room, by the trade (common practice)
        perKpaDayMl = factor * 1.75e-4 * surfaceCm2;
    }

    void pour(double ml) {
        water += (1 - SOLIDS) * ml;
        solids += SOLIDS * ml;
    }

    /** Some runs out, or closes a hole. */
    double lose(double ml) {
        double all = water + solids;
        double share = all <= 0 ? 0 : Math.min(1, ml / all);
        water -= share * water;
        solids -= share * solids;
        return share * all;
    }

    /** What has set is skin on the wall, and no liquid takes it up again. */
    private void clean() {
        water = 0;
        solids = 0;
    }

    void dry(double celsius, double humidity) {
        double held = water <= 0 ? 0 : water / (water + HOLDS * solids);
        double drier = Climate.saturationKpa(celsius) * Math.max(0, held - humidity);
        double gone = Math.min(water, perKpaDayMl * drier);
        if (gone > 0) {
            solids -= SKIN * solids * gone / water;
            water -= gone;
        }
        if (flowing() == 0) {
            clean();
        }
    }

    /** What flows (ml): nothing once it has set. */
    double flowing() {
        double all = water + solids;
        return all > 0 && water / all >= FLOWS_FROM ? all : 0;
    }

    /** What a stick finds at the bottom (ml). */
    double pool() {
        return Math.max(0, flowing() - filmMl);
    }

    /** Enough to close the holes that the trade expects sealant to close: a film of a tenth of a millimetre (common practice). */
    boolean closesHoles() {
        return flowing() >= 0.10 * surfaceCm2 / 10;
    }
}
