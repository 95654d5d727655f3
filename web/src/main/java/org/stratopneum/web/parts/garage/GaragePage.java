package org.stratopneum.web.parts.garage;

import java.util.List;
import java.util.UUID;
import org.stratopneum.web.fleet.bikes.WheelPosition;
import org.stratopneum.web.log.LogOutcome;

/**
 * The bikes with their wheels; days of retiring in words, or null.
 *
 * @param outcome what was just written, or null
 */
public record GaragePage(List<Bike> bikes, LogOutcome outcome) {

    public record Bike(UUID id, String name, String retiredOn, List<Wheelset> wheelsets) {}

    public record Wheelset(UUID id, String name, String retiredOn, boolean mounted, List<Wheel> wheels) {}

    /**
     * @param tire name of the tire, or null
     * @param since day on which it went on, or null
     */
    public record Wheel(UUID id, WheelPosition position, String rim, String tire, String size, String since) {}
}
