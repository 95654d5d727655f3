package org.stratopneum.core.leak;

import org.stratopneum.core.pressure.SetupKind;

/**
 * What a loss in a day is called (common practice): settled tubeless up to 2.5 % is normal, butyl and TPU up to 1.5 %, latex
 * up to 12 %; a new tubeless set-up loses more in its first fortnight.
 *
 * @param slow share of the gauge pressure lost in a day from which it is a slow leak (ratio), {@code leak} and {@code fast}
 *     for the worse ones
 */
public record LeakBands(double slow, double leak, double fast) {

    private static final LeakBands SETTLED = new LeakBands(0.025, 0.06, 0.20);
    private static final LeakBands NEW = new LeakBands(0.05, 0.10, 0.25);
    private static final LeakBands BUTYL = times(0.015, 2.4, 8);
    private static final LeakBands LATEX = times(0.12, 2, 4);

    private static LeakBands times(double normal, double leak, double fast) {
        return new LeakBands(normal, normal * leak, normal * fast);
    }

    /** @param newSetup whether it was set up within a fortnight; tubes have no such time */
    public static LeakBands of(SetupKind kind, boolean newSetup) {
        return switch (kind) {
            case TUBELESS -> newSetup ? NEW : SETTLED;
            case BUTYL_TUBE, TPU_TUBE -> BUTYL;
            case LATEX_TUBE -> LATEX;
        };
    }

    /** How much tires of this kind lose, as a ratio to settled tubeless ones. */
    double scale() {
        return slow / SETTLED.slow;
    }

    /** The ends of a class (ratio of the gauge pressure in a day); beyond the last there is no end. */
    public double from(LeakClass named) {
        return switch (named) {
            case NORMAL, UNSURE -> Double.NEGATIVE_INFINITY;
            case SLOW -> slow;
            case LEAK -> leak;
            case FAST -> fast;
        };
    }

    /** What a loss is called that somebody is sure of (ratio of the gauge pressure in a day). */
    public LeakClass named(double lossPerDay) {
        if (lossPerDay > fast) {
            return LeakClass.FAST;
        }
        if (lossPerDay > leak) {
            return LeakClass.LEAK;
        }
        return lossPerDay > slow ? LeakClass.SLOW : LeakClass.NORMAL;
    }
}
