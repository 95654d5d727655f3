package org.stratopneum.core.fit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class TubeSizeTest {

    /** Common practice, no source: 1.0 is best, about 1.3 of what is printed still goes, beyond it does not. */
    @ParameterizedTest
    @CsvSource({
        "40, 62, 57, 1.0, true",
        "28, 38, 45, 1.184, true",
        "28, 38, 49.4, 1.3, true",
        "28, 38, 50, 1.316, false",
        "54, 65, 40, 1.0, false"
    })
    void aTubeIsStretchedToTheTireOrFoldedInIt(int least, int most, double tireMm, double stretch, boolean takes) {
        TubeSize size = new TubeSize(least, most);
        assertThat(size.stretch(tireMm)).isCloseTo(stretch, within(0.001));
        assertThat(size.takes(tireMm)).isEqualTo(takes);
    }

    @ParameterizedTest
    @ValueSource(doubles = {20, 23, 28, 35, 42, 47, 50, 57, 62, 75, 100, 120})
    void everyUsualTireHasATubeThatIsNotStretchedAndTheyComeFirst(double tireMm) {
        List<TubeSize.Taking> taking = TubeSize.taking(tireMm);
        assertThat(taking.get(0).stretch()).isEqualTo(1);
        assertThat(taking).isSortedAccordingTo((one, other) -> Double.compare(one.stretch(), other.stretch()));
        assertThat(taking).allMatch(each -> each.stretch() <= TubeSize.MOST_STRETCH);
    }

    /** Common practice, no source: one box says 27 and 28 in, another 26 x 1 3/8 and 650B. */
    @Test
    void someWheelsShareTheirTubes() {
        assertThat(TubeSize.wheels(622)).containsExactly(622, 630, 635);
        assertThat(TubeSize.wheels(584)).containsExactly(571, 584, 590);
        assertThat(TubeSize.wheels(559)).containsExactly(559);
        assertThat(TubeSize.wheels(406)).contains(406).doesNotContain(451);
    }
}
