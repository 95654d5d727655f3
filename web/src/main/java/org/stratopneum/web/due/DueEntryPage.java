package org.stratopneum.web.due;

import java.util.List;
import java.util.UUID;
import org.stratopneum.web.platform.wording.FormView;

/**
 * One matter, and what can be done about it.
 *
 * @param wheel the wheel that it is about, or null
 * @param late whether it is due today, or was before
 * @param path where it is done, or null
 * @param later days to put it off to
 */
record DueEntryPage(
        String key,
        UUID wheel,
        String title,
        String due,
        boolean late,
        String path,
        DueEntry.Kind kind,
        List<Later> later,
        FormView form) {

    /** What the key of a reminder begins with. */
    static final String REMINDER = "follow-";

    /** Whether one touch does it. */
    public boolean canDo() {
        return kind == DueEntry.Kind.CARE || kind == DueEntry.Kind.FOLLOW_UP;
    }

    public boolean skippable() {
        return kind != DueEntry.Kind.CARD;
    }

    /** A day to put it off to, and how it is said. */
    public record Later(String until, String text) {}
}
