package org.stratopneum.web.jobs;

import java.util.List;
import java.util.UUID;
import org.stratopneum.core.fit.TapeStart;
import org.stratopneum.core.job.Job;
import org.stratopneum.core.job.SeatingSchool;
import org.stratopneum.core.pressure.SetupKind;
import org.stratopneum.core.sealant.DoseSchool;
import org.stratopneum.web.platform.wording.FitText;
import org.stratopneum.web.platform.wording.FormView;
import org.stratopneum.web.platform.wording.Units;

/**
 * A job card that is about to be begun.
 *
 * @param wheel the wheel that it was asked for
 * @param both whether the other wheel of the pair can be done with it
 * @param wheels the wheels that it may be for, with the tires that could go on them
 * @param shelf what of the shelf it can take
 * @param blocked what stands against it, by wheel; empty where nothing does
 */
record NewCardPage(
        UUID wheel,
        String where,
        String bike,
        Job job,
        CardForm asked,
        FormView form,
        Units units,
        boolean both,
        List<Wheel> wheels,
        Shelf shelf,
        List<Blocked> blocked) {

    public List<TapeStart> starts() {
        return List.of(TapeStart.values());
    }

    public List<SeatingSchool> schools() {
        return List.of(SeatingSchool.values());
    }

    public List<DoseSchool> doses() {
        return List.of(DoseSchool.values());
    }

    public List<SetupKind> tubes() {
        return List.of(SetupKind.BUTYL_TUBE, SetupKind.TPU_TUBE, SetupKind.LATEX_TUBE);
    }

    /**
     * A wheel with what could go on it.
     *
     * @param field name of its field
     * @param on the tire that is on, or null
     * @param other whether it is only for both wheels together
     */
    public record Wheel(String field, String where, String on, boolean other, List<Choice> tires) {}

    /** Something to choose, with its id. */
    public record Choice(UUID id, String text) {}

    /** What of the shelf could be taken, kind by kind. */
    public record Shelf(
            List<Choice> sealant, List<Choice> tape, List<Choice> valve, List<Choice> tube, List<Choice> insert) {}

    /** What stands against beginning it on a wheel. */
    public record Blocked(String where, FitText fit) {}
}
