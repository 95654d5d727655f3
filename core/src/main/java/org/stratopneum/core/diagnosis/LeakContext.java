package org.stratopneum.core.diagnosis;

import java.util.EnumSet;
import java.util.Set;
import org.stratopneum.core.leak.LeakClass;

/**
 * What is known of a wheel before anything is looked at; whatever nobody knows is left out.
 *
 * @param newSetup whether it was set up within a fortnight, or null
 * @param sealantAgeDays since it was last filled (days), or null
 * @param leverUsed whether a lever was used since, and the loss began at once
 * @param riddenLow whether it was ridden low, or burped
 * @param hit whether it was hit since
 * @param co2 whether it was filled with carbon dioxide within two days
 * @param tubelessCasing whether the tire is marked for it, or null
 * @param bedSealed whether the rim seals without tape
 * @param newTape whether the tape under a tube is new, or its strip old
 * @param rate what its loss is called, or null
 */
public record LeakContext(
        Boolean newSetup,
        Double sealantAgeDays,
        boolean leverUsed,
        boolean riddenLow,
        boolean hit,
        boolean co2,
        boolean insert,
        Boolean tubelessCasing,
        boolean bedSealed,
        boolean newTape,
        LeakClass rate) {

    /** Older sealant than this is likely low (our judgement; days). */
    private static final double OLD_DAYS = 120;

    /** What of it moves the causes. */
    public Set<Circumstance> circumstances() {
        Set<Circumstance> found = EnumSet.noneOf(Circumstance.class);
        if (newSetup != null) {
            found.add(newSetup ? Circumstance.NEW_SETUP : Circumstance.NOT_NEW_SETUP);
        }
        add(found, Circumstance.SEALANT_OLD, sealantAgeDays != null && sealantAgeDays > OLD_DAYS);
        add(found, Circumstance.LEVER, leverUsed);
        add(found, Circumstance.RIDDEN_LOW, riddenLow);
        add(found, Circumstance.HIT, hit);
        add(found, Circumstance.CO2, co2);
        add(found, Circumstance.INSERT, insert);
        add(found, Circumstance.CASING_NOT_TUBELESS, Boolean.FALSE.equals(tubelessCasing));
        add(found, Circumstance.BED_SEALED, bedSealed);
        add(found, Circumstance.NEW_TAPE, newTape);
        add(found, Circumstance.RATE_NORMAL, rate == LeakClass.NORMAL);
        add(found, Circumstance.RATE_LEAK, rate == LeakClass.LEAK);
        add(found, Circumstance.RATE_FAST, rate == LeakClass.FAST);
        return found;
    }

    private static void add(Set<Circumstance> found, Circumstance circumstance, boolean holds) {
        if (holds) {
            found.add(circumstance);
        }
    }
}
