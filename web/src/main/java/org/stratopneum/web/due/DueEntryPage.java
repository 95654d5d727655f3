package org.stratopneum.web.due;

import java.util.List;
import java.util.UUID;
import org.stratopneum.web.log.LogDetail.CareDone;
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

    public UUID freshId() {
        return UUID.randomUUID();
    }

    /** The care that one touch notes; null for what is noted otherwise. */
    public String care() {
        if (kind != DueEntry.Kind.CARE) {
            return null;
        }
        return key.endsWith(CareDone.Care.CORE_SERVICE.name())
                ? CareDone.Care.CORE_SERVICE.name()
                : CareDone.Care.PREVENTION_LOOK.name();
    }

    /** The reminder that it is; null for everything else. */
    public String reminder() {
        return kind == DueEntry.Kind.FOLLOW_UP ? key.substring("follow-".length()) : null;
    }

    public boolean skippable() {
        return kind != DueEntry.Kind.CARD;
    }

    /** A day to put it off to, and how it is said. */
    public record Later(String until, String text) {}
}
