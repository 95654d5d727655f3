package org.stratopneum.web.today;

import java.util.List;

/**
 * The first page.
 *
 * @param shed the wheels that want the shed today, in words; empty when none does
 */
public record TodayPage(List<BikeCard> bikes, String shed) {}
