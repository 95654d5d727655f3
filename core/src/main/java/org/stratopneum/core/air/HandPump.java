package org.stratopneum.core.air;

import org.stratopneum.core.check.InvalidInputException;
import org.stratopneum.core.check.Problem;
import org.stratopneum.core.check.Problems;
import org.stratopneum.core.check.Range;
import org.stratopneum.core.quantity.AbsolutePressure;
import org.stratopneum.core.quantity.GaugePressure;

/**
 * A pump, and how many strokes it takes: a stroke brings the air of its barrel times an efficiency that falls from 0.95
 * in a soft tire to 0.35 at the most that the pump can do (model). It leaves out tired arms, and what hisses past a bad
 * head.
 *
 * @param strokeMl volume of the barrel (ml)
 * @param most highest pressure that the pump reaches
 */
public record HandPump(double strokeMl, GaugePressure most) {

    public static final Range STROKE_ML = Range.closed(10, 1500, "ml");
    public static final Range MOST_KPA = Range.closed(100, 2000, "kPa");

    /** The pump does not reach so much: the most that it does (kPa), and what was wanted. */
    public static final String BEYOND_THE_PUMP = "beyond-the-pump";

    private static final double SOFT = 0.95;
    private static final double FALL = 0.6;
    private static final double ML_PER_LITRE = 1000;

    public HandPump {
        Problems problems = new Problems();
        problems.check("strokeMl", strokeMl, STROKE_ML);
        problems.check("pumpMaxKpa", most.kpa(), MOST_KPA);
        problems.throwIfAny();
    }

    /**
     * @param tireL air volume of the tire (l)
     * @param ambient pressure of the air that is pumped
     * @return strokes from {@code start} to {@code target}, unrounded; 0 where the tire holds as much already
     * @throws InvalidInputException with {@link #BEYOND_THE_PUMP}
     */
    public double strokes(double tireL, GaugePressure start, GaugePressure target, AbsolutePressure ambient) {
        if (target.isAbove(most)) {
            throw new InvalidInputException(new Problem("targetKpa", BEYOND_THE_PUMP, most.kpa(), target.kpa(), "kPa"));
        }
        if (!start.isBelow(target)) {
            return 0;
        }
        double scale = tireL * ML_PER_LITRE * most.kpa() / (FALL * ambient.kpa() * strokeMl);
        return scale * Math.log(efficiency(start) / efficiency(target));
    }

    /** Share of a barrel that gets into the tire (ratio). */
    private double efficiency(GaugePressure in) {
        return SOFT - FALL * in.kpa() / most.kpa();
    }
}
