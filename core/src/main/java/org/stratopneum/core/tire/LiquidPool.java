package org.stratopneum.core.tire;

import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.function.DoubleUnaryOperator;
import org.hipparchus.analysis.solvers.AllowedSolution;
import org.hipparchus.analysis.solvers.BracketingNthOrderBrentSolver;
import org.stratopneum.core.check.InvalidInputException;
import org.stratopneum.core.check.Problem;
import org.stratopneum.core.check.Problems;
import org.stratopneum.core.check.Range;
import org.stratopneum.core.quantity.GaussLegendre;

/**
 * Liquid standing in an upright wheel that is off the ground: how much a pool of some depth holds, by the exact integral
 * over the arc of the casing as it curves along the wheel. It leaves out the film on the walls, which no stick sees, the
 * casing's thickness, and lumps.
 */
public final class LiquidPool {

    private static final double MM3_PER_ML = 1000;

    /** So many nodes give ten digits: the integrand is smooth once its end is straightened. */
    private static final GaussLegendre NODES = new GaussLegendre(40);

    private static final double TOLERANCE_MM = 1e-10;
    private static final int MOST_EVALUATIONS = 200;

    /** A step so small leaves a millionth of its own length (mm), and so many are tried. */
    private static final double CLOSE_MM = 1e-4;

    private static final int MOST_STEPS = 5;

    /** Deeper than the tire is high no stick can go. */
    public static final String DEEPER_THAN_TIRE = "deeper-than-tire";

    /** More than the tire holds when it stands to its bead seats. */
    public static final String MORE_THAN_TIRE = "more-than-tire";

    private final TireSection section;
    private final double arcRadius;
    private final double toCentre;
    private final double toTread;
    private final double height;

    private LiquidPool(TireSection section) {
        this.section = section;
        arcRadius = section.arcRadiusMm();
        toCentre = section.beadSeatDiameterMm() / 2 + section.centreHeightMm();
        toTread = toCentre + arcRadius;
        height = section.height().mm();
    }

    public static LiquidPool in(TireSection section) {
        return new LiquidPool(section);
    }

    /** Depths that a pool can have (mm). */
    public Range depths() {
        return Range.closed(0, height, "mm");
    }

    /**
     * @param depthMm depth at the lowest point (mm)
     * @return volume (ml)
     * @throws InvalidInputException on a depth outside {@link #depths()}
     */
    public double volumeMl(double depthMm) {
        check(depthMm);
        return volume(depthMm) / MM3_PER_ML;
    }

    private void check(double depthMm) {
        Problems problems = new Problems();
        if (depthMm > height) {
            problems.add(new Problem("depthMm", DEEPER_THAN_TIRE, height, depthMm, "mm"));
        } else {
            problems.check("depthMm", depthMm, depths());
        }
        problems.throwIfAny();
    }

    private double volume(double depth) {
        return 2
                * along(depth, (theta, t) -> {
                    double half = halfWidth(t);
                    return toCentre * (arcRadius * arcRadius * Math.acos(Math.min(1, t / arcRadius)) - t * half)
                            + 2.0 / 3 * half * half * half;
                });
    }

    /** How much a millimetre more of depth is there (ml/mm): the area of the pool's surface. */
    public double mlPerMm(double depthMm) {
        check(depthMm);
        return surface(depthMm);
    }

    private double surface(double depthMm) {
        double level = toTread - depthMm;
        return 4
                * along(depthMm, (theta, t) -> halfWidth(t) * level / (Math.cos(theta) * Math.cos(theta)))
                / MM3_PER_ML;
    }

    private double halfWidth(double t) {
        return Math.sqrt(Math.max(0, arcRadius * arcRadius - t * t));
    }

    /** Something at an angle from the lowest point, where the level lies {@code t} outside of the arc's centre (mm). */
    private interface Slice {
        double at(double theta, double t);
    }

    /** Integral from the lowest point to where the pool ends; its end is straightened by a square. */
    private double along(double depth, Slice slice) {
        double level = toTread - depth;
        double end = Math.acos(Math.min(1, level / toTread));
        DoubleUnaryOperator straightened = s -> {
            double theta = end * (1 - s * s);
            double t = Math.min(arcRadius, level / Math.cos(theta) - toCentre);
            return slice.at(theta, t) * 2 * s * end;
        };
        return NODES.integral(straightened, 0, 1);
    }

    /**
     * @param volumeMl volume (ml)
     * @return depth of the pool (mm)
     * @throws InvalidInputException below nothing, or above what stands in the tire up to its bead seats
     */
    public double depthMm(double volumeMl) {
        Depths table = tabled(section);
        Problems problems = new Problems();
        if (volumeMl > table.mostMl) {
            problems.add(new Problem("volumeMl", MORE_THAN_TIRE, table.mostMl, volumeMl, "ml"));
        } else {
            problems.check("volumeMl", volumeMl, Range.closed(0, table.mostMl, "ml"));
        }
        problems.throwIfAny();
        if (volumeMl == 0) {
            return 0;
        }
        // the table leads to within a hundredth of a millimetre; from there each step squares what is left
        double depth = table.mm(volumeMl);
        for (int i = 0; i < MOST_STEPS; i++) {
            double step = (volume(depth) / MM3_PER_ML - volumeMl) / surface(depth);
            depth = Math.max(0, Math.min(height, depth - step));
            if (Math.abs(step) < CLOSE_MM) {
                return depth;
            }
        }
        return solved(volumeMl);
    }

    private double solved(double volumeMl) {
        var solver = new BracketingNthOrderBrentSolver(TOLERANCE_MM, TOLERANCE_MM, 5);
        return solver.solve(
                MOST_EVALUATIONS, depth -> volume(depth) / MM3_PER_ML - volumeMl, 0, height, AllowedSolution.ANY_SIDE);
    }

    /** Depths for volumes that are asked for often, from a table: good to a hundredth of a millimetre. */
    public static final class Depths {

        private static final int ROWS = 300;

        private final double rowsPerRoot;
        private final double mostMl;

        /** By square roots of volumes, in which depths run nearly straight (mm). */
        private final double[] depths = new double[ROWS];

        private Depths(LiquidPool pool) {
            double[] roots = new double[ROWS];
            for (int i = 0; i < ROWS; i++) {
                roots[i] = Math.sqrt(pool.volume(pool.height * i / (ROWS - 1)) / MM3_PER_ML);
            }
            mostMl = pool.volume(pool.height) / MM3_PER_ML;
            rowsPerRoot = (ROWS - 1) / roots[ROWS - 1];
            int above = 1;
            for (int row = 0; row < ROWS; row++) {
                double root = row / rowsPerRoot;
                while (above < ROWS - 1 && roots[above] < root) {
                    above++;
                }
                double part = (root - roots[above - 1]) / (roots[above] - roots[above - 1]);
                depths[row] = pool.height * (above - 1 + part) / (ROWS - 1);
            }
        }

        /**
         * @param ml volume, 0 or more (ml)
         * @return depth of the pool (mm); the tire's height for more than it holds
         */
        public double mm(double ml) {
            double row = Math.min(ROWS - 1, Math.sqrt(ml) * rowsPerRoot);
            int below = Math.min(ROWS - 2, (int) row);
            return depths[below] + (row - below) * (depths[below + 1] - depths[below]);
        }
    }

    /** So many tables are kept, those that were asked for last. */
    private static final int MOST_TABLES = 500;

    private static final Map<TireSection, Depths> TABLES =
            Collections.synchronizedMap(new LinkedHashMap<>(MOST_TABLES, 0.75f, true) {
                @Override
                protected boolean removeEldestEntry(Map.Entry<TireSection, Depths> eldest) {
                    return size() > MOST_TABLES;
                }
            });

    /** Depths of a tire's pools, from a table: a tire's shape is worked out once. */
    public static Depths tabled(TireSection section) {
        return TABLES.computeIfAbsent(section, shape -> new Depths(in(shape)));
    }
}
