package org.stratopneum.web.garage;

import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.stratopneum.web.bikes.WheelPosition;

/** All that a rider has: bikes with their wheels, and the tires that are on none. */
record GaragePage(List<Bike> bikes, List<SpareTire> spares, List<SpareTire> retired) {

    record Bike(UUID id, String name, LocalDate retiredOn, List<Wheelset> wheelsets) {}

    record Wheelset(UUID id, String name, LocalDate retiredOn, boolean mounted, List<Wheel> wheels) {}

    /** @param tire name of the tire, or null */
    record Wheel(UUID id, WheelPosition position, String tire, String size) {}

    record SpareTire(UUID id, String name, String size, String tradeName, LocalDate retiredOn) {}

    public boolean empty() {
        return bikes.isEmpty() && spares.isEmpty() && retired.isEmpty();
    }
}
