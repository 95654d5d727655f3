package org.stratopneum.web.due;

import java.util.List;
import java.util.UUID;
import org.stratopneum.core.pressure.Ground;
import org.stratopneum.web.platform.drawing.ClimbDrawing;
import org.stratopneum.web.platform.wording.FormView;

/**
 * A ride that is planned: what to set for it, and what must be done before.
 *
 * @param bikes the bikes to choose from, {@code goals} the places and routes, {@code grounds} the terrains
 * @param form bike, day, time, goal and terrain as typed
 * @param planned what the calendar or a reminder says of it, or null
 * @param title bike, goal and day in words, or null while the form is faulty
 * @param trip how it is carried there, or null where it is ridden from where the bikes stand
 * @param set what to set, rear first; empty while nothing may be set
 * @param wheels what must be done before, rear first
 */
record RidePage(
        List<Choice> bikes,
        List<Choice> goals,
        List<Ground> grounds,
        FormView form,
        String planned,
        String title,
        String what,
        Trip trip,
        List<Set> set,
        String unit,
        List<Wheel> wheels) {

    /** Whether nothing must be done before. */
    public boolean ready() {
        return wheels.stream().flatMap(wheel -> wheel.lines.stream()).noneMatch(line -> line.must);
    }

    /** The first thing that must be done before; null where there is none. */
    public Line first() {
        return wheels.stream()
                .flatMap(wheel -> wheel.lines.stream())
                .filter(line -> line.must)
                .findFirst()
                .orElse(null);
    }

    /** A bike, or somewhere to ride to. */
    public record Choice(UUID id, String name) {}

    /** What to set on a wheel, and why it may not be set there, or null. */
    public record Set(String where, String number, String beside, String against) {}

    /** The way there: the drawing, where the warmth comes from, and why another number is set here. */
    public record Trip(ClimbDrawing drawing, String said, List<String> why, List<String> asItIs) {}

    /**
     * A wheel.
     *
     * @param sealant how likely the sealant is too little then, in words, or null where it has none to speak of
     */
    public record Wheel(UUID id, String where, List<Line> lines, String sealant) {}

    /**
     * Something to do before.
     *
     * @param must whether it must be done, {@code standing} says so in words
     * @param note when it is done at the latest, and what was snoozed or skipped
     */
    public record Line(
            String what, String where, String icon, String path, boolean must, String standing, String note) {}
}
