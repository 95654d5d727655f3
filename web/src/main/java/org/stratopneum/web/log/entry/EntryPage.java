package org.stratopneum.web.log.entry;

import java.util.List;
import java.util.UUID;
import org.stratopneum.web.log.LogLine;
import org.stratopneum.web.platform.wording.FormView;

/**
 * One entry.
 *
 * @param line what it says now
 * @param facts what else is known of it, each with its name
 * @param states what it said and when that was written, the first one first
 * @param wheel the page of its wheel, or null
 * @param track the recorded file of a ride, or null
 * @param removed a picture that was just taken away, or null
 * @param newPhoto id for a picture that is added
 */
public record EntryPage(
        UUID id,
        LogLine line,
        List<Fact> facts,
        List<State> states,
        UUID wheel,
        UUID bike,
        UUID track,
        List<Photos.Shown> photos,
        FormView form,
        UUID removed,
        UUID newPhoto) {

    /** Something that is known of it. */
    public record Fact(String name, String value) {}

    /** What an entry said once. */
    public record State(String written, String what, String note, String how, boolean struck) {}
}
