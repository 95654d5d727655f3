package org.stratopneum.core.check;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class RangeTest {

    private static final Range CLOSED = Range.closed(10, 120, "mm");
    private static final Range ABOVE = Range.above(0, 5, "kg");

    @Test
    void endsOfAClosedRangeAreInside() {
        assertThat(CLOSED.problemOf("width", 10)).isEmpty();
        assertThat(CLOSED.problemOf("width", 120)).isEmpty();
    }

    @Test
    void aProblemCarriesFieldRuleLimitValueAndUnit() {
        assertThat(CLOSED.problemOf("width", 300))
                .contains(new Problem("width", Problem.ABOVE_MAXIMUM, 120.0, 300.0, "mm"));
        assertThat(CLOSED.problemOf("width", 9.9))
                .contains(new Problem("width", Problem.BELOW_MINIMUM, 10.0, 9.9, "mm"));
        assertThat(ABOVE.problemOf("mass", 0)).contains(new Problem("mass", Problem.NOT_ABOVE_MINIMUM, 0.0, 0.0, "kg"));
    }

    @ParameterizedTest
    @ValueSource(doubles = {Double.NaN, Double.POSITIVE_INFINITY, Double.NEGATIVE_INFINITY})
    void whatIsNotANumberIsNeverInside(double value) {
        assertThat(CLOSED.problemOf("width", value)).contains(Problem.of("width", Problem.NOT_FINITE));
    }

    @Test
    void problemsGatherAllFaultsAndKnowTheirPaths() {
        Problems problems = new Problems();
        problems.check("tire.width", 300, CLOSED);
        problems.check("tire.height", 50, CLOSED);
        problems.checkIfPresent("rim.width", null, CLOSED);
        problems.add(Problem.of("ground[2]", Problem.MISSING));

        assertThat(problems.list()).hasSize(2);
        assertThat(problems.touches("tire")).isTrue();
        assertThat(problems.touches("ground")).isTrue();
        assertThat(problems.touches("rim")).isFalse();
        assertThat(problems.touches("tir")).isFalse();
    }
}
