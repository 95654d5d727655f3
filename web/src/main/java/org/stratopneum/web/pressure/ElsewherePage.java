package org.stratopneum.web.pressure;

import java.util.List;
import java.util.UUID;
import org.stratopneum.web.fleet.places.Place;
import org.stratopneum.web.platform.wording.FormView;
import org.stratopneum.web.platform.wording.Units;

/**
 * What to set here for a ride elsewhere, in words.
 *
 * @param possible whether anything is told for the bike's usual ride
 * @param hereSaid where temperature and height of here come from, {@code thereSaid} those of there; empty where typed
 * @param wheels rear first; empty while the form is faulty
 */
record ElsewherePage(
        UUID bike,
        String name,
        boolean possible,
        FormView form,
        Units units,
        List<Place> places,
        String hereSaid,
        String thereSaid,
        List<Wheel> wheels) {

    /**
     * One wheel.
     *
     * @param set what to set here, or null where that would be too much
     * @param beside the same in the other unit
     * @param onGauge what the gauge in hand shows then, or null
     * @param there what it reads there
     * @param why what warmth and height do
     * @param asItIs what it holds now and at the ride if nobody pumps, empty without a reading
     * @param sideCode on which side of the window that is, or none
     * @param against why it may not be set, or null
     */
    public record Wheel(
            String where,
            String set,
            String beside,
            String onGauge,
            String there,
            List<String> why,
            List<String> asItIs,
            String side,
            String sideCode,
            String against) {}
}
