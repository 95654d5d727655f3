package org.stratopneum.core.pressure;

import java.util.Optional;
import java.util.stream.Stream;
import org.stratopneum.core.quantity.GaugePressure;

/**
 * Between which pressures this wheel may be set: the ceiling from what is printed and from the rim's shape, the floor
 * from the tire's minimum and the rim-strike index of the ground.
 *
 * @param tireMinimum lowest pressure of the tire: printed, or the usual one for its width
 * @param strikeFloor lowest pressure that gives the rim-strike index the ground wants
 * @param ceiling highest pressure, or null where neither tire nor rim says one
 */
public record PressureLimits(GaugePressure tireMinimum, GaugePressure strikeFloor, GaugePressure ceiling) {

    /** Straight-walled rims, whatever the tire says (kPa gauge; the current tire and rim standard, from memory). */
    public static final GaugePressure HOOKLESS_CEILING = GaugePressure.kpa(500);

    /** A tire that was not made for tubeless gets no more than this without a tube (kPa gauge; common practice). */
    public static final GaugePressure UNMARKED_TUBELESS_CEILING = GaugePressure.kpa(300);

    static PressureLimits of(WheelCase wheel, RimStrike strike) {
        double neededCm = wheel.ride().ground().decidingGround().neededStrikeIndexCm();
        return new PressureLimits(
                tireMinimumOf(wheel),
                strike.floorFor(neededCm),
                ceilingOf(wheel.setup()).orElse(null));
    }

    /**
     * The lowest of what tire and rim say, of 500 kPa on a hookless rim, and of 300 kPa for a tire that runs tubeless
     * without having been made for it; empty where nothing is known.
     */
    public static Optional<GaugePressure> ceilingOf(Setup setup) {
        Double hookless = setup.hookless() ? HOOKLESS_CEILING.kpa() : null;
        Double seeping = setup.seeps() ? UNMARKED_TUBELESS_CEILING.kpa() : null;
        return Stream.of(setup.tireMaxKpa(), setup.rimMaxKpa(), hookless, seeping)
                .flatMap(Stream::ofNullable)
                .min(Double::compare)
                .map(GaugePressure::kpa);
    }

    /** Our judgement where the tire says nothing, by nominal width; cargo bikes get more. Zero means none. */
    private static GaugePressure tireMinimumOf(WheelCase wheel) {
        if (wheel.setup().tireMinKpa() != null) {
            return GaugePressure.kpa(wheel.setup().tireMinKpa());
        }
        if (wheel.ride().cargo()) {
            return GaugePressure.psi(30);
        }
        double nominalMm = wheel.tire().nominalWidthMm();
        if (wheel.setup().kind() != SetupKind.TUBELESS || nominalMm < 35) {
            return GaugePressure.ZERO;
        }
        if (nominalMm >= 50) {
            return GaugePressure.psi(14);
        }
        return GaugePressure.psi(nominalMm >= 40 ? 18 : 23);
    }

    public GaugePressure floor() {
        return strikeDecidesFloor() ? strikeFloor : tireMinimum;
    }

    public boolean strikeDecidesFloor() {
        return strikeFloor.isAbove(tireMinimum);
    }

    /** Whether the floor is above the ceiling, so that no pressure satisfies both. */
    public boolean cross() {
        return ceiling != null && floor().isAbove(ceiling);
    }

    /** {@code pressure} brought between floor and ceiling; the ceiling wins. */
    public GaugePressure hold(GaugePressure pressure) {
        GaugePressure raised = pressure.isBelow(floor()) ? floor() : pressure;
        return ceiling != null && raised.isAbove(ceiling) ? ceiling : raised;
    }
}
