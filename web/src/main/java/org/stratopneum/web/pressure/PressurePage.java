package org.stratopneum.web.pressure;

import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.stratopneum.core.pressure.DropSchool;
import org.stratopneum.core.pressure.Ground;
import org.stratopneum.web.bikes.BikeStanding;

/**
 * All that the pressure page shows.
 *
 * @param errors message for each field that is wrong
 * @param advice what to set, or null while it cannot be told
 * @param settable whether "set as told" is offered
 * @param outcome what was just done, or null
 * @param notice a sentence at the top, or null
 */
record PressurePage(
        BikeStanding bike,
        RideForm ride,
        ReadingForm reading,
        Map<String, String> errors,
        AdviceView advice,
        boolean settable,
        Ids ids,
        Outcome outcome,
        String notice) {

    /** Fresh ids for "set as told", so that sending it twice writes once. */
    record Ids(UUID rear, UUID front) {
        static Ids fresh() {
            return new Ids(UUID.randomUUID(), UUID.randomUUID());
        }
    }

    /**
     * Entries that were just written or struck, with the way back.
     *
     * @param struck whether they were struck through
     */
    record Outcome(boolean struck, List<String> lines, List<UUID> ids) {}

    /** What the selection of grounds offers. */
    public List<Ground> grounds() {
        return List.of(Ground.values());
    }

    /** What the selection of schools offers. */
    public List<DropSchool> schools() {
        return List.of(DropSchool.values());
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
