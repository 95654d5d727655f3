package org.stratopneum.core.sealant;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.stratopneum.core.tire.LiquidPool;
import org.stratopneum.core.tire.TireOnRim;
import org.stratopneum.core.tire.TireSection;

/**
 * Made-up wheels whose rate nobody knows, dipped at 30, 50 and 70 % of their life with an error of 1.5 mm: the band holds
 * the truth as often as it says, and the day of the refresh is met (docs/handbook, page 5, wanted in simulation).
 */
class SealantTrialTest {

    private static final LocalDate FILLED = LocalDate.of(2026, 3, 1);
    private static final DryingClimate MILD = DryingClimate.same(20, 0.5);
    private static final double[] LOOKS = {0.3, 0.5, 0.7};
    private static final double STICK_MM = 1.5;

    /** What came of many wheels, after each dip: how often the truth lay in the band (ratio), and the median miss (ratio). */
    private record Outcome(double[] heldLater, double[] heldThatDay, double missAfterAll) {}

    private static Outcome follow(TireSection section, int wheels, long seed) {
        Random random = new Random(seed);
        SealantDose dose = SealantDose.of(section, DoseSchool.STANDARD, SealantDose.Extras.NONE);
        SealantForecast.Tire tire = new SealantForecast.Tire(section, dose.minimumMl(), 1);
        LiquidPool pool = LiquidPool.in(section);
        double[] later = new double[LOOKS.length];
        double[] thatDay = new double[LOOKS.length];
        double[] miss = new double[wheels];
        for (int wheel = 0; wheel < wheels; wheel++) {
            double perDay = Math.exp(DryingRate.SIGMA * random.nextGaussian())
                    * DryingRate.Q
                    * section.innerSurfaceCm2()
                    * MILD.deficitKpa(FILLED);
            double life = (dose.exactMl() - dose.minimumMl()) / perDay;
            List<SealantEvent> events = new ArrayList<>(List.of(new SealantEvent.Filled(FILLED, dose.exactMl(), true)));
            for (int look = 0; look < LOOKS.length; look++) {
                int on = (int) Math.round(LOOKS[look] * life);
                double left = dose.exactMl() - perDay * on;
                double read = Math.max(0, pool.depthMm(left) + STICK_MM * random.nextGaussian());
                events.add(new SealantEvent.Dipped(FILLED.plusDays(on), read));
                int then = on + (int) (random.nextDouble() * (1.05 * life - on));
                later[look] += held(tire, events, then, Math.max(0, dose.exactMl() - perDay * then));
                thatDay[look] += held(tire, events, on, left);
                if (look == LOOKS.length - 1) {
                    miss[wheel] = Math.abs(uncapped(tire, events, on) - life) / life;
                }
            }
        }
        Arrays.sort(miss);
        return new Outcome(shares(later, wheels), shares(thatDay, wheels), miss[wheels / 2]);
    }

    private static int held(SealantForecast.Tire tire, List<SealantEvent> events, int day, double truth) {
        SealantForecast.Spread ml =
                SealantForecast.of(tire, MILD, events, FILLED.plusDays(day)).volumeMl();
        return ml.p10() <= truth && truth <= ml.p90() ? 1 : 0;
    }

    /** Days until it is too little as likely as not, with a filling that never grows old. */
    private static double uncapped(SealantForecast.Tire tire, List<SealantEvent> events, int from) {
        SealantForecast forecast = SealantForecast.of(tire, MILD, events, FILLED.plusDays(from));
        int day = from;
        while (forecast.chanceTooLittle(FILLED.plusDays(day)) < 0.5) {
            day++;
        }
        return day;
    }

    private static double[] shares(double[] counts, int wheels) {
        return Arrays.stream(counts).map(count -> count / wheels).toArray();
    }

    /** The limits that page 5 sets (74 to 86, 89, 86 %), and two standard errors of so many wheels. */
    @Tag("all")
    @ParameterizedTest
    @CsvSource({"60, 30, 0.15", "40, 25, 0.15", "28, 19, 0.16"})
    void theBandHoldsAsOftenAsItSays(double width, double rim, double miss) {
        Outcome outcome = follow(new TireOnRim(width, 622, rim, rim, null).section(), 800, 5_060);
        assertThat(outcome.heldLater[0]).isBetween(0.74, 0.885);
        assertThat(outcome.heldLater[1]).isBetween(0.74, 0.915);
        assertThat(outcome.heldLater[2]).isBetween(0.74, 0.885);
        assertThat(outcome.missAfterAll).isLessThanOrEqualTo(miss);
    }

    /** The same of few wheels, with the room that so few need: three standard errors. */
    @Test
    void itHoldsForAFewWheels() {
        Outcome outcome = follow(new TireOnRim(60, 622, 30.0, 30, null).section(), 50, 611);
        for (int look = 0; look < LOOKS.length; look++) {
            assertThat(outcome.heldLater[look]).isBetween(0.68, 0.97);
            assertThat(outcome.heldThatDay[look]).isBetween(0.70, 0.98);
        }
        assertThat(outcome.missAfterAll).isLessThanOrEqualTo(0.19);
    }

    /** docs/handbook, page 5: 20, 40 or 60 ml went unseen before one dip: the band of that day holds 74.5, 80, 85 %. */
    @Tag("all")
    @ParameterizedTest
    @CsvSource({"0, 0.80", "20, 0.72", "40, 0.76", "60, 0.80"})
    void whatWentUnseenIsAllowedFor(double lost, double atLeast) {
        TireSection section = new TireOnRim(60, 622, 30.0, 30, null).section();
        SealantForecast.Tire tire = new SealantForecast.Tire(section, 33.8, 1);
        LiquidPool pool = LiquidPool.in(section);
        Random random = new Random(20_622);
        int wheels = 1200;
        double held = 0;
        for (int wheel = 0; wheel < wheels; wheel++) {
            double perDay = Math.exp(DryingRate.SIGMA * random.nextGaussian())
                    * DryingRate.Q
                    * section.innerSurfaceCm2()
                    * MILD.deficitKpa(FILLED);
            int on = 20 + random.nextInt(40);
            double left = Math.max(0, 100 - perDay * on - lost);
            double read = Math.max(0, pool.depthMm(left) + STICK_MM * random.nextGaussian());
            held += held(
                    tire,
                    List.of(
                            new SealantEvent.Filled(FILLED, 100, true),
                            new SealantEvent.Dipped(FILLED.plusDays(on), read)),
                    on,
                    left);
        }
        assertThat(held / wheels).isGreaterThanOrEqualTo(atLeast);
    }
}
