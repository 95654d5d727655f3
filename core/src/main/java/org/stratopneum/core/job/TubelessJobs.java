package org.stratopneum.core.job;

import static org.stratopneum.core.job.Part.all;
import static org.stratopneum.core.job.Part.either;
import static org.stratopneum.core.job.Part.end;
import static org.stratopneum.core.job.Part.reached;
import static org.stratopneum.core.job.Part.unless;
import static org.stratopneum.core.job.Part.when;
import static org.stratopneum.core.job.Step.Branch.on;
import static org.stratopneum.core.job.Step.act;
import static org.stratopneum.core.job.Step.ask;
import static org.stratopneum.core.job.Step.measure;

/** Jobs on wheels that hold their air without a tube. */
final class TubelessJobs {

    private TubelessJobs() {}

    /** From tubes to tubeless, from the bike and back into it. */
    static Part convert() {
        return all(
                WheelSteps.notBlocked(),
                WheelSteps.wheelOff(),
                when(Condition.TIRE_ON, WheelSteps.tireOff()),
                WheelSteps.rimSound(),
                unless(
                        Condition.BED_SEALED,
                        either(
                                Condition.BED_TAPED,
                                ask("tape-sound", on(Answer.SOUND), on(Answer.DAMAGED, TapeSteps.tape())),
                                TapeSteps.tape())),
                TapeSteps.valveIn(),
                mountAndSeal(),
                toTheRoad());
    }

    /** What is for tubeless wheels is not begun on one with a tube. */
    static Part begin() {
        return all(WheelSteps.notBlocked(), when(Condition.TUBED, end(Ending.TUBE_INSIDE)));
    }

    /** A rim that is ready for a tire; one that is on comes off first. */
    static Part fit() {
        return all(
                WheelSteps.notBlocked(),
                when(Condition.TIRE_ON, WheelSteps.wheelOff(), WheelSteps.tireOff()),
                WheelSteps.rimSound(),
                tapeOrLook(),
                ask("valve-in-place", on(Answer.YES), on(Answer.NO, TapeSteps.valveIn())),
                mountAndSeal(),
                toTheRoad());
    }

    static Part change() {
        return all(
                begin(),
                WheelSteps.wheelOff(),
                when(Condition.TIRE_ON, WheelSteps.tireOff()),
                WheelSteps.rimSound(),
                tapeOrLook(),
                act("stem-brush"),
                mountAndSeal(),
                toTheRoad());
    }

    /** An insert goes in, or comes out; the tire is the one that was on. */
    static Part insert() {
        return all(
                begin(),
                WheelSteps.wheelOff(),
                when(Condition.TIRE_ON, WheelSteps.tireOff()),
                when(
                        Condition.INSERT,
                        unless(Condition.INSERT_INSIDE, act("insert-cut")),
                        unless(Condition.SIDE_HOLES, TapeSteps.valveOut(), TapeSteps.valveIn())),
                unless(Condition.INSERT, act("insert-clean")),
                tapeOrLook(),
                mountAndSeal(),
                toTheRoad());
    }

    /** The bead goes up with a shot of air. */
    static Part seat() {
        return all(
                begin(),
                ask(
                        "shot-of",
                        on(Answer.WITH_CHAMBER, SeatSteps.withChamber()),
                        on(Answer.WITH_COMPRESSOR, SeatSteps.withCompressor()),
                        on(Answer.WITH_CARTRIDGE, GasSteps.shot())),
                measure("seated-pressure", Measured.PRESSURE_SET),
                reached(Milestone.PRESSURE_SET),
                SeatSteps.evenLine());
    }

    static Part hold() {
        return all(
                WheelSteps.notBlocked(),
                either(Condition.TUBED, HoldSteps.holdTube(), all(SealantSteps.workedIn(), HoldSteps.hold())),
                act("hold-to-riding"));
    }

    /** A tape that was sound stays; one that is nicked is a leak that sealant cannot close. */
    static Part tapeOrLook() {
        return unless(
                Condition.BED_SEALED,
                ask(
                        "tape-sound",
                        on(Answer.SOUND),
                        on(
                                Answer.DAMAGED,
                                ask(
                                        "valve-in-hole",
                                        on(Answer.YES, TapeSteps.valveOut().under("retape.")),
                                        on(Answer.NO)),
                                TapeSteps.tape(),
                                TapeSteps.valveIn().under("retape."))));
    }

    static Part mountAndSeal() {
        return all(MountSteps.prepare(), mountPrepared());
    }

    /** A tire that was cleaned on the way. */
    static Part mountPrepared() {
        return all(
                MountSteps.beads(),
                SeatSteps.seat(),
                unless(Condition.WET, SealantSteps.afterSeating()),
                reached(Milestone.TUBELESS_ON),
                reached(Milestone.SEALANT_IN),
                SealantSteps.workedIn());
    }

    /** Two schools: stand overnight and then ride, or ride at once and test afterwards. */
    static Part toTheRoad() {
        return either(
                Condition.OVERNIGHT,
                all(act("lay-on-each-side"), HoldSteps.hold(), WheelSteps.wheelIn(), WheelSteps.beforeRiding()),
                all(WheelSteps.wheelIn(), WheelSteps.beforeRiding(), act("ride-few-km"), HoldSteps.hold()));
    }
}
