package org.stratopneum.web.logbook;

/** Kinds of log entries, each with the record that holds its detail. */
public enum LogKind {
    PRESSURE_READ(LogDetail.PressureRead.class),
    TIRE_FITTED(LogDetail.TireFitted.class),
    TIRE_REMOVED(LogDetail.TireRemoved.class),
    WHEELSET_MOUNTED(LogDetail.WheelsetMounted.class);

    private final Class<? extends LogDetail> detail;

    LogKind(Class<? extends LogDetail> detail) {
        this.detail = detail;
    }

    Class<? extends LogDetail> detail() {
        return detail;
    }
}
