package org.stratopneum.core.sealant;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.DoubleUnaryOperator;
import java.util.function.Function;
import org.stratopneum.core.tire.LiquidPool;

/**
 * What may be wrong with a stick and with what it sees; nobody knows which of them holds, and none of it changes while the
 * tire is on the rim (starting values, our judgement).
 *
 * @param biasMm by how much it reads high (mm)
 * @param filmMl what hangs on the walls, where no stick sees it (ml)
 * @param sigmaMm one reading's doubt (mm)
 * @param weight how likely all of that is before anything was seen (ratio)
 */
record DippingStick(double biasMm, double filmMl, double sigmaMm, double weight) {

    /** Lower than this nothing is wet, or only touched (mm). */
    static final double WET_MM = 0.75;

    /** Where the film has taken all there is (mm). */
    private static final double NO_POOL = -1;

    private static final double[] BIAS_MM = {-1.5, 0, 1.5};
    private static final double[] TRUSTED = {0.06, 0.88, 0.06};
    private static final double[] OPEN = {0.25, 0.5, 0.25};
    private static final double[] FILM_MM = {0, 0.03};
    private static final double[] FILM_WEIGHT = {0.85, 0.15};
    private static final double[] SIGMA_MM = {1.5, 3};
    private static final double[] SIGMA_WEIGHT = {0.88, 0.12};
    private static final double CM2_MM_PER_ML = 10;

    /** Share of a reading's variance that all readings of a day have in common: how the stick was held. */
    private static final double SHARED = 0.64;

    /** Two in a hundred are misread: anything up to so deep (ratio, mm). */
    private static final double MISREAD = 0.02;

    private static final double DEEPEST_MM = 30;

    /** A stick comes out dry of a wet tire at least so often (ratio). */
    private static final double DRY_BY_CHANCE = 0.001;

    private static final double ROOT_2_PI = Math.sqrt(2 * Math.PI);

    /**
     * @param innerSurfaceCm2 of the tire (cm2)
     * @param learnable whether a dip right after a filling can tell how the stick reads: then nothing is taken for granted
     */
    static List<DippingStick> all(double innerSurfaceCm2, boolean learnable) {
        double[] weights = learnable ? OPEN : TRUSTED;
        List<DippingStick> sticks = new ArrayList<>();
        for (int bias = 0; bias < BIAS_MM.length; bias++) {
            for (int film = 0; film < FILM_MM.length; film++) {
                for (int sigma = 0; sigma < SIGMA_MM.length; sigma++) {
                    sticks.add(new DippingStick(
                            BIAS_MM[bias],
                            innerSurfaceCm2 * FILM_MM[film] / CM2_MM_PER_ML,
                            SIGMA_MM[sigma],
                            weights[bias] * FILM_WEIGHT[film] * SIGMA_WEIGHT[sigma]));
                }
            }
        }
        return sticks;
    }

    /**
     * Readings of one day, which share how the stick was held.
     *
     * @param meanMm their mean (mm)
     * @param count how many
     */
    record Reading(double meanMm, int count) {
        boolean isDry() {
            return meanMm < WET_MM;
        }

        /** How likely it is (density per mm, or a ratio where it is dry). */
        LevelGrid.OfVolumes likelihood(LiquidPool.Depths depths) {
            return ofPools(depths, stick -> stick.likelihood(this));
        }

        /** How likely the stick would have read no more (ratio). */
        LevelGrid.OfVolumes chanceOfNoMore(LiquidPool.Depths depths) {
            return ofPools(depths, stick -> stick.chanceOfNoMore(this));
        }

        /** How deep pools are depends on the film alone, and is looked up once for all sticks that have it in common. */
        private static LevelGrid.OfVolumes ofPools(
                LiquidPool.Depths depths, Function<DippingStick, DoubleUnaryOperator> of) {
            return volumesMl -> {
                Map<Double, double[]> pools = new HashMap<>();
                return stick -> {
                    double[] mm = pools.computeIfAbsent(
                            stick.filmMl,
                            film -> Arrays.stream(volumesMl)
                                    .map(ml -> ml > film ? depths.mm(ml - film) : NO_POOL)
                                    .toArray());
                    return Arrays.stream(mm).map(of.apply(stick)).toArray();
                };
            };
        }
    }

    /** How likely that reading is, by how deep the pool is (mm; density per mm, or a ratio where it is dry). */
    private DoubleUnaryOperator likelihood(Reading read) {
        double sigma = sigma(read);
        return read.isDry()
                ? poolMm -> Math.max(DRY_BY_CHANCE, NormalCurve.below((WET_MM - expectedMm(poolMm)) / sigma))
                : poolMm -> (1 - MISREAD) * density((read.meanMm - expectedMm(poolMm)) / sigma) / sigma
                        + MISREAD / DEEPEST_MM;
    }

    private static double density(double z) {
        return Math.exp(-z * z / 2) / ROOT_2_PI;
    }

    /** How likely it would read no more than that, by how deep the pool is (mm; ratio). */
    private DoubleUnaryOperator chanceOfNoMore(Reading read) {
        double sigma = sigma(read);
        return poolMm -> NormalCurve.below((read.meanMm - expectedMm(poolMm)) / sigma);
    }

    private double expectedMm(double poolMm) {
        return poolMm == NO_POOL ? 0 : Math.max(0, poolMm + biasMm);
    }

    private double sigma(Reading read) {
        return sigmaMm * Math.sqrt(SHARED + (1 - SHARED) / read.count);
    }
}
