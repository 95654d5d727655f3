package org.stratopneum.web.fleet.places;

import java.util.List;
import java.util.UUID;
import org.stratopneum.web.platform.wording.FormView;
import org.stratopneum.web.platform.wording.Units;

/** A place, to be entered or changed. */
public record PlacePage(
        UUID id, String title, FormView form, Units units, boolean home, List<Day> days, String source, int version) {

    /** A day of its weather in words. */
    public record Day(String day, String temperature, String humidity) {}

    /**
     * All places.
     *
     * @param source where the weather comes from
     */
    public record All(List<Line> lines, String source) {}

    /**
     * One of them.
     *
     * @param weather of today, or empty
     * @param retiredOn day, or null
     */
    public record Line(UUID id, String name, String height, boolean home, String weather, String retiredOn) {}
}
