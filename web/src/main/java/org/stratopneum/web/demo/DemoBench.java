package org.stratopneum.web.demo;

import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.stratopneum.core.diagnosis.AirSystem;
import org.stratopneum.core.diagnosis.Cause;
import org.stratopneum.core.quantity.PressureUnit;
import org.stratopneum.core.trailside.Charge;
import org.stratopneum.core.trailside.CutSize;
import org.stratopneum.core.trailside.End;
import org.stratopneum.core.trailside.Situation;
import org.stratopneum.core.trailside.Stopped;
import org.stratopneum.core.trailside.Where;
import org.stratopneum.web.log.LeakFound;
import org.stratopneum.web.log.LogDetail;
import org.stratopneum.web.log.LogSubject;
import org.stratopneum.web.log.TrailMend;
import org.stratopneum.web.log.TreadMeasured;

/** What the demo rider did at the bench: tape, valves, sealant, and the hold tests of the gravel bike's rear wheel. */
@Component
class DemoBench {

    /** What she seats mountain tires at, and begins a hold test with (psi). */
    static final double SEATED_PSI = 40;

    private static final UUID VALVE_44 = DemoWheel.id(801);
    private static final UUID VALVE_60 = DemoWheel.id(802);
    private static final UUID TAPE_32 = DemoWheel.id(803);
    private static final UUID BOTTLE = DemoWheel.id(805);
    private static final UUID FIBRE_BOTTLE = DemoWheel.id(806);
    private static final int FIRST_DAY = 371;

    /** One turn of 622 and 100 mm over it (m). */
    private static final double TAPE_M = 2.03;

    /**
     * A filling.
     *
     * @param bottle what it was taken from, or null where that bottle is gone
     */
    private record Filling(int bike, int wheel, int tire, int daysAgo, double ml, UUID bottle) {}

    private static final List<Filling> FILLINGS = List.of(
            new Filling(1, 1, 9, FIRST_DAY, 100, null),
            new Filling(1, 2, 10, FIRST_DAY, 100, null),
            new Filling(1, 1, 9, 230, 40, null),
            new Filling(1, 2, 10, 230, 40, null),
            new Filling(1, 1, 1, 96, 100, BOTTLE),
            new Filling(1, 2, 2, 96, 100, BOTTLE),
            new Filling(1, 2, 2, 40, 30, BOTTLE),
            new Filling(1, 1, 1, 12, 90, BOTTLE),
            new Filling(2, 4, 4, 150, 60, FIBRE_BOTTLE),
            new Filling(3, 5, 5, FIRST_DAY, 60, null),
            new Filling(3, 6, 6, FIRST_DAY, 60, null),
            new Filling(3, 5, 5, 60, 30, BOTTLE),
            new Filling(3, 6, 6, 60, 30, BOTTLE));

    /** A depth gauge held into a tread (mm). */
    private record Depth(int bike, int wheel, int tire, int daysAgo, double middleMm, Double shoulderMm) {}

    private static final List<Depth> DEPTHS = List.of(
            new Depth(1, 1, 9, FIRST_DAY, 3.6, 4.0),
            new Depth(1, 1, 9, 230, 2.4, 3.3),
            new Depth(1, 1, 9, 100, 1.3, 2.7),
            new Depth(1, 1, 1, 96, 3.7, 4.1),
            new Depth(1, 1, 1, 12, 2.9, 3.6),
            new Depth(1, 2, 2, 96, 3.6, 4.1),
            new Depth(1, 2, 2, 12, 3.3, 3.9),
            new Depth(3, 5, 5, FIRST_DAY, 2.1, null),
            new Depth(3, 5, 5, 60, 1.4, null));

    /** Pairs of bike and wheel that were taped and got their valve on the first day. */
    private static final List<int[]> TUBELESS =
            List.of(new int[] {1, 1}, new int[] {1, 2}, new int[] {3, 5}, new int[] {3, 6});

    void write(DemoLogWriter pen) {
        for (int[] wheel : TUBELESS) {
            boolean wide = wheel[0] == 1;
            LogSubject subject = subject(wheel[0], wheel[1], null);
            pen.write(
                    pen.at(FIRST_DAY, 16, 40),
                    wide ? subject.with(TAPE_32) : subject,
                    new LogDetail.RimTaped(wide ? TAPE_M : null));
            pen.write(pen.at(FIRST_DAY, 16, 50), subject.with(wide ? VALVE_44 : VALVE_60), new LogDetail.PartFitted());
        }
        for (Filling filling : FILLINGS) {
            LogSubject subject = subject(filling.bike, filling.wheel, DemoWheel.id(700 + filling.tire));
            pen.write(
                    pen.at(filling.daysAgo, filling.daysAgo == 12 ? 16 : 18, 45),
                    filling.bottle == null ? subject : subject.with(filling.bottle),
                    new LogDetail.SealantAdded(filling.ml));
        }
        for (Depth depth : DEPTHS) {
            pen.write(
                    pen.at(depth.daysAgo, 18, 55),
                    subject(depth.bike, depth.wheel, DemoWheel.id(700 + depth.tire)),
                    new TreadMeasured(depth.middleMm, depth.shoulderMm, TreadMeasured.Flanks.SOUND, null));
        }
        // the front tire of the workhorse dries a little faster than the usual one
        dip(pen, 45, List.of(12.0, 15.0, 15.0, 14.0));
        dip(pen, 8, List.of(14.0, 16.0, 15.0, 16.0));
        pen.write(
                pen.at(17, 19, 0),
                subject(1, 2, DemoWheel.id(702)),
                new LogDetail.PunctureSealed(),
                null,
                "A thorn on the way to the upper station; sprayed the frame, then it was quiet.");
        for (int wheel : List.of(1, 2)) {
            pen.write(
                    pen.at(11, 18, 10),
                    subject(1, wheel, DemoWheel.id(700 + wheel)),
                    new LogDetail.CareDone(LogDetail.CareDone.Care.PREVENTION_LOOK));
        }
        pen.write(pen.at(204, 17, 40), subject(3, 6, DemoWheel.id(706)), new LeakFound(Cause.CORE, null));
        pen.write(
                pen.at(131, 18, 20),
                subject(2, 4, DemoWheel.id(704)),
                new LeakFound(Cause.TUBE_PINCH, 5.0),
                null,
                "Two holes side by side: too soft with the batteries on.");
        stops(pen);
        // seeped at first; shaken and laid on its sides it held
        hold(pen, FIRST_DAY, 34.0, "Would not seal at the bead: bubbles on the drive side.");
        hold(pen, FIRST_DAY - 1, 39.0, null);
    }

    /** A plug for the gravel bike, and the thorn of the workhorse that closed by itself and took a cartridge. */
    private static void stops(DemoLogWriter pen) {
        pen.write(
                pen.at(44, 11, 20),
                subject(3, 5, DemoWheel.id(705)),
                stop(
                        CutSize.UP_TO_6,
                        List.of(
                                new Stopped.Said("hole-down", "still-open", null),
                                new Stopped.Said("plug-ream", "done", null),
                                new Stopped.Said("plug-in", "in", null),
                                new Stopped.Said("plug-air", "holds", Situation.By.PUMP)),
                        new TrailMend.BagLeft(3, 1, 0, 0, 1, List.of())));
        pen.write(
                pen.at(17, 10, 40),
                subject(1, 2, DemoWheel.id(702)),
                stop(
                        CutSize.UP_TO_3,
                        List.of(
                                new Stopped.Said("hole-down", "closed", null),
                                new Stopped.Said("air-closed", "holds", Situation.By.GAS)),
                        new TrailMend.BagLeft(4, 1, 1, 4, 1, List.of(new Charge(16, 1)))));
    }

    private static TrailMend stop(CutSize size, List<Stopped.Said> said, TrailMend.BagLeft left) {
        return new TrailMend(AirSystem.TUBELESS, Where.TREAD, size, true, End.RIDE, said, left);
    }

    private static void dip(DemoLogWriter pen, int daysAgo, List<Double> depthsMm) {
        pen.write(pen.at(daysAgo, 19, 20), subject(1, 2, DemoWheel.id(702)), new LogDetail.SealantDipped(depthsMm));
    }

    private static void hold(DemoLogWriter pen, int daysAgo, double morningPsi, String note) {
        LogSubject sledge = subject(3, 5, DemoWheel.id(705)).readWith(DemoWheel.id(201));
        pen.write(pen.at(daysAgo, 19, 0), sledge, holdStarted(SEATED_PSI), 16.0, note);
        pen.write(pen.at(daysAgo - 1, 8, 0), sledge, holdEnded(morningPsi), 15.0);
    }

    static LogDetail holdStarted(double psi) {
        return new LogDetail.HoldStarted(PressureUnit.PSI.toKpa(psi), PressureUnit.PSI);
    }

    static LogDetail holdEnded(double psi) {
        return new LogDetail.HoldEnded(PressureUnit.PSI.toKpa(psi), PressureUnit.PSI);
    }

    private static LogSubject subject(int bike, int wheel, UUID tire) {
        return LogSubject.wheel(DemoWheel.id(300 + bike), DemoWheel.id(600 + wheel), tire);
    }
}
