package org.stratopneum.core.agenda;

import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.stratopneum.core.sealant.SealantForecast;

/** What the liquid in a tire makes due: a look inside, then a refresh; once that is due, no look is needed any more. */
public final class SealantLooks {

    private SealantLooks() {}

    public static List<DueItem> of(UUID wheelId, SealantForecast forecast, LocalDate today) {
        DueItem refresh = new DueItem(wheelId, DueReason.SEALANT_REFRESH, forecast.refreshBy());
        return refresh.isDueOn(today)
                ? List.of(refresh)
                : List.of(new DueItem(wheelId, DueReason.SEALANT_LOOK, forecast.checkBy()), refresh);
    }
}
