package org.stratopneum.core.sealant;

import java.util.Arrays;
import java.util.List;
import java.util.function.DoubleUnaryOperator;
import java.util.function.Function;

/**
 * How likely every level of the liquid goes with every rate at which it may dry, for each thing that may be wrong with the
 * stick. The level is that which the present filling began with, less what was lost since (ml): drying takes its part off
 * when it is asked, and so never moves the table. Levels are {@value #LEVELS} nodes from nothing upwards, rates
 * {@value #RATES} values of ln k from -3 to 3 standard deviations of its prior.
 */
final class LevelGrid {

    static final int RATES = 41;
    static final int LEVELS = 65;
    private static final int LAST = LEVELS - 1;
    private static final double MOST_SIGMAS = 3;

    /** Cells less likely than this are let go (ratio); a top-up reaches from the highest above {@link #PRESENT}. */
    private static final double NEGLIGIBLE = 1e-14;

    private static final double PRESENT = 1e-6;

    /** What is seen is worked out for so fine steps of the volume (ml). */
    private static final double FINE_ML = 0.5;

    /** What a loss of one millilitre may have been (ml): ten equal parts of a log-normal, sigma 0.7, the last one halved. */
    private static final double[] LOSSES = {0.316, 0.484, 0.624, 0.764, 0.916, 1.092, 1.310, 1.603, 2.066, 2.739, 3.943
    };

    private static final double[] LOSS_WEIGHTS = {0.1, 0.1, 0.1, 0.1, 0.1, 0.1, 0.1, 0.1, 0.1, 0.05, 0.05};

    /** A loss that nobody noted leaves nothing so often, else anything up to so much of it (ratios). */
    private static final double NOTHING_LEFT = 0.05;

    private static final double MOST_LEFT = 0.8;

    /** By how far above nothing a level is: over so many nodes goes what may be left, so much to each (ratio). */
    private static final int[] MAY_BE_LEFT = new int[LEVELS];

    private static final double[] LEFT_AT_EACH = new double[LEVELS];

    static {
        for (int above = 0; above < LEVELS; above++) {
            MAY_BE_LEFT[above] = 1 + (int) (MOST_LEFT * above);
            LEFT_AT_EACH[above] = (1 - NOTHING_LEFT) / MAY_BE_LEFT[above];
        }
    }

    private final List<DippingStick> sticks;

    /** Standard deviations from the median of ln k, and what dries of it (ml per kPa day). */
    private final double[] sigmas;

    private final double[] perKpaDay;

    /** By stick; in each, level by level for the first rate, then for the next. */
    private double[][] mass;

    /** Between two levels (ml); never none, also where nothing went in. */
    private double step;

    private static final double LEAST_STEP_ML = 1e-6;

    private LevelGrid(List<DippingStick> sticks, double medianPerKpaDay, double step) {
        this.sticks = sticks;
        sigmas = new double[RATES];
        perKpaDay = new double[RATES];
        this.step = Math.max(LEAST_STEP_ML, step);
        for (int rate = 0; rate < RATES; rate++) {
            sigmas[rate] = MOST_SIGMAS * (2.0 * rate / (RATES - 1) - 1);
            perKpaDay[rate] = medianPerKpaDay * Math.exp(DryingRate.SIGMA * sigmas[rate]);
        }
        mass = new double[sticks.size()][RATES * LEVELS];
    }

    private LevelGrid(LevelGrid other) {
        sticks = other.sticks;
        step = other.step;
        perKpaDay = other.perKpaDay;
        sigmas = other.sigmas;
        mass = Arrays.stream(other.mass).map(double[]::clone).toArray(double[][]::new);
    }

    /** One that goes its own way from here. */
    LevelGrid copy() {
        return new LevelGrid(this);
    }

    /** @param medianPerKpaDay what dries at the median of k (ml per kPa day) */
    static LevelGrid filled(List<DippingStick> sticks, double medianPerKpaDay, double ml) {
        double[] levels = new double[LEVELS];
        levels[LAST] = 1;
        return of(sticks, medianPerKpaDay, ml, levels);
    }

    /**
     * Anything from nothing to {@code mostMl} alike.
     *
     * @param empty how much more likely it is that there is nothing at all (ratio)
     */
    static LevelGrid even(List<DippingStick> sticks, double medianPerKpaDay, double mostMl, double empty) {
        double[] levels = new double[LEVELS];
        Arrays.fill(levels, (1 - empty) / LEVELS);
        levels[0] += empty;
        return of(sticks, medianPerKpaDay, mostMl, levels);
    }

    private static LevelGrid of(List<DippingStick> sticks, double medianPerKpaDay, double mostMl, double[] levels) {
        LevelGrid grid = new LevelGrid(sticks, medianPerKpaDay, mostMl / LAST);
        double all = 0;
        for (int stick = 0; stick < sticks.size(); stick++) {
            for (int rate = 0; rate < RATES; rate++) {
                double prior = sticks.get(stick).weight() * Math.exp(-grid.sigmas[rate] * grid.sigmas[rate] / 2);
                for (int level = 0; level < LEVELS; level++) {
                    grid.mass[stick][rate * LEVELS + level] = prior * levels[level];
                    all += prior * levels[level];
                }
            }
        }
        grid.scale(1 / all);
        return grid;
    }

    /** What is in the tire in a cell (ml). */
    double volume(int cell, double dried) {
        return Math.max(0, level(cell) - perKpaDay(cell) * dried);
    }

    /** The level that the filling began with in a cell (ml). */
    double level(int cell) {
        return cell % LEVELS * step;
    }

    /** What dries in a cell (ml per kPa day). */
    double perKpaDay(int cell) {
        return perKpaDay[cell / LEVELS];
    }

    /** What fresh liquid becomes in an emptied tire: its rate and the stick stay as they are known. */
    void renew(double ml) {
        for (double[] table : mass) {
            for (int rate = 0; rate < RATES; rate++) {
                double sum = 0;
                for (int level = 0; level < LEVELS; level++) {
                    sum += table[rate * LEVELS + level];
                    table[rate * LEVELS + level] = 0;
                }
                table[rate * LEVELS + LAST] = sum;
            }
        }
        step = Math.max(LEAST_STEP_ML, ml / LAST);
    }

    /** @param dried deficit since the last filling (kPa days) */
    void topUp(double ml, double dried) {
        double[] all = summed();
        double most = 0;
        for (int cell = 0; cell < all.length; cell++) {
            most = all[cell] > PRESENT ? Math.max(most, volume(cell, dried)) : most;
        }
        double finer = Math.max(LEAST_STEP_ML, (ml + most) / LAST);
        move((cell) -> (volume(cell, dried) + ml) / finer);
        step = finer;
    }

    /**
     * Something else was mixed in, that dries at a rate of its own.
     *
     * @param share of it in the mixture (ratio)
     */
    void mix(double share) {
        double[][] into = new double[RATES][RATES];
        for (int from = 0; from < RATES; from++) {
            double least = Double.POSITIVE_INFINITY;
            for (int to = 0; to < RATES; to++) {
                double off = (sigmas[to] - (1 - share) * sigmas[from]) / share;
                into[from][to] = off * off / 2;
                least = Math.min(least, into[from][to]);
            }
            double sum = 0;
            for (int to = 0; to < RATES; to++) {
                into[from][to] = Math.exp(least - into[from][to]);
                sum += into[from][to];
            }
            for (int to = 0; to < RATES; to++) {
                into[from][to] /= sum;
            }
        }
        for (int stick = 0; stick < mass.length; stick++) {
            double[] mixed = new double[RATES * LEVELS];
            for (int cell = 0; cell < mixed.length; cell++) {
                double here = mass[stick][cell];
                for (int to = 0; here > 0 && to < RATES; to++) {
                    mixed[to * LEVELS + cell % LEVELS] += here * into[cell / LEVELS][to];
                }
            }
            mass[stick] = mixed;
        }
    }

    /** About so much went (ml): an unknown amount around it. */
    void lose(double medianMl) {
        int[][] node = new int[LEVELS][LOSSES.length];
        double[][] part = new double[LEVELS][LOSSES.length];
        for (int level = 0; level < LEVELS; level++) {
            for (int i = 0; i < LOSSES.length; i++) {
                double at = Math.max(0, level - medianMl * LOSSES[i] / step);
                node[level][i] = Math.min(LAST - 1, (int) at);
                part[level][i] = at - node[level][i];
            }
        }
        double[][] lost = new double[mass.length][RATES * LEVELS];
        for (int stick = 0; stick < mass.length; stick++) {
            for (int cell = 0; cell < RATES * LEVELS; cell++) {
                int level = cell % LEVELS;
                for (int i = 0; mass[stick][cell] > 0 && i < LOSSES.length; i++) {
                    double here = mass[stick][cell] * LOSS_WEIGHTS[i];
                    int to = cell - level + node[level][i];
                    lost[stick][to] += here * (1 - part[level][i]);
                    lost[stick][to + 1] += here * part[level][i];
                }
            }
        }
        mass = lost;
    }

    /** Where a cell's mass goes: a level of the same rate, not below 0 and in any fraction (nodes). */
    private interface Target {
        double node(int cell);
    }

    private void move(Target target) {
        int[] node = new int[RATES * LEVELS];
        double[] upper = new double[RATES * LEVELS];
        for (int cell = 0; cell < node.length; cell++) {
            double at = Math.min(LAST, target.node(cell));
            node[cell] = Math.min(LAST - 1, (int) at);
            upper[cell] = at - node[cell];
        }
        double[][] moved = new double[mass.length][RATES * LEVELS];
        for (int stick = 0; stick < mass.length; stick++) {
            for (int cell = 0; cell < node.length; cell++) {
                double here = mass[stick][cell];
                if (here > 0) {
                    int to = cell / LEVELS * LEVELS + node[cell];
                    moved[stick][to] += (1 - upper[cell]) * here;
                    moved[stick][to + 1] += upper[cell] * here;
                }
            }
        }
        mass = moved;
    }

    /**
     * Some may have gone that nobody noted.
     *
     * @param chance of it (ratio)
     * @param dried deficit since the last filling (kPa days)
     */
    void mayHaveLost(double chance, double dried) {
        double[] change = new double[LEVELS + 1];
        for (double[] table : mass) {
            for (int rate = 0; rate < RATES; rate++) {
                int empty = Math.min(LAST, (int) (perKpaDay[rate] * dried / step));
                Arrays.fill(change, 0);
                int row = rate * LEVELS + empty;
                double left = 0;
                for (int above = 1; above < LEVELS - empty; above++) {
                    double lost = chance * table[row + above];
                    left += lost;
                    change[MAY_BE_LEFT[above]] -= lost * LEFT_AT_EACH[above];
                    change[0] += lost * LEFT_AT_EACH[above];
                    table[row + above] -= lost;
                }
                table[row] += NOTHING_LEFT * left;
                double sum = 0;
                for (int above = 0; left > 0 && above < LEVELS - empty; above++) {
                    sum += change[above];
                    table[row + above] += sum;
                }
            }
        }
    }

    /** Something that depends on what is in the tire, and may depend on what is wrong with the stick. */
    @FunctionalInterface
    interface OfVolumes {

        /** @return its values at these volumes (ml), by the stick */
        Function<DippingStick, double[]> at(double[] volumesMl);

        /** The same whatever the stick; {@code of} a volume (ml). */
        static OfVolumes alike(DoubleUnaryOperator of) {
            return volumesMl -> {
                double[] values = Arrays.stream(volumesMl).map(of).toArray();
                return stick -> values;
            };
        }
    }

    /**
     * Something was seen.
     *
     * @param likelihoods how likely that is
     * @param dried deficit since the last filling (kPa days)
     */
    void weigh(OfVolumes likelihoods, double dried) {
        Places places = new Places(dried);
        Function<DippingStick, double[]> likelihood = likelihoods.at(places.volumesMl);
        double all = 0;
        for (int stick = 0; stick < mass.length; stick++) {
            double[] table = likelihood.apply(sticks.get(stick));
            double[] here = mass[stick];
            for (int cell = 0; cell < here.length; cell++) {
                if (here[cell] > 0) {
                    here[cell] *= places.in(table, cell);
                    all += here[cell];
                }
            }
        }
        scale(1 / all);
    }

    /** @param dried deficit since the last filling (kPa days) */
    double mean(OfVolumes asked, double dried) {
        Places places = new Places(dried);
        Function<DippingStick, double[]> values = asked.at(places.volumesMl);
        double sum = 0;
        for (int stick = 0; stick < mass.length; stick++) {
            double[] table = values.apply(sticks.get(stick));
            double[] here = mass[stick];
            for (int cell = 0; cell < here.length; cell++) {
                if (here[cell] > 0) {
                    sum += here[cell] * places.in(table, cell);
                }
            }
        }
        return sum;
    }

    /** Where the volume of each cell lies in a table: the same for every stick. */
    private final class Places {

        private final int[] below = new int[RATES * LEVELS];
        private final double[] part = new double[RATES * LEVELS];

        /** What the table is made for: even steps as far as any volume goes (ml). */
        private final double[] volumesMl;

        Places(double dried) {
            int most = 0;
            for (int cell = 0; cell < below.length; cell++) {
                double place = volume(cell, dried) / FINE_ML;
                below[cell] = (int) place;
                part[cell] = place - below[cell];
                most = Math.max(most, below[cell]);
            }
            volumesMl = new double[most + 2];
            Arrays.setAll(volumesMl, i -> i * FINE_ML);
        }

        double in(double[] table, int cell) {
            double low = table[below[cell]];
            return low + part[cell] * (table[below[cell] + 1] - low);
        }
    }

    /** How likely each level and rate is, whatever the stick (ratios that add up to 1). */
    double[] summed() {
        double[] all = new double[RATES * LEVELS];
        for (double[] table : mass) {
            for (int cell = 0; cell < all.length; cell++) {
                all[cell] += table[cell];
            }
        }
        return all;
    }

    /** By how much the stick reads high, as far as it is known (mm). */
    double meanBiasMm() {
        double sum = 0;
        for (int stick = 0; stick < mass.length; stick++) {
            sum += sticks.get(stick).biasMm() * Arrays.stream(mass[stick]).sum();
        }
        return sum;
    }

    private void scale(double by) {
        for (double[] table : mass) {
            for (int cell = 0; cell < table.length; cell++) {
                double share = table[cell] * by;
                table[cell] = share < NEGLIGIBLE ? 0 : share;
            }
        }
    }
}
