package org.stratopneum.core.tire;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatCode;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.assertj.core.api.ThrowableAssert.ThrowingCallable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.stratopneum.core.check.InvalidInputException;
import org.stratopneum.core.check.Problem;

class TireOnRimTest {

    /** Common practice, from memory (docs/handbook, page 1). */
    @ParameterizedTest
    @CsvSource({
        "9, 6.5",
        "18, 13",
        "20.5, 14",
        "23, 15",
        "25, 17",
        "28, 19",
        "34, 21",
        "40, 23",
        "46, 25",
        "61, 30",
        "68, 35",
        "75, 40",
        "100, 70",
        "120, 84",
        "130, 91"
    })
    void theUsualMeasuringRimFollowsTheTable(double nominal, double rim) {
        assertThat(MeasuringRim.usualWidthMm(nominal)).isCloseTo(rim, within(1e-9));
    }

    /** Straight lines instead of steps: on no rim does a wider tire come out narrower. */
    @Test
    void aWiderTireIsWiderOnEveryRim() {
        for (double rim = 13; rim <= 90; rim++) {
            double last = 0;
            for (double nominal = 18; nominal <= 130; nominal += 0.5) {
                TireSection section = section(nominal, rim);
                if (section != null) {
                    assertThat(section.inflatedWidth().mm())
                            .as("%s on %s", nominal, rim)
                            .isGreaterThan(last);
                    last = section.inflatedWidth().mm();
                }
            }
        }
    }

    /** The tire on the rim, or null where the rim is too wide for it. */
    private static TireSection section(double nominal, double rim) {
        try {
            return new TireOnRim(nominal, 622, null, rim, null).section();
        } catch (InvalidInputException tooWide) {
            return null;
        }
    }

    @Test
    void everyFaultIsReportedAtOnce() {
        assertThat(problemsOf(() -> new TireOnRim(Double.NaN, 5, 300.0, 0, -1.0)))
                .extracting(Problem::field)
                .containsExactly(
                        "nominalWidthMm",
                        "beadSeatDiameterMm",
                        "measuringRimWidthMm",
                        "rimInternalWidthMm",
                        "measuredWidthMm");
    }

    @Test
    void aMeasuringRimAsWideAsTheTireIsRefused() {
        assertThat(problemsOf(() -> new TireOnRim(25, 622, 25.0, 19, null)))
                .containsExactly(
                        new Problem("measuringRimWidthMm", TireOnRim.MEASURING_RIM_TOO_WIDE, 25.0, 25.0, "mm"));
    }

    @Test
    void aMeasuredWidthMustBeAboveTheRim() {
        assertThat(problemsOf(() -> new TireOnRim(25, 622, null, 19, 19.0)))
                .containsExactly(new Problem("measuredWidthMm", TireOnRim.MEASURED_NOT_ABOVE_RIM, 19.0, 19.0, "mm"));
    }

    @Test
    void aRimOnWhichTheCasingIsLessThanHalfACircleIsRefused() {
        Problem problem =
                problemsOf(() -> new TireOnRim(25, 622, 17.0, 45, null)).get(0);
        assertThat(problem.code()).isEqualTo(TireOnRim.RIM_TOO_WIDE);
        double widest = problem.limit();
        assertThatThrownBy(() -> new TireOnRim(25, 622, 17.0, widest, null)).isInstanceOf(InvalidInputException.class);
        assertThatCode(() -> new TireOnRim(25, 622, 17.0, widest - 1e-6, null).section())
                .doesNotThrowAnyException();
    }

    private static List<Problem> problemsOf(ThrowingCallable call) {
        InvalidInputException[] thrown = new InvalidInputException[1];
        assertThatThrownBy(call)
                .isInstanceOfSatisfying(InvalidInputException.class, exception -> thrown[0] = exception);
        return thrown[0].problems();
    }
}
