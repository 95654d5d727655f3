package org.stratopneum.web.due;

import java.util.List;
import java.util.UUID;
import org.stratopneum.core.job.Job;
import org.stratopneum.web.log.LogOutcome;
import org.stratopneum.web.platform.wording.FormView;

/**
 * What is to do, and the next ride.
 *
 * @param sections now, this week, later; those without a line are left out
 * @param together what is done on the same days in the next weeks, or null where nothing is gained by that
 * @param call the first thing that is amiss, or null
 * @param buy what the shelf lacks for what comes
 * @param put what was snoozed or skipped
 * @param secret key of the address that calendar programs fetch, or null without one
 * @param done what was just done, or null
 * @param outcome what was just written into the log, or null
 */
record TodoPage(
        List<Section> sections,
        Together together,
        TodoRow call,
        RidePage ride,
        List<String> buy,
        List<Put> put,
        FormView reminder,
        List<Wheel> wheels,
        String secret,
        Done done,
        LogOutcome outcome) {

    public UUID freshId() {
        return UUID.randomUUID();
    }

    public List<Job> jobs() {
        return List.of(Job.values());
    }

    /** Lines of about the same time. */
    public record Section(String name, List<TodoRow> rows) {}

    /**
     * @param said how many days that saves
     * @param cost what is moved, and what that costs
     */
    public record Together(String said, List<Trip> trips, List<String> cost) {}

    /** A day on which something is done, and the ride of that day, or null. */
    public record Trip(String day, String what, String ride) {}

    /** Something that was snoozed or skipped, and how that is said. */
    public record Put(String key, String text, String how) {}

    /** A wheel to choose. */
    public record Wheel(UUID id, String name) {}

    /**
     * What was just done, and the way back.
     *
     * @param undo where that leads, with the {@code keys} that it is about
     */
    public record Done(String text, String undo, List<String> keys) {}
}
