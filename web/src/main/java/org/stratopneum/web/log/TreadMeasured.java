package org.stratopneum.web.log;

import org.stratopneum.core.check.Problems;
import org.stratopneum.core.history.TreadWear;

/**
 * How deep the tread of a tire is, and how its flanks look.
 *
 * @param middleMm depth in the middle (mm)
 * @param shoulderMm depth at the shoulder (mm), or null where nobody measured there
 * @param flanks how the flanks look, or null where nobody looked
 * @param wornAtMm the depth to which the rider rides it (mm), or null where none was said
 */
public record TreadMeasured(double middleMm, Double shoulderMm, Flanks flanks, Double wornAtMm) implements LogDetail {

    /** How flanks look. */
    public enum Flanks {
        SOUND,
        SCUFFED,
        THREADS
    }

    public TreadMeasured {
        Problems problems = new Problems();
        problems.check("middleMm", middleMm, TreadWear.DEPTH_MM);
        problems.checkIfPresent("shoulderMm", shoulderMm, TreadWear.DEPTH_MM);
        problems.checkIfPresent("wornAtMm", wornAtMm, TreadWear.DEPTH_MM);
        problems.throwIfAny();
    }

    @Override
    public LogKind kind() {
        return LogKind.TREAD_MEASURED;
    }
}
