package org.stratopneum.web.jobs;

import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.stratopneum.core.air.Cartridge;
import org.stratopneum.core.air.ChargeChamber;
import org.stratopneum.core.check.InvalidInputException;
import org.stratopneum.core.check.Level;
import org.stratopneum.core.check.Verdict;
import org.stratopneum.core.fit.FitCheck;
import org.stratopneum.core.fit.Hub;
import org.stratopneum.core.fit.RimBed;
import org.stratopneum.core.fit.TapePlan;
import org.stratopneum.core.fit.TapeStart;
import org.stratopneum.core.fit.ValveKind;
import org.stratopneum.core.gauge.GaugeFit;
import org.stratopneum.core.job.Amount;
import org.stratopneum.core.job.Condition;
import org.stratopneum.core.job.Job;
import org.stratopneum.core.job.JobCase;
import org.stratopneum.core.job.Milestone;
import org.stratopneum.core.pressure.Ceiling;
import org.stratopneum.core.pressure.SetupKind;
import org.stratopneum.core.quantity.GaugePressure;
import org.stratopneum.core.quantity.Length;
import org.stratopneum.core.sealant.SealantDose;
import org.stratopneum.core.sealant.SealantFamily;
import org.stratopneum.core.sealant.TubeSealant;
import org.stratopneum.core.tire.TireOnRim;
import org.stratopneum.web.fleet.bikes.FitParts;
import org.stratopneum.web.fleet.bikes.WheelPosition;
import org.stratopneum.web.fleet.bikes.WheelState;
import org.stratopneum.web.log.LogDetail.TireFitted;
import org.stratopneum.web.parts.shelf.ShelfItem;

/** Works out what a job card is done with: the wheel as it will stand, the conditions, and the amounts. */
final class CardCase {

    /** Nobody charges a tire further where nothing is printed (our judgement, as for seating; kPa). */
    private static final GaugePressure WITHOUT_LIMIT = GaugePressure.kpa(200);

    private final Job job;
    private final CardChoices choices;
    private final WheelState now;
    private final WheelState goal;
    private final FitParts parts;
    private final Double tapeMm;

    /**
     * @param now the wheel as it stands
     * @param tire the tire that goes on, or null for the one that is on
     * @param parts valve and tube that it will have, and the room beside it
     * @param tapeMm width of the tape that is taken (mm), or null where none is named
     */
    CardCase(Job job, CardChoices choices, WheelState now, WheelState.Tire tire, FitParts parts, Double tapeMm) {
        this.job = job;
        this.choices = choices;
        this.now = now;
        this.parts = parts;
        this.tapeMm = tapeMm;
        this.goal = goalOf(tire);
    }

    private WheelState goalOf(WheelState.Tire tire) {
        WheelState.Tire on = tire != null ? tire : now.tire().orElse(null);
        if (on == null || job.goal() == Job.Goal.AS_IT_IS) {
            return now;
        }
        boolean tubeless = job.goal() == Job.Goal.TUBELESS;
        SetupKind kind = tubeless ? SetupKind.TUBELESS : choices.tubeKind();
        return now.with(
                on,
                new TireFitted(kind, tubeless && choices.insert(), on.fitted().measuredWidthMm()),
                job.reaches(Milestone.RIM_TAPED));
    }

    WheelState goal() {
        return goal;
    }

    /** Whether the wheel is to hold its air without a tube, and did not with this tire until now. */
    boolean becomesTubeless() {
        return job.goal() == Job.Goal.TUBELESS && goal.tire().isPresent() && (now.tubed() || !sameTire());
    }

    private boolean sameTire() {
        return now.tire().isPresent()
                && now.tire().get().id().equals(goal.tire().orElseThrow().id());
    }

    FitParts parts() {
        return parts;
    }

    /** What speaks for and against the wheel as it will stand; empty without a tire. */
    private Optional<FitCheck> fit() {
        return goal.fitCase(null, parts).map(FitCheck::of);
    }

    /** What speaks against its parts. */
    List<Verdict> against() {
        return fit().map(FitCheck::verdicts).orElse(List.of());
    }

    /** A tire and a rim that no section can be laid over do not go together either. */
    boolean blocked() {
        boolean misfit = goal.tire().isPresent() && !goal.fits();
        return misfit || fit().filter(check -> check.worst() == Level.BLOCKS).isPresent();
    }

    /** Whether the job gives the wheel another valve than the one that is on: a tube's for a tubeless one, or either to a bare rim. */
    boolean otherValve() {
        return job.mounts() && (now.tire().isEmpty() || goal.tubed() != now.tubed());
    }

    private boolean tapes() {
        return job == Job.TAPE_RIM
                || job == Job.RETAPE
                || job == Job.CONVERT
                        && now.rim().bed() != RimBed.TAPED
                        && now.rim().bed() != RimBed.SEALED;
    }

    /** Whether the job cannot be begun before it is known how the rim is taped. */
    boolean needsSpokes() {
        return tapes()
                && choices.tapeStart() == TapeStart.THREE_HOLES
                && now.rim().spokes() == null;
    }

    /** How the tape that is taken goes with the bed; empty where none is named. */
    Optional<TapePlan.Fit> tapeFit() {
        return Optional.ofNullable(tapeMm).map(bed()::fitOf);
    }

    /**
     * The conditions that hold at the beginning, but for whether something blocks.
     *
     * @param sealant the bottle that it is taken from, or null
     * @param sealedBefore whether the log knows of sealant in the tire that is on
     */
    Set<Condition> holding(ShelfItem sealant, boolean sealedBefore) {
        Set<Condition> holding = EnumSet.noneOf(Condition.class);
        boolean tubed = now.tubed();
        boolean inside = now.tire().filter(tire -> tire.fitted().insert()).isPresent();
        boolean sameTire = sameTire();
        add(holding, Condition.REAR, now.position() == WheelPosition.REAR);
        add(holding, Condition.E_BIKE, choices.eBike());
        add(holding, Condition.DISC, choices.disc());
        add(holding, Condition.QUICK_RELEASE, choices.hub() == Hub.QUICK_RELEASE);
        add(holding, Condition.THRU_AXLE, choices.hub() == Hub.THRU_AXLE);
        add(holding, Condition.NUTTED, choices.hub() == Hub.NUTS);
        add(holding, Condition.GEAR_HUB, choices.hub() == Hub.GEAR_HUB);
        add(holding, Condition.HUB_MOTOR, choices.hub() == Hub.HUB_MOTOR);
        add(holding, Condition.HOOKLESS, now.rim().isHookless());
        add(holding, Condition.TIRE_ON, now.tire().isPresent());
        add(holding, Condition.SAME_TIRE, sameTire);
        add(holding, Condition.TUBED, tubed);
        add(holding, Condition.LIQUID_INSIDE, now.tire().isPresent() && !tubed);
        add(holding, Condition.NEVER_SEALED, sameTire && tubed && !sealedBefore);
        add(holding, Condition.INSERT_INSIDE, inside);
        add(holding, Condition.NEW_TIRE, choices.newTire());
        add(holding, Condition.INSERT, job.asksInsert() ? choices.insert() : inside && job.goal() == Job.Goal.AS_IT_IS);
        add(
                holding,
                Condition.SIDE_HOLES,
                parts.valve() != null && Boolean.TRUE.equals(parts.valve().sideHoles()));
        add(holding, Condition.OTHER_VALVE, otherValve());
        add(holding, Condition.CORE_REMOVABLE, coreRemovable());
        add(holding, Condition.SCHRADER, valve() == ValveKind.SCHRADER);
        add(holding, Condition.DUNLOP, valve() == ValveKind.DUNLOP);
        add(holding, Condition.HOLE_OFF_CENTRE, now.rim().valveHole().offCentre());
        add(holding, Condition.INJECTOR, choices.injector());
        add(holding, Condition.GLOVES, choices.gloves());
        add(holding, Condition.WET, wet());
        add(holding, Condition.BED_SEALED, now.rim().bed() == RimBed.SEALED);
        add(holding, Condition.BED_TAPED, now.rim().bed() == RimBed.TAPED);
        add(holding, Condition.NARROW_TAPE, narrow());
        add(holding, Condition.TWO_TURNS, turns() > 1);
        add(holding, Condition.TAPE_OPPOSITE, choices.tapeStart() == TapeStart.OPPOSITE);
        add(holding, Condition.TAPE_THREE_HOLES, choices.tapeStart() == TapeStart.THREE_HOLES);
        add(holding, Condition.CHAMBER, choices.chamberL() != null);
        add(holding, Condition.COMPRESSOR, choices.compressor());
        add(holding, Condition.CARTRIDGE, choices.cartridgeG() != null);
        add(holding, Condition.SOAP_FIRST, choices.soapFirst());
        add(holding, Condition.CORE_FIRST, choices.coreFirst());
        add(holding, Condition.O_RING, choices.ring());
        add(holding, Condition.OVERNIGHT, choices.overnight());
        add(holding, Condition.FIBRE, sealant != null && sealant.family() == SealantFamily.FIBRE);
        return holding;
    }

    private boolean narrow() {
        return tapeFit().filter(TapePlan.Fit.TWO_PASSES::equals).isPresent();
    }

    private int turns() {
        if (narrow()) {
            return 2;
        }
        return (choices.twoTurns() ? 2 : 1) + choices.tapeMaterial().extraTurns();
    }

    private static void add(Set<Condition> holding, Condition condition, boolean holds) {
        if (holds) {
            holding.add(condition);
        }
    }

    boolean coreRemovable() {
        return parts.valve() == null || parts.valve().removableCore() == null
                ? choices.coreRemovable()
                : parts.valve().removableCore();
    }

    /** What the part says that goes in; else what was said. */
    ValveKind valve() {
        return parts.valve() == null || parts.valve().kind() == null
                ? choices.valve()
                : parts.valve().kind();
    }

    private boolean wet() {
        return switch (job) {
            case FIT_WET -> true;
            case FIT_DRY -> false;
            default -> choices.wet();
        };
    }

    /**
     * The case as the walk wants it.
     *
     * @param holding the conditions that held when the card was begun
     * @param advised what the advice says for this wheel, or null
     * @param topUpMl what is missing to a full filling by what is known now (ml), or null
     * @param sealant the bottle that it is taken from, or null
     * @param gauge how the gauge in hand stands to the reference
     */
    JobCase jobCase(Set<Condition> holding, Advised advised, Double topUpMl, ShelfItem sealant, GaugeFit gauge) {
        JobCase.Builder builder = new JobCase.Builder().readWith(gauge);
        holding.forEach(condition -> builder.when(condition, true));
        builder.when(Condition.BLOCKED, blocked());
        Optional<GaugePressure> ceiling = goal.ceiling().map(Ceiling::pressure);
        builder.amount(Amount.CEILING, ceiling.orElse(null));
        builder.amount(Amount.SEATING, choices.school().pressure(ceiling));
        builder.amount(Amount.TOP_UP, topUpMl == null ? choices.topUpMl() : topUpMl);
        if (advised != null) {
            builder.amount(Amount.RIDING, within(advised.riding(), ceiling));
            builder.amount(Amount.TARGET_LOW, advised.low());
            builder.amount(Amount.TARGET_HIGH, advised.high());
        }
        tape(builder);
        goal.tireOnRim().ifPresent(onRim -> {
            dose(builder, onRim, sealant);
            chamber(builder, onRim, ceiling);
            cartridge(builder, onRim);
        });
        return builder.build();
    }

    /** What the advice says for a wheel, and between which pressures it sees it on target. */
    record Advised(GaugePressure riding, GaugePressure low, GaugePressure high) {}

    /** A pressure that is told for another set-up than this one is not told at all. */
    private static GaugePressure within(GaugePressure riding, Optional<GaugePressure> ceiling) {
        boolean above = riding != null && ceiling.filter(riding::isAbove).isPresent();
        return above ? null : riding;
    }

    private void tape(JobCase.Builder builder) {
        builder.amount(
                Amount.TAPE_WIDTH, Length.mm(tapeMm == null ? bed().middle().toMm() : tapeMm));
        builder.amount(Amount.TAPE_TURNS, turns());
        if (narrow()) {
            builder.amount(
                    Amount.TAPE_OVERLAP, Length.mm(bed().offsetPasses(tapeMm).overlapMm()));
        }
        plan().ifPresent(plan -> builder.amount(Amount.TAPE_LENGTH, Length.mm(plan.lengthM() * 1000)));
    }

    /** The bed, taped in the plainest way. */
    private TapePlan bed() {
        return plan(1, TapeStart.OPPOSITE);
    }

    private TapePlan plan(int turns, TapeStart start) {
        return TapePlan.of(
                now.rim().internalWidthMm(),
                now.rim().beadSeatDiameterMm(),
                TapePlan.USUAL_WELL_DEPTH_MM,
                turns,
                start,
                now.rim().spokes());
    }

    /** How the bed is taped; empty where the start counts spokes that nobody counted. */
    Optional<TapePlan> plan() {
        boolean uncounted =
                choices.tapeStart() == TapeStart.THREE_HOLES && now.rim().spokes() == null;
        return uncounted ? Optional.empty() : Optional.of(plan(turns(), choices.tapeStart()));
    }

    private void dose(JobCase.Builder builder, TireOnRim onRim, ShelfItem sealant) {
        SealantFamily family = sealant == null ? SealantFamily.SYNTHETIC : sealant.family();
        builder.amount(Amount.TUBE_DOSE, (double) Math.round(TubeSealant.ml(onRim.section(), family)));
        if (job.goal() == Job.Goal.TUBELESS) {
            WheelState.Tire tire = goal.tire().orElseThrow();
            var extras = new SealantDose.Extras(tire.marks().madeForTubeless(), choices.insert(), choices.newTire());
            builder.amount(
                    Amount.DOSE,
                    SealantDose.of(onRim.section(), choices.dose(), extras).roundedMl());
        }
    }

    private void chamber(JobCase.Builder builder, TireOnRim onRim, Optional<GaugePressure> ceiling) {
        if (choices.chamberL() == null) {
            return;
        }
        GaugePressure most = ceiling.orElse(WITHOUT_LIMIT);
        GaugePressure wanted = GaugePressure.kpa(choices.chamberKpa());
        double litres = onRim.section().airVolumeL();
        ChargeChamber shot = ChargeChamber.of(choices.chamberL(), wanted, litres, GaugePressure.ZERO, most);
        Verdict verdict = shot.verdicts().get(0);
        boolean tooMuch = verdict.level() == Level.BLOCKS;
        builder.amount(
                Amount.CHAMBER_CHARGE,
                tooMuch ? (GaugePressure) verdict.details().get(2) : wanted);
        builder.amount(Amount.CHAMBER_LEAVES, tooMuch ? most : shot.pressure());
    }

    private void cartridge(JobCase.Builder builder, TireOnRim onRim) {
        if (choices.cartridgeG() == null) {
            return;
        }
        try {
            builder.amount(
                    Amount.CARTRIDGE_GIVES,
                    Cartridge.intoSoft(onRim.section().airVolumeL())
                            .after(choices.cartridgeG(), Cartridge.Delivery.LIKELY));
        } catch (InvalidInputException exception) {
            // beyond what the equation of the gas describes: nothing is told, and the gauge decides
            builder.amount(Amount.CARTRIDGE_GIVES, null);
        }
    }
}
