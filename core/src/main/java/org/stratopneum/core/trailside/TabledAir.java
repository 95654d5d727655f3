package org.stratopneum.core.trailside;

import java.util.List;
import org.stratopneum.core.air.HandPump;
import org.stratopneum.core.quantity.GaugePressure;

/**
 * As a device does it that keeps the tables of a budget: straight lines between their lines. The script of the page beside
 * the trail does the same sums in the same order.
 */
record TabledAir(AirBudget exact, AirTable table) implements AirLaw {

    TabledAir(AirBudget exact) {
        this(exact, AirTable.of(exact));
    }

    private static double between(List<Double> values, double step, double at) {
        int i = (int) Math.min(values.size() - 2, Math.max(0, Math.floor(at / step)));
        return values.get(i) + (values.get(i + 1) - values.get(i)) * (at / step - i);
    }

    @Override
    public double gasKpa(double grams) {
        return between(table.gasKpa(), table.gasG(), grams);
    }

    @Override
    public double gramsFor(double kpa) {
        if (kpa <= 0) {
            return 0;
        }
        List<Double> lines = table.gasKpa();
        int above = 0;
        while (above < lines.size() - 1 && lines.get(above) < kpa) {
            above++;
        }
        int i = Math.max(0, above - 1);
        double low = lines.get(i);
        double high = lines.get(i + 1);
        return table.gasG() * (i + (kpa - low) / (high - low));
    }

    @Override
    public double strokes(HandPump pump, GaugePressure start, GaugePressure to) {
        AirTable.Pumped pumped = AirTable.pumped(exact, pump);
        double step = pumped.mostKpa() / (pumped.strokes().size() - 1);
        return between(pumped.strokes(), step, to.kpa()) - between(pumped.strokes(), step, start.kpa());
    }
}
