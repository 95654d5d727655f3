package org.stratopneum.core.trailside;

import java.util.ArrayList;
import java.util.List;
import org.stratopneum.core.air.HandPump;
import org.stratopneum.core.quantity.GaugePressure;

/**
 * A budget as a table, for a device that cannot ask: between two lines of it the straight line is right within a
 * thousandth.
 *
 * @param gasG grams between two lines (g)
 * @param gasKpa pressure by what got into the empty tire, from 0 on; the last line is the ceiling (kPa gauge)
 */
public record AirTable(double gasG, List<Double> gasKpa) {

    private static final int LINES = 32;

    /** To what no gauge shows, so that the tables stay short. */
    private static double rounded(double number) {
        return Math.round(number * 1e4) / 1e4;
    }

    public static AirTable of(AirBudget budget) {
        double most = budget.gramsToCeiling();
        List<Double> kpa = new ArrayList<>();
        for (int i = 0; i <= LINES; i++) {
            kpa.add(rounded(budget.ofGas(most * i / LINES).kpa()));
        }
        return new AirTable(most / LINES, kpa);
    }

    /**
     * Strokes of a pump into the empty tire.
     *
     * @param mostKpa the most that it does here (kPa gauge): its own most, or the ceiling
     * @param strokes strokes from empty, in equal steps of pressure from 0 to {@code mostKpa}
     */
    public record Pumped(double mostKpa, List<Double> strokes) {}

    public static Pumped pumped(AirBudget budget, HandPump pump) {
        double most = Math.min(pump.most().kpa(), budget.ceiling().kpa());
        List<Double> strokes = new ArrayList<>();
        for (int i = 0; i <= LINES; i++) {
            GaugePressure to = GaugePressure.kpa(Math.min(most, most * i / LINES));
            strokes.add(rounded(pump.strokes(budget.tireL(), GaugePressure.ZERO, to, budget.ambient())));
        }
        return new Pumped(most, strokes);
    }
}
