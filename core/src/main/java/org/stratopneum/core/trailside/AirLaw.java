package org.stratopneum.core.trailside;

import org.stratopneum.core.air.HandPump;
import org.stratopneum.core.quantity.GaugePressure;

/** What gas and pumps do to one tire. */
interface AirLaw {

    /** What so much gas that got in (g) adds (kPa). */
    double gasKpa(double grams);

    /**
     * What must get in (g) to add so much (kPa); 0 for nothing.
     *
     * @throws org.stratopneum.core.check.InvalidInputException where the law of the gas ends before
     */
    double gramsFor(double kpa);

    /** Strokes of {@code pump}, unrounded. */
    double strokes(HandPump pump, GaugePressure start, GaugePressure to);
}
