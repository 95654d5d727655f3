package org.stratopneum.web.demo;

import java.time.Instant;
import java.util.HashSet;
import java.util.List;
import java.util.Random;
import java.util.Set;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.stratopneum.core.air.CarriedPressure;
import org.stratopneum.core.air.Surroundings;
import org.stratopneum.core.pressure.SetupKind;
import org.stratopneum.core.quantity.GaugePressure;
import org.stratopneum.core.quantity.PressureUnit;
import org.stratopneum.web.fleet.bikes.BikeState;
import org.stratopneum.web.fleet.bikes.Garage;
import org.stratopneum.web.fleet.bikes.WheelPosition;
import org.stratopneum.web.log.LogDetail;
import org.stratopneum.web.log.LogDetail.PressureRead;
import org.stratopneum.web.log.LogSubject;
import org.stratopneum.web.pressure.AdvisedPressures;
import org.stratopneum.web.pressure.BikeAdvisor;

/**
 * A year of the demo rider's log: fittings, and readings that follow p(t) = p0 exp(-k t) at 20 C, carried to the
 * workshop's temperature, rounded by the gauge and shaken by a seeded noise. One wheel leaks faster since a lever job.
 */
@Component
class DemoYear {

    private static final long SEED = 20_622;

    /** Share of the told pressure below which the rider pumps (ratio). */
    private static final double PUMPS_BELOW = 0.93;

    private static final double WORKSHOP_HEIGHT_M = 940;
    private static final double GAUGE_NOISE_PSI = 0.25;
    private static final UUID WORKSHOP = DemoWheel.id(101);
    private static final UUID GAUGE = DemoWheel.id(201);
    private static final int LEVER_JOB_DAYS_AGO = 12;

    private static final int STILL_ON = -1;

    private static final List<DemoWheel> WHEELS = List.of(
            new DemoWheel(1, 1, 1, 9, WheelPosition.REAR, SetupKind.TUBELESS, 371, 96, 0.015),
            new DemoWheel(1, 1, 2, 10, WheelPosition.FRONT, SetupKind.TUBELESS, 371, 96, 0.012),
            new DemoWheel(1, 1, 1, 1, WheelPosition.REAR, SetupKind.TUBELESS, 96, STILL_ON, 0.016),
            new DemoWheel(1, 1, 2, 2, WheelPosition.FRONT, SetupKind.TUBELESS, 96, STILL_ON, 0.014),
            new DemoWheel(2, 2, 3, 3, WheelPosition.REAR, SetupKind.BUTYL_TUBE, 371, STILL_ON, 0.007),
            new DemoWheel(2, 2, 4, 4, WheelPosition.FRONT, SetupKind.BUTYL_TUBE, 371, STILL_ON, 0.006),
            new DemoWheel(3, 3, 5, 5, WheelPosition.REAR, SetupKind.TUBELESS, 371, STILL_ON, 0.020),
            new DemoWheel(3, 3, 6, 6, WheelPosition.FRONT, SetupKind.TUBELESS, 371, STILL_ON, 0.018),
            new DemoWheel(3, 4, 7, 7, WheelPosition.REAR, SetupKind.BUTYL_TUBE, 371, STILL_ON, 0.008),
            new DemoWheel(3, 4, 8, 8, WheelPosition.FRONT, SetupKind.BUTYL_TUBE, 371, STILL_ON, 0.008));

    /** The wheel that was opened with a lever, and what it has lost in a day since (ratio). */
    private static final int LEVERED_WHEEL = 1;

    private static final double LEVERED_LOSS = 0.052;

    private final Garage garage;
    private final BikeAdvisor advisor;

    DemoYear(Garage garage, BikeAdvisor advisor) {
        this.garage = garage;
        this.advisor = advisor;
    }

    /** What was fitted in the year that ends today. */
    void fit(DemoLogWriter pen) {
        new Writing(pen, new Random(SEED)).fittings();
    }

    /** What was read in that year, and set as it is told now. */
    void read(DemoLogWriter pen) {
        Writing writing = new Writing(pen, new Random(SEED));
        WHEELS.forEach(wheel -> writing.readings(wheel, told(wheel)));
    }

    /** What is told for the wheel on its pair, whichever pair is in the bike now. */
    private GaugePressure told(DemoWheel wheel) {
        BikeState bike = garage.bikeOn(wheel.bikeId(), wheel.wheelsetId());
        return AdvisedPressures.of(advisor.adviseUsual(bike).orElseThrow(), PressureUnit.PSI)
                .pressure(wheel.position());
    }

    private static boolean isLevered(DemoWheel wheel) {
        return wheel.wheel() == LEVERED_WHEEL && wheel.removedDaysAgo() == STILL_ON;
    }

    private static final class Writing {

        private final DemoLogWriter pen;
        private final Random random;

        Writing(DemoLogWriter pen, Random random) {
            this.pen = pen;
            this.random = random;
        }

        void fittings() {
            Set<Integer> mounted = new HashSet<>();
            for (DemoWheel wheel : WHEELS) {
                pen.write(pen.at(wheel.fittedDaysAgo(), 18, 0), fit(wheel), fitted(wheel));
                if (wheel.removedDaysAgo() > 0) {
                    pen.write(pen.at(wheel.removedDaysAgo(), 17, 30), fit(wheel), new LogDetail.TireRemoved());
                }
                if (mounted.add(wheel.wheelset())) {
                    DemoVisits.mounts(wheel.wheelset())
                            .forEach(daysAgo -> pen.write(
                                    pen.at(daysAgo, 18, 30),
                                    LogSubject.wheelset(wheel.bikeId(), wheel.wheelsetId()),
                                    new LogDetail.WheelsetMounted()));
                }
                if (isLevered(wheel)) {
                    pen.write(pen.at(LEVER_JOB_DAYS_AGO, 16, 0), fit(wheel), new LogDetail.TireRemoved());
                    pen.write(pen.at(LEVER_JOB_DAYS_AGO, 16, 40), fit(wheel), fitted(wheel));
                }
            }
        }

        private static LogDetail fitted(DemoWheel wheel) {
            return new LogDetail.TireFitted(wheel.setup(), false, null);
        }

        private LogSubject fit(DemoWheel wheel) {
            return LogSubject.wheel(wheel.bikeId(), wheel.wheelId(), wheel.tireId());
        }

        void readings(DemoWheel wheel, GaugePressure told) {
            double psiAt20 = told.in(PressureUnit.PSI) * 0.97;
            List<Integer> visits =
                    DemoVisits.of(wheel.bike()).stream().filter(wheel::isRidden).toList();
            int before = visits.get(0) + 1;
            for (int daysAgo : visits) {
                double loss = isLevered(wheel) && daysAgo < LEVER_JOB_DAYS_AGO ? LEVERED_LOSS : wheel.lossPerDay();
                psiAt20 *= Math.exp(-loss * (before - daysAgo));
                before = daysAgo;
                if (isLevered(wheel) && daysAgo == LEVER_JOB_DAYS_AGO) {
                    psiAt20 = nightAfterLeverJob(wheel, told);
                    before = daysAgo - 1;
                    continue;
                }
                double celsius = Math.round(14 + 4 * random.nextDouble());
                int minute = random.nextInt(30);
                boolean last = daysAgo == visits.get(visits.size() - 1) && wheel.removedDaysAgo() < 0;
                read(wheel, pen.at(daysAgo, 7, minute), inWorkshop(psiAt20, celsius), celsius, false, null);
                if (!last && psiAt20 < PUMPS_BELOW * told.in(PressureUnit.PSI)) {
                    read(wheel, pen.at(daysAgo, 7, minute + 6), told.in(PressureUnit.PSI), celsius, true, told);
                    psiAt20 = carried(told.in(PressureUnit.PSI), celsius, 20);
                }
            }
        }

        /** A hold test overnight, and then down to what is told; what that is at 20 C (psi). */
        private double nightAfterLeverJob(DemoWheel wheel, GaugePressure told) {
            double evening = 17;
            double morning = 14;
            LogSubject subject = fit(wheel).readWith(GAUGE).at(WORKSHOP);
            double kept = carried(DemoBench.SEATED_PSI, evening, 20) * Math.exp(-LEVERED_LOSS * 14 / 24.0);
            pen.write(
                    pen.at(LEVER_JOB_DAYS_AGO, 17, 20), subject, DemoBench.holdStarted(DemoBench.SEATED_PSI), evening);
            pen.write(
                    pen.at(LEVER_JOB_DAYS_AGO - 1, 7, 20),
                    subject,
                    DemoBench.holdEnded(inWorkshop(kept, morning)),
                    morning);
            read(wheel, pen.at(LEVER_JOB_DAYS_AGO - 1, 7, 26), told.in(PressureUnit.PSI), morning, true, told);
            return carried(told.in(PressureUnit.PSI), morning, 20);
        }

        private double inWorkshop(double psiAt20, double celsius) {
            double shaken = carried(psiAt20, 20, celsius) + GAUGE_NOISE_PSI * random.nextGaussian();
            return Math.round(shaken * 2) / 2.0;
        }

        private double carried(double psi, double fromCelsius, double toCelsius) {
            return CarriedPressure.carry(
                            GaugePressure.psi(psi),
                            Surroundings.of(fromCelsius, WORKSHOP_HEIGHT_M),
                            Surroundings.of(toCelsius, WORKSHOP_HEIGHT_M))
                    .in(PressureUnit.PSI);
        }

        private void read(DemoWheel wheel, Instant at, double psi, double celsius, boolean set, GaugePressure told) {
            LogSubject subject = fit(wheel).readWith(GAUGE).at(WORKSHOP);
            PressureRead read = new PressureRead(
                    PressureUnit.PSI.toKpa(psi), PressureUnit.PSI, set, told == null ? null : told.kpa());
            pen.write(at, subject, read, celsius);
        }
    }
}
