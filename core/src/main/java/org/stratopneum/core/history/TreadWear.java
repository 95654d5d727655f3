package org.stratopneum.core.history;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.hipparchus.distribution.continuous.NormalDistribution;
import org.hipparchus.stat.regression.SimpleRegression;
import org.stratopneum.core.check.Problems;
import org.stratopneum.core.check.Range;

/**
 * How fast a tread goes down, and when it is down to what the rider rides it to: a straight line through depths over
 * distance. Left out: that a new tread loses its edges faster, that ground and load change, and whatever was ridden
 * without being noted.
 *
 * @param count how many depths
 * @param lostMm tread lost (mm in 1000 km), {@code lostLowMm} and {@code lostHighMm} what it lies between at 80 %
 * @param depthMm depth by the line at the last of the distance (mm)
 * @param left distance left by the line (1000 km; below 0 where the line is past it), or null where no wear can be told
 * @param leftLow what is left at least, and {@code leftHigh} at most, at 80 %; null for no bound
 */
public record TreadWear(
        int count,
        double lostMm,
        double lostLowMm,
        double lostHighMm,
        double depthMm,
        Double left,
        Double leftLow,
        Double leftHigh) {

    /** No bicycle tire has a deeper tread (mm). */
    public static final Range DEPTH_MM = Range.closed(0, 15, "mm");

    /**
     * What one depth is good to: one standard deviation (mm). An assumption of this program: knobs differ, a caliper's
     * rod stands a little askew.
     */
    public static final double SIGMA_MM = 0.3;

    private static final double Z = new NormalDistribution().inverseCumulativeProbability(0.9);

    /**
     * A depth.
     *
     * @param distance ridden on the tire by then (1000 km, 0 and up)
     * @param depthMm depth of the tread (mm)
     */
    public record Mark(double distance, double depthMm) {
        public Mark {
            Problems problems = new Problems();
            problems.check("depthMm", depthMm, DEPTH_MM);
            problems.check("distance", distance, Range.closed(0, 1000, "1000 km"));
            problems.throwIfAny();
        }
    }

    /**
     * Empty with fewer than two depths at different distances, and where the tread seems to have grown by more than
     * chance: then not the same place was measured, or not the same tire.
     *
     * @param ridden on the tire up to now (1000 km)
     * @param wornAtMm the depth to which the rider rides it (mm)
     */
    public static Optional<TreadWear> of(List<Mark> marks, double ridden, double wornAtMm) {
        if (marks.stream().mapToDouble(Mark::distance).distinct().count() < 2) {
            return Optional.empty();
        }
        SimpleRegression line = new SimpleRegression();
        marks.forEach(mark -> line.addData(mark.distance, mark.depthMm));
        long n = line.getN();
        double scatter = n > 2 ? line.getSumSquaredErrors() / (n - 2) : 0;
        double variance = Math.max(SIGMA_MM * SIGMA_MM, scatter);
        double lost = -line.getSlope();
        double lostSigma = Math.sqrt(variance / line.getXSumSquares());
        if (lost + Z * lostSigma < 0) {
            return Optional.empty();
        }
        double mean = marks.stream().mapToDouble(Mark::distance).average().orElseThrow();
        Ratio worn = new Ratio(line.predict(mean) - wornAtMm, variance / n, lost, lostSigma * lostSigma);
        double ahead = ridden - mean;
        return Optional.of(new TreadWear(
                (int) n,
                lost,
                lost - Z * lostSigma,
                lost + Z * lostSigma,
                line.predict(ridden),
                lost > 0 ? worn.value() - ahead : null,
                boxed(worn.low(), ahead),
                boxed(worn.high(), ahead)));
    }

    private static Double boxed(OptionalDouble bound, double ahead) {
        return bound.isPresent() ? bound.getAsDouble() - ahead : null;
    }

    /** Whether even the most that is left is nothing. */
    public boolean surelyWorn() {
        return leftHigh != null && leftHigh <= 0;
    }

    /**
     * A quotient of two that are known with independent doubts, and its bounds: E. C. Fieller, Some problems in interval
     * estimation, Journal of the Royal Statistical Society B 16 (1954), 175.
     */
    private record Ratio(double above, double aboveVariance, double below, double belowVariance) {

        double value() {
            return above / below;
        }

        private double square() {
            return below * below - Z * Z * belowVariance;
        }

        private double root(int sign) {
            double constant = above * above - Z * Z * aboveVariance;
            double inside = above * above * below * below - square() * constant;
            return (above * below + sign * Math.sqrt(inside)) / square();
        }

        /** Empty where anything is as good. */
        OptionalDouble low() {
            if (square() > 0) {
                return OptionalDouble.of(root(-1));
            }
            boolean apart = above > 0 && above * above > Z * Z * aboveVariance;
            return apart && square() < 0 ? OptionalDouble.of(root(-1)) : OptionalDouble.empty();
        }

        /** Empty where the lower one cannot be told from nothing. */
        OptionalDouble high() {
            return square() > 0 ? OptionalDouble.of(root(1)) : OptionalDouble.empty();
        }
    }
}
