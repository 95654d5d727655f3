package org.stratopneum.bench.season;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.stratopneum.bench.season.truth.Figure;

class ComparisonTest {

    private static Map<Way, Map<Figure, Double>> years(double thumb, double chart, double reminder, double usual) {
        Map<Way, Map<Figure, Double>> years = new EnumMap<>(Way.class);
        years.put(Way.THUMB, Map.of(Figure.DRY_KM, thumb));
        years.put(Way.CHART, Map.of(Figure.DRY_KM, chart));
        years.put(Way.REMINDER, Map.of(Figure.DRY_KM, reminder));
        years.put(Way.USUAL, Map.of(Figure.DRY_KM, usual));
        return years;
    }

    /** Who found no leak has found none after no days. */
    @Test
    void whoHasNoneOfAFigureIsNotCounted() {
        Spread spread = Spread.of(new double[] {4, Double.NaN, 8});
        assertThat(spread.mean()).isEqualTo(6);
        assertThat(spread.high()).isEqualTo(8);
        assertThat(Spread.of(new double[] {Double.NaN}).mean()).isNaN();
    }

    /** Against the best of the others in the mean, not the best of each rider. */
    @ParameterizedTest
    @CsvSource({"39, true", "40, true", "41, false", "100, false"})
    void itIsMetWhereAsMuchLessCameOut(double usual, boolean met) {
        Comparison wanted = new Comparison("with too little sealant (km)", 0.6, List.of(Figure.DRY_KM));
        List<Map<Way, Map<Figure, Double>>> all = new ArrayList<>();
        all.add(years(500, 90, 130, usual));
        all.add(years(20, 110, 130, usual));
        assertThat(wanted.tell(all)).isEqualTo(met);
    }

    /** Of a hundred values in a row, ten lie under the lower end and ten over the upper, by hand. */
    @Test
    void aSpreadHoldsEightOfTen() {
        Spread spread = Spread.of(
                IntStream.rangeClosed(1, 100).mapToDouble(value -> 101 - value).toArray());
        assertThat(spread.mean()).isCloseTo(50.5, within(1e-9));
        assertThat(spread.low()).isEqualTo(11);
        assertThat(spread.high()).isEqualTo(91);
        assertThat(Spread.of(new double[] {7})).isEqualTo(new Spread(7, 7, 7));
    }

    @Test
    void figuresAreAddedUpForEachRider() {
        List<Map<Way, Map<Figure, Double>>> all = List.of(
                Map.of(Way.THUMB, Map.of(Figure.SOFT_KM, 1.0, Figure.HARD_KM, 9.0)),
                Map.of(Way.THUMB, Map.of(Figure.SOFT_KM, 9.0, Figure.HARD_KM, 1.0)));
        assertThat(Spread.of(all, Way.THUMB, List.of(Figure.SOFT_KM, Figure.HARD_KM)))
                .isEqualTo(new Spread(10, 10, 10));
    }
}
