package org.stratopneum.core.trailside;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.stratopneum.core.job.Job;

/** What is left to do at home after a stop, and how soon (days are our judgement). */
public enum Chore {
    /** Carbon dioxide out, and air in: it creeps through rubber, and some sealants curdle with it. */
    CO2_OUT(1, null),
    /** Patched from inside, or renewed: a plug wears flush and stays, or works out. */
    PLUG_INSIDE(14, Job.PLUG_AND_PATCH),
    /** A hole took some of the liquid with it. */
    DIP(2, null),
    /** The tube comes out, what dried in there is cleaned away, and it is set up tubeless again. */
    RESET_TUBELESS(14, Job.CONVERT),
    /** A booted tire is ridden home and no farther. */
    NEW_TIRE(7, Job.BOOT),
    /** The bead was off its seat, or the rim bit through: rim, tape and bead want a look. */
    RIM_LOOK(2, Job.RIM_DENT),
    /** The hole in the tube points to the rim: its strip wants a look. */
    STRIP_LOOK(7, Job.FIT_TUBE),
    /** The bead came loose for a moment: too soft for that ground, or not clean. */
    BEAD_LOOK(2, Job.MEND_BEAD),
    VALVE_LOOK(7, Job.SERVICE_VALVE),
    /** Nobody knows where it leaks. */
    FIND_LEAK(1, null),
    /** It never got home riding. */
    MEND(1, null),
    /** What was used is not in the bag any more. */
    RESTOCK(2, null);

    private final int days;
    private final Job job;

    Chore(int days, Job job) {
        this.days = days;
        this.job = job;
    }

    /** Within so many days. */
    public int days() {
        return days;
    }

    /** The card that does it; empty where it is done on another page. */
    public Optional<Job> job() {
        return Optional.ofNullable(job);
    }

    /**
     * What follows from a stop.
     *
     * @param tubeless whether the wheel had no tube before
     * @param noted what answers have told
     * @param gas whether carbon dioxide went in
     * @param used whether anything was taken out of the bag
     * @param end how it ended
     */
    public static List<Chore> of(boolean tubeless, Set<Fact> noted, boolean gas, boolean used, End end) {
        List<Chore> chores = new ArrayList<>();
        boolean tubeIn = noted.contains(Fact.BEADS_ON);
        if (gas) {
            chores.add(CO2_OUT);
        }
        if (noted.contains(Fact.PLUGGED) && !tubeIn) {
            chores.add(PLUG_INSIDE);
        }
        if ((noted.contains(Fact.CLOSED) || noted.contains(Fact.OPEN) || noted.contains(Fact.PLUGGED)) && !tubeIn) {
            chores.add(DIP);
        }
        if (noted.contains(Fact.BOOTED)) {
            chores.add(NEW_TIRE);
        } else if (tubeless && tubeIn) {
            chores.add(RESET_TUBELESS);
        }
        if (noted.contains(Fact.PINCHED) || noted.contains(Fact.BEAD_CAME_OFF) || noted.contains(Fact.BEAD_SEATED)) {
            chores.add(RIM_LOOK);
        }
        if (noted.contains(Fact.RIM_SIDE)) {
            chores.add(STRIP_LOOK);
        }
        if (noted.contains(Fact.BEAD_BACK)) {
            chores.add(BEAD_LOOK);
        }
        if (noted.contains(Fact.CORE_TIGHT) || noted.contains(Fact.CORE_BAD)) {
            chores.add(VALVE_LOOK);
        }
        if (noted.contains(Fact.NOWHERE) && !tubeIn) {
            chores.add(FIND_LEAK);
        }
        if (end == End.WALK && chores.stream().noneMatch(FIND_LEAK::equals)) {
            chores.add(MEND);
        }
        if (used) {
            chores.add(RESTOCK);
        }
        return chores;
    }
}
