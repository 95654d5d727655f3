package org.stratopneum.web.jobs;

import java.util.List;
import java.util.UUID;
import org.stratopneum.core.quantity.PressureUnit;
import org.stratopneum.web.platform.drawing.ClockDrawing;
import org.stratopneum.web.platform.wording.FitText;
import org.stratopneum.web.platform.wording.FormView;

/**
 * A job card in words.
 *
 * @param wheels the wheels that it is for, rear first
 * @param shown the wheel that is shown
 * @param step the step to be done now, or null
 * @param end how it ended on this wheel, or null
 * @param behind the steps that were taken on this wheel, newest first
 * @param ahead what usually comes then
 * @param notice what happened since the rider looked, or null
 */
public record CardPage(
        UUID id,
        String title,
        String bike,
        List<Wheel> wheels,
        Wheel shown,
        State state,
        Now step,
        End end,
        List<Behind> behind,
        List<String> ahead,
        String notice) {

    public boolean open() {
        return state == State.OPEN;
    }

    /** Whether the card goes on. */
    public enum State {
        OPEN,
        ENDED,
        LEFT
    }

    /** A wheel of the card; {@code where} is rear or front, {@code how} how far it is. */
    public record Wheel(UUID id, String where, String how, boolean shown) {}

    /**
     * The open step.
     *
     * @param clock where the valve stands, or null
     * @param symbol the drawing of the part that it is about
     * @param answers the buttons, the usual first; empty while a wait must go on
     * @param rest the wait, or null
     * @param measure what is measured, or null
     */
    public record Now(
            String id,
            String text,
            String why,
            List<String> cautions,
            ClockDrawing clock,
            String symbol,
            List<Button> answers,
            Wait rest,
            Measure measure,
            FormView form) {}

    public record Button(String answer, String text) {}

    /**
     * @param until when it is over, in words
     * @param seconds how long it still takes by the server's clock, which alone decides
     * @param over whether it is
     */
    public record Wait(String until, long seconds, boolean over) {}

    /** @param label what is typed, with its unit; a pressure has units to choose from */
    public record Measure(boolean pressure, boolean withTemperature, String label, String temperatureUnit) {
        public List<PressureUnit> units() {
            return List.of(PressureUnit.values());
        }
    }

    /**
     * How it ended.
     *
     * @param fit what blocks, or null
     * @param next the job that leads on, with its name, or null
     * @param leak whether the leak is to be looked for
     */
    public record End(String title, String then, boolean done, FitText fit, Next next, boolean leak) {}

    /** A card to go on with. */
    public record Next(String job, String name) {}

    /** A step that was taken; {@code step} is its id where it can be taken back, else null. */
    public record Behind(String text, String answer, String when, String step) {}
}
