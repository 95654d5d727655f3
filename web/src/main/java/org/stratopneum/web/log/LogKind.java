package org.stratopneum.web.log;

import java.util.List;

/** Kinds of log entries, each with the record that holds its detail. */
public enum LogKind {
    PRESSURE_READ(LogDetail.PressureRead.class),
    TIRE_FITTED(LogDetail.TireFitted.class),
    TIRE_REMOVED(LogDetail.TireRemoved.class),
    WHEELSET_MOUNTED(LogDetail.WheelsetMounted.class),
    HOLD_STARTED(LogDetail.HoldStarted.class),
    HOLD_ENDED(LogDetail.HoldEnded.class),
    RIM_TAPED(LogDetail.RimTaped.class),
    PART_FITTED(LogDetail.PartFitted.class),
    SEALANT_ADDED(LogDetail.SealantAdded.class),
    JOB_ENDED(LogDetail.JobEnded.class),
    WARNING_ACCEPTED(LogDetail.WarningAccepted.class),
    RIDDEN(Ridden.class),
    OWN_PRESSURE(LogDetail.OwnPressure.class),
    DIALLING_RESET(LogDetail.DiallingReset.class),
    SEALANT_DIPPED(LogDetail.SealantDipped.class),
    SEALANT_HEARD(LogDetail.SealantHeard.class),
    PUNCTURE_SEALED(LogDetail.PunctureSealed.class),
    CARE_DONE(LogDetail.CareDone.class),
    LEAK_FOUND(LeakFound.class),
    TRAIL_MEND(TrailMend.class),
    TREAD_MEASURED(TreadMeasured.class),
    SEALANT_LOST(LogDetail.SealantLost.class),
    SEALANT_FOUND(LogDetail.SealantFound.class),
    DIP_EXPLAINED(LogDetail.DipExplained.class);

    /** Whatever a gauge showed. */
    public static final List<LogKind> READINGS = List.of(PRESSURE_READ, HOLD_STARTED, HOLD_ENDED);

    /** What went on a wheel and came off it. */
    public static final List<LogKind> FITTINGS = List.of(TIRE_FITTED, TIRE_REMOVED);

    /** What makes a wheel lose its air otherwise than before. */
    public static final List<LogKind> MENDING = List.of(RIM_TAPED, PART_FITTED, LEAK_FOUND, TRAIL_MEND);

    /** All that tells how much sealant is in a tire. */
    public static final List<LogKind> SEALANT = List.of(
            SEALANT_ADDED, SEALANT_DIPPED, SEALANT_HEARD, PUNCTURE_SEALED, SEALANT_LOST, SEALANT_FOUND, DIP_EXPLAINED);

    /** All that tells which pressure suits the rider. */
    public static final List<LogKind> DIALLING = List.of(RIDDEN, OWN_PRESSURE, DIALLING_RESET);

    /** The same, and what sets it back to doubt: another tire, another wheel. */
    public static final List<LogKind> LEARNING =
            List.of(RIDDEN, OWN_PRESSURE, DIALLING_RESET, TIRE_FITTED, WHEELSET_MOUNTED);

    /** All that tells how a wheel was set up. */
    public static final List<LogKind> SETTING_UP = List.of(
            TIRE_FITTED,
            TIRE_REMOVED,
            HOLD_STARTED,
            HOLD_ENDED,
            RIM_TAPED,
            PART_FITTED,
            SEALANT_ADDED,
            SEALANT_DIPPED,
            SEALANT_HEARD,
            PUNCTURE_SEALED,
            SEALANT_LOST,
            SEALANT_FOUND,
            JOB_ENDED,
            CARE_DONE,
            LEAK_FOUND,
            TRAIL_MEND,
            TREAD_MEASURED,
            WARNING_ACCEPTED);

    private final Class<? extends LogDetail> detail;

    LogKind(Class<? extends LogDetail> detail) {
        this.detail = detail;
    }

    /** What an entry of this kind says. */
    public Class<? extends LogDetail> detail() {
        return detail;
    }
}
