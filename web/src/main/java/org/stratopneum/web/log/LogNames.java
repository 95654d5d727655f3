package org.stratopneum.web.log;

import org.stratopneum.core.gauge.GaugeFit;
import org.stratopneum.core.sealant.SealantFamily;

/**
 * What a reader wants to know of what an entry is about, as it is called now; each null where it does not apply.
 *
 * @param position of the wheel, REAR or FRONT
 * @param gaugeFit how the gauge that was read stands to the reference now
 */
public record LogNames(
        String bike,
        String position,
        String wheelset,
        String tire,
        String gauge,
        GaugeFit gaugeFit,
        String part,
        SealantFamily partFamily) {

    /** Of an entry that is not written yet. */
    static final LogNames NONE = new LogNames("", null, "", "", null, GaugeFit.NONE, "", null);
}
