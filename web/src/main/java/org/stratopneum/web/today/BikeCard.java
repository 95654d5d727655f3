package org.stratopneum.web.today;

import java.util.List;
import java.util.UUID;
import org.stratopneum.web.bikes.WheelPosition;
import org.stratopneum.web.drawing.WheelDrawing;

/** A bike on the first page: rear wheel left, front wheel right. */
record BikeCard(UUID id, String name, String wheelset, String ride, String system, List<WheelCard> wheels) {

    /**
     * One wheel in words.
     *
     * @param told what to set, or null while it cannot be told
     * @param reading last reading, or null
     * @param sideCode below, inside, above, or none
     */
    record WheelCard(
            WheelPosition position,
            WheelDrawing drawing,
            String size,
            String tire,
            String told,
            String unit,
            String beside,
            String window,
            String reading,
            String age,
            String side,
            String sideCode,
            boolean blocked) {}
}
