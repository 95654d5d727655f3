package org.stratopneum.web.trailside;

import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.stratopneum.core.air.HandPump;
import org.stratopneum.core.trailside.AirBudget;
import org.stratopneum.core.trailside.AirGoal;
import org.stratopneum.core.trailside.AirTable;
import org.stratopneum.core.trailside.PumpSort;

/**
 * The air of a tire as a device keeps it; pressures (kPa gauge).
 *
 * @param gasG grams between two lines of {@code gasKpa} (g)
 * @param pumps strokes from empty in equal steps of pressure, for each sort of pump
 */
record AirJson(
        Map<AirGoal, Double> goals, double ceilingKpa, double gasG, List<Double> gasKpa, Map<String, Pumped> pumps) {

    /** Strokes from empty to {@code mostKpa} in equal steps of pressure. */
    record Pumped(double mostKpa, List<Double> strokes) {}

    /** @param own a pump that was measured, or null */
    static AirJson of(AirBudget budget, HandPump own) {
        AirTable table = AirTable.of(budget);
        Map<AirGoal, Double> goals = new EnumMap<>(AirGoal.class);
        for (AirGoal goal : AirGoal.values()) {
            goals.put(goal, budget.goal(goal).kpa());
        }
        Map<String, Pumped> pumps = new TreeMap<>();
        for (PumpSort sort : PumpSort.values()) {
            pumps.put(sort.name(), pumped(budget, sort.pump()));
        }
        if (own != null) {
            pumps.put("OWN", pumped(budget, own));
        }
        return new AirJson(goals, budget.ceiling().kpa(), table.gasG(), table.gasKpa(), pumps);
    }

    private static Pumped pumped(AirBudget budget, HandPump pump) {
        AirTable.Pumped pumped = AirTable.pumped(budget, pump);
        return new Pumped(pumped.mostKpa(), pumped.strokes());
    }
}
