package org.stratopneum.web.due;

import java.util.List;
import java.util.UUID;
import org.stratopneum.web.platform.wording.FormView;

/**
 * What must be done before a ride.
 *
 * @param bikes to choose from
 * @param day the day of the ride in words
 * @param wheels rear first
 */
record RidePage(List<Bike> bikes, FormView form, UUID bike, String bikeName, String day, List<Wheel> wheels) {

    /** Whether it can be ridden as it stands. */
    public boolean ready() {
        return wheels.stream().allMatch(wheel -> wheel.lines.isEmpty());
    }

    /** A bike to choose. */
    public record Bike(UUID id, String name) {}

    /**
     * A wheel.
     *
     * @param sealant how likely the sealant is too little then, in words, or null where it has none to speak of
     */
    public record Wheel(UUID id, String where, List<Line> lines, String sealant) {}

    /**
     * Something to do before.
     *
     * @param state code of its shape, {@code standing} the word beside it
     * @param note when it is done at the latest, and what was put off or skipped
     */
    public record Line(String what, String path, String state, String standing, String note) {}
}
