package org.stratopneum.core.trailside;

import org.stratopneum.core.air.StandardAtmosphere;
import org.stratopneum.core.pressure.ChartPressure;
import org.stratopneum.core.pressure.PressureWindow;
import org.stratopneum.core.quantity.GaugePressure;
import org.stratopneum.core.quantity.Mass;
import org.stratopneum.core.quantity.PressureUnit;
import org.stratopneum.core.tire.TireOnRim;

/** A budget where nothing but the tire is known: what the load charts say for a wheel that carries 45 kg (assumption). */
public final class UsualAir {

    private static final Mass LOAD = Mass.kg(45);

    /** Nobody rides on less (psi; our judgement). */
    private static final double LEAST_PSI = 8;

    private UsualAir() {}

    /**
     * @param limit the most that tire or rim says, or null; nothing goes above the window then
     * @throws org.stratopneum.core.check.InvalidInputException where the limit is below what is usual
     */
    public static AirBudget of(TireOnRim tire, GaugePressure limit) {
        return of(tire, usual(tire), limit);
    }

    /** The same for somebody who says what they ride. */
    public static AirBudget of(TireOnRim tire, GaugePressure usual, GaugePressure limit) {
        GaugePressure low = PressureWindow.lowAround(usual);
        GaugePressure top = GaugePressure.kpa(usual.kpa() * usual.kpa() / low.kpa());
        return AirBudget.of(
                tire.section().airVolumeL(), StandardAtmosphere.SEA_LEVEL, usual, low, limit == null ? top : limit);
    }

    public static GaugePressure usual(TireOnRim tire) {
        double psi = new ChartPressure(LOAD, tire.section()).psiAtDrop(ChartPressure.CHART_DROP);
        return GaugePressure.of(Math.rint(Math.max(LEAST_PSI, psi)), PressureUnit.PSI);
    }
}
