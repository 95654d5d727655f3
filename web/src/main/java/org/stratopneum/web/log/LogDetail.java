package org.stratopneum.web.log;

import java.time.LocalDate;
import java.util.List;
import java.util.Objects;
import java.util.UUID;
import org.stratopneum.core.check.Problems;
import org.stratopneum.core.check.Range;
import org.stratopneum.core.job.Ending;
import org.stratopneum.core.job.Job;
import org.stratopneum.core.job.Measured;
import org.stratopneum.core.pressure.SetupKind;
import org.stratopneum.core.quantity.GaugePressure;
import org.stratopneum.core.quantity.PressureUnit;
import org.stratopneum.core.sealant.SealantEvent;
import org.stratopneum.core.tire.TireOnRim;

/** What an entry says beyond who, when and where; one record for each kind of entry. */
public sealed interface LogDetail
        permits LogDetail.GaugeRead,
                LogDetail.TireFitted,
                LogDetail.TireRemoved,
                LogDetail.WheelsetMounted,
                LogDetail.RimTaped,
                LogDetail.PartFitted,
                LogDetail.SealantAdded,
                LogDetail.SealantDipped,
                LogDetail.SealantHeard,
                LogDetail.PunctureSealed,
                LogDetail.SealantLost,
                LogDetail.SealantFound,
                LogDetail.DipExplained,
                LogDetail.JobEnded,
                LogDetail.CareDone,
                LogDetail.WarningAccepted,
                LogDetail.OwnPressure,
                LogDetail.DiallingReset,
                LeakFound,
                TrailMend,
                TreadMeasured,
                Ridden {

    LogKind kind();

    /** Version of the record's fields, raised when they change their meaning. */
    default int version() {
        return 1;
    }

    /** What a gauge showed, whatever it was read for. */
    sealed interface GaugeRead extends LogDetail permits PressureRead, HoldStarted, HoldEnded {

        /** The reading, as read (kPa gauge). */
        double gaugeKpa();

        /** The unit that was read. */
        PressureUnit readIn();

        /** Whether this is the first reading after pumping or letting out. */
        boolean afterInflation();

        default GaugePressure pressure() {
            return GaugePressure.kpa(gaugeKpa());
        }

        /** The same for something else that was read. */
        GaugeRead reread(double kpa, PressureUnit unit);
    }

    private static void checkTire(double gaugeKpa) {
        Problems problems = new Problems();
        problems.check("gaugeKpa", gaugeKpa, GaugePressure.TIRE_KPA);
        problems.throwIfAny();
    }

    /**
     * What a gauge showed.
     *
     * @param gaugeKpa the reading, as read (kPa gauge)
     * @param readIn the unit that was read
     * @param afterInflation whether this is the first reading after pumping or letting out
     * @param toldKpa what the advice said at that moment (kPa gauge), or null where nobody asked
     * @param thumb what a thumb said of the tire before it was read, or null
     */
    record PressureRead(double gaugeKpa, PressureUnit readIn, boolean afterInflation, Double toldKpa, Thumb thumb)
            implements GaugeRead {

        /** A thumb pressed into the tread with full weight. */
        public enum Thumb {
            RIM_FELT,
            RIM_JUST_NOT_FELT,
            HARDLY_GIVES
        }

        /** Without a thumb. */
        public PressureRead(double gaugeKpa, PressureUnit readIn, boolean afterInflation, Double toldKpa) {
            this(gaugeKpa, readIn, afterInflation, toldKpa, null);
        }

        public PressureRead {
            Problems problems = new Problems();
            problems.check("gaugeKpa", gaugeKpa, GaugePressure.TIRE_KPA);
            problems.checkIfPresent("toldKpa", toldKpa, GaugePressure.TIRE_KPA);
            problems.throwIfAny();
        }

        @Override
        public GaugeRead reread(double kpa, PressureUnit unit) {
            return new PressureRead(kpa, unit, afterInflation, toldKpa, thumb);
        }

        @Override
        public LogKind kind() {
            return LogKind.PRESSURE_READ;
        }
    }

    /** A hold test began with this reading (kPa gauge). */
    record HoldStarted(double gaugeKpa, PressureUnit readIn) implements GaugeRead {
        public HoldStarted {
            checkTire(gaugeKpa);
        }

        @Override
        public boolean afterInflation() {
            return true;
        }

        @Override
        public GaugeRead reread(double kpa, PressureUnit unit) {
            return new HoldStarted(kpa, unit);
        }

        @Override
        public LogKind kind() {
            return LogKind.HOLD_STARTED;
        }
    }

    /** A hold test ended with this reading (kPa gauge); what it says is computed from both. */
    record HoldEnded(double gaugeKpa, PressureUnit readIn) implements GaugeRead {
        public HoldEnded {
            checkTire(gaugeKpa);
        }

        @Override
        public boolean afterInflation() {
            return false;
        }

        @Override
        public GaugeRead reread(double kpa, PressureUnit unit) {
            return new HoldEnded(kpa, unit);
        }

        @Override
        public LogKind kind() {
            return LogKind.HOLD_ENDED;
        }
    }

    /**
     * A tire was put on a wheel.
     *
     * @param setup what holds the air
     * @param insert whether a foam insert went in
     * @param measuredWidthMm width measured on this rim (mm), or null
     */
    record TireFitted(SetupKind setup, boolean insert, Double measuredWidthMm) implements LogDetail {
        public TireFitted {
            Problems problems = new Problems();
            problems.checkIfPresent("measuredWidthMm", measuredWidthMm, TireOnRim.MEASURED_WIDTH_MM);
            problems.throwIfAny();
        }

        @Override
        public LogKind kind() {
            return LogKind.TIRE_FITTED;
        }
    }

    /** A tire was taken off a wheel. */
    record TireRemoved() implements LogDetail {
        @Override
        public LogKind kind() {
            return LogKind.TIRE_REMOVED;
        }
    }

    /** A wheelset was put into the bike; the one before stands in the shed from then on. */
    record WheelsetMounted() implements LogDetail {
        @Override
        public LogKind kind() {
            return LogKind.WHEELSET_MOUNTED;
        }
    }

    /** A rim was taped with so much tape (m), from the roll that the entry names. */
    record RimTaped(Double lengthM) implements LogDetail {
        @Override
        public LogKind kind() {
            return LogKind.RIM_TAPED;
        }
    }

    /** A valve, a tube or an insert from the shelf went on a wheel. */
    record PartFitted() implements LogDetail {
        @Override
        public LogKind kind() {
            return LogKind.PART_FITTED;
        }
    }

    /**
     * Sealant went in (ml), from the bottle that the entry names.
     *
     * @param renewed whether what was in there was cleaned out first; null counts as not
     */
    record SealantAdded(double volumeMl, Boolean renewed) implements LogDetail {

        /** Over what is in there. */
        public SealantAdded(double volumeMl) {
            this(volumeMl, null);
        }

        public SealantAdded {
            Problems problems = new Problems();
            problems.check("volumeMl", volumeMl, Measured.SEALANT.range());
            problems.throwIfAny();
        }

        @Override
        public LogKind kind() {
            return LogKind.SEALANT_ADDED;
        }
    }

    /**
     * A stick was dipped through the open valve.
     *
     * @param depthsMm every dip in its order, the first one too, which only clears the stem (mm)
     */
    record SealantDipped(List<Double> depthsMm) implements LogDetail {

        /** No tire is higher (mm). */
        public static final Range DEPTH_MM = Range.closed(0, 150, "mm");

        /** The first clears the stem, another one counts. */
        public static final int LEAST_DIPS = 2;

        public SealantDipped {
            depthsMm = List.copyOf(depthsMm);
            Problems problems = new Problems();
            depthsMm.forEach(depth -> problems.check("depthsMm", depth, DEPTH_MM));
            problems.throwIfAny();
            if (depthsMm.size() < LEAST_DIPS) {
                throw new IllegalArgumentException("a dip that counts comes after the first");
            }
        }

        /** Mean of what counts (mm). */
        public double depthMm() {
            return depthsMm.stream()
                    .skip(1)
                    .mapToDouble(Double::doubleValue)
                    .average()
                    .orElseThrow();
        }

        @Override
        public LogKind kind() {
            return LogKind.SEALANT_DIPPED;
        }
    }

    /** The wheel was shaken, or looked into, and this was heard or seen. */
    record SealantHeard(Sound sound) implements LogDetail {

        /** What sealant sounds like. */
        public enum Sound {
            SLOSHES,
            SILENT,
            RATTLES,
            DRY
        }

        @Override
        public LogKind kind() {
            return LogKind.SEALANT_HEARD;
        }
    }

    /**
     * A hole closed by itself and took some sealant with it.
     *
     * @param traces whether it was only seen afterwards, by what was sprayed on frame or fork; null counts as not
     */
    record PunctureSealed(Boolean traces) implements LogDetail {

        /** Seen or heard as it happened. */
        public PunctureSealed() {
            this(null);
        }

        @Override
        public LogKind kind() {
            return LogKind.PUNCTURE_SEALED;
        }
    }

    /** Somebody saw about so much sealant go (ml): a burp, or a spill at the bench. */
    record SealantLost(double volumeMl) implements LogDetail {
        public SealantLost {
            Problems problems = new Problems();
            problems.check("volumeMl", volumeMl, SealantEvent.Lost.ML);
            problems.throwIfAny();
        }

        @Override
        public LogKind kind() {
            return LogKind.SEALANT_LOST;
        }
    }

    /**
     * The tire came with sealant in it, nobody knows how much.
     *
     * @param filledOn when it may have been filled, or null where nobody knows
     */
    record SealantFound(LocalDate filledOn) implements LogDetail {
        @Override
        public LogKind kind() {
            return LogKind.SEALANT_FOUND;
        }
    }

    /**
     * The rider's answer where a stick said less than drying explains.
     *
     * @param on the day of the dip
     * @param volumeMl about how much went, where that is known (ml)
     */
    record DipExplained(LocalDate on, Reason reason, Double volumeMl) implements LogDetail {

        /** What happened. */
        public enum Reason {
            SPILLED,
            HOLE,
            LUMPS,
            UNKNOWN
        }

        public DipExplained {
            Objects.requireNonNull(on, "on");
            Objects.requireNonNull(reason, "reason");
            Problems problems = new Problems();
            problems.checkIfPresent("volumeMl", volumeMl, SealantEvent.Lost.ML);
            problems.throwIfAny();
        }

        @Override
        public LogKind kind() {
            return LogKind.DIP_EXPLAINED;
        }
    }

    /** A job card came to an end on this wheel. */
    record JobEnded(Job job, Ending ending, UUID card) implements LogDetail {
        @Override
        public LogKind kind() {
            return LogKind.JOB_ENDED;
        }
    }

    /** Something that is looked after now and then was, without a card. */
    record CareDone(Care care) implements LogDetail {

        /** What is looked after. */
        public enum Care {
            CORE_SERVICE,
            PREVENTION_LOOK
        }

        @Override
        public LogKind kind() {
            return LogKind.CARE_DONE;
        }
    }

    /** The rider knows what a rule warns of, and goes on; the note says why. It holds for the tire that is on. */
    record WarningAccepted(String code, String note) implements LogDetail {
        @Override
        public LogKind kind() {
            return LogKind.WARNING_ACCEPTED;
        }
    }

    /**
     * The number that the rider sets whatever is told.
     *
     * @param gaugeKpa that number by the reference (kPa gauge), or null where they have none any more
     * @param readIn the unit that it was typed in
     */
    record OwnPressure(Double gaugeKpa, PressureUnit readIn) implements LogDetail {
        public OwnPressure {
            Problems problems = new Problems();
            problems.checkIfPresent("gaugeKpa", gaugeKpa, GaugePressure.TIRE_KPA);
            problems.throwIfAny();
        }

        @Override
        public LogKind kind() {
            return LogKind.OWN_PRESSURE;
        }
    }

    /** What suits the rider on this wheel is learned anew from here on. */
    record DiallingReset() implements LogDetail {
        @Override
        public LogKind kind() {
            return LogKind.DIALLING_RESET;
        }
    }
}
