package org.stratopneum.web.sealant;

import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.stratopneum.core.sealant.DoseSchool;
import org.stratopneum.web.fleet.bikes.WheelHead;
import org.stratopneum.web.fleet.care.WheelCare;
import org.stratopneum.web.log.LogDetail;
import org.stratopneum.web.log.LogOutcome;
import org.stratopneum.web.log.WheelLine;
import org.stratopneum.web.platform.drawing.SealantChart;
import org.stratopneum.web.platform.drawing.SectionDrawing;
import org.stratopneum.web.platform.wording.FormView;
import org.stratopneum.web.platform.wording.Units;

/**
 * The liquid in the tire of a wheel, in words.
 *
 * @param none why there is nothing to say of it, or null
 * @param unnoted whether nobody noted what is in the tire
 * @param left what is left, or null while nothing was filled in
 * @param question what the latest dip asks, or null
 * @param doses what goes in, school by school, and {@code doseSaid} what is to be said of it
 * @param dippable whether a stick reaches it
 * @param bottles what the shelf has, and {@code buy} what it lacks for the next filling, or null
 * @param entries what was noted, newest first
 * @param outcome what was just done, or null
 */
record SealantPage(
        WheelHead head,
        String none,
        boolean unnoted,
        Left left,
        Question question,
        List<Dose> doses,
        List<String> doseSaid,
        boolean dippable,
        Forms forms,
        Units units,
        List<Bottle> bottles,
        String buy,
        List<WheelLine> entries,
        LogOutcome outcome) {

    /** The forms of the page. */
    public record Forms(
            FormView dips, FormView filling, FormView answer, FormView found, FormView care, boolean conflict) {}

    /**
     * What a dip asks that does not fit.
     *
     * @param on its day
     * @param high whether it says more than there can be; else less than drying explains
     */
    public record Question(LocalDate on, boolean high, String said) {}

    public List<LogDetail.DipExplained.Reason> reasons() {
        return List.of(LogDetail.DipExplained.Reason.values());
    }

    /** An id for one form: each has its own, so that going back and pressing another one is no repeat. */
    public UUID freshId() {
        return UUID.randomUUID();
    }

    /** Whether doses are told in the rider's own scoops too. */
    public boolean scoops() {
        return doses.stream().anyMatch(dose -> !dose.scoops.isEmpty());
    }

    public List<LogDetail.SealantHeard.Sound> sounds() {
        return List.of(LogDetail.SealantHeard.Sound.values());
    }

    public List<DoseSchool> schools() {
        return List.of(DoseSchool.values());
    }

    public List<WheelCare.Plan> plans() {
        return List.of(WheelCare.Plan.values());
    }

    /**
     * What is left.
     *
     * @param number in the rider's unit, {@code span} its doubt in words
     * @param state code of its shape, {@code stateWord} the word beside it
     * @param moved what moved the forecast
     * @param section the tire with what lies in it, {@code depth} how deep that stands in words
     */
    public record Left(
            String number,
            String span,
            String state,
            String stateWord,
            List<String> said,
            List<String> moved,
            SectionDrawing section,
            String depth,
            SealantChart chart) {}

    /** What tells or helps most now. */
    public enum Act {
        ADD,
        DIP,
        SHAKE
    }

    /** The one thing to do: add where it is too little, else dip where a stick reaches it, else listen. */
    public Act act() {
        return left == null || "below".equals(left.state) ? Act.ADD : dippable ? Act.DIP : Act.SHAKE;
    }

    /** A filling by a school, in the rider's unit, in the other one, and in their scoops where they have one. */
    public record Dose(String name, String film, String volume, String other, String scoops, boolean chosen) {}

    /** A bottle of the shelf with what is left of it. */
    public record Bottle(UUID id, String name) {}
}
