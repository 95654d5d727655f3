package org.stratopneum.core.pressure;

import java.util.Comparator;
import org.stratopneum.core.quantity.GaugePressure;
import org.stratopneum.core.quantity.PressureUnit;

/**
 * Between which pressures this wheel may be set: the ceiling, and the floor from the tire's minimum and the rim-strike
 * index of the ground. Harsh ground that is a small part of the ride raises the pressure only part of the way.
 *
 * @param tireMinimum lowest pressure of the tire: printed, or the usual one for its width held to the ceiling
 * @param strikeFloor what the rim-strike index of the ground raises the pressure to at least
 * @param strikeGround the ground that decides it
 * @param wholeStrikeFloor what the ground wants that is a fifth of the ride or more: it has to be met, whatever the ceiling
 * @param ceiling highest pressure
 */
public record PressureLimits(
        GaugePressure tireMinimum,
        GaugePressure strikeFloor,
        Ground strikeGround,
        GaugePressure wholeStrikeFloor,
        Ceiling ceiling) {

    /** Up to this share of the ride (ratio) harsh ground raises nothing. */
    private static final double RARE_UP_TO = 0.05;

    /** Over the next share (ratio) it comes to count wholly. */
    private static final double COUNTS_OVER = 0.15;

    /** No percent of the ride raises the pressure by more (psi; our judgement): what wants much comes to count over more. */
    private static final double MOST_PER_PERCENT_PSI = 2.5;

    private static final double PERCENT = 100;
    private static final double SAME = 1e-9;

    /** What a ground makes of the end of the chain. */
    private record Raised(Ground ground, GaugePressure to) {}

    static PressureLimits of(WheelCase wheel, GaugePressure chain, RimStrike strike) {
        GroundMix mix = wheel.ride().ground();
        Ceiling ceiling = Ceiling.of(wheel.setup(), wheel.section().inflatedWidth());
        Raised raised = mix.shares().keySet().stream()
                .map(ground -> new Raised(
                        ground,
                        raised(
                                chain,
                                lower(strike.floorFor(ground), ceiling.pressure()),
                                mix.shareAsHarshAs(ground) - RARE_UP_TO)))
                .max(Comparator.comparingDouble((Raised each) -> each.to().kpa())
                        .thenComparing(each -> each.ground().neededStrikeIndexCm()))
                .orElseThrow();
        GaugePressure whole = mix.shares().keySet().stream()
                .filter(ground -> mix.shareAsHarshAs(ground) > RARE_UP_TO + COUNTS_OVER - SAME)
                .map(strike::floorFor)
                .max(Comparator.comparingDouble(GaugePressure::kpa))
                .orElseThrow();
        return new PressureLimits(
                tireMinimumOf(wheel, ceiling.pressure()), raised.to(), raised.ground(), whole, ceiling);
    }

    private static GaugePressure lower(GaugePressure one, GaugePressure other) {
        return one.isBelow(other) ? one : other;
    }

    /** @param share of the ride (ratio) beyond what raises nothing; without one the floor is none */
    private static GaugePressure raised(GaugePressure chain, GaugePressure floor, double share) {
        if (share <= 0) {
            return GaugePressure.ZERO;
        }
        if (!floor.isAbove(chain)) {
            return floor;
        }
        double gapKpa = floor.kpa() - chain.kpa();
        double over = Math.max(COUNTS_OVER, PressureUnit.PSI.fromKpa(gapKpa) / MOST_PER_PERCENT_PSI / PERCENT);
        return share > over - SAME ? floor : GaugePressure.kpa(chain.kpa() + gapKpa * share / over);
    }

    private static GaugePressure tireMinimumOf(WheelCase wheel, GaugePressure ceiling) {
        if (wheel.setup().tireMinKpa() != null) {
            return GaugePressure.kpa(wheel.setup().tireMinKpa());
        }
        GaugePressure usual = UsualMinimum.of(
                wheel.setup(), wheel.section().inflatedWidth(), wheel.ride().cargo());
        return lower(usual, ceiling);
    }

    public GaugePressure floor() {
        return strikeDecidesFloor() ? strikeFloor : tireMinimum;
    }

    public boolean strikeDecidesFloor() {
        return strikeFloor.isAbove(tireMinimum);
    }

    /** Whether the floor is above the ceiling, so that no pressure satisfies both. */
    public boolean cross() {
        return tireMinimum.isAbove(ceiling.pressure()) || wholeStrikeFloor.isAbove(ceiling.pressure());
    }

    /** {@code pressure} brought between floor and ceiling; the ceiling wins. */
    public GaugePressure hold(GaugePressure pressure) {
        GaugePressure raised = pressure.isBelow(floor()) ? floor() : pressure;
        return lower(raised, ceiling.pressure());
    }
}
