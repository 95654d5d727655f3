package org.stratopneum.core.sealant;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.stratopneum.core.pressure.Casing;
import org.stratopneum.core.tire.LiquidPool;
import org.stratopneum.core.tire.TireOnRim;
import org.stratopneum.core.tire.TireSection;

class SealantForecastTest {

    private static final LocalDate FILLED = LocalDate.of(2026, 3, 1);
    private static final TireSection WIDE = TireOnRim.onMeasuringRim(60, 622).section();
    private static final TireSection NARROW = new TireOnRim(28, 622, 19.0, 21, null).section();
    private static final DryingClimate MILD = DryingClimate.same(20, 0.5);

    private static SealantForecast.Tire tire(TireSection section) {
        return new SealantForecast.Tire(
                section.innerSurfaceCm2(),
                SealantDose.of(section, DoseSchool.STANDARD, SealantDose.Extras.NONE)
                        .minimumMl(),
                1);
    }

    private static double dose(TireSection section, DoseSchool school) {
        return SealantDose.of(section, school, SealantDose.Extras.NONE).exactMl();
    }

    private static SealantForecast fresh(TireSection section, double ml, DryingClimate climate) {
        return SealantForecast.of(tire(section), climate, List.of(new SealantEvent.Filled(FILLED, ml, true)), FILLED);
    }

    private static long days(LocalDate until) {
        return ChronoUnit.DAYS.between(FILLED, until);
    }

    /** docs/handbook, page 5: the prior alone reproduces the trade's habit, to a day, in every tire. */
    @ParameterizedTest
    @CsvSource({"STANDARD, 20, 0.5, 122, 69", "LEAN, 20, 0.5, 49, 28", "STANDARD, 35, 0.2, 32, 18"})
    void thePriorAloneIsTheTradesHabit(DoseSchool school, double celsius, double humidity, int refresh, int check) {
        for (TireSection section : List.of(WIDE, NARROW)) {
            SealantForecast forecast = fresh(section, dose(section, school), DryingClimate.same(celsius, humidity));
            assertThat((double) days(forecast.refreshBy())).isCloseTo(refresh, within(1.0));
            assertThat((double) days(forecast.checkBy())).isCloseTo(check, within(1.0));
        }
    }

    /** docs/handbook, page 5: a standard road dose of 30 ml lasts about 134 days until the stick comes out dry. */
    @Test
    void aRoadDoseLastsUntilDryAsLongAsTheTradeSays() {
        SealantForecast forecast = SealantForecast.of(
                new SealantForecast.Tire(NARROW.innerSurfaceCm2(), 0, 1),
                MILD,
                List.of(new SealantEvent.Filled(FILLED, 30, true)),
                FILLED);
        assertThat((double) days(forecast.refreshBy())).isCloseTo(134, within(1.0));
    }

    /** Saturation vapour pressure at 20 C is 2.34 kPa, at 0 C 0.611 kPa (published tables). */
    @ParameterizedTest
    @CsvSource({"20, 2.34", "0, 0.611", "35, 5.63"})
    void saturationIsThatOfTheTables(double celsius, double kpa) {
        assertThat(VapourDeficit.kpa(celsius, 0)).isCloseTo(kpa, within(0.006 * kpa));
        assertThat(VapourDeficit.kpa(celsius, 1)).isZero();
    }

    @Test
    void inCoolDampAirSixMonthsDecide() {
        SealantForecast forecast = fresh(WIDE, 101, DryingClimate.same(6, 0.9));
        assertThat(forecast.refreshBy()).isEqualTo(LocalDate.of(2026, 9, 1));
        assertThat(forecast.checkBy()).isEqualTo(LocalDate.of(2026, 9, 1));
    }

    @Test
    void shiftsOfTheMedianMultiply() {
        assertThat(DryingRate.median(Casing.STANDARD, true, null)).isEqualTo(1);
        assertThat(DryingRate.median(Casing.HEAVY, true, SealantFamily.LATEX_AMMONIA))
                .isEqualTo(0.8);
        assertThat(DryingRate.median(Casing.LIGHT, false, SealantFamily.SYNTHETIC))
                .isCloseTo(1.4 * 1.4 * 0.7, within(1e-12));
    }

    /** A dip that found more than was expected moves everything later, and makes it surer. */
    @Test
    void aDipMovesTheForecastTowardsWhatItFound() {
        LocalDate look = FILLED.plusDays(60);
        List<SealantEvent> events = new ArrayList<>(List.of(new SealantEvent.Filled(FILLED, 101, true)));
        SealantForecast before = SealantForecast.of(tire(WIDE), MILD, events, look);
        events.add(new SealantEvent.Dipped(look, 85, 4));
        SealantForecast after = SealantForecast.of(tire(WIDE), MILD, events, look);
        assertThat(after.volumeMl().p50()).isGreaterThan(before.volumeMl().p50());
        assertThat(after.rateFactor().p50()).isLessThan(1);
        assertThat(after.refreshBy()).isAfter(before.refreshBy());
        assertThat(after.volumeMl().p90() - after.volumeMl().p10())
                .isLessThan(before.volumeMl().p90() - before.volumeMl().p10());
    }

    @Test
    void silenceSaysLittleAndAPunctureTakesSome() {
        LocalDate look = FILLED.plusDays(60);
        SealantEvent filled = new SealantEvent.Filled(FILLED, 101, true);
        SealantForecast plain = SealantForecast.of(tire(WIDE), MILD, List.of(filled), look);
        SealantForecast silent =
                SealantForecast.of(tire(WIDE), MILD, List.of(filled, new SealantEvent.Heard(look, 0, 30)), look);
        assertThat(silent.volumeMl().p50()).isLessThan(plain.volumeMl().p50());
        assertThat(silent.volumeMl().p90()).as("ears may be wrong").isGreaterThan(35);
        SealantForecast pricked = SealantForecast.of(
                tire(WIDE), MILD, List.of(filled, new SealantEvent.Spent(FILLED.plusDays(10), 10)), look);
        assertThat(plain.volumeMl().p50() - pricked.volumeMl().p50()).isBetween(5.0, 15.0);
    }

    @Test
    void toppedUpItBeginsAgainFromWhatIsLeft() {
        SealantEvent filled = new SealantEvent.Filled(FILLED, 101, true);
        SealantEvent more = new SealantEvent.Filled(FILLED.plusDays(90), 50, false);
        SealantForecast topped = SealantForecast.of(tire(WIDE), MILD, List.of(filled, more), FILLED.plusDays(90));
        SealantForecast before = SealantForecast.of(tire(WIDE), MILD, List.of(filled), FILLED.plusDays(90));
        assertThat(topped.volumeMl().p50()).isCloseTo(before.volumeMl().p50() + 50, within(1e-9));
        assertThat(topped.refreshBy()).isAfter(before.refreshBy());
        assertThat(topped.refreshBy()).isBeforeOrEqualTo(FILLED.plusDays(90).plusMonths(6));
        assertThat(topped.renewedOn()).isEqualTo(FILLED);
        assertThatThrownBy(() -> SealantForecast.of(tire(WIDE), MILD, List.of(more), FILLED))
                .isInstanceOf(IllegalArgumentException.class);
    }

    /**
     * docs/handbook, page 5: hidden rates, dips at 30, 50 and 70 % of the life with an error of 1.5 mm, which
     * averaging on one day does not divide. The
     * band of the volume holds the truth on later days in 74 to 86 %, refresh-by is off by 15 % at most in the middle.
     */
    @Test
    void dippedTiresAreForecastAsSurelyAsItSays() {
        Random random = new Random(5_060);
        LiquidPool pool = LiquidPool.in(WIDE);
        double minimum = tire(WIDE).minimumMl();
        double dose = dose(WIDE, DoseSchool.STANDARD);
        int held = 0;
        int looked = 0;
        List<Double> errors = new ArrayList<>();
        double perDay = DryingRate.Q * WIDE.innerSurfaceCm2() * VapourDeficit.kpa(20, 0.5);
        for (int wheel = 0; wheel < 300; wheel++) {
            double k = Math.exp(DryingRate.SIGMA * random.nextGaussian());
            double life = (dose - minimum) / (k * perDay);
            List<SealantEvent> events = new ArrayList<>(List.of(new SealantEvent.Filled(FILLED, dose, true)));
            LocalDate last = FILLED;
            for (double share : new double[] {0.3, 0.5, 0.7}) {
                int day = (int) Math.round(share * life);
                double depth = pool.depthMm(Math.max(0, dose - k * perDay * day)) + 1.5 * random.nextGaussian();
                last = FILLED.plusDays(day);
                events.add(SealantEvent.Dipped.of(last, Math.max(0, depth), pool));
            }
            for (int later : new int[] {5, 15}) {
                SealantForecast.Spread then = SealantForecast.of(tire(WIDE), MILD, events, last.plusDays(later))
                        .volumeMl();
                double truth = Math.max(0, dose - k * perDay * (days(last) + later));
                looked++;
                held += truth >= then.p10() && truth <= then.p90() ? 1 : 0;
            }
            if (life < 180) {
                double told =
                        days(SealantForecast.of(tire(WIDE), MILD, events, last).refreshBy());
                errors.add(Math.abs(told - life) / life);
            }
        }
        Collections.sort(errors);
        assertThat(held / (double) looked).as("share of truths inside the band").isBetween(0.74, 0.86);
        assertThat(errors.get(errors.size() / 2))
                .as("median error of refresh-by")
                .isLessThanOrEqualTo(0.15);
    }
}
