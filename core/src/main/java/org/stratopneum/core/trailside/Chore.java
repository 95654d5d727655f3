package org.stratopneum.core.trailside;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import org.stratopneum.core.job.Job;

/** What is left to do at home after a stop, and how soon (days are our judgement). */
public enum Chore {
    /** Carbon dioxide out, and air in: it creeps through rubber, and some sealants curdle with it. */
    CO2_OUT(1, Job.ADD_AIR, "GAS_IN"),
    /** Patched from inside, or renewed: a plug wears flush and stays, or works out. */
    PLUG_INSIDE(14, Job.PLUG_AND_PATCH, "PLUGGED", "!BEADS_ON"),
    /** A hole took some of the liquid with it. */
    DIP(2, Job.DIP, "TUBELESS", "LIVE_SEALANT", "LIQUID_LOST", "!BEADS_ON"),
    /** The tube comes out, what dried in there is cleaned away, and it is set up tubeless again. */
    RESET_TUBELESS(14, Job.CONVERT, "TUBELESS", "BEADS_ON", "!BOOTED"),
    /** A booted tire is ridden home and no farther. */
    NEW_TIRE(7, Job.CONVERT, "TUBELESS", "BOOTED"),
    /** The same for a tire that has a tube in it anyway. */
    NEW_TUBED_TIRE(7, Job.FIT_TUBE, "TUBED", "BOOTED"),
    /** The bead was off its seat, or the rim bit through: rim, tape and bead want a look. */
    RIM_LOOK(2, Job.PREVENTION_LOOK, "RIM_STRUCK"),
    /** The hole in the tube points to the rim: its strip wants a look. */
    STRIP_LOOK(7, Job.FIT_TUBE, "RIM_SIDE"),
    /** The bead came loose for a moment: too soft for that ground, or not clean. */
    BEAD_LOOK(2, Job.MEND_BEAD, "TUBELESS", "BEAD_BACK"),
    VALVE_LOOK(7, Job.SERVICE_VALVE, "CORE_TOUCHED"),
    /** Nobody knows where it leaks. */
    FIND_LEAK(1, null, "NOWHERE", "!BEADS_ON"),
    /** It never got home riding. */
    MEND(1, null, "WALKED", "!NOWHERE"),
    /** What was used is not in the bag any more. */
    RESTOCK(2, null, "BAG_USED"),
    /** A cut through the threads, found at home: nobody rides on it without a boot. */
    CUT_BOOT(0, Job.BOOT),
    /** And not for long with one. */
    CUT_TIRE(7, Job.CHANGE_TIRE),
    WORN_TIRE(30, Job.CHANGE_TIRE),
    TAPE_LOOK(7, Job.RETAPE),
    /** More than a rider mends. */
    RIM_TO_A_MECHANIC(0, null);

    private final int days;
    private final Job job;
    private final List<String> when;

    Chore(int days, Job job, String... when) {
        this.days = days;
        this.job = job;
        this.when = List.of(when);
    }

    /** Within so many days. */
    public int days() {
        return days;
    }

    /** The card that does it; empty where it is done on another page. */
    public Optional<Job> job() {
        return Optional.ofNullable(job);
    }

    /** Whether it follows from a stop; else it is found at an inspection. */
    public boolean ofStop() {
        return !when.isEmpty();
    }

    /** Facts that must all hold; "!" before a name means that it must not. */
    public List<String> when() {
        return when;
    }

    /** What follows from a stop that ended so. */
    public static List<Chore> of(Situation stop, End end) {
        Situation ended = end == End.WALK ? stop.noting(Fact.WALKED) : stop;
        return Arrays.stream(values())
                .filter(chore -> chore.ofStop() && chore.when.stream().allMatch(fact -> Fact.holds(fact, ended)))
                .toList();
    }
}
