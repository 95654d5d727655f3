package org.stratopneum.web.parts.garage;

import java.util.List;
import java.util.UUID;
import org.stratopneum.web.fleet.bikes.WheelPosition;
import org.stratopneum.web.log.LogOutcome;

/**
 * All that a rider has: bikes with their wheels, and the tires that are on none; days of retiring in words, or null.
 *
 * @param outcome what was just written, or null
 */
record GaragePage(List<Bike> bikes, List<SpareTire> spares, List<SpareTire> retired, LogOutcome outcome) {

    record Bike(UUID id, String name, String retiredOn, List<Wheelset> wheelsets) {}

    record Wheelset(UUID id, String name, String retiredOn, boolean mounted, List<Wheel> wheels) {}

    /**
     * @param tire name of the tire, or null
     * @param since day on which it went on, or null
     */
    record Wheel(UUID id, WheelPosition position, String rim, String tire, String size, String since) {}

    record SpareTire(UUID id, String name, String size, String tradeName, String retiredOn) {}

    public boolean empty() {
        return bikes.isEmpty() && spares.isEmpty() && retired.isEmpty();
    }
}
