package org.stratopneum.web.pressure;

import java.util.List;
import java.util.UUID;
import org.stratopneum.web.wording.FormView;
import org.stratopneum.web.wording.Units;

/**
 * What to set here for a ride elsewhere, in words.
 *
 * @param possible whether anything is told for the bike's usual ride
 * @param wheels rear first; empty while the form is faulty
 */
record ElsewherePage(UUID bike, String name, boolean possible, FormView form, Units units, List<Wheel> wheels) {

    /**
     * One wheel.
     *
     * @param set what to set here, or null where that would be too much
     * @param beside the same in the other unit
     * @param onGauge what the gauge in hand shows then, or null
     * @param there what it reads there
     * @param why what warmth and height do
     * @param now what the last reading would be there, or null
     * @param against why it may not be set, or null
     */
    public record Wheel(
            String where,
            String set,
            String beside,
            String onGauge,
            String there,
            List<String> why,
            String now,
            String against) {}
}
