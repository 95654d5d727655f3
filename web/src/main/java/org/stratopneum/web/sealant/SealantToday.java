package org.stratopneum.web.sealant;

import java.time.LocalDate;
import java.util.List;
import org.stratopneum.core.agenda.DueItem;
import org.stratopneum.core.sealant.SealantForecast;

/**
 * What the forecast of a wheel's liquid comes to on a day; it is kept until that changes.
 *
 * @param on the day
 * @param due what it makes due
 * @param volumeMl what is in the tire (ml)
 * @param unknown whether nobody has looked yet at what the tire came with
 * @param tooLittle how likely it is that it is too little on that day, and on each of the days that come (ratios)
 */
record SealantToday(
        LocalDate on, List<DueItem> due, SealantForecast.Spread volumeMl, boolean unknown, List<Double> tooLittle) {

    /** Nobody needs to know a chance better (1 over this). */
    private static final double PARTS = 10_000;

    /** For so many days the chances are worked out at once: rides and work are planned for them. */
    private static final int DAYS = 62;

    SealantToday {
        due = List.copyOf(due);
        tooLittle = List.copyOf(tooLittle);
    }

    static SealantToday of(LocalDate on, List<DueItem> due, SealantForecast forecast) {
        return new SealantToday(
                on,
                due,
                forecast.volumeMl(),
                forecast.isUnknown(),
                on.datesUntil(on.plusDays(DAYS))
                        .map(day -> Math.round(forecast.chanceTooLittle(day) * PARTS) / PARTS)
                        .toList());
    }
}
