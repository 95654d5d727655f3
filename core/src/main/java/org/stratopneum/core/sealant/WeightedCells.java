package org.stratopneum.core.sealant;

import java.util.Arrays;
import java.util.function.IntToDoubleFunction;
import java.util.stream.IntStream;

/** Cells with a value each, by how likely they are: quantiles, and how likely a value up to some other is. */
final class WeightedCells {

    private final double[] weight;
    private final double[] values;

    /** Those that may be, smallest value first, and what the weights add up to there. */
    private final int[] order;

    private final double[] upTo;

    /**
     * @param weight how likely each cell is (ratios that add up to 1)
     * @param value of a cell, not negative
     */
    WeightedCells(double[] weight, IntToDoubleFunction value) {
        this.weight = weight;
        values = new double[weight.length];
        Arrays.setAll(values, value);
        order = order();
        upTo = new double[order.length];
        double sum = 0;
        for (int i = 0; i < upTo.length; i++) {
            sum += weight[order[i]];
            upTo[i] = sum;
        }
    }

    /**
     * Value and number are packed into one word, so that no object is made for each: values that agree to seven digits stay
     * in the order of their numbers.
     */
    private int[] order() {
        return IntStream.range(0, values.length)
                .filter(cell -> weight[cell] > 0)
                .mapToLong(cell -> (long) Float.floatToIntBits((float) values[cell]) << Integer.SIZE | cell)
                .sorted()
                .mapToInt(word -> (int) word)
                .toArray();
    }

    /** On straight lines between the middles of the cells' weights; below the first and above the last, their values. */
    double quantile(double wanted) {
        double beforeMiddle = 0;
        double before = Double.NaN;
        for (int i = 0; i < order.length; i++) {
            double value = values[order[i]];
            double middle = (i == 0 ? 0 : upTo[i - 1]) + weight[order[i]] / 2;
            if (middle >= wanted) {
                return Double.isNaN(before)
                        ? value
                        : before + (wanted - beforeMiddle) / (middle - beforeMiddle) * (value - before);
            }
            beforeMiddle = middle;
            before = value;
        }
        return before;
    }

    /** How likely it is not more than that (ratio). */
    double chanceUpTo(double value) {
        int low = 0;
        int high = order.length;
        while (low < high) {
            int middle = (low + high) / 2;
            if (values[order[middle]] <= value) {
                low = middle + 1;
            } else {
                high = middle;
            }
        }
        return low == 0 ? 0 : upTo[low - 1];
    }
}
