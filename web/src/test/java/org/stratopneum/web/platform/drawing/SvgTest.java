package org.stratopneum.web.platform.drawing;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Locale;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** The numbers of drawings against Java's own formatter. */
class SvgTest {

    private static final int NUMBERS = 20_000;

    @Test
    void numbersAreWrittenAsJavaWritesThem() {
        Random random = new Random(5);
        for (int i = 0; i < NUMBERS; i++) {
            double value = (random.nextDouble() - 0.5) * Math.pow(10, random.nextInt(5));
            double other = random.nextInt(2000) - 1000;
            assertThat(Svg.of("M%.1f %.0fA%s", value, other, "x"))
                    .isEqualTo(String.format(Locale.ROOT, "M%.1f %.0fA%s", value, other, "x")
                            .replace(".0 ", " ")
                            .replace("-0 ", "0 "));
        }
    }

    @Test
    void whatStandsBetweenThemStaysAsItIs() {
        assertThat(Svg.of("")).isEmpty();
        assertThat(Svg.of("<g/>")).isEqualTo("<g/>");
        assertThat(Svg.of("%s", "100 %")).isEqualTo("100 %");
        assertThat(Svg.of("%.1f", 1)).as("whole numbers too").isEqualTo("1");
    }
}
