package org.stratopneum.web.intake;

import java.util.UUID;

/**
 * A part or a reminder that a file brought.
 *
 * @param named whether the log, or a wheel, names it: then it cannot go without a trace
 * @param inUse whether it is on a wheel, built into one, or done already
 */
record ImportedItem(UUID id, Sort sort, boolean named, boolean inUse) {

    enum Sort {
        TIRE,
        RIM,
        SHELF_ITEM,
        REMINDER
    }

    /** What becomes of it when the file is taken out again. */
    enum Fate {
        /** As if it had never been there. */
        DELETED,
        /** Used since: it stays where it was used, and is on no shelf any more. */
        RETIRED,
        /** Still in use, or done: left alone. */
        LEFT
    }

    Fate fate() {
        if (!named) {
            return Fate.DELETED;
        }
        return inUse ? Fate.LEFT : Fate.RETIRED;
    }
}
