package org.stratopneum.web.demo;

import java.util.UUID;
import org.stratopneum.core.pressure.SetupKind;
import org.stratopneum.web.fleet.bikes.WheelPosition;

/**
 * A wheel of the demo, with a tire that was or is on it and how it loses air.
 *
 * @param fittedDaysAgo when the tire went on (days before today)
 * @param removedDaysAgo when it came off (days before today); negative while it is on
 * @param lossPerDay share of the gauge pressure lost in a day (ratio)
 */
record DemoWheel(
        int bike,
        int wheelset,
        int wheel,
        int tire,
        WheelPosition position,
        SetupKind setup,
        int fittedDaysAgo,
        int removedDaysAgo,
        double lossPerDay) {

    /** Whether this tire was on this wheel in the bike, in the morning of that day. */
    boolean isRidden(int daysAgo) {
        return daysAgo < fittedDaysAgo && daysAgo >= removedDaysAgo && DemoVisits.isIn(wheelset, daysAgo);
    }

    UUID bikeId() {
        return id(300 + bike);
    }

    UUID wheelsetId() {
        return id(400 + wheelset);
    }

    UUID wheelId() {
        return id(600 + wheel);
    }

    UUID tireId() {
        return id(700 + tire);
    }

    /** The ids of the demo's script: a fixed stem and a number. */
    static UUID id(int number) {
        return UUID.fromString("d0000000-0000-4000-8000-%012d".formatted(number));
    }
}
