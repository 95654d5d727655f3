package org.stratopneum.web.sealant;

import java.util.List;
import org.stratopneum.core.agenda.DueItem;
import org.stratopneum.core.sealant.SealantForecast;

/**
 * What the forecast of a wheel's liquid comes to on a day; it is kept until that changes.
 *
 * @param due what it makes due
 * @param volumeMl what is in the tire (ml)
 * @param unknown whether nobody has looked yet at what the tire came with
 */
record SealantToday(List<DueItem> due, SealantForecast.Spread volumeMl, boolean unknown) {

    SealantToday {
        due = List.copyOf(due);
    }
}
