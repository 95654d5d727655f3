package org.stratopneum.web.fleet.care;

import java.time.LocalDate;
import java.time.MonthDay;
import java.util.UUID;
import org.stratopneum.core.sealant.DoseSchool;
import org.stratopneum.core.sealant.Schedule;

/**
 * How a wheel is looked after.
 *
 * @param makerMl what the maker of tire or sealant says (ml), which wins over the school; or null
 * @param months between renewals or fillings where the plan counts them, else null
 * @param startsOn the event, or a day on which a season starts, where the plan waits for one; else null
 * @param lookEveryDays how often tread, flanks, rim and valve are looked at (days), or null for never
 */
public record WheelCare(
        UUID wheelId,
        DoseSchool dose,
        Double makerMl,
        Plan plan,
        Integer months,
        LocalDate startsOn,
        Integer lookEveryDays,
        int version) {

    /** Which school of schedule is followed. */
    public enum Plan {
        MEASURED,
        UNTIL_DRY,
        MONTHLY_TOP_UP,
        EVERY_MONTHS,
        SEASON_START,
        BEFORE_EVENT;

        public boolean countsMonths() {
            return this == MONTHLY_TOP_UP || this == EVERY_MONTHS;
        }

        public boolean waitsForDay() {
            return this == SEASON_START || this == BEFORE_EVENT;
        }
    }

    /** A wheel that nobody said anything of. */
    public static WheelCare usual(UUID wheelId) {
        return new WheelCare(wheelId, DoseSchool.STANDARD, null, Plan.MEASURED, null, null, null, 0);
    }

    public Schedule schedule() {
        return switch (plan) {
            case MEASURED -> new Schedule.Measured();
            case UNTIL_DRY -> new Schedule.UntilDry();
            case MONTHLY_TOP_UP -> new Schedule.MonthlyTopUp(months);
            case EVERY_MONTHS -> new Schedule.EveryMonths(months);
            case SEASON_START -> new Schedule.SeasonStart(MonthDay.from(startsOn));
            case BEFORE_EVENT -> new Schedule.BeforeEvent(startsOn);
        };
    }
}
