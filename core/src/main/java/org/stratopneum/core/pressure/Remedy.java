package org.stratopneum.core.pressure;

import java.util.Optional;
import org.hipparchus.analysis.solvers.BisectionSolver;
import org.stratopneum.core.quantity.Length;
import org.stratopneum.core.quantity.Mass;
import org.stratopneum.core.tire.TireOnRim;

/**
 * What would bring a wheel under its ceiling: a wider tire, or less load. A wider tire is taken on its usual measuring
 * rim, with the same set-up and the same printed limits; whether it fits rim and frame is another question.
 */
final class Remedy {

    private static final double LOAD_TOLERANCE_KG = 0.01;
    private static final double LEAST_LOAD_KG = 1;

    private Remedy() {}

    /** The smallest width, in whole mm, at which chain and floor are at or under the ceiling; empty if none is. */
    static Optional<Length> widthThatFits(WheelCase wheel) {
        double start = Math.floor(wheel.section().inflatedWidth().mm()) + 1;
        for (double width = start; width <= TireOnRim.NOMINAL_WIDTH_MM.maximum(); width++) {
            TireOnRim wider = TireOnRim.onMeasuringRim(width, wheel.tire().beadSeatDiameterMm());
            if (excessKpa(wheel.withTire(wider)) <= 0) {
                return Optional.of(Length.mm(width));
            }
        }
        return Optional.empty();
    }

    /** The highest load at which chain and floor are at or under the ceiling; empty if even 1 kg is too much. */
    static Optional<Mass> loadThatFits(WheelCase wheel) {
        double least = excessKpa(wheel.withLoad(Mass.kg(LEAST_LOAD_KG)));
        double now = excessKpa(wheel);
        if (least > 0 || now <= 0) {
            return Optional.empty();
        }
        double load = new BisectionSolver(LOAD_TOLERANCE_KG)
                .solve(
                        100,
                        kg -> excessKpa(wheel.withLoad(Mass.kg(kg))),
                        LEAST_LOAD_KG,
                        wheel.load().kg());
        return Optional.of(Mass.kg(load));
    }

    private static double excessKpa(WheelCase wheel) {
        PressureChain chain = PressureChain.of(wheel);
        RimStrike strike = new RimStrike(chain.chart(), wheel.setup().insert());
        PressureLimits limits = PressureLimits.of(wheel, chain.pressure(), strike);
        double needed = Math.max(
                Math.max(chain.pressure().kpa(), limits.tireMinimum().kpa()),
                limits.wholeStrikeFloor().kpa());
        return needed - limits.ceiling().pressure().kpa();
    }
}
