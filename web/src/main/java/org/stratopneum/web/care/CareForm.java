package org.stratopneum.web.care;

import java.time.LocalDate;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import org.stratopneum.core.agenda.PreventionLooks;
import org.stratopneum.core.check.Problem;
import org.stratopneum.core.check.Range;
import org.stratopneum.core.job.Measured;
import org.stratopneum.core.sealant.DoseSchool;
import org.stratopneum.core.sealant.Schedule;
import org.stratopneum.web.care.WheelCare.Plan;
import org.stratopneum.web.wording.FormReader;
import org.stratopneum.web.wording.QuantityText;
import org.stratopneum.web.wording.Units;

/** Reads how a wheel is to be looked after, and fills the form. */
public final class CareForm {

    private static final String NOT_SO_OFTEN = "not-so-often";

    /** Nobody plans farther, and a season started no longer ago. */
    private static final int YEARS = 5;

    private CareForm() {}

    public static Map<String, String> texts(WheelCare care, Units units) {
        Map<String, String> texts = new TreeMap<>();
        texts.put("dose", care.dose().name());
        texts.put("maker", QuantityText.typed(care.makerMl(), units.volume()));
        texts.put("plan", care.plan().name());
        texts.put("months", text(care.months()));
        texts.put("startsOn", care.startsOn() == null ? "" : care.startsOn().toString());
        texts.put("lookEvery", text(care.lookEveryDays()));
        texts.put("version", text(care.version()));
        return texts;
    }

    private static String text(Integer number) {
        return number == null ? "" : number.toString();
    }

    /**
     * Empty with faults in {@code reader}. What a plan does not need is let go of.
     *
     * @param before how it was looked after
     */
    public static Optional<WheelCare> read(
            FormReader reader, WheelCare before, int version, Units units, LocalDate today) {
        Optional<DoseSchool> dose = reader.choice("dose", DoseSchool.class);
        Range volume = Range.above(0, Measured.SEALANT.range().maximum(), "ml");
        Optional<Double> maker = reader.quantity("maker", volume, units.volume(), before.makerMl());
        Plan plan = reader.choice("plan", Plan.class).orElse(Plan.MEASURED);
        Optional<Integer> months = plan.countsMonths() ? months(reader, plan) : Optional.empty();
        Optional<LocalDate> starts = plan.waitsForDay() ? day(reader, plan, today) : Optional.empty();
        Optional<Integer> every = reader.whole("lookEvery", PreventionLooks.EVERY_DAYS);
        if (!reader.problems().isEmpty()) {
            return Optional.empty();
        }
        return Optional.of(new WheelCare(
                before.wheelId(),
                dose.orElse(DoseSchool.STANDARD),
                maker.orElse(null),
                plan,
                months.orElse(null),
                starts.orElse(null),
                every.orElse(null),
                version));
    }

    private static Optional<Integer> months(FormReader reader, Plan plan) {
        if (reader.isBlank("months")) {
            reader.fault("months", Problem.MISSING);
            return Optional.empty();
        }
        Range range = plan == Plan.MONTHLY_TOP_UP
                ? Schedule.MonthlyTopUp.RENEW_MONTHS
                : Range.closed(2, 6, Schedule.MonthlyTopUp.RENEW_MONTHS.unit());
        Optional<Integer> months = reader.whole("months", range);
        if (plan == Plan.EVERY_MONTHS
                && months.filter(Schedule.EveryMonths.USUAL::contains).isEmpty()
                && !reader.isFaulty("months")) {
            reader.fault("months", NOT_SO_OFTEN);
        }
        return months;
    }

    private static Optional<LocalDate> day(FormReader reader, Plan plan, LocalDate today) {
        LocalDate first = plan == Plan.BEFORE_EVENT ? today : today.minusYears(YEARS);
        Optional<LocalDate> day = reader.day("startsOn", first, today.plusYears(YEARS));
        if (day.isEmpty() && !reader.isFaulty("startsOn")) {
            reader.fault("startsOn", Problem.MISSING);
        }
        return day;
    }
}
