package org.stratopneum.web.due;

import java.util.List;
import java.util.UUID;
import org.stratopneum.core.job.Job;
import org.stratopneum.web.log.LogOutcome;
import org.stratopneum.web.platform.wording.FormView;

/**
 * What is due, day by day.
 *
 * @param now what is due today or was before
 * @param days what comes, day by day
 * @param buy what the shelf lacks for what comes
 * @param put what was put off or skipped
 * @param secret key of the address that calendar programs fetch, or null without one
 * @param done what was just done, or null
 * @param outcome what was just written into the log, or null
 */
record AgendaPage(
        List<Trip> now,
        List<Day> days,
        List<String> buy,
        List<Put> put,
        FormView reminder,
        List<Wheel> wheels,
        String secret,
        Done done,
        LogOutcome outcome) {

    public boolean empty() {
        return now.isEmpty() && days.isEmpty();
    }

    public UUID freshId() {
        return UUID.randomUUID();
    }

    public List<Job> jobs() {
        return List.of(Job.values());
    }

    /** A day with its trips. */
    public record Day(String day, List<Trip> trips) {}

    /** One trip to the shed for one wheel. */
    public record Trip(String where, List<What> what) {}

    /** One thing of it; {@code since} says since when it has been due, or is empty; {@code path} may be null. */
    public record What(String key, String text, String path, String since) {}

    /** Something that was put off or skipped, and how that is said. */
    public record Put(String key, String text, String how) {}

    /** A wheel to choose. */
    public record Wheel(UUID id, String name) {}

    /**
     * What was just done, and the way back.
     *
     * @param undo where that leads
     */
    public record Done(String text, String undo) {}
}
