package org.stratopneum.web.sealant;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.stratopneum.core.sealant.DoseSchool;
import org.stratopneum.core.sealant.DryingClimate;
import org.stratopneum.core.sealant.DryingRate;
import org.stratopneum.core.sealant.SealantDose;
import org.stratopneum.core.sealant.SealantFamily;
import org.stratopneum.core.sealant.SealantForecast;
import org.stratopneum.core.tire.LiquidPool;
import org.stratopneum.core.tire.TireSection;
import org.stratopneum.web.fleet.bikes.WheelState;
import org.stratopneum.web.fleet.care.WheelCare;
import org.stratopneum.web.platform.drawing.SealantChart;

/** The tire of a wheel as far as its sealant goes: section, pool, dose, and the forecast of what is left. */
final class WheelSealant {

    /** So many days of the curve are worked out. */
    private static final int POINTS = 30;

    /** No dip is better than this (ml), and no depth is read better than this (mm; our judgement). */
    private static final double LEAST_SIGMA_ML = 4;

    private static final double DEPTH_SIGMA_MM = 1.5;

    private final UUID wheelId;
    private final TireSection section;
    private final LiquidPool pool;
    private final SealantDose.Extras extras;
    private final SealantDose dose;
    private final WheelState.Tire tire;
    private final WheelCare care;
    private final boolean hookless;
    private final Double rimDepthMm;
    private SealantForecast.Tire followed;
    private SealantFamily followedFamily;

    /** @param wheel with a tubeless tire that goes with its rim */
    WheelSealant(WheelState wheel, WheelCare care) {
        this.care = care;
        wheelId = wheel.wheelId();
        hookless = wheel.rim().isHookless();
        rimDepthMm = wheel.rim().depthMm();
        tire = wheel.tire().orElseThrow();
        section = wheel.tireOnRim().orElseThrow().section();
        pool = LiquidPool.in(section);
        extras = new SealantDose.Extras(
                tire.marks().madeForTubeless(), tire.fitted().insert(), false);
        dose = SealantDose.of(section, care.dose(), extras);
    }

    UUID wheelId() {
        return wheelId;
    }

    TireSection section() {
        return section;
    }

    LiquidPool pool() {
        return pool;
    }

    boolean hookless() {
        return hookless;
    }

    /** Depth of the rim (mm), or null where nobody entered it. */
    Double rimDepthMm() {
        return rimDepthMm;
    }

    WheelCare care() {
        return care;
    }

    SealantDose.Extras extras() {
        return extras;
    }

    /** What goes in by a school, with what casing and insert take up. */
    SealantDose dose(DoseSchool school) {
        return SealantDose.of(section, school, extras);
    }

    /** What a full filling is here: the maker's figure, or the dose of the rider's school (ml). */
    double fullMl() {
        return care.makerMl() == null ? dose.exactMl() : care.makerMl();
    }

    double minimumMl() {
        return dose.minimumMl();
    }

    WheelState.Tire tire() {
        return tire;
    }

    /** The tire as the schedule that is followed sees it. */
    SealantForecast.Tire followed(SealantRecord record) {
        if (followed == null || record.family() != followedFamily) {
            followedFamily = record.family();
            followed = new SealantForecast.Tire(
                    section,
                    care.schedule().thresholdMl(minimumMl()),
                    DryingRate.median(tire.casing(), tire.marks().madeForTubeless(), followedFamily));
        }
        return followed;
    }

    /** What a depth says (ml), and how far off that may be: one standard deviation (ml). */
    record Dip(double ml, double sigmaMl) {}

    Dip dip(double depthMm) {
        double depth = Math.min(depthMm, pool.depths().maximum());
        return new Dip(pool.volumeMl(depth), Math.max(LEAST_SIGMA_ML, DEPTH_SIGMA_MM * pool.mlPerMm(depth)));
    }

    /** What is left on a day, against what the schedule waits for; empty while nothing was filled in. */
    Optional<SealantForecast> on(LocalDate day, SealantRecord record, DryingClimate climate) {
        return record.events().isEmpty()
                ? Optional.empty()
                : Optional.of(SealantForecast.of(followed(record), climate, record.events(), day));
    }

    /** From the last filling until it wants a refresh, and a little farther; a forecast for each of the days. */
    List<SealantChart.Expected> curve(
            SealantForecast now, LocalDate today, SealantRecord record, DryingClimate climate) {
        LocalDate first = now.startedOn();
        LocalDate wanted = now.refreshBy().plusWeeks(2);
        LocalDate last = wanted.isAfter(today) ? wanted : today;
        long days = Math.max(1, last.toEpochDay() - first.toEpochDay());
        List<SealantChart.Expected> curve = new ArrayList<>();
        LocalDate known = first;
        SealantForecast then = on(first, record, climate).orElseThrow();
        for (int i = 0; i <= POINTS; i++) {
            LocalDate day = first.plusDays(days * i / POINTS);
            if (curve.isEmpty() || day.isAfter(curve.get(curve.size() - 1).day())) {
                LocalDate before = known;
                if (record.events().stream()
                        .anyMatch(event ->
                                event.on().isAfter(before) && !event.on().isAfter(day))) {
                    then = then.later(record.events(), day);
                    known = day;
                }
                curve.add(new SealantChart.Expected(day, then.volumeMl(day)));
            }
        }
        return curve;
    }

    /** What brings it back to a full filling, in whole steps of 5 (ml). */
    double topUpMl(double leftMl) {
        return SealantDose.roundedUpMl(fullMl() - leftMl);
    }

    /** What a month dries, in whole steps of 5 (ml). */
    double monthlyMl(SealantForecast now, LocalDate today) {
        return SealantDose.roundedUpMl(now.driesMl(today, today.plusMonths(1)));
    }
}
