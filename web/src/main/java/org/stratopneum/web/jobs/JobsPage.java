package org.stratopneum.web.jobs;

import java.util.List;
import java.util.UUID;
import org.stratopneum.web.fleet.bikes.WheelHead;

/**
 * The jobs that can be started, those in progress first.
 *
 * @param head what stands over the pages of a wheel, or null on the page of all
 * @param open in progress
 * @param wheels the wheels to choose from; empty on the page of one wheel
 * @param wheel the wheel that a job is started on, or null without any
 * @param search what is looked for
 * @param groups what is left of the jobs then
 * @param earlier cards that ended or were canceled, newest first
 */
public record JobsPage(
        WheelHead head,
        List<Open> open,
        List<Wheel> wheels,
        UUID wheel,
        String search,
        List<Group> groups,
        List<Line> earlier) {

    /**
     * A card in progress.
     *
     * @param step the step it stands at, {@code steps} how many it usually takes
     * @param waits until when it waits, or null
     */
    public record Open(String path, String job, String where, int step, int steps, String waits) {}

    /** A wheel to choose. */
    public record Wheel(UUID id, String name) {}

    /** What jobs are for. */
    public record Group(String name, String icon, List<Choice> jobs) {}

    /** A job to choose; {@code what} says what it is for. */
    public record Choice(String job, String name, String what) {}

    /** A card that is over. */
    public record Line(UUID id, String name, String bike, String when, String state) {}
}
