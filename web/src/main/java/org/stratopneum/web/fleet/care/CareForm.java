package org.stratopneum.web.fleet.care;

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
import org.stratopneum.web.fleet.care.WheelCare.Plan;
import org.stratopneum.web.platform.wording.FormReader;
import org.stratopneum.web.platform.wording.QuantityText;
import org.stratopneum.web.platform.wording.Units;

/** Reads how a wheel is to be looked after, and fills the form. */
public final class CareForm {

    private static final Range RENEW_MONTHS = Schedule.MonthlyTopUp.RENEW_MONTHS;
    private static final Range MONTHS = Range.closed(2, 6, RENEW_MONTHS.unit());
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
     * Empty with faults in {@code reader}. What a plan does not need is kept for the day when another one does.
     *
     * @param before how it was looked after; where the form asks for no plan, as for a tire without liquid, the plan stays
     */
    public static Optional<WheelCare> read(
            FormReader reader, WheelCare before, int version, Units units, LocalDate today) {
        Optional<Integer> every = reader.whole("lookEvery", PreventionLooks.EVERY_DAYS);
        if (!reader.typed().containsKey("plan")) {
            return reader.problems().isEmpty()
                    ? Optional.of(new WheelCare(
                            before.wheelId(),
                            before.dose(),
                            before.makerMl(),
                            before.plan(),
                            before.months(),
                            before.startsOn(),
                            every.orElse(null),
                            version))
                    : Optional.empty();
        }
        Optional<DoseSchool> dose = reader.choice("dose", DoseSchool.class);
        Range volume = Range.above(0, Measured.SEALANT.range().maximum(), "ml");
        Optional<Double> maker = reader.quantity("maker", volume, units.volume(), before.makerMl());
        Plan plan = reader.choice("plan", Plan.class).orElse(Plan.MEASURED);
        Optional<Integer> months = months(reader, plan);
        Optional<LocalDate> starts = day(reader, plan, today);
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
        if (plan.countsMonths() && reader.isBlank("months")) {
            reader.fault("months", Problem.MISSING);
            return Optional.empty();
        }
        Optional<Integer> months = reader.whole("months", plan == Plan.MONTHLY_TOP_UP ? RENEW_MONTHS : MONTHS);
        if (plan == Plan.EVERY_MONTHS
                && months.filter(found -> !Schedule.EveryMonths.USUAL.contains(found))
                        .isPresent()) {
            reader.fault("months", NOT_SO_OFTEN);
        }
        return months;
    }

    private static Optional<LocalDate> day(FormReader reader, Plan plan, LocalDate today) {
        LocalDate first = plan == Plan.BEFORE_EVENT ? today : today.minusYears(YEARS);
        Optional<LocalDate> day = reader.day("startsOn", first, today.plusYears(YEARS));
        if (plan.waitsForDay() && reader.isBlank("startsOn")) {
            reader.fault("startsOn", Problem.MISSING);
        }
        return day;
    }
}
