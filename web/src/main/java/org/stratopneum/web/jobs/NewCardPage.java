package org.stratopneum.web.jobs;

import java.util.List;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Stream;
import org.stratopneum.core.fit.Hub;
import org.stratopneum.core.fit.TapeMaterial;
import org.stratopneum.core.fit.TapeStart;
import org.stratopneum.core.fit.ValveKind;
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
 * @param known names of what the wheel and its bike are known to have, so that it is not asked again
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
        Set<String> known,
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

    /**
     * What stands against beginning it on a wheel.
     *
     * @param tubeInstead the wheel whose tube may get sealant instead, or null
     */
    public record Blocked(String where, FitText fit, UUID tubeInstead) {}

    public List<CardForm.Tick> ofWheel() {
        return Stream.of(CardForm.Tick.values())
                .filter(tick -> tick.ofWheel() && asked.asks(tick))
                .toList();
    }

    public List<CardForm.Tick> ofJob() {
        return Stream.of(CardForm.Tick.values())
                .filter(tick -> !tick.ofWheel() && asked.asks(tick))
                .toList();
    }

    /** Whether all that the bike and the wheel have is known, so that it is folded away. */
    public boolean wheelKnown() {
        return ofWheel().stream().allMatch(tick -> known.contains(tick.field()))
                && (!asked.valve() || known.contains("valve"))
                && (!asked.hub() || known.contains("hub"));
    }

    public boolean asksOfWheel() {
        return !ofWheel().isEmpty() || asked.valve() || asked.hub();
    }

    public List<ValveKind> valves() {
        return List.of(ValveKind.values());
    }

    public List<Hub> hubs() {
        return List.of(Hub.values());
    }

    public List<TapeMaterial> materials() {
        return List.of(TapeMaterial.values());
    }
}
