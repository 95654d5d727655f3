package org.stratopneum.web.sealant;

import java.util.List;
import java.util.UUID;
import org.stratopneum.core.agenda.DueItem;
import org.stratopneum.core.sealant.SealantDose;
import org.stratopneum.core.sealant.SealantForecast;

/**
 * The liquid in a tire as other services need it.
 *
 * @param due what it makes due
 * @param forecast what is known of it today
 * @param leastMl what it needs to seal (ml)
 * @param fullMl what a full filling is (ml)
 * @param refillMl what a refresh on its day will want (ml)
 * @param bottle the bottle of the last filling, or null
 */
public record SealantState(
        List<DueItem> due, SealantForecast forecast, double leastMl, double fullMl, double refillMl, UUID bottle) {

    public SealantState {
        due = List.copyOf(due);
    }

    /** What goes in today, in whole steps of 5 (ml); asked only where it is told, since it takes its time. */
    public double topUpMl() {
        return SealantDose.roundedUpMl(fullMl - forecast.volumeMl().p50());
    }
}
