package org.stratopneum.web.due.today;

import java.util.List;
import java.util.UUID;

/**
 * The first page.
 *
 * @param shed the wheels that want the shed today, in words; empty when none does
 * @param open the job cards in the middle of being done, one line for each wheel
 */
public record TodayPage(List<BikeCard> bikes, String shed, List<Open> open) {

    /** An open job card on a wheel; {@code state} says until when it waits. */
    public record Open(UUID card, UUID wheel, String job, String where, String state) {}
}
