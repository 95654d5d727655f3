package org.stratopneum.web.jobs;

import java.util.List;
import org.stratopneum.core.job.Job;

/** The jobs by what they are for, in the order in which a rider meets them. */
enum JobGroup {
    SET_UP("tire", Job.CONVERT, Job.TAPE_RIM, Job.FIT_DRY, Job.FIT_WET, Job.SEAT),
    CHANGE("tire", Job.CHANGE_TIRE, Job.STUBBORN_TIRE, Job.INSERT, Job.FIT_TUBE, Job.SWAP_TUBE),
    SEALANT(
            "drop",
            Job.REFRESH_THROUGH_VALVE,
            Job.REFRESH_AT_BEAD,
            Job.RENEW_SEALANT,
            Job.SEALANT_IN_TUBE,
            Job.DIP,
            Job.CLEAN_UP),
    VALVE("pump", Job.ADD_AIR, Job.FILL_WITH_CARTRIDGE, Job.SERVICE_VALVE, Job.FIXED_CORE),
    MEND(
            "thorn",
            Job.MEND_BEAD,
            Job.RETAPE,
            Job.PLUG_AND_PATCH,
            Job.SEW_FLANK,
            Job.BOOT,
            Job.PATCH_TUBE,
            Job.RIM_DENT,
            Job.SETTLE),
    CHECK("look", Job.HOLD_TEST, Job.THUMB_TEST, Job.BEFORE_RIDING, Job.PREVENTION_LOOK);

    private final String icon;
    private final List<Job> jobs;

    JobGroup(String icon, Job... jobs) {
        this.icon = icon;
        this.jobs = List.of(jobs);
    }

    String icon() {
        return icon;
    }

    List<Job> jobs() {
        return jobs;
    }
}
