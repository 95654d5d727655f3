package org.stratopneum.web.fleet.bikes;

import java.util.UUID;

/**
 * Which bike and which pair a wheel belongs to.
 *
 * @param otherWheel the other wheel of the pair, or null
 * @param mounted whether its pair is in the bike
 */
public record WheelPlace(
        UUID bikeId,
        String bikeName,
        UUID wheelsetId,
        String wheelsetName,
        WheelPosition position,
        UUID otherWheel,
        boolean mounted) {}
