package org.stratopneum.core.pressure;

import java.util.Collections;
import java.util.EnumMap;
import java.util.Map;
import org.stratopneum.core.check.Problem;
import org.stratopneum.core.check.Problems;
import org.stratopneum.core.check.Range;

/**
 * A ride's grounds by share of its distance.
 *
 * @param shares share of each ground (ratio), above 0; together 1 within {@link #SUM_TOLERANCE}
 */
public record GroundMix(Map<Ground, Double> shares) {

    public static final Range SHARE = Range.closed(0, 1, "");

    /** How far the shares may be from 1 together (ratio); the rest is spread in proportion. */
    public static final double SUM_TOLERANCE = 0.001;

    /** The shares do not add up to the whole ride. */
    public static final String NOT_THE_WHOLE_RIDE = "shares-not-one";

    /** Wet ground (ratio; rule of thumb). */
    private static final double WET = 0.95;

    public GroundMix {
        Problems problems = new Problems();
        shares.forEach((ground, share) -> problems.check(ground.name(), share, SHARE));
        problems.throwIfAny();
        double sum = shares.values().stream().mapToDouble(Double::doubleValue).sum();
        if (!(Math.abs(sum - 1) <= SUM_TOLERANCE + 1e-12)) {
            problems.add(new Problem("", NOT_THE_WHOLE_RIDE, 1.0, sum, ""));
        }
        problems.throwIfAny();
        Map<Ground, Double> whole = new EnumMap<>(Ground.class);
        shares.forEach((ground, share) -> {
            if (share > 0) {
                whole.put(ground, share / sum);
            }
        });
        shares = Collections.unmodifiableMap(whole);
    }

    public static GroundMix only(Ground ground) {
        return new GroundMix(Map.of(ground, 1.0));
    }

    /** @param widthMm inflated width (mm); @return factor on the pressure (ratio), weighted by distance */
    public double factorFor(double widthMm) {
        return weighted(widthMm, false);
    }

    /**
     * What wet ground does, as a factor after the ground's own: 0.95, but not on the part that is mud, whose factor has
     * it already.
     *
     * @param widthMm inflated width (mm)
     * @return factor on the pressure (ratio)
     */
    public double wetFactorFor(double widthMm) {
        return weighted(widthMm, true) / weighted(widthMm, false);
    }

    private double weighted(double widthMm, boolean wet) {
        return shares.entrySet().stream()
                .mapToDouble(entry -> {
                    double factor = entry.getKey().factorFor(widthMm);
                    return entry.getValue() * (wet && entry.getKey() != Ground.MUD ? WET * factor : factor);
                })
                .sum();
    }

    /** @return share of the ride (ratio) that wants as much of the rim-strike index as {@code ground} or more */
    public double shareAsHarshAs(Ground ground) {
        return shares.entrySet().stream()
                .filter(entry -> entry.getKey().neededStrikeIndexCm() >= ground.neededStrikeIndexCm())
                .mapToDouble(Map.Entry::getValue)
                .sum();
    }
}
