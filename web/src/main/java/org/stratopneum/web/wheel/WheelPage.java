package org.stratopneum.web.wheel;

import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.UUID;
import org.stratopneum.web.fleet.bikes.CasingQuestion;
import org.stratopneum.web.fleet.bikes.Marking;
import org.stratopneum.web.fleet.bikes.WheelHead;
import org.stratopneum.web.log.LogOutcome;
import org.stratopneum.web.platform.drawing.SectionDrawing;
import org.stratopneum.web.platform.wording.FitText;
import org.stratopneum.web.pressure.ReadingForm;
import org.stratopneum.web.pressure.WheelPanel;
import org.stratopneum.web.pressure.ride.RideForm;

/**
 * The first tab of a wheel: what to set, why, and its limits.
 *
 * @param panel what is recommended, or null while that is not known
 * @param why how that is, by its message: bare, misfit or missing; null where there is a recommendation
 * @param settable whether it may be set
 * @param gauge name of the gauge in hand, or null
 * @param section its section, or null without a tire that goes with the rim
 * @param sectionSaid what the section shows, for those who hear the page
 * @param facts what is on it, in words
 * @param fit whether what is on it goes together, or null without a tire
 * @param accepted the warnings that the rider goes on knowing
 * @param unread what nobody looked at yet, or null
 * @param errors message of each field that is wrong, and {@code asked} what was probably meant
 * @param outcome what was just done, or null
 * @param notice a sentence at the top, by its message, or null
 */
public record WheelPage(
        WheelHead head,
        WheelPanel panel,
        String why,
        boolean settable,
        String alarm,
        String gauge,
        Ride ride,
        Reading reading,
        SectionDrawing section,
        String sectionSaid,
        List<String> facts,
        FitText fit,
        List<Accepted> accepted,
        List<Limit> limits,
        List<CasingQuestion> casings,
        Marking unread,
        Map<String, String> errors,
        LogOutcome outcome,
        String notice) {

    /** The field of this wheel in the form of a reading. */
    public String field() {
        return head.position().name().toLowerCase(Locale.ROOT);
    }

    public String error(String field) {
        return errors.get(field);
    }

    /**
     * The ride that the recommendation is for.
     *
     * @param usual whether it is the usual one
     */
    public record Ride(RideForm form, boolean usual, String total, String rider, String strikeGround) {}

    /**
     * The form of a reading.
     *
     * @param entry a fresh id, so that sending it twice writes once
     * @param asked what was probably meant, or null
     */
    public record Reading(ReadingForm form, UUID entry, String unit, String temperatureUnit, String asked) {

        /** Whether more than the number was typed, or is faulty. */
        public boolean open(Map<String, String> errors) {
            return !form.text("at").isEmpty()
                    || !form.text("temperature").isEmpty()
                    || errors.containsKey("at")
                    || errors.containsKey("temperature")
                    || errors.containsKey("unit");
        }
    }

    /** A warning that was accepted, with the rider's note. */
    public record Accepted(UUID entry, String message, String note) {}

    /** A limit, and where it comes from. */
    public record Limit(String name, String value, String source, boolean decides) {}
}
