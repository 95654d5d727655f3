package org.stratopneum.core.air;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.stratopneum.core.check.InvalidInputException;
import org.stratopneum.core.quantity.GaugePressure;

class HoleSizeTest {

    private static final Surroundings BENCH = Surroundings.of(20, 0);

    private static GaugePressure bar(double bar) {
        return GaugePressure.kpa(100 * bar);
    }

    /** docs/handbook, page 4: 6.5 l from 1.6 to 0.5 bar. */
    @ParameterizedTest
    @CsvSource({"0.3, 364, 0.5", "1, 32.7, 0.05", "3, 3.6, 0.05"})
    void theHandbooksTimes(double diameterMm, double seconds, double tolerance) {
        assertThat(HoleSize.seconds(6.5, bar(1.6), bar(0.5), diameterMm, BENCH)).isCloseTo(seconds, within(tolerance));
        assertThat(HoleSize.diameterMm(6.5, bar(1.6), bar(0.5), seconds, BENCH))
                .isCloseTo(diameterMm, within(0.01 * diameterMm));
    }

    /** The same emptying in small steps of time, without any integral over pressure; to the air around it, too. */
    @ParameterizedTest
    @CsvSource({"3.0, 1.5, 1.2, 20, 0", "1.6, 0.5, 2.0, -5, 1900", "0.6, 0.05, 0.8, 35, 300", "5.0, 0.01, 1.0, 20, 0"})
    void steppingThroughTimeAgrees(double fromBar, double toBar, double diameterMm, double celsius, double heightM) {
        Surroundings there = Surroundings.of(celsius, heightM);
        double kelvin = 273.15 + celsius;
        double ambient = 1000 * there.ambient().kpa();
        double area = Math.PI / 4 * Math.pow(diameterMm / 1000, 2);
        double volume = 2.5e-3;
        double pa = fromBar * 1e5 + ambient;
        double seconds = 0;
        while (pa - ambient > toBar * 1e5) {
            double flow = flow(pa, ambient, kelvin, area);
            double fall = flow * 287.05 * kelvin / volume;
            double step = 2e-5 * (pa - ambient) / fall;
            pa -= fall * step;
            seconds += step;
        }
        assertThat(HoleSize.seconds(2.5, bar(fromBar), bar(toBar), diameterMm, there))
                .isCloseTo(seconds, within(2e-3 * seconds));
    }

    /** Textbook isentropic nozzle flow: sonic at the throat until 0.528, subsonic beyond. */
    private static double flow(double pa, double ambient, double kelvin, double area) {
        double throat = Math.max(ambient, 0.528282 * pa);
        double mach2 = 5 * (Math.pow(pa / throat, 2 / 7.0) - 1);
        double throatKelvin = kelvin / (1 + 0.2 * mach2);
        double density = throat / (287.05 * throatKelvin);
        return 0.7 * area * density * Math.sqrt(mach2 * 1.4 * 287.05 * throatKelvin);
    }

    @Test
    void thereAndBackGivesTheSameHole() {
        for (double mm : new double[] {0.1, 0.4, 1, 2.5, 6}) {
            double seconds = HoleSize.seconds(3.2, bar(2.1), bar(0.3), mm, BENCH);
            assertThat(HoleSize.diameterMm(3.2, bar(2.1), bar(0.3), seconds, BENCH))
                    .isCloseTo(mm, within(1e-9 * mm));
        }
    }

    @Test
    void aTireThatDidNotGetSofterHasNoHole() {
        assertThatThrownBy(() -> HoleSize.diameterMm(3, bar(1), bar(1), 60, BENCH))
                .isInstanceOf(InvalidInputException.class)
                .hasMessageContaining(HoleSize.NOT_FALLING);
        assertThatThrownBy(() -> HoleSize.diameterMm(3, bar(2), bar(1), Double.NaN, BENCH))
                .isInstanceOf(InvalidInputException.class)
                .hasMessageContaining("seconds");
    }
}
