package org.stratopneum.web.log;

import org.stratopneum.core.check.Problems;
import org.stratopneum.core.diagnosis.Cause;
import org.stratopneum.core.diagnosis.Spot;

/**
 * What made a wheel lose its air, as it was found and mended.
 *
 * @param hour where on the wheel by the clock, the valve at twelve (above 0, at most 12), or null where nobody said
 */
public record LeakFound(Cause cause, Double hour) implements LogDetail {

    public LeakFound {
        Problems problems = new Problems();
        problems.checkIfPresent("hour", hour, Spot.HOURS);
        problems.throwIfAny();
    }

    @Override
    public LogKind kind() {
        return LogKind.LEAK_FOUND;
    }
}
