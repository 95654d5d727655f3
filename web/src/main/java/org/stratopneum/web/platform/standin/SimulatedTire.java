package org.stratopneum.web.platform.standin;

import java.util.Random;

/**
 * A made-up tire with a pump and a gauge at its valve. Strokes bring warm air that shows more until it has cooled, the
 * gauge follows with a lag and shakes a little. Nothing of it is a model of the job: it only moves as gauges move.
 */
final class SimulatedTire {

    /** What somebody does at the valve. */
    enum Hand {
        REST,
        PUMP,
        BLEED
    }

    /** A stroke of a floor pump moves so much outside air (l), so often (s). */
    private static final double STROKE_L = 0.3;

    private static final double STROKE_EVERY_S = 0.9;
    private static final double AMBIENT_KPA = 95;

    /** Share of a stroke that is warmth, and how fast it goes (s). */
    private static final double WARMTH = 0.2;

    private static final double COOLS_S = 5;

    /** How fast an open valve empties a litre (s). */
    private static final double EMPTIES_S_PER_L = 6;

    private static final double LAG_S = 0.3;
    private static final double SHAKE_KPA = 0.15;
    private static final double MOST_KPA = 1100;

    private final double litres;
    private final Random random;
    private double kpa;
    private double warmth;
    private double shown;
    private double sinceStroke;
    private Hand hand = Hand.REST;

    /** @param litres volume (l), {@code kpa} pressure (kPa gauge) */
    SimulatedTire(double litres, double kpa, long seed) {
        this.litres = litres;
        this.kpa = kpa;
        this.shown = kpa;
        this.random = new Random(seed);
    }

    void hand(Hand next) {
        hand = next;
        sinceStroke = 0;
    }

    /** Lets {@code seconds} pass; what the gauge shows then (kPa). */
    double after(double seconds) {
        if (hand == Hand.PUMP) {
            sinceStroke += seconds;
            if (sinceStroke >= STROKE_EVERY_S && kpa < MOST_KPA) {
                sinceStroke -= STROKE_EVERY_S;
                double more = AMBIENT_KPA * STROKE_L / litres;
                kpa += more;
                warmth += WARMTH * more;
            }
        } else if (hand == Hand.BLEED) {
            kpa *= Math.exp(-seconds / (EMPTIES_S_PER_L * litres));
        }
        warmth *= Math.exp(-seconds / COOLS_S);
        shown += (kpa + warmth - shown) * (1 - Math.exp(-seconds / LAG_S));
        return Math.max(0, Math.round(10 * (shown + SHAKE_KPA * random.nextGaussian())) / 10.0);
    }
}
