package org.stratopneum.core.job;

import java.util.EnumSet;
import java.util.List;
import java.util.Set;

/** The jobs that there is a card for. */
public enum Job {
    CONVERT(TubelessJobs.convert(), Goal.TUBELESS),
    TAPE_RIM(CareJobs.tapeRim(), Goal.AS_IT_IS),
    FIT_DRY(TubelessJobs.fit(), Goal.TUBELESS),
    FIT_WET(TubelessJobs.fit(), Goal.TUBELESS),
    CHANGE_TIRE(TubelessJobs.change(), Goal.TUBELESS),
    STUBBORN_TIRE(CareJobs.stubborn(), Goal.AS_IT_IS),
    INSERT(TubelessJobs.insert(), Goal.TUBELESS),
    FIT_TUBE(TubeJobs.fit(), Goal.TUBE),
    SEALANT_IN_TUBE(TubeJobs.sealant(), Goal.TUBE),
    REFRESH_THROUGH_VALVE(RefreshJobs.throughValve(), Goal.AS_IT_IS),
    REFRESH_AT_BEAD(RefreshJobs.atBead(), Goal.AS_IT_IS),
    RENEW_SEALANT(RefreshJobs.renew(), Goal.TUBELESS),
    SERVICE_VALVE(CareJobs.valve(), Goal.AS_IT_IS),
    DIP(RefreshJobs.dip(), Goal.AS_IT_IS),
    ADD_AIR(CareJobs.addAir(), Goal.AS_IT_IS),
    THUMB_TEST(CareJobs.thumb(), Goal.AS_IT_IS),
    FILL_WITH_CARTRIDGE(GasSteps.fill(), Goal.AS_IT_IS),
    FIXED_CORE(TubeJobs.fixedCore(), Goal.TUBE),
    MEND_BEAD(MendJobs.bead(), Goal.AS_IT_IS),
    RETAPE(MendJobs.retape(), Goal.TUBELESS),
    PLUG_AND_PATCH(MendJobs.plugAndPatch(), Goal.TUBELESS),
    SEW_FLANK(MendJobs.sewFlank(), Goal.TUBELESS),
    BOOT(MendJobs.boot(), Goal.TUBE),
    PATCH_TUBE(MendJobs.patchTube(), Goal.TUBE),
    SWAP_TUBE(MendJobs.swapTube(), Goal.TUBE),
    RIM_DENT(MendJobs.rimDent(), Goal.AS_IT_IS),
    SETTLE(MendJobs.settle(), Goal.AS_IT_IS),
    SEAT(TubelessJobs.seat(), Goal.TUBELESS),
    HOLD_TEST(TubelessJobs.hold(), Goal.AS_IT_IS),
    BEFORE_RIDING(CareJobs.beforeRiding(), Goal.AS_IT_IS),
    PREVENTION_LOOK(CareJobs.inspection(), Goal.AS_IT_IS),
    CLEAN_UP(CareJobs.cleanUp(), Goal.AS_IT_IS);

    /** The step that a dip on the way of a job ends with. */
    public static final String LAST_DIP = "dip-3";

    private final Part script;
    private final Goal goal;
    private final Set<Condition> asked;

    Job(Part script, Goal goal) {
        this.script = script;
        this.goal = goal;
        this.asked = EnumSet.noneOf(Condition.class);
        script.tree().filter(Part.When.class::isInstance).forEach(part -> asked.add(((Part.When) part).condition()));
    }

    /** What holds the air when the job is done. */
    public enum Goal {
        TUBELESS,
        TUBE,
        AS_IT_IS
    }

    public Part script() {
        return script;
    }

    public Goal goal() {
        return goal;
    }

    /** The conditions that its way depends on. */
    public Set<Condition> asked() {
        return Set.copyOf(asked);
    }

    /** Whether it is up to the rider whether an insert lies in the tire then. */
    public boolean asksInsert() {
        return goal == Goal.TUBELESS && asked.contains(Condition.INSERT);
    }

    /** Whether a tire goes on, so that it must be said which. */
    public boolean mounts() {
        return reaches(Milestone.TUBELESS_ON) || reaches(Milestone.TUBE_ON);
    }

    /** Whether somewhere in it air goes in. */
    public boolean inflates() {
        return steps().stream().anyMatch(Step::inflates);
    }

    public boolean reaches(Milestone milestone) {
        return script.tree().anyMatch(new Part.Reached(milestone)::equals);
    }

    /** Whether the core of the valve is washed on its way. */
    public boolean servicesCore() {
        return steps().stream().anyMatch(step -> step.text().equals(RefreshJobs.CORE_WASH));
    }

    /** Whether some step names {@code amount}. */
    public boolean names(Amount amount) {
        return steps().stream().anyMatch(step -> step.amounts().contains(amount));
    }

    /** All steps that it may come to. */
    public List<Step> steps() {
        return script.tree()
                .filter(Step.class::isInstance)
                .map(Step.class::cast)
                .toList();
    }
}
