package org.stratopneum.web.demo;

import static org.stratopneum.web.demo.DemoLogWriter.id;

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

/** What her year does not know of: tape, valves, treads, her stops, and the hold tests of the gravel bike's rear wheel. */
@Component
class DemoBench {

    /** What she begins a hold test with (psi). */
    private static final double SEATED_PSI = 40;

    private static final UUID VALVE_44 = id(801);
    private static final UUID VALVE_60 = id(802);
    private static final UUID TAPE_32 = id(803);
    private static final UUID FIBRE_BOTTLE = id(806);
    private static final int FIRST_DAY = 365;

    /** One turn of 622 and 100 mm over it (m). */
    private static final double TAPE_M = 2.03;

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
                    pen.at(FIRST_DAY, 15, 40),
                    wide ? subject.with(TAPE_32) : subject,
                    new LogDetail.RimTaped(wide ? TAPE_M : null));
            pen.write(pen.at(FIRST_DAY, 15, 50), subject.with(wide ? VALVE_44 : VALVE_60), new LogDetail.PartFitted());
        }
        pen.write(pen.at(150, 18, 45), subject(2, 4, id(704)).with(FIBRE_BOTTLE), new LogDetail.SealantAdded(60));
        for (Depth depth : DEPTHS) {
            pen.write(
                    pen.at(depth.daysAgo, 18, 55),
                    subject(depth.bike, depth.wheel, id(700 + depth.tire)),
                    new TreadMeasured(depth.middleMm, depth.shoulderMm, TreadMeasured.Flanks.SOUND, null));
        }
        for (int wheel : List.of(1, 2)) {
            pen.write(
                    pen.at(11, 18, 10),
                    subject(1, wheel, id(700 + wheel)),
                    new LogDetail.CareDone(LogDetail.CareDone.Care.PREVENTION_LOOK));
        }
        pen.write(
                pen.at(131, 18, 20),
                subject(2, 4, id(704)),
                new LeakFound(Cause.TUBE_PINCH, 5.0),
                null,
                "Two holes side by side: too soft with the batteries on.");
        pen.write(
                pen.at(20, 18, 0),
                subject(3, 5, id(705)),
                new LogDetail.OwnPressure(PressureUnit.PSI.toKpa(31), PressureUnit.PSI));
        stops(pen);
        // seeped at first; shaken and laid on its sides it held
        hold(pen, FIRST_DAY, 34.0, "Would not seal at the bead: bubbles on the drive side.");
        hold(pen, FIRST_DAY - 1, 39.0, null);
    }

    /** A plug for the gravel bike, and the thorn of the workhorse that closed by itself and took a cartridge. */
    private static void stops(DemoLogWriter pen) {
        pen.write(
                pen.at(44, 11, 20),
                subject(3, 5, id(705)),
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
                subject(1, 2, id(702)),
                stop(
                        CutSize.UP_TO_3,
                        List.of(
                                new Stopped.Said("hole-down", "closed", null),
                                new Stopped.Said("air-closed", "holds", Situation.By.GAS)),
                        new TrailMend.BagLeft(4, 1, 1, 4, 1, List.of(new Charge(16, 1)))),
                null,
                "A thorn on the way to the upper station; sprayed the frame, then it was quiet.");
    }

    private static TrailMend stop(CutSize size, List<Stopped.Said> said, TrailMend.BagLeft left) {
        return new TrailMend(AirSystem.TUBELESS, Where.TREAD, size, true, End.RIDE, said, left);
    }

    private static void hold(DemoLogWriter pen, int daysAgo, double morningPsi, String note) {
        LogSubject sledge = subject(3, 5, id(705)).readWith(id(201));
        pen.write(pen.at(daysAgo, 19, 0), sledge, holdStarted(SEATED_PSI), 16.0, note);
        pen.write(pen.at(daysAgo - 1, 8, 0), sledge, holdEnded(morningPsi), 15.0);
    }

    private static LogDetail holdStarted(double psi) {
        return new LogDetail.HoldStarted(PressureUnit.PSI.toKpa(psi), PressureUnit.PSI);
    }

    private static LogDetail holdEnded(double psi) {
        return new LogDetail.HoldEnded(PressureUnit.PSI.toKpa(psi), PressureUnit.PSI);
    }

    private static LogSubject subject(int bike, int wheel, UUID tire) {
        return LogSubject.wheel(id(300 + bike), id(600 + wheel), tire);
    }
}
