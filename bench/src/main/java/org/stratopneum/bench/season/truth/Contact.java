package org.stratopneum.bench.season.truth;

import org.stratopneum.core.tire.TireSection;

/**
 * A tire under load, by its contact with the ground: at a squash x a patch 2 sqrt(2 R x) long and a share of the width wide
 * carries pressure and a little by its walls. The pressure for a squash and the work until the rim strikes follow from the same law; no chart
 * went into it but the share of the width, which was set by one charted point (a 32 mm tire at 45 kg).
 */
final class Contact {

    private static final double GRAVITY = 9.81;
    private static final double SHARE_OF_WIDTH = 0.30;

    /** What the walls carry as if it were pressure (kPa; value from memory). */
    private static final double WALLS_KPA = 32;

    /** The rim strikes when so much of the height is gone (ratio). */
    private static final double STRIKES_AT = 0.88;

    /** Arms, legs and springs hold back the rest of the load (ratio; our guess). */
    private static final double HITS = 0.2;

    private final double widthM;
    private final double heightM;
    private final double radiusM;
    private final double wallsKpa;

    /** @param casing what the casing's walls carry against a usual one (ratio) */
    Contact(TireSection section, double casing) {
        widthM = section.inflatedWidth().mm() / 1000;
        heightM = section.height().mm() / 1000;
        radiusM = section.beadSeatDiameterMm() / 2000 + heightM;
        wallsKpa = casing * WALLS_KPA;
    }

    private double areaPerRootM() {
        return SHARE_OF_WIDTH * widthM * 2 * Math.sqrt(2 * radiusM);
    }

    /** Pressure at which {@code loadKg} squashes it by a share of its height (kPa). */
    double pressureAt(double loadKg, double squash) {
        return GRAVITY * loadKg / 1000 / (areaPerRootM() * Math.sqrt(squash * heightM)) - wallsKpa;
    }

    /** From how high an edge the rim strikes (m): what hits is a part of the load. */
    double strikesFromM(double loadKg, double kpa) {
        return (kpa + wallsKpa) * workPerKpa() / (HITS * GRAVITY * loadKg / 1000);
    }

    /** The pressure at which it strikes from there on (kPa). */
    double wantedFor(double loadKg, double edgeM) {
        return edgeM * HITS * GRAVITY * loadKg / 1000 / workPerKpa() - wallsKpa;
    }

    private double workPerKpa() {
        return areaPerRootM() * 2 / 3 * Math.pow(STRIKES_AT * heightM, 1.5);
    }
}
