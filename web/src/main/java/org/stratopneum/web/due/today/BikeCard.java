package org.stratopneum.web.due.today;

import java.util.List;
import java.util.UUID;
import org.stratopneum.web.fleet.bikes.WheelPosition;
import org.stratopneum.web.log.LogOutcome;
import org.stratopneum.web.platform.drawing.WheelDrawing;

/**
 * A bike on the first page: rear wheel left, front wheel right.
 *
 * @param write what the form for its readings needs, or null where it has not both tires on
 * @param outcome what was just written for it, or null
 */
public record BikeCard(
        UUID id,
        String name,
        String wheelset,
        String ride,
        String system,
        List<WheelCard> wheels,
        Write write,
        LogOutcome outcome) {

    /**
     * One wheel in words.
     *
     * @param told what to set, or null while it cannot be told
     * @param onGauge what the gauge in hand shows then, or null where it shows the same
     * @param own the rider's own number and how far it is from what is told, or null
     * @param reading last reading, or null
     * @param sideCode below, inside, above, or none
     * @param trip what takes the rider to the shed for it, or null
     * @param misfit whether its tire cannot stand on its rim
     */
    public record WheelCard(
            UUID id,
            WheelPosition position,
            WheelDrawing drawing,
            String size,
            String tire,
            String told,
            String unit,
            String beside,
            String onGauge,
            String own,
            String window,
            String reading,
            String age,
            String side,
            String sideCode,
            Trip trip,
            boolean blocked,
            boolean misfit) {}

    /**
     * One trip to the shed.
     *
     * @param now whether something of it is due today, or was before
     * @param leak whether a leak is to be looked for
     */
    public record Trip(String text, boolean now, boolean leak) {}

    /**
     * Fresh ids, so that sending a form twice writes once, and what a touch on "set as told" would write.
     *
     * @param unit name of the unit that is typed
     * @param toldRear null where nothing may be set
     */
    public record Write(
            UUID rearEntry, UUID frontEntry, String unit, String symbol, String toldRear, String toldFront) {
        public boolean settable() {
            return toldRear != null;
        }
    }
}
