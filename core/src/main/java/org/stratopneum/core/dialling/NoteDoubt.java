package org.stratopneum.core.dialling;

import java.util.EnumSet;
import java.util.List;
import java.util.Set;

/** What is odd about a rider's notes of a wheel (thresholds are our judgement). */
public enum NoteDoubt {
    /** The last note does not go with those before it. */
    STRANGE,
    /** The last notes say something else than all before them, though nobody changed anything. */
    CHANGED_UNSAID,
    /** Too hard below, too soft above: front and rear may be swapped. */
    CONTRADICTING,
    /** What is asked for lies outside of what the chain can mean. */
    OUT_OF_RANGE;

    /** So many notes back the band is held against, and so much wider it is then (ratio). */
    private static final int BACK = 5;

    private static final double WIDER = 1.5;

    /** After so many notes a band this wide says that they contradict each other (logarithm of a ratio). */
    private static final int ENOUGH = 6;

    private static final double WIDE = 0.3;

    /**
     * @param start what was believed before any of them
     * @param notes all that count, oldest first
     */
    public static Set<NoteDoubt> of(PersonalFactor start, List<RideNote> notes) {
        Set<NoteDoubt> doubts = EnumSet.noneOf(NoteDoubt.class);
        if (notes.isEmpty()) {
            return doubts;
        }
        PersonalFactor before = start.after(notes.subList(0, notes.size() - 1));
        RideNote last = notes.get(notes.size() - 1);
        PersonalFactor now = before.after(last);
        boolean changed = notes.subList(Math.max(0, notes.size() - BACK), notes.size()).stream()
                .anyMatch(RideNote::afterChange);
        if (notes.size() > 1 && before.isStrange(last)) {
            doubts.add(STRANGE);
        }
        if (notes.size() >= ENOUGH && !changed) {
            PersonalFactor back = start.after(notes.subList(0, notes.size() - BACK));
            if (now.width() > WIDE) {
                doubts.add(CONTRADICTING);
            } else if (now.width() > WIDER * back.width()) {
                doubts.add(CHANGED_UNSAID);
            }
        }
        if (now.isOutOfRange()) {
            doubts.add(OUT_OF_RANGE);
        }
        return doubts;
    }
}
