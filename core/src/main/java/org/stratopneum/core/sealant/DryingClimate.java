package org.stratopneum.core.sealant;

import java.time.LocalDate;
import java.util.List;
import java.util.function.ToDoubleFunction;

/** How dry the air around a wheel is, day by day. */
@FunctionalInterface
public interface DryingClimate {

    /** Where bikes stand indoors: 20 C and 40 % (common practice: heated winter air is dry). */
    DryingClimate INDOORS = same(20, 0.4);

    double HOURS = 24;

    /** @return vapour pressure deficit of {@code day} (kPa) */
    double deficitKpa(LocalDate day);

    /** The same air every day. */
    static DryingClimate same(double celsius, double relativeHumidity) {
        double deficit = VapourDeficit.kpa(celsius, relativeHumidity);
        return day -> deficit;
    }

    /** @param deficitsKpa deficit of each month, January first (kPa); twelve of them */
    static DryingClimate monthly(List<Double> deficitsKpa) {
        if (deficitsKpa.size() != 12) {
            throw new IllegalArgumentException("a year has twelve months, not " + deficitsKpa.size());
        }
        List<Double> kept = List.copyOf(deficitsKpa);
        return day -> kept.get(day.getMonthValue() - 1);
    }

    /**
     * Stored in one air and ridden in another.
     *
     * @param hoursOut hours of a day that it is out (0 to 24; what lies beyond counts as the end)
     */
    static DryingClimate ridden(DryingClimate stored, DryingClimate outside, ToDoubleFunction<LocalDate> hoursOut) {
        return day -> {
            double share = Math.max(0, Math.min(1, hoursOut.applyAsDouble(day) / HOURS));
            return (1 - share) * stored.deficitKpa(day) + share * outside.deficitKpa(day);
        };
    }
}
