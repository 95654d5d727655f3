package org.stratopneum.web.sealant;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.stratopneum.core.sealant.DoseSchool;
import org.stratopneum.core.sealant.DryingClimate;
import org.stratopneum.core.sealant.DryingRate;
import org.stratopneum.core.sealant.SealantDose;
import org.stratopneum.core.sealant.SealantFamily;
import org.stratopneum.core.sealant.SealantForecast;
import org.stratopneum.core.tire.LiquidPool;
import org.stratopneum.core.tire.TireSection;
import org.stratopneum.web.bikes.WheelStanding;
import org.stratopneum.web.drawing.SealantChart;

/** The tire of a wheel as far as its sealant goes: section, pool, dose, and the forecast of what is left. */
final class WheelSealant {

    /** So many days of the curve are worked out. */
    private static final int POINTS = 30;

    private static final double STEP_ML = 5;

    private final TireSection section;
    private final LiquidPool pool;
    private final SealantDose dose;
    private final WheelStanding.Tire tire;

    /** @param wheel with a tubeless tire that goes with its rim */
    WheelSealant(WheelStanding wheel) {
        tire = wheel.tire().orElseThrow();
        section = wheel.tireOnRim().orElseThrow().section();
        pool = LiquidPool.in(section);
        dose = SealantDose.of(
                section,
                DoseSchool.STANDARD,
                new SealantDose.Extras(tire.marks().tubeless(), tire.fitted().insert(), false));
    }

    TireSection section() {
        return section;
    }

    LiquidPool pool() {
        return pool;
    }

    SealantDose dose() {
        return dose;
    }

    WheelStanding.Tire tire() {
        return tire;
    }

    private SealantForecast.Tire dried(SealantFamily family) {
        return new SealantForecast.Tire(
                section.innerSurfaceCm2(),
                dose.minimumMl(),
                DryingRate.median(tire.casing(), tire.marks().tubeless(), family));
    }

    /** What is left on a day; empty while nothing was filled in. */
    Optional<SealantForecast> on(LocalDate day, SealantRecord record, DryingClimate climate) {
        return record.events().isEmpty()
                ? Optional.empty()
                : Optional.of(SealantForecast.of(dried(record.family()), climate, record.events(), day));
    }

    /** From the last filling until it wants a refresh, and a little farther; a forecast for each of the days. */
    List<SealantChart.Expected> curve(
            SealantForecast now, LocalDate today, SealantRecord record, DryingClimate climate) {
        LocalDate first = now.filledOn();
        LocalDate wanted = now.refreshBy().plusWeeks(2);
        LocalDate last = wanted.isAfter(today) ? wanted : today;
        long days = Math.max(1, last.toEpochDay() - first.toEpochDay());
        List<SealantChart.Expected> curve = new ArrayList<>();
        for (int i = 0; i <= POINTS; i++) {
            LocalDate day = first.plusDays(days * i / POINTS);
            if (curve.isEmpty() || day.isAfter(curve.get(curve.size() - 1).day())) {
                curve.add(new SealantChart.Expected(
                        day, on(day, record, climate).orElseThrow().volumeMl()));
            }
        }
        return curve;
    }

    /** What brings it back to a standard dose, in whole steps of 5 (ml). */
    double topUpMl(double leftMl) {
        return STEP_ML * Math.ceil(Math.max(0, dose.exactMl() - leftMl) / STEP_ML);
    }
}
