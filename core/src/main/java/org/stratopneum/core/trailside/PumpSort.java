package org.stratopneum.core.trailside;

import org.stratopneum.core.air.HandPump;
import org.stratopneum.core.quantity.GaugePressure;

/** Pumps that riders carry, where nobody measured their own (barrel and most are our judgement). */
public enum PumpSort {
    /** Thin, for high pressures. */
    THIN(30, 900),
    /** Neither. */
    ROUND(60, 700),
    /** Thick, for much air at little pressure. */
    THICK(100, 350),
    /** With a foot and a hose. */
    FLOOR(180, 900);

    private final HandPump pump;

    PumpSort(double strokeMl, double mostKpa) {
        pump = new HandPump(strokeMl, GaugePressure.kpa(mostKpa));
    }

    public HandPump pump() {
        return pump;
    }
}
