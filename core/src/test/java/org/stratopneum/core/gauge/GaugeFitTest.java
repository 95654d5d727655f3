package org.stratopneum.core.gauge;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.stratopneum.core.quantity.GaugePressure;

class GaugeFitTest {

    private static GaugePair pair(double shown, double reference) {
        return new GaugePair(GaugePressure.kpa(shown), GaugePressure.kpa(reference));
    }

    /** F. J. Anscombe, Graphs in Statistical Analysis (1973), first set: y = 3.00 + 0.500 x; here ten times as large. */
    @Test
    void aPublishedSetOfPairs() {
        double[] x = {10, 8, 13, 9, 11, 14, 6, 4, 12, 7, 5};
        double[] y = {8.04, 6.95, 7.58, 8.81, 8.33, 9.96, 7.24, 4.26, 10.84, 4.82, 5.68};
        List<GaugePair> pairs = new ArrayList<>();
        for (int i = 0; i < x.length; i++) {
            pairs.add(pair(10 * x[i], 10 * y[i]));
        }
        GaugeFit fit = GaugeFit.of(pairs);
        assertThat(fit.offsetKpa()).isCloseTo(30.0, within(0.01));
        assertThat(fit.slope()).isCloseTo(0.500, within(0.0005));
        // residual standard error 1.237, value from memory
        assertThat(fit.spreadKpa()).isCloseTo(12.37, within(0.005));
        assertThat(fit.believable()).as("no gauge shows twice of what is there").isFalse();
    }

    @Test
    void aGaugeThatReadsHighIsFoundFromPairsOverTheRange() {
        GaugeFit fit = GaugeFit.of(List.of(pair(110, 100), pair(214, 200), pair(318, 300)));
        assertThat(fit.slope()).isCloseTo(100.0 / 104, within(1e-12));
        assertThat(fit.spreadKpa()).isCloseTo(0, within(1e-9));
        assertThat(fit.sloped()).isTrue();
        assertThat(fit.toReference(GaugePressure.kpa(214)).kpa()).isCloseTo(200, within(1e-9));
    }

    @ParameterizedTest
    @ValueSource(ints = {1, 2})
    void withFewerThanThreePairsOnlyTheOffsetIsFitted(int count) {
        List<GaugePair> pairs = List.of(pair(110, 100), pair(214, 200)).subList(0, count);
        GaugeFit fit = GaugeFit.of(pairs);
        assertThat(fit.slope()).isEqualTo(1);
        assertThat(fit.offsetKpa()).isCloseTo(count == 1 ? -10 : -12, within(1e-12));
        assertThat(fit.sloped()).isFalse();
        assertThat(fit.spreadKpa() == null).isEqualTo(count == 1);
    }

    @Test
    void pairsThatLieTogetherTellNoSlope() {
        GaugeFit fit = GaugeFit.of(List.of(pair(150, 145), pair(152, 150), pair(155, 147)));
        assertThat(fit.slope()).isEqualTo(1);
        assertThat(fit.offsetKpa()).isCloseTo(-5, within(1e-12));
    }

    @Test
    void thereAndBackIsTheSameAndNothingStaysNothing() {
        Random random = new Random(7);
        for (int i = 0; i < 200; i++) {
            double offset = 20 * random.nextDouble() - 10;
            double slope = 0.9 + 0.2 * random.nextDouble();
            GaugeFit fit = new GaugeFit(offset, slope, null, List.of());
            GaugePressure reference = GaugePressure.kpa(50 + 500 * random.nextDouble());
            assertThat(fit.toReference(fit.toShown(reference)).kpa()).isCloseTo(reference.kpa(), within(1e-9));
        }
        assertThat(new GaugeFit(-12, 1, null, List.of())
                        .toReference(GaugePressure.kpa(5))
                        .kpa())
                .isZero();
        assertThat(GaugeFit.of(List.of())).isEqualTo(GaugeFit.NONE);
    }
}
