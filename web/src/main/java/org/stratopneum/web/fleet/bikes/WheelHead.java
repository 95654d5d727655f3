package org.stratopneum.web.fleet.bikes;

import java.util.UUID;

/**
 * What stands over every page about a wheel: the bike, which of its wheels, what is on it, and what is amiss.
 *
 * @param wheelset the name of its wheelset where that is not in the bike, or null
 * @param other the other wheel of the pair, or null
 * @param tire the tire in words, or null without one; {@code tireId} its id
 * @param since since when it is on, with how, both null without a tire
 * @param loss the air that it loses, where that is more than it should, or null
 * @param tubed whether a tube is in it
 */
public record WheelHead(
        UUID bikeId,
        String bike,
        String wheelset,
        UUID id,
        WheelPosition position,
        UUID other,
        UUID tireId,
        String tire,
        UUID rimId,
        String rim,
        String sinceWord,
        String since,
        String loss,
        boolean tubed) {

    public UUID rear() {
        return position == WheelPosition.REAR ? id : other;
    }

    public UUID front() {
        return position == WheelPosition.FRONT ? id : other;
    }
}
