package org.stratopneum.core.pressure;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.stratopneum.core.check.Level;
import org.stratopneum.core.quantity.GaugePressure;
import org.stratopneum.core.quantity.PressureUnit;
import org.stratopneum.core.tire.TireOnRim;

/** What holds for every rider, tire, ground and posture. */
class PressureGridTest {

    @ParameterizedTest
    @EnumSource(names = {"ROAD", "CARGO"})
    void nothingIsToldAboveWhatATireOfThatWidthUsuallyCarries(Posture posture) {
        for (TireOnRim tire : PressureTable.TIRES) {
            for (double kg : List.of(45.0, 85.0, 130.0)) {
                for (Ground ground : Ground.values()) {
                    BikeAdvice advice = PressureTable.advise(tire, kg, posture, GroundMix.only(ground));
                    for (WheelAdvice wheel : List.of(advice.rear(), advice.front())) {
                        GaugePressure most = Ceiling.usualFor(wheel.section().inflatedWidth());
                        assertThat(wheel.pressure().isAbove(most))
                                .as("%s", wheel.wheel())
                                .isFalse();
                        if (wheel.window() != null) {
                            assertThat(wheel.window().high().isAbove(most)).isFalse();
                        }
                    }
                }
            }
        }
    }

    /** docs/handbook, page 3, step 6: no percent of ground is a jump; wanted: at most 3 psi. */
    @ParameterizedTest
    @EnumSource(names = {"CROSS_COUNTRY", "ROUGH_TRAIL", "ROCK", "BIKE_PARK"})
    void noPercentOfGroundMovesThePressureByMoreThanThreePsi(Ground harsh) {
        noPercentIsAJump(harsh, List.of(Ground.FOREST_TRACK));
    }

    /** The same from other ground. */
    @Tag("all")
    @ParameterizedTest
    @EnumSource(names = {"CROSS_COUNTRY", "ROUGH_TRAIL", "ROCK", "BIKE_PARK"})
    void norDoesItFromPavementOrSand(Ground harsh) {
        noPercentIsAJump(harsh, List.of(Ground.SMOOTH_PAVEMENT, Ground.SAND_SNOW));
    }

    private static void noPercentIsAJump(Ground harsh, List<Ground> grounds) {
        for (TireOnRim tire : PressureTable.TIRES) {
            for (double kg : List.of(45.0, 95.0)) {
                for (Ground easy : grounds) {
                    double last = Double.NaN;
                    for (int percent = 0; percent <= 45; percent++) {
                        Map<Ground, Double> shares = new EnumMap<>(Ground.class);
                        shares.merge(easy, 1 - percent / 100.0, Double::sum);
                        shares.merge(harsh, percent / 100.0, Double::sum);
                        WheelAdvice rear = PressureTable.advise(tire, kg, Posture.GRAVEL, new GroundMix(shares))
                                .rear();
                        double psi =
                                rear.blocked() ? Double.NaN : rear.pressure().in(PressureUnit.PSI);
                        if (!Double.isNaN(psi) && !Double.isNaN(last)) {
                            assertThat(Math.abs(psi - last))
                                    .as("%s, %.0f kg, %d %% %s on %s", tire, kg, percent, harsh, easy)
                                    .isLessThanOrEqualTo(3);
                        }
                        last = psi;
                    }
                }
            }
        }
    }

    @ParameterizedTest
    @CsvSource({"20", "28", "40", "57", "60", "61.5", "66"})
    void anEverydayWidthIsNoReasonToWarn(double width) {
        WheelAdvice rear =
                Cases.mountain(width, Ground.SMOOTH_PAVEMENT, 75).advise().rear();
        assertThat(rear.verdicts()).extracting("code").doesNotContain("beyond-charts");
        WheelAdvice wide =
                Cases.mountain(67, Ground.SMOOTH_PAVEMENT, 75).advise().rear();
        assertThat(wide.verdicts())
                .filteredOn(verdict -> verdict.code().equals("beyond-charts"))
                .extracting("level")
                .containsExactly(Level.FINE);
    }

    @Test
    void theTableInTheHandbookIsWhatTheModelsSay() throws IOException {
        assertThat(PressureTable.FILE).hasContent(PressureTable.text());
    }
}
