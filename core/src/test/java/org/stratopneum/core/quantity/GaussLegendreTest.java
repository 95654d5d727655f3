package org.stratopneum.core.quantity;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;

class GaussLegendreTest {

    /** Degree 2n - 1 at n points, by the theory of Gauss's rule (any textbook of numerics); one degree more is not exact. */
    @Test
    void polynomialsBelowTwiceItsPointsAreExact() {
        GaussLegendre four = new GaussLegendre(4);
        for (int degree = 0; degree < 8; degree++) {
            int power = degree;
            double exact = (Math.pow(3, degree + 1) - Math.pow(0.5, degree + 1)) / (degree + 1);
            assertThat(four.integral(x -> Math.pow(x, power), 0.5, 3)).isCloseTo(exact, within(exact * 1e-13));
        }
        assertThat(four.integral(x -> Math.pow(x, 8), 0, 1)).isNotCloseTo(1 / 9.0, within(1e-6));
    }

    @Test
    void backwardsIsTheSameLess() {
        GaussLegendre rule = new GaussLegendre(20);
        assertThat(rule.integral(Math::exp, 1, 0)).isEqualTo(-rule.integral(Math::exp, 0, 1));
        assertThat(rule.integral(Math::exp, 0, 1)).isCloseTo(Math.E - 1, within(1e-14));
    }
}
