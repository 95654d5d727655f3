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
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.stratopneum.core.pressure.Casing;
import org.stratopneum.core.tire.LiquidPool;
import org.stratopneum.core.tire.TireOnRim;
import org.stratopneum.core.tire.TireSection;

/** The worked values of docs/handbook, page 5: a 60-622, 100 ml on day 0, 20 C and 50 %. */
class SealantForecastTest {

    private static final LocalDate FILLED = LocalDate.of(2026, 3, 1);
    private static final TireSection WIDE = new TireOnRim(60, 622, 30.0, 30, null).section();
    private static final TireSection NARROW = new TireOnRim(28, 622, 19.0, 21, null).section();
    private static final DryingClimate MILD = DryingClimate.same(20, 0.5);
    private static final double MINIMUM = 33.8;

    private static SealantForecast.Tire tire(TireSection section) {
        return new SealantForecast.Tire(
                section,
                SealantDose.of(section, DoseSchool.STANDARD, SealantDose.Extras.NONE)
                        .minimumMl(),
                1);
    }

    private static double dose(TireSection section, DoseSchool school) {
        return SealantDose.of(section, school, SealantDose.Extras.NONE).exactMl();
    }

    private static LocalDate day(int number) {
        return FILLED.plusDays(number);
    }

    private static SealantForecast fresh(TireSection section, double ml, DryingClimate climate) {
        return SealantForecast.of(tire(section), climate, List.of(new SealantEvent.Filled(FILLED, ml, true)), FILLED);
    }

    private static long days(LocalDate until) {
        return ChronoUnit.DAYS.between(FILLED, until);
    }

    /** "20: 12" is a dip of 12 mm on day 20; other words of {@link #event} stand for what else can be. */
    private static SealantForecast of(String log, int asOf) {
        List<SealantEvent> events =
                Stream.of(log.split(", ")).map(SealantForecastTest::event).toList();
        return SealantForecast.of(tire(WIDE), MILD, events, day(asOf));
    }

    private static SealantEvent event(String said) {
        LocalDate on = day(Integer.parseInt(said.substring(0, said.indexOf(':'))));
        String what = said.substring(said.indexOf(':') + 2);
        return switch (what) {
            case "fill" -> new SealantEvent.Filled(on, 100, true);
            case "more" -> new SealantEvent.Filled(on, 60, false);
            case "other" -> new SealantEvent.Filled(on, 60, false, true);
            case "found" -> new SealantEvent.Found(on);
            case "dry" -> new SealantEvent.LookedDry(on);
            case "puncture" -> new SealantEvent.Spent(on, SealantEvent.Spent.USUAL_ML);
            case "silent" -> SealantEvent.Heard.silence(on, MINIMUM);
            case "slosh" -> SealantEvent.Heard.slosh(on, MINIMUM);
            default -> new SealantEvent.Dipped(on, Double.parseDouble(what));
        };
    }

    /** docs/handbook, page 5: the prior alone reproduces the trade's habit, to two days, in every tire. */
    @ParameterizedTest
    @CsvSource({
        "STANDARD, 20, 0.5, 123, 69",
        "LEAN, 20, 0.5, 49, 28",
        "STANDARD, 35, 0.2, 32, 18",
        "GENEROUS, 20, 0.5, 172, 97"
    })
    void thePriorAloneIsTheTradesHabit(DoseSchool school, double celsius, double humidity, int refresh, int check) {
        for (TireSection section : List.of(WIDE, NARROW)) {
            SealantForecast forecast = fresh(section, dose(section, school), DryingClimate.same(celsius, humidity));
            assertThat((double) days(forecast.refreshBy())).isCloseTo(refresh, within(2.0));
            assertThat((double) days(forecast.checkBy())).isCloseTo(check, within(2.0));
        }
    }

    /** docs/handbook, page 5, worked values: to 1 ml, 2 days and 0.01; those of sounds are given in whole ml there. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "0: fill, 20: 0  | 20 | 0 | 0 | 8.7 | 0.960 | 20 | 20 | 0.0000",
                "0: fill, 20: 5  | 20 | 4.4 | 11.5 | 25.9 | 0.937 | 20 | 20 | 0.0000",
                "0: fill, 20: 8  | 20 | 13.1 | 23.9 | 40.7 | 0.806 | 20 | 20 | 0.0003",
                "0: fill, 20: 12 | 20 | 33.7 | 51.1 | 86.0 | 0.102 | 20 | 48 | 0.0104",
                "0: fill, 20: 16 | 20 | 76.6 | 87.8 | 93.3 | 0.001 | 65 | 112 | 0.312",
                "0: fill, 20: 24 | 20 | 56.1 | 89.2 | 94.1 | 0.063 | 50 | 121 | 0.9987",
                "0: fill, 20: dry | 20 | 0 | 0.2 | 6.1 | 0.977 | 20 | 20 | ",
                "0: fill, 45: 13 | 45 | 44.0 | 62.7 | 78.7 | 0.023 | 57 | 86 | 0.164",
                "0: fill, 30: 15, 50: 13, 70: 11 | 70 | 29.2 | 42.1 | 58.6 | 0.217 | 70 | 83 | ",
                "0: fill, 30: 15, 50: 13, 70: 11, 71: 0 | 71 | 0 | 2.0 | 45.0 | 0.797 | 71 | 71 | 0.0001",
                "0: fill, 2: 19.5, 40: 13 | 40 | 46.4 | 64.9 | 81.3 | 0.019 | 50 | 80 | 0.092",
                "0: fill, 45: 13, 90: more | 90 | 62.1 | 91.0 | 117.8 | 0.000 | 118 | 175 | ",
                "0: fill, 45: 13, 90: other | 90 | 62.1 | 89.6 | 117.2 | 0.000 | 133 | 186 | ",
                "0: fill, 10: puncture, 12: puncture | 20 | 43.3 | 65.3 | 78.0 | 0.037 | 33 | 74 | ",
                "0: found | 0 | 0 | 52.2 | 114.5 | 0.372 | 0 | 32 | ",
                "0: found, 0: 10 | 0 | 22.1 | 34.1 | 52.2 | 0.445 | 0 | 1 | ",
                "0: found, 0: 0 | 0 | 0 | 0 | 0 | 0.995 | 0 | 0 | ",
                "0: found, 0: silent | 0 | 0 | 0 | 34 | 0.90 | 0 | 0 | ",
                "0: found, 0: slosh | 0 | 28 | 74 | 119 | 0.14 | 0 | 67 | "
            })
    void theWorkedValuesComeOut(
            String log,
            int asOf,
            double p10,
            double p50,
            double p90,
            double tooLittle,
            int check,
            int refresh,
            Double noMore) {
        SealantForecast forecast = of(log, asOf);
        assertThat(forecast.volumeMl().p10()).as("p10").isCloseTo(p10, within(1.0));
        assertThat(forecast.volumeMl().p50()).as("p50").isCloseTo(p50, within(1.0));
        assertThat(forecast.volumeMl().p90()).as("p90").isCloseTo(p90, within(1.0));
        assertThat(forecast.chanceTooLittle(day(asOf))).as("too little").isCloseTo(tooLittle, within(0.01));
        assertThat((double) days(forecast.checkBy())).as("check").isCloseTo(check, within(2.0));
        assertThat((double) days(forecast.refreshBy())).as("refresh").isCloseTo(refresh, within(2.0));
        if (noMore != null) {
            assertThat(forecast.latestDip().orElseThrow().chanceOfNoMore()).isCloseTo(noMore, within(0.003));
        }
    }

    /** docs/handbook, page 5: the rate after dips, and after another product was mixed in. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "0: fill, 45: 13 | 1.22",
                "0: fill, 30: 15, 50: 13, 70: 11 | 1.40",
                "0: fill, 2: 19.5, 40: 13 | 1.40",
                "0: fill, 45: 13, 90: more | 1.22",
                "0: fill, 45: 13, 90: other | 1.07"
            })
    void theRateIsLearned(String log, double rate) {
        assertThat(of(log, 90).rateFactor().p50()).isCloseTo(rate, within(0.02));
    }

    /** docs/handbook, page 5: how the stick reads is learned only where the filling was known when it was dipped. */
    @Test
    void aDipRightAfterAFillingTeachesTheStick() {
        assertThat(of("0: fill, 2: 19.5", 2).stickBiasMm()).isCloseTo(0.5, within(0.03));
        assertThat(Math.abs(of("0: fill, 20: 16", 20).stickBiasMm())).isLessThan(0.2);
        assertThat(Math.abs(of("0: found, 2: 16", 2).stickBiasMm())).isLessThan(0.2);
    }

    /** docs/handbook, page 5: one, three or ten equal readings of 13 mm on day 40 are 37.1, 34.9 and 33.8 ml wide. */
    @ParameterizedTest
    @CsvSource({"1, 37.1", "3, 34.9", "10, 33.8"})
    void readingsOfOneDayAreOneDip(int readings, double width) {
        SealantForecast forecast = of("0: fill" + ", 40: 13".repeat(readings), 40);
        assertThat(forecast.volumeMl().p90() - forecast.volumeMl().p10()).isCloseTo(width, within(0.5));
        assertThat(forecast.latestDip().orElseThrow().readings()).isEqualTo(readings);
    }

    /** docs/handbook, page 5: one, two and three punctures against independent draws, without drying, of 101.5 ml. */
    @ParameterizedTest
    @CsvSource({"1, 77.1, 91.5, 97.4", "2, 58.5, 79.3, 90.0", "3, 40.9, 66.8, 81.2"})
    void puncturesAreIndependent(int punctures, double p10, double p50, double p90) {
        List<SealantEvent> events = new ArrayList<>(List.of(new SealantEvent.Filled(FILLED, 101.5, true)));
        for (int i = 0; i < punctures; i++) {
            events.add(new SealantEvent.Spent(FILLED, SealantEvent.Spent.USUAL_ML));
        }
        SealantForecast.Spread left =
                SealantForecast.of(tire(WIDE), day -> 0, events, FILLED).volumeMl();
        assertThat(left.p10()).isCloseTo(p10, within(2.0));
        assertThat(left.p50()).isCloseTo(p50, within(1.0));
        assertThat(left.p90()).isCloseTo(p90, within(0.5));
    }

    /** What is worth a question, and what is not (docs/handbook, page 5). */
    @Test
    void aDipThatDoesNotFitIsTold() {
        SealantForecast.LatestDip low = of("0: fill, 20: 8", 25).latestDip().orElseThrow();
        assertThat(low.isTooLow()).isTrue();
        assertThat(low.isTooHigh()).isFalse();
        assertThat(low.isDry()).isFalse();
        assertThat(low.on()).isEqualTo(day(20));
        assertThat(low.expectedMl()).as("expected").isCloseTo(89, within(1.0));
        assertThat(low.dippedMl())
                .as("the stick says")
                .isEqualTo(LiquidPool.in(WIDE).volumeMl(8));
        SealantForecast.LatestDip high = of("0: fill, 20: 24", 20).latestDip().orElseThrow();
        assertThat(high.isTooHigh()).isTrue();
        SealantForecast.LatestDip fits =
                of("0: fill, 20: 24, 30: 15", 30).latestDip().orElseThrow();
        assertThat(fits.isTooHigh() || fits.isTooLow()).as("only the latest").isFalse();
        assertThat(of("0: fill, 20: 0", 20).latestDip().orElseThrow().isDry()).isTrue();
        assertThat(of("0: fill, 20: 8, 22: fill", 30).latestDip())
                .as("a filling closes the matter")
                .isEmpty();
    }

    /** What the rider says went is taken off before the dip is weighed: then it fits. */
    @Test
    void aLossThatIsToldExplainsTheDip() {
        List<SealantEvent> events = List.of(
                new SealantEvent.Filled(FILLED, 100, true),
                new SealantEvent.Lost(day(20), 60),
                new SealantEvent.Dipped(day(20), 8));
        SealantForecast told = SealantForecast.of(tire(WIDE), MILD, events, day(20));
        assertThat(told.latestDip().orElseThrow().isTooLow()).isFalse();
        assertThat(told.volumeMl().p50())
                .isCloseTo(of("0: fill, 20: 8", 20).volumeMl().p50(), within(8.0));
    }

    /** docs/handbook, page 5: a dry stick, or a look that finds nothing, is due that day, whatever was believed. */
    @ParameterizedTest
    @CsvSource({"28, 622, 19", "40, 622, 25", "60, 622, 30"})
    void dryIsDueThatDay(double width, double seat, double rim) {
        TireSection section = new TireOnRim(width, seat, rim, rim, null).section();
        for (double median : new double[] {0.6, 1, 1.4}) {
            SealantForecast.Tire tire = new SealantForecast.Tire(
                    section,
                    SealantDose.of(section, DoseSchool.STANDARD, SealantDose.Extras.NONE)
                            .minimumMl(),
                    median);
            double dose = dose(section, DoseSchool.STANDARD);
            for (int dry : new int[] {0, 1, 20, 90, 180}) {
                for (int dips = 0; dips <= Math.min(3, dry); dips += 3) {
                    List<SealantEvent> events = new ArrayList<>(List.of(new SealantEvent.Filled(FILLED, dose, true)));
                    for (int i = 1; i <= dips; i++) {
                        int on = Math.min(dry - 1, dry * i / dips);
                        double left = dose
                                - on * median * DryingRate.Q * section.innerSurfaceCm2() * MILD.deficitKpa(day(on));
                        events.add(new SealantEvent.Dipped(
                                day(on), LiquidPool.in(section).depthMm(Math.max(0, left))));
                    }
                    for (SealantEvent seen :
                            List.of(new SealantEvent.Dipped(day(dry), 0), new SealantEvent.LookedDry(day(dry)))) {
                        List<SealantEvent> all = new ArrayList<>(events);
                        all.add(seen);
                        SealantForecast forecast = SealantForecast.of(tire, MILD, all, day(dry));
                        assertThat(forecast.chanceTooLittle(day(dry)))
                                .as("%s after %d good dips on day %d", seen, dips, dry)
                                .isGreaterThanOrEqualTo(0.57);
                        assertThat(forecast.refreshBy()).isBeforeOrEqualTo(day(dry));
                    }
                }
            }
        }
    }

    /** docs/handbook, page 5: a standard road dose of 30 ml lasts about 134 days until the stick comes out dry. */
    @Test
    void aRoadDoseLastsUntilDryAsLongAsTheTradeSays() {
        SealantForecast forecast = SealantForecast.of(
                new SealantForecast.Tire(NARROW, 0, 1),
                MILD,
                List.of(new SealantEvent.Filled(FILLED, 30, true)),
                FILLED);
        assertThat((double) days(forecast.refreshBy())).isCloseTo(134, within(2.0));
    }

    /** Vapour pressure of water (kPa), CRC Handbook of Chemistry and Physics, values from memory. */
    @ParameterizedTest
    @CsvSource({"0, 0.6113", "10, 1.2281", "20, 2.3388", "30, 4.2455", "40, 7.3814"})
    void saturationIsThatOfTheTables(double celsius, double kpa) {
        assertThat(VapourDeficit.kpa(celsius, 0)).isCloseTo(kpa, within(0.004 * kpa));
        assertThat(VapourDeficit.kpa(celsius, 1)).isZero();
    }

    @Test
    void inCoolDampAirSixMonthsDecide() {
        SealantForecast forecast = fresh(WIDE, 101, DryingClimate.same(6, 0.9));
        assertThat(forecast.refreshBy()).isEqualTo(LocalDate.of(2026, 9, 1));
        assertThat(forecast.checkBy()).isEqualTo(LocalDate.of(2026, 9, 1));
    }

    /** Nobody knows how old it is: six months count from three before it was found, unless somebody tells a day. */
    @Test
    void whatWasFoundAgesFromBeforeItWasFound() {
        DryingClimate damp = DryingClimate.same(6, 0.99);
        SealantEvent slosh = new SealantEvent.Heard(FILLED, 90, 1000);
        SealantForecast found =
                SealantForecast.of(tire(WIDE), damp, List.of(new SealantEvent.Found(FILLED), slosh), FILLED);
        assertThat(found.refreshBy()).isEqualTo(FILLED.plusMonths(3));
        assertThat(found.isUnknown()).isFalse();
        SealantForecast told = SealantForecast.of(
                tire(WIDE), damp, List.of(new SealantEvent.Found(FILLED, FILLED.minusMonths(5)), slosh), FILLED);
        assertThat(told.refreshBy()).isEqualTo(FILLED.plusMonths(1));
        assertThat(of("0: found", 40).isUnknown()).isTrue();
        assertThat(of("0: found, 3: more", 40).isUnknown()).isFalse();
    }

    @Test
    void shiftsOfTheMedianMultiply() {
        assertThat(DryingRate.median(Casing.STANDARD, true, null)).isEqualTo(1);
        assertThat(DryingRate.median(Casing.HEAVY, true, SealantFamily.LATEX_AMMONIA))
                .isEqualTo(0.8);
        assertThat(DryingRate.median(Casing.LIGHT, false, SealantFamily.SYNTHETIC))
                .isCloseTo(1.4 * 1.4 * 0.7, within(1e-12));
    }

    @Test
    void toppedUpItBeginsAgainFromWhatIsLeft() {
        SealantForecast topped = of("0: fill, 90: more", 90);
        SealantForecast before = of("0: fill", 90);
        assertThat(topped.volumeMl().p50()).isCloseTo(before.volumeMl().p50() + 60, within(0.5));
        assertThat(topped.refreshBy()).isAfter(before.refreshBy());
        assertThat(topped.refreshBy()).isBeforeOrEqualTo(day(90).plusMonths(6));
        assertThat(topped.renewedOn()).isEqualTo(FILLED);
        assertThat(topped.filledOn()).isEqualTo(day(90));
        assertThatThrownBy(() -> of("0: puncture", 0)).isInstanceOf(IllegalArgumentException.class);
    }

    /** What will be there if nothing happens is what a forecast of that day says, and dries by the month's own air. */
    @Test
    void aDayToComeIsAsIfItWereAskedThen() {
        SealantForecast now = of("0: fill, 45: 13", 50);
        assertThat(now.volumeMl(day(80)).p50())
                .isCloseTo(of("0: fill, 45: 13", 80).volumeMl().p50(), within(1e-9));
        assertThat(now.volumeMl(day(50))).isEqualTo(now.volumeMl());
        List<Double> months = new ArrayList<>(Collections.nCopies(12, 0.0));
        months.set(3, 1.2);
        DryingClimate april = DryingClimate.monthly(months);
        assertThat(april.deficitKpa(LocalDate.of(2026, 4, 10))).isEqualTo(1.2);
        assertThat(april.deficitKpa(FILLED)).isZero();
        assertThatThrownBy(() -> DryingClimate.monthly(months.subList(0, 11)))
                .isInstanceOf(IllegalArgumentException.class);
        SealantForecast spring =
                SealantForecast.of(tire(WIDE), april, List.of(new SealantEvent.Filled(FILLED, 100, true)), FILLED);
        assertThat(spring.volumeMl(LocalDate.of(2026, 3, 31)).p50()).isEqualTo(100);
        assertThat(spring.volumeMl(LocalDate.of(2026, 4, 30)).p50()).isLessThan(90);
    }

    /** In the order in which they happened: a dip before a top-up of the same day saw what was there before it. */
    @Test
    void aLaterDayGoesOnFromAnEarlierOneAsIfAllWereFollowedAgain() {
        List<String> words = List.of("12", "18.5", "0", "slosh", "puncture", "more", "other", "fill", "dry");
        Random random = new Random(26);
        for (int log = 0; log < 20; log++) {
            List<SealantEvent> events = new ArrayList<>(List.of(event("0: fill")));
            int on = 0;
            while (events.size() < 9) {
                // often the same day once more, and often right after a filling, where a dip teaches the stick
                on += random.nextInt(3) == 0 ? 0 : 1 + random.nextInt(20);
                events.add(event(on + ": " + words.get(random.nextInt(words.size()))));
            }
            LocalDate asOf = day(on + random.nextInt(30));
            SealantForecast whole = SealantForecast.of(tire(WIDE), MILD, events, asOf);
            for (int cut = 0; cut <= on; cut += 7) {
                SealantForecast earlier = SealantForecast.of(tire(WIDE), MILD, events, day(cut));
                List<Object> before = told(earlier);
                assertThat(told(earlier.later(events, asOf)))
                        .as("%s, cut on day %d", events, cut)
                        .isEqualTo(told(whole));
                assertThat(told(earlier)).as("%s, the earlier", events).isEqualTo(before);
                assertThat(told(earlier.later(events, day(cut)).later(events, asOf)))
                        .as("%s, by way of the same day", events)
                        .isEqualTo(told(whole));
            }
        }
    }

    private static List<Object> told(SealantForecast forecast) {
        return List.of(
                forecast.volumeMl(),
                forecast.rateFactor(),
                forecast.stickBiasMm(),
                forecast.latestDip(),
                forecast.checkBy(),
                forecast.refreshBy(),
                forecast.renewedOn(),
                forecast.isUnknown());
    }

    @Test
    void aDipBeforeATopUpOfTheSameDaySawTheOldLevel() {
        SealantForecast first = of("0: fill, 60: 10, 60: more", 60);
        SealantForecast after = of("0: fill, 60: more, 60: 10", 60);
        assertThat(first.volumeMl().p50())
                .isCloseTo(of("0: fill, 60: 10", 60).volumeMl().p50() + 60, within(1.0));
        assertThat(after.volumeMl().p50()).isLessThan(first.volumeMl().p50() - 30);
    }
}
