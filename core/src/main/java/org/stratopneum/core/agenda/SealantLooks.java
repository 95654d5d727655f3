package org.stratopneum.core.agenda;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.stratopneum.core.sealant.Schedule;
import org.stratopneum.core.sealant.SealantForecast;

/** What the liquid in a tire makes due, by the school that the rider follows. */
public final class SealantLooks {

    /** A core that was washed so shortly before a refresh need not be again (our judgement; days). */
    private static final int CLEAN_DAYS = 30;

    private SealantLooks() {}

    /**
     * What came with a tire is looked at the day it was found, whatever the schedule.
     *
     * @param coreServiced when the core was last washed or renewed, or null where nobody noted it; the core is serviced
     *     with each refresh (common practice)
     */
    public static List<DueItem> of(
            UUID wheelId, Schedule schedule, SealantForecast forecast, LocalDate coreServiced, LocalDate today) {
        List<DueItem> items = new ArrayList<>();
        List<Schedule.Due> dues = schedule.dues(forecast, today);
        boolean looked = dues.stream().anyMatch(due -> due.kind() == Schedule.Kind.LOOK);
        if (forecast.isUnknown() && !looked) {
            items.add(new DueItem(wheelId, DueReason.SEALANT_LOOK, forecast.startedOn()));
        }
        for (Schedule.Due due : dues) {
            items.add(new DueItem(wheelId, reason(due.kind()), due.on(), due.from(), due.until()));
            boolean opened = due.kind() == Schedule.Kind.REFRESH || due.kind() == Schedule.Kind.RENEW;
            boolean clean =
                    coreServiced != null && coreServiced.isAfter(due.on().minusDays(CLEAN_DAYS));
            if (opened && !clean) {
                items.add(new DueItem(wheelId, DueReason.CORE_SERVICE, due.on(), due.from(), due.until()));
            }
        }
        return items;
    }

    private static DueReason reason(Schedule.Kind kind) {
        return switch (kind) {
            case LOOK -> DueReason.SEALANT_LOOK;
            case REFRESH -> DueReason.SEALANT_REFRESH;
            case TOP_UP -> DueReason.SEALANT_TOP_UP;
            case RENEW -> DueReason.SEALANT_RENEW;
        };
    }
}
