package org.stratopneum.web.leak;

import java.util.List;
import java.util.UUID;
import org.stratopneum.core.diagnosis.AirSystem;
import org.stratopneum.core.leak.LeakClass;
import org.stratopneum.web.fleet.bikes.WheelHead;
import org.stratopneum.web.platform.wording.FormView;

/**
 * What is asked before anything is looked at.
 *
 * @param head what stands over the pages of a wheel, or null for a visitor
 * @param wheel the wheel, or null for a visitor
 * @param system what holds the air, or null where the form asks
 * @param tire whether there is something to look for
 * @param said what the log has filled in, in words
 */
record StartPage(
        WheelHead head,
        UUID wheel,
        String title,
        AirSystem system,
        boolean tire,
        List<String> said,
        UUID newId,
        FormView form) {

    /** The classes to choose from. */
    public List<LeakClass> rates() {
        return LeakClass.NAMED;
    }

    /** Whether what concerns liquid, tape and casing is asked. */
    public boolean tubeless() {
        return system != AirSystem.TUBE;
    }

    /** Whether what concerns tubes is asked. */
    public boolean tube() {
        return system != AirSystem.TUBELESS;
    }
}
