package org.stratopneum.web.jobs;

import java.util.EnumSet;
import java.util.Optional;
import java.util.Set;
import org.stratopneum.core.air.Cartridge;
import org.stratopneum.core.air.ChargeChamber;
import org.stratopneum.core.check.InvalidInputException;
import org.stratopneum.core.check.Level;
import org.stratopneum.core.check.Verdict;
import org.stratopneum.core.fit.FitCheck;
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

    /**
     * @param now the wheel as it stands
     * @param tire the tire that goes on, or null for the one that is on
     * @param parts valve and tube that it will have, and the room beside it
     */
    CardCase(Job job, CardChoices choices, WheelState now, WheelState.Tire tire, FitParts parts) {
        this.job = job;
        this.choices = choices;
        this.now = now;
        this.parts = parts;
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

    /** What speaks for and against the wheel as it will stand; empty without a tire. */
    Optional<FitCheck> fit() {
        return goal.fitCase(null, parts).map(FitCheck::of);
    }

    /** A tire and a rim that no section can be laid over do not go together either. */
    boolean blocked() {
        boolean misfit = goal.tire().isPresent() && !goal.fits();
        return misfit || fit().filter(check -> check.worst() == Level.BLOCKS).isPresent();
    }

    /**
     * The conditions that hold at the beginning, but for whether something blocks.
     *
     * @param sealant the bottle that it is taken from, or null
     */
    Set<Condition> holding(ShelfItem sealant) {
        Set<Condition> holding = EnumSet.noneOf(Condition.class);
        add(holding, Condition.REAR, now.position() == WheelPosition.REAR);
        add(holding, Condition.E_BIKE, choices.eBike());
        add(holding, Condition.DISC, choices.disc());
        add(holding, Condition.HOOKLESS, now.rim().hookless());
        add(holding, Condition.TIRE_ON, now.tire().isPresent());
        add(holding, Condition.LIQUID_INSIDE, now.tire().isPresent() && !now.tubed());
        add(
                holding,
                Condition.INSERT_INSIDE,
                now.tire().filter(tire -> tire.fitted().insert()).isPresent());
        add(holding, Condition.NEW_TIRE, choices.newTire());
        add(holding, Condition.INSERT, choices.insert());
        add(holding, Condition.CORE_REMOVABLE, coreRemovable());
        add(holding, Condition.HOLE_OFF_CENTRE, now.rim().valveHole().offCentre());
        add(holding, Condition.INJECTOR, choices.injector());
        add(holding, Condition.WET, wet());
        add(holding, Condition.BED_SEALED, now.rim().bed() == RimBed.SEALED);
        add(holding, Condition.TWO_TURNS, choices.twoTurns());
        add(holding, Condition.TAPE_OPPOSITE, choices.tapeStart() == TapeStart.OPPOSITE);
        add(holding, Condition.TAPE_THREE_HOLES, choices.tapeStart() == TapeStart.THREE_HOLES);
        add(holding, Condition.CHAMBER, choices.chamberL() != null);
        add(holding, Condition.COMPRESSOR, choices.compressor());
        add(holding, Condition.CARTRIDGE, choices.cartridgeG() != null);
        add(holding, Condition.O_RING, choices.ring());
        add(holding, Condition.OVERNIGHT, choices.overnight());
        add(holding, Condition.FIBRE, sealant != null && sealant.family() == SealantFamily.FIBRE);
        add(holding, Condition.SCHRADER, parts.valve() != null && parts.valve().kind() == ValveKind.SCHRADER);
        return holding;
    }

    private static void add(Set<Condition> holding, Condition condition, boolean holds) {
        if (holds) {
            holding.add(condition);
        }
    }

    private boolean coreRemovable() {
        return parts.valve() == null || parts.valve().removableCore() == null
                ? choices.coreRemovable()
                : parts.valve().removableCore();
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
     * @param riding what the advice says for this wheel, or null
     * @param gauge how the gauge in hand stands to the reference
     */
    JobCase jobCase(Set<Condition> holding, GaugePressure riding, GaugeFit gauge) {
        JobCase.Builder builder = new JobCase.Builder().readWith(gauge);
        holding.forEach(condition -> builder.when(condition, true));
        builder.when(Condition.BLOCKED, blocked());
        Optional<GaugePressure> ceiling = goal.ceiling().map(Ceiling::pressure);
        builder.amount(Amount.CEILING, ceiling.orElse(null));
        builder.amount(Amount.SEATING, choices.school().pressure(ceiling));
        builder.amount(Amount.TOP_UP, choices.topUpMl());
        builder.amount(Amount.RIDING, within(riding, ceiling));
        tape(builder);
        goal.tireOnRim().ifPresent(onRim -> {
            dose(builder, onRim);
            chamber(builder, onRim, ceiling);
            cartridge(builder, onRim);
        });
        return builder.build();
    }

    /** A pressure that is told for another set-up than this one is not told at all. */
    private static GaugePressure within(GaugePressure riding, Optional<GaugePressure> ceiling) {
        boolean above = riding != null && ceiling.filter(riding::isAbove).isPresent();
        return above ? null : riding;
    }

    private void tape(JobCase.Builder builder) {
        plan().ifPresent(plan -> builder.amount(
                        Amount.TAPE_WIDTH, Length.mm(plan.middle().toMm()))
                .amount(Amount.TAPE_LENGTH, Length.mm(plan.lengthM() * 1000)));
    }

    /** How the bed is taped; empty where the start counts spokes that nobody counted. */
    Optional<TapePlan> plan() {
        try {
            return Optional.of(TapePlan.of(
                    now.rim().internalWidthMm(),
                    now.rim().beadSeatDiameterMm(),
                    TapePlan.USUAL_WELL_DEPTH_MM,
                    choices.twoTurns() ? 2 : 1,
                    choices.tapeStart(),
                    now.rim().spokes()));
        } catch (InvalidInputException exception) {
            return Optional.empty();
        }
    }

    private void dose(JobCase.Builder builder, TireOnRim onRim) {
        if (job.goal() == Job.Goal.TUBELESS) {
            WheelState.Tire tire = goal.tire().orElseThrow();
            var extras = new SealantDose.Extras(tire.marks().tubeless(), choices.insert(), choices.newTire());
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
