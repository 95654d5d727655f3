package org.stratopneum.web.parts.wheels;

import java.util.List;
import java.util.UUID;
import org.stratopneum.web.log.LogOutcome;
import org.stratopneum.web.platform.drawing.ReadingsChart;
import org.stratopneum.web.platform.drawing.SectionDrawing;
import org.stratopneum.web.platform.wording.FitText;

/**
 * All that a wheel's page shows, in words.
 *
 * @param place where the wheel belongs
 * @param tire what is on it, or null
 * @param section its section, or null while there is no tire that goes with the rim
 * @param told what to set, or null while it cannot be told
 * @param fit whether what is on it goes together, or null without a tire
 * @param accepted the warnings that the rider goes on knowing
 * @param hold whether it held its air since it was last pumped, or null while that cannot be told
 * @param byNow what it holds by now and how fast it loses air, empty while nothing tells that
 * @param chart its readings over time, or null while there are none
 * @param unit symbol of the chart's unit
 * @param done what else was done to it, newest first
 * @param outcome what was just done, or null
 */
record WheelPage(
        UUID id,
        Place place,
        Tire tire,
        Rim rim,
        SectionDrawing section,
        AdvisedPressures told,
        FitText fit,
        List<Accepted> accepted,
        Hold hold,
        List<String> byNow,
        List<Limit> limits,
        ReadingsChart chart,
        String unit,
        List<Entry> readings,
        List<Period> history,
        List<Entry> done,
        LogOutcome outcome) {

    private static final int LATEST = 6;

    /** Rear or front, in words. */
    public String where() {
        return place.where();
    }

    /** The readings that are shown at once. */
    public List<Entry> latest() {
        return readings.subList(0, Math.min(LATEST, readings.size()));
    }

    /** The readings before those. */
    public List<Entry> earlier() {
        return readings.subList(latest().size(), readings.size());
    }

    /** @param other the other wheel of the pair, or null */
    record Place(UUID bikeId, String bike, String wheelset, String where, UUID other, boolean mounted, String date) {}

    /**
     * The tire that is on.
     *
     * @param misfit whether it cannot stand on this rim
     */
    record Tire(
            UUID id,
            String name,
            String size,
            String tradeName,
            String setup,
            String since,
            String marks,
            String air,
            boolean misfit) {}

    record Rim(UUID id, String name, String width, String kind, String bed) {}

    /** What to set, with where the last reading lies; {@code number} is null where riding is blocked. */
    record AdvisedPressures(
            String number, String unit, String beside, String window, String last, String side, String sideCode) {}

    /**
     * Whether it holds.
     *
     * @param read the two readings
     * @param loss of a day, with its doubt
     * @param code of the state's shape
     * @param leaks whether the leak is to be looked for
     */
    record Hold(String read, String loss, String word, String code, boolean leaks) {}

    /** A warning that was accepted, with the rider's note. */
    record Accepted(UUID entry, String message, String note) {}

    /** A limit, and where it comes from. */
    record Limit(String name, String value, String source, boolean decides) {}

    /** An entry of the log about this wheel. */
    record Entry(UUID id, String when, String what, String note, boolean struck, boolean corrected) {}

    /** What was on the wheel from when until when. */
    record Period(UUID entry, String tire, String setup, String from, String until, boolean now) {}
}
