package org.stratopneum.web.pressure;

import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.stratopneum.web.fleet.bikes.BikeState;
import org.stratopneum.web.fleet.bikes.CasingQuestion;
import org.stratopneum.web.log.LogOutcome;
import org.stratopneum.web.pressure.ride.RideForm;

/**
 * All that the pressure page shows.
 *
 * @param errors message for each field that is wrong
 * @param advice what to set, or null while it cannot be told
 * @param temperatureUnit symbol of the unit that the temperature of a reading is typed in
 * @param settable whether "set as told" is offered
 * @param casings what is asked once of its tires
 * @param outcome what was just done, or null
 * @param notice a sentence at the top, or null
 */
record PressurePage(
        BikeState bike,
        RideForm ride,
        ReadingForm reading,
        Map<String, String> errors,
        AdviceView advice,
        String temperatureUnit,
        boolean settable,
        List<CasingQuestion> casings,
        Ids ids,
        LogOutcome outcome,
        String notice) {

    /** Fresh ids for "set as told", so that sending it twice writes once. */
    record Ids(UUID rear, UUID front) {
        static Ids fresh() {
            return new Ids(UUID.randomUUID(), UUID.randomUUID());
        }
    }

    public String error(String field) {
        return errors.get(field);
    }

    /** Whether a fault belongs to the ride's form rather than to the reading. */
    public boolean rideFaulty() {
        return errors.keySet().stream()
                .anyMatch(field -> ride.parameters().containsKey(field) || field.equals("ground"));
    }
}
