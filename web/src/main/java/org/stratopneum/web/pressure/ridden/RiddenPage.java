package org.stratopneum.web.pressure.ridden;

import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.stratopneum.core.dialling.Feel;
import org.stratopneum.web.fleet.places.Place;
import org.stratopneum.web.platform.wording.FormView;
import org.stratopneum.web.platform.wording.Units;
import org.stratopneum.web.pressure.ride.RideForm;

/**
 * A ride to be noted.
 *
 * @param corrects the entry that is put right, or null
 * @param track what a recorded file says, or null
 * @param usual the usual ride in words
 */
record RiddenPage(
        UUID bike,
        String name,
        UUID corrects,
        FormView form,
        RideForm ride,
        Map<String, String> rideErrors,
        Units units,
        List<Place> places,
        FromTrack track,
        String usual,
        List<Wheel> wheels) {

    public List<Feel> feels() {
        return RiddenForm.feels();
    }

    /** Whether the ground or the load is faulty. */
    public boolean rideFaulty() {
        return !rideErrors.isEmpty();
    }

    /**
     * What a file says.
     *
     * @param said in words
     * @param newPlace address under which its start can be kept as a place, or null where it is one already
     */
    public record FromTrack(UUID id, String name, List<String> said, String newPlace) {}

    /**
     * A wheel.
     *
     * @param prefix of its fields
     * @param ask whether an answer could still move its pressure
     * @param why what is known so far
     */
    public record Wheel(String where, String prefix, boolean ask, String why) {}
}
