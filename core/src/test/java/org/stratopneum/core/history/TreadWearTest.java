package org.stratopneum.core.history;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.stratopneum.core.check.InvalidInputException;
import org.stratopneum.core.history.TreadWear.Mark;

/** How fast a tread goes down, and how much is left. */
class TreadWearTest {

    private static TreadWear of(double ridden, double worn, double... pairs) {
        return TreadWear.of(marks(pairs), ridden, worn).orElseThrow();
    }

    private static List<Mark> marks(double... pairs) {
        List<Mark> marks = new ArrayList<>();
        for (int i = 0; i < pairs.length; i += 2) {
            marks.add(new Mark(pairs[i], pairs[i + 1]));
        }
        return marks;
    }

    /** 4 mm new, 3 mm after 1000 km, ridden to 1 mm: 2000 km more. */
    @Test
    void aStraightLineGoesOnStraight() {
        TreadWear wear = of(1, 1, 0, 4, 1, 3);
        assertThat(wear.lostMm()).isCloseTo(1, within(1e-9));
        assertThat(wear.depthMm()).isCloseTo(3, within(1e-9));
        assertThat(wear.left()).isCloseTo(2, within(1e-9));
        assertThat(wear.leftLow()).isBetween(0.0, 2.0);
        assertThat(wear.leftHigh()).isGreaterThan(2);
    }

    @Test
    void whatWasRiddenSinceTheLastDepthCounts() {
        TreadWear then = of(1, 1, 0, 4, 1, 3);
        TreadWear later = of(1.5, 1, 0, 4, 1, 3);
        assertThat(later.left()).isCloseTo(then.left() - 0.5, within(1e-9));
        assertThat(later.leftLow()).isCloseTo(then.leftLow() - 0.5, within(1e-9));
        assertThat(later.depthMm()).isLessThan(then.depthMm());
    }

    @Test
    void moreDepthsKnowItBetter() {
        TreadWear two = of(2, 1, 0, 5, 2, 3);
        TreadWear five = of(2, 1, 0, 5, 0.5, 4.5, 1, 4, 1.5, 3.5, 2, 3);
        assertThat(five.left()).isCloseTo(two.left(), within(1e-9));
        assertThat(five.leftHigh() - five.leftLow()).isLessThan(two.leftHigh() - two.leftLow());
    }

    /** 0.2 mm less is within what a caliper is good to. */
    @Test
    void wearThatCannotBeToldFromNoneHasNoUpperBound() {
        TreadWear wear = of(0.3, 1, 0, 4, 0.3, 3.8);
        assertThat(wear.left()).isPositive();
        assertThat(wear.leftHigh()).isNull();
        assertThat(wear.leftLow()).isPositive();
        assertThat(wear.lostLowMm()).isNegative();
    }

    @Test
    void aTreadThatSeemsToGrowALittleTellsOnlyWhatIsLeftAtLeast() {
        TreadWear wear = of(1, 1, 0, 3.9, 1, 4);
        assertThat(wear.left()).isNull();
        assertThat(wear.leftHigh()).isNull();
        assertThat(wear.leftLow()).isPositive();
    }

    @Test
    void aTreadThatGrewByMillimetresWasNotTheSame() {
        assertThat(TreadWear.of(marks(0, 2, 1, 4), 1, 1)).isEmpty();
    }

    @Test
    void oneDistanceTellsNothing() {
        assertThat(TreadWear.of(List.of(), 1, 1)).isEmpty();
        assertThat(TreadWear.of(marks(0.4, 3, 0.4, 2.9), 1, 1)).isEmpty();
    }

    @Test
    void pastTheDepthItIsSaidToBeWorn() {
        TreadWear wear = of(4, 1, 0, 4, 1, 3, 2, 2, 3, 1, 4, 0.1);
        assertThat(wear.left()).isNegative();
        assertThat(wear.surelyWorn()).isTrue();
        assertThat(of(1, 1, 0, 4, 1, 3).surelyWorn()).isFalse();
    }

    @Test
    void theTrueDistanceLiesBetweenTheBoundsInFourOfFiveCases() {
        Random random = new Random(11);
        int held = 0;
        int told = 0;
        for (int i = 0; i < 3000; i++) {
            List<Mark> marks = new ArrayList<>();
            for (double x : new double[] {0, 0.8, 1.6, 2.4}) {
                marks.add(new Mark(x, Math.max(0, 5 - x + TreadWear.SIGMA_MM * random.nextGaussian())));
            }
            TreadWear wear = TreadWear.of(marks, 2.4, 1).orElseThrow();
            // from 5 mm to 1 mm at 1 mm in 1000 km
            double truth = 4 - 2.4;
            told++;
            held += wear.leftLow() <= truth && (wear.leftHigh() == null || truth <= wear.leftHigh()) ? 1 : 0;
        }
        // scatter that seems small is not believed, so that it holds a little more often
        assertThat(held / (double) told).isBetween(0.78, 0.92);
    }

    @Test
    void whatNoTreadHasIsRefused() {
        assertThatThrownBy(() -> new Mark(0, 16)).isInstanceOf(InvalidInputException.class);
        assertThatThrownBy(() -> new Mark(-1, 3)).isInstanceOf(InvalidInputException.class);
    }
}
