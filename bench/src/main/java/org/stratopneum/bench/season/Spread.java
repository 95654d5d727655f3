package org.stratopneum.bench.season;

import java.util.Arrays;
import java.util.List;
import java.util.Map;
import org.stratopneum.bench.season.truth.Figure;

/** The mean of riders, and the ends between which eight of ten of them lie. */
record Spread(double mean, double low, double high) {

    /** @param figures that are added up for each rider; who has none of them is left out */
    static Spread of(List<Map<Way, Map<Figure, Double>>> years, Way way, List<Figure> figures) {
        return of(years.stream()
                .mapToDouble(year -> figures.stream()
                        .mapToDouble(figure -> year.get(way).get(figure))
                        .sum())
                .toArray());
    }

    static Spread of(double[] values) {
        double[] sorted = Arrays.stream(values)
                .filter(value -> !Double.isNaN(value))
                .sorted()
                .toArray();
        if (sorted.length == 0) {
            return new Spread(Double.NaN, Double.NaN, Double.NaN);
        }
        return new Spread(
                Arrays.stream(sorted).average().orElseThrow(),
                sorted[sorted.length / 10],
                sorted[sorted.length * 9 / 10]);
    }
}
