package org.stratopneum.web.sealant;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.UUID;
import java.util.function.Supplier;
import org.stratopneum.core.agenda.DueItem;
import org.stratopneum.core.sealant.SealantDose;
import org.stratopneum.core.sealant.SealantForecast;

/**
 * The liquid in a tire as other services need it.
 *
 * @param today what is known of it today
 * @param forecast the forecast itself; worked out where it is asked for, which takes its time
 * @param leastMl what it needs to seal (ml)
 * @param fullMl what a full filling is (ml)
 * @param refillMl what a refresh on its day will want (ml)
 * @param bottle the bottle of the last filling, or null
 */
public record SealantState(
        SealantToday today,
        Supplier<SealantForecast> forecast,
        double leastMl,
        double fullMl,
        double refillMl,
        UUID bottle) {

    /** What it makes due. */
    public List<DueItem> due() {
        return today.due();
    }

    /** What is in the tire today (ml). */
    public SealantForecast.Spread volumeMl() {
        return today.volumeMl();
    }

    /** Whether nobody has looked yet at what the tire came with. */
    public boolean isUnknown() {
        return today.unknown();
    }

    /** How likely it is that it is too little on a day to come, or is already (ratio). */
    public double chanceTooLittle(LocalDate on) {
        long days = ChronoUnit.DAYS.between(today.on(), on);
        return days < today.tooLittle().size()
                ? today.tooLittle().get((int) days)
                : forecast.get().chanceTooLittle(on);
    }

    /** What goes in today, in whole steps of 5 (ml). */
    public double topUpMl() {
        return SealantDose.roundedUpMl(fullMl - volumeMl().p50());
    }
}
