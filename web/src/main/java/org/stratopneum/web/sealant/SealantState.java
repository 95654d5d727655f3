package org.stratopneum.web.sealant;

import java.util.List;
import java.util.UUID;
import org.stratopneum.core.agenda.DueItem;
import org.stratopneum.core.sealant.SealantForecast;

/**
 * The liquid in a tire as other desks need it.
 *
 * @param due what it makes due
 * @param forecast what is known of it today
 * @param topUpMl what goes in today (ml)
 * @param refillMl what a refresh on its day will want (ml)
 * @param bottle the bottle of the last filling, or null
 */
public record SealantState(List<DueItem> due, SealantForecast forecast, double topUpMl, double refillMl, UUID bottle) {

    public SealantState {
        due = List.copyOf(due);
    }
}
