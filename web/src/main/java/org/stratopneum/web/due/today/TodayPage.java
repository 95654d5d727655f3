package org.stratopneum.web.due.today;

import java.util.List;

/**
 * The first page.
 *
 * @param shed the wheels that want the shed today, in words; empty when none does
 * @param open job cards, and searches for leaks, in the middle of being done, one line for each wheel
 */
public record TodayPage(List<BikeCard> bikes, String shed, List<Open> open) {

    /** Work on a wheel that goes on at {@code path}; {@code state} says until when it waits. */
    public record Open(String path, String job, String where, String state) {}
}
