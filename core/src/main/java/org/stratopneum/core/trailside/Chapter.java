package org.stratopneum.core.trailside;

/** The parts of the ladder, each from its first rung up to the next part. */
public enum Chapter {
    LIQUID("hole-down"),
    FIND("find-hole"),
    VALVE("core-tighten"),
    BEAD("bead-push"),
    PLUG("plug-ream"),
    WATCH("air-and-watch"),
    TUBE("boot-makeshift"),
    LAST("feel");

    private final String first;

    Chapter(String first) {
        this.first = first;
    }

    /** The part that a rung belongs to. */
    public static Chapter of(Rung rung) {
        int place = Ladder.RUNGS.indexOf(rung);
        Chapter found = LIQUID;
        for (Chapter chapter : values()) {
            if (Ladder.RUNGS.indexOf(Ladder.rung(chapter.first).orElseThrow()) <= place) {
                found = chapter;
            }
        }
        return found;
    }
}
