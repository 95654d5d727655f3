package org.stratopneum.core.pressure;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import org.stratopneum.core.check.Level;
import org.stratopneum.core.check.Verdict;
import org.stratopneum.core.quantity.GaugePressure;
import org.stratopneum.core.quantity.Length;
import org.stratopneum.core.quantity.Mass;

/** What the limits have to say about the end of a chain, the gravest first. */
final class LimitVerdicts {

    /** Up to this drop at the ceiling a tire only feels soft (ratio; our judgement). */
    private static final double SOFT_DROP = 0.18;

    /** Beyond this drop at the ceiling the tire cannot carry the load (ratio; our judgement). */
    private static final double MOST_DROP = 0.20;

    /** A tire up to this width is so close to the charts that it needs no word (mm; our judgement). */
    private static final double EVERYDAY_WIDTH_MM = 66;

    private static final double SAME_KPA = 1e-6;

    private final List<Verdict> verdicts = new ArrayList<>();
    private final WheelCase wheel;
    private final PressureChain chain;
    private final PressureLimits limits;
    private final RimStrike strike;

    private LimitVerdicts(WheelCase wheel, PressureChain chain, PressureLimits limits, RimStrike strike) {
        this.wheel = wheel;
        this.chain = chain;
        this.limits = limits;
        this.strike = strike;
    }

    static List<Verdict> of(WheelCase wheel, PressureChain chain, PressureLimits limits, RimStrike strike) {
        LimitVerdicts found = new LimitVerdicts(wheel, chain, limits, strike);
        found.charts();
        found.ceiling();
        found.floor();
        found.rareGround();
        return found.verdicts.stream()
                .sorted(Comparator.comparing(Verdict::level).reversed())
                .toList();
    }

    private void charts() {
        Length width = chain.section().inflatedWidth();
        boolean narrow = width.mm() < ChartPressure.CHARTED_WIDTH_MM.minimum();
        if (narrow || width.mm() > EVERYDAY_WIDTH_MM) {
            add(
                    narrow ? Level.WARNS : Level.FINE,
                    VerdictCode.BEYOND_CHARTS,
                    width,
                    Length.mm(ChartPressure.CHARTED_WIDTH_MM.minimum()),
                    Length.mm(ChartPressure.CHARTED_WIDTH_MM.maximum()));
        }
        if (chain.wasHeldAtLeast()) {
            add(Level.WARNS, VerdictCode.HELD_AT_LEAST, PressureChain.LEAST);
        }
    }

    private void ceiling() {
        GaugePressure ceiling = limits.ceiling().pressure();
        if (limits.ceiling().usual()) {
            add(
                    Level.FINE,
                    VerdictCode.USUAL_CEILING,
                    limits.ceiling(),
                    chain.section().inflatedWidth());
        }
        if (!(chain.pressure().isAbove(ceiling) || limits.cross())) {
            return;
        }
        Length width = Remedy.widthThatFits(wheel).orElse(null);
        Mass load = Remedy.loadThatFits(wheel).orElse(null);
        if (chain.pressure().isAbove(ceiling)) {
            double drop = chain.chart().dropAt(ceiling);
            Level level = levelOf(drop);
            String code = switch (level) {
                case BLOCKS -> VerdictCode.CANNOT_CARRY;
                case WARNS_STRONGLY -> VerdictCode.FAR_ABOVE_CEILING;
                default -> VerdictCode.ABOVE_CEILING;
            };
            add(level, code, chain.pressure(), limits.ceiling(), drop, width, load);
        }
        if (limits.cross()) {
            if (limits.wholeStrikeFloor().isAbove(ceiling)) {
                add(
                        Level.BLOCKS,
                        VerdictCode.TOO_NARROW,
                        limits.wholeStrikeFloor(),
                        limits.ceiling(),
                        wantingMost(),
                        width,
                        load);
            } else {
                add(Level.BLOCKS, VerdictCode.MINIMUM_ABOVE_CEILING, limits.tireMinimum(), limits.ceiling());
            }
        }
    }

    /** The ground whose floor has to be met; another may raise the pressure further. */
    private Ground wantingMost() {
        return wheel.ride().ground().shares().keySet().stream()
                .filter(ground -> strike.floorFor(ground).equals(limits.wholeStrikeFloor()))
                .findFirst()
                .orElseThrow();
    }

    private static Level levelOf(double drop) {
        if (drop > MOST_DROP) {
            return Level.BLOCKS;
        }
        return drop > SOFT_DROP ? Level.WARNS_STRONGLY : Level.WARNS;
    }

    private void floor() {
        if (limits.cross() || !chain.pressure().isBelow(limits.floor())) {
            return;
        }
        if (limits.strikeDecidesFloor()) {
            add(
                    Level.WARNS,
                    VerdictCode.RAISED_TO_STRIKE_FLOOR,
                    chain.pressure(),
                    limits.strikeFloor(),
                    limits.strikeGround());
        } else {
            String code = wheel.setup().tireMinKpa() != null
                    ? VerdictCode.RAISED_TO_PRINTED_MINIMUM
                    : VerdictCode.RAISED_TO_USUAL_MINIMUM;
            add(Level.WARNS, code, chain.pressure(), limits.tireMinimum());
        }
    }

    /** Ground that is too small a part of the ride to raise the pressure to what it wants. */
    private void rareGround() {
        if (limits.cross()) {
            return;
        }
        GaugePressure advised = limits.hold(chain.pressure());
        GaugePressure ceiling = limits.ceiling().pressure();
        for (Ground ground : wheel.ride().ground().shares().keySet()) {
            GaugePressure floor = strike.floorFor(ground);
            if (floor.kpa() > advised.kpa() + SAME_KPA) {
                // a remedy must never point above the ceiling
                boolean allowed = !floor.isAbove(ceiling);
                add(
                        Level.WARNS,
                        allowed ? VerdictCode.RARE_GROUND : VerdictCode.RARE_GROUND_ABOVE_CEILING,
                        ground,
                        floor,
                        allowed ? advised : limits.ceiling());
            }
        }
    }

    private void add(Level level, String code, Object... details) {
        verdicts.add(Verdict.of(level, code, details));
    }
}
