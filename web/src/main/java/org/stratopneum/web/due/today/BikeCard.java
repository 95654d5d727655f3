package org.stratopneum.web.due.today;

import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.stratopneum.web.fleet.bikes.WheelPosition;
import org.stratopneum.web.log.LogOutcome;
import org.stratopneum.web.platform.drawing.BikeDrawing;

/**
 * A bike on the first page: rear wheel left, front wheel right.
 *
 * @param entry the form for its readings, or null where it has not both tires on
 * @param outcome what was just written for it, or null
 */
public record BikeCard(Face face, Entry entry, LogOutcome outcome) {

    /**
     * What is shown of a bike.
     *
     * @param drawing both wheels on the ground, or null while neither has a tire; {@code alt} what it shows
     * @param rollable whether it has both tires on
     */
    public record Face(
            UUID id,
            String name,
            String wheelset,
            BikeDrawing drawing,
            String alt,
            List<WheelCard> wheels,
            boolean rollable) {}

    /**
     * One wheel in words.
     *
     * @param now what it holds, or null without a reading; {@code estimated} whether that is carried on from the reading
     * @param state code and word of its state
     * @param since the last reading and the loss, or that there is none
     * @param notes what is to be known besides
     * @param dry whether its sealant is too little to seal
     * @param alarm that more is in it than its tire or rim can take, or null
     */
    public record WheelCard(
            UUID id,
            WheelPosition position,
            String now,
            String unit,
            boolean estimated,
            String state,
            String word,
            String since,
            List<String> notes,
            boolean dry,
            String alarm) {}

    /**
     * The form for both readings, with fresh ids, so that sending it twice writes once.
     *
     * @param unit name of the unit that is typed
     */
    public record Entry(UUID rearEntry, UUID frontEntry, String unit, Fields fields) {}

    /**
     * Its fields.
     *
     * @param symbol of the unit that is typed, as it is written
     * @param told what is recommended, rear and front; null where nothing may be set
     * @param typed what was typed before
     * @param errors what was wrong with it, by field
     * @param asked what was probably meant, by field
     */
    public record Fields(
            String symbol,
            Told told,
            Map<String, String> typed,
            Map<String, String> errors,
            Map<String, String> asked) {

        /** What is recommended, as numbers, and as the gauge in hand shows them. */
        public record Told(String rear, String front, String rearShown, String frontShown) {
            public String shown(String side) {
                return "rear".equals(side) ? rearShown : frontShown;
            }
        }

        public String text(String field) {
            return typed.getOrDefault(field, "");
        }

        /** The field to begin with again, or null. */
        public String faulty() {
            return errors.keySet().stream().findFirst().orElse(null);
        }
    }
}
