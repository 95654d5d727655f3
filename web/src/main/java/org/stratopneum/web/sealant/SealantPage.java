package org.stratopneum.web.sealant;

import java.util.List;
import java.util.UUID;
import org.stratopneum.web.drawing.PoolDrawing;
import org.stratopneum.web.drawing.SealantChart;
import org.stratopneum.web.logbook.LogDetail;
import org.stratopneum.web.logbook.LogOutcome;
import org.stratopneum.web.wording.FormView;
import org.stratopneum.web.wording.Units;

/**
 * The liquid in the tire of a wheel, in words.
 *
 * @param none why there is nothing to say of it, or null
 * @param left what is left, or null while nothing was filled in
 * @param dippable whether a stick reaches it
 * @param bottles what the shelf has
 * @param entries what was noted, newest first
 * @param outcome what was just done, or null
 */
record SealantPage(
        UUID wheel,
        UUID bike,
        String bikeName,
        String where,
        String none,
        Left left,
        List<String> dose,
        boolean dippable,
        FormView dips,
        FormView filling,
        Units units,
        List<Bottle> bottles,
        List<Entry> entries,
        LogOutcome outcome) {

    /** An id for one form: each has its own, so that going back and pressing another one is no repeat. */
    public UUID freshId() {
        return UUID.randomUUID();
    }

    public List<LogDetail.SealantHeard.Sound> sounds() {
        return List.of(LogDetail.SealantHeard.Sound.values());
    }

    /**
     * What is left.
     *
     * @param number in the rider's unit, {@code span} its doubt in words
     * @param state code of its shape, {@code stateWord} the word beside it
     */
    public record Left(
            String number,
            String span,
            String state,
            String stateWord,
            List<String> said,
            PoolDrawing pool,
            String poolSaid,
            SealantChart chart) {}

    /** A bottle of the shelf with what is left of it. */
    public record Bottle(UUID id, String name) {}

    /** An entry in words. */
    public record Entry(UUID id, String when, String what, String note, boolean struck, boolean corrected) {}
}
