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
        List<TripPressures.Wheel> wheels) {}
