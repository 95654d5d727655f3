package org.stratopneum.web.fleet.bikes;

import java.time.Instant;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Supplier;
import org.stratopneum.core.check.InvalidInputException;
import org.stratopneum.core.fit.FitCase;
import org.stratopneum.core.fit.RimBed;
import org.stratopneum.core.fit.ValveHole;
import org.stratopneum.core.gauge.GaugeFit;
import org.stratopneum.core.pressure.Casing;
import org.stratopneum.core.pressure.Ceiling;
import org.stratopneum.core.pressure.Setup;
import org.stratopneum.core.pressure.SetupKind;
import org.stratopneum.core.quantity.GaugePressure;
import org.stratopneum.core.quantity.Mass;
import org.stratopneum.core.tire.TireOnRim;
import org.stratopneum.core.tire.TireSize;
import org.stratopneum.web.log.LogDetail.GaugeRead;
import org.stratopneum.web.log.LogDetail.TireFitted;

/**
 * A wheel as it stands in its bike.
 *
 * @param tire what is fitted, or empty
 * @param lastReading last reading since the tire was fitted, or empty
 * @param dialled what is known of the pressure that suits the rider there
 */
public record WheelState(
        UUID wheelId,
        WheelPosition position,
        Rim rim,
        Optional<Tire> tire,
        Optional<Reading> lastReading,
        LearnedPressure dialled) {

    /**
     * The rim of the wheel; widths (mm), pressures (kPa gauge).
     *
     * @param hookless null where nobody looked
     * @param widthAssumed whether its width is only usual for its tire, not measured
     */
    public record Rim(
            UUID id,
            String name,
            double internalWidthMm,
            double beadSeatDiameterMm,
            Double depthMm,
            Boolean hookless,
            RimBed bed,
            ValveHole valveHole,
            Double maxKpa,
            Integer spokes,
            boolean widthAssumed) {

        /** Whether it is known to have straight walls. */
        public boolean isHookless() {
            return Boolean.TRUE.equals(hookless);
        }

        Rim taped() {
            return new Rim(
                    id,
                    name,
                    internalWidthMm,
                    beadSeatDiameterMm,
                    depthMm,
                    hookless,
                    RimBed.TAPED,
                    valveHole,
                    maxKpa,
                    spokes,
                    widthAssumed);
        }
    }

    /** The tire that is on it and how it was fitted; widths (mm), pressures (kPa gauge), load (kg). */
    public record Tire(
            UUID id,
            String name,
            TireSize size,
            Double measuringRimWidthMm,
            Casing casing,
            Marks marks,
            Double maxKpa,
            Double minKpa,
            Double maxLoadKg,
            TireFitted fitted,
            Instant since) {

        /** What it says of itself, as fitting wants it. */
        FitCase.Marks printed() {
            return new FitCase.Marks(marks.tubeless(), marks.hookless(), maxKpa, maxLoadKg);
        }
    }

    /** What a tire says of itself; null where nobody looked for the marking. */
    public record Marks(Boolean tubeless, Boolean hookless, boolean directional) {

        /** Whether it counts as made for tubeless: where nobody looked it does, and is asked about. */
        public boolean madeForTubeless() {
            return !Boolean.FALSE.equals(tubeless);
        }
    }

    /** What was last read, and when, with how its gauge stands to the reference. */
    public record Reading(GaugeRead read, Instant at, GaugeFit fit) {

        /** What the reference would have shown. */
        public GaugePressure pressure() {
            return fit.toReference(read.pressure());
        }
    }

    /** Size of the fitted tire; empty without one. */
    public Optional<TireSize> tireSize() {
        return tire.map(Tire::size);
    }

    /** Size designation of ISO 5775-1 of the fitted tire, such as 57-622; empty without a tire. */
    public String size() {
        return tireSize().map(TireSize::designation).orElse("");
    }

    /** The fitted tire on its rim as the core sees it; empty without a tire, and where the two do not go together. */
    public Optional<TireOnRim> tireOnRim() {
        return laidOn().filter(onRim -> onRim.beadSeatDiameterMm() == rim.beadSeatDiameterMm());
    }

    /** The section that the tire would have on a rim of this width, whether or not it goes over it. */
    private Optional<TireOnRim> laidOn() {
        return tire.flatMap(fitted -> unlessRefused(() -> new TireOnRim(
                fitted.size().nominalWidthMm(),
                fitted.size().beadSeatDiameterMm(),
                fitted.measuringRimWidthMm(),
                rim.internalWidthMm(),
                fitted.fitted().measuredWidthMm())));
    }

    /**
     * What is to be checked of this wheel; empty without a tire, and where the tire has no section on this rim.
     *
     * @param load load on the wheel, or null
     */
    public Optional<FitCase> fitCase(Mass load, FitParts parts) {
        return laidOn().flatMap(onRim -> unlessRefused(() -> new FitCase(
                onRim,
                new FitCase.Rim(
                        rim.internalWidthMm(),
                        rim.beadSeatDiameterMm(),
                        rim.depthMm(),
                        rim.hookless(),
                        rim.bed(),
                        rim.maxKpa(),
                        rim.valveHole()),
                tire.orElseThrow().printed(),
                parts.valve(),
                parts.tube(),
                parts.openingMm() == null
                        ? null
                        : (parts.openingMm() - onRim.section().inflatedWidth().mm()) / 2,
                load,
                !tubed(),
                tire.orElseThrow().fitted().insert())));
    }

    /**
     * The wheel as it would stand with another tire, or another set-up, on it.
     *
     * @param taped whether its bed is taped by then
     */
    public WheelState with(Tire other, TireFitted how, boolean taped) {
        Rim then = taped && rim.bed() == RimBed.UNTAPED ? rim.taped() : rim;
        Tire on = new Tire(
                other.id(),
                other.name(),
                other.size(),
                other.measuringRimWidthMm(),
                other.casing(),
                other.marks(),
                other.maxKpa(),
                other.minKpa(),
                other.maxLoadKg(),
                how,
                other.since());
        return new WheelState(wheelId, position, then, Optional.of(on), lastReading, dialled);
    }

    public Optional<Setup> setup() {
        return tire.flatMap(fitted -> unlessRefused(() -> new Setup(
                fitted.fitted().setup(),
                fitted.fitted().insert(),
                fitted.casing(),
                Ceiling.hooklessCounts(rim.hookless(), fitted.size().nominalWidthMm()),
                fitted.maxKpa(),
                fitted.minKpa(),
                rim.maxKpa(),
                fitted.marks().madeForTubeless())));
    }

    /** The most that may be in this wheel; empty without a tire that can stand on this rim. */
    public Optional<Ceiling> ceiling() {
        return tireOnRim()
                .flatMap(onRim ->
                        setup().map(made -> Ceiling.of(made, onRim.section().inflatedWidth())));
    }

    /** Whether there is a tire that can stand on this rim as it was set up. */
    public boolean fits() {
        return tireOnRim().isPresent() && setup().isPresent();
    }

    /** Whether tape lies over the rim's bed. */
    public boolean taped() {
        return rim.bed() == RimBed.TAPED;
    }

    /** Whether a tube is in the tire. */
    public boolean tubed() {
        return tire.filter(fitted -> fitted.fitted().setup() != SetupKind.TUBELESS)
                .isPresent();
    }

    private static <T> Optional<T> unlessRefused(Supplier<T> made) {
        try {
            return Optional.of(made.get());
        } catch (InvalidInputException exception) {
            return Optional.empty();
        }
    }
}
