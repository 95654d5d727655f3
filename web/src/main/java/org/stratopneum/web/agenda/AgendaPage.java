package org.stratopneum.web.agenda;

import java.util.List;
import java.util.UUID;

/**
 * What is due, day by day.
 *
 * @param now what is due today or was before
 * @param days what comes, day by day
 * @param secret key of the address that calendar programs fetch, or null without one
 * @param shelf bottles that are, or soon will be, past their best-before
 */
record AgendaPage(List<Trip> now, List<Day> days, List<String> shelf, String secret) {

    public boolean empty() {
        return now.isEmpty() && days.isEmpty();
    }

    /** A day with its trips. */
    public record Day(String day, List<Trip> trips) {}

    /** One trip to the shed for one wheel. */
    public record Trip(UUID wheel, String where, List<What> what) {}

    /** One thing of it; {@code since} says since when it has been due, or is empty. */
    public record What(String text, String path, String since) {}
}
