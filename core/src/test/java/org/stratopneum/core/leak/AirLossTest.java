package org.stratopneum.core.leak;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.UUID;
import java.util.function.Supplier;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.stratopneum.core.agenda.DueItem;
import org.stratopneum.core.agenda.DueReason;
import org.stratopneum.core.agenda.LeakLooks;
import org.stratopneum.core.pressure.SetupKind;
import org.stratopneum.core.quantity.GaugePressure;
import org.stratopneum.core.quantity.PressureUnit;
import org.stratopneum.core.quantity.Temperature;

/** Worked values: docs/handbook, page 6, which a second implementation gave as well. */
class AirLossTest {

    private static Looks tenDays() {
        return Looks.pumped(150).pairs(10, 1, 148.2);
    }

    private static Looks sixWeeks() {
        return Looks.pumped(150).pairs(6, 7, 138);
    }

    private static final Map<String, Supplier<Looks>> WORKED = Map.ofEntries(
            Map.entry("a day later 147", () -> Looks.pumped(150).found(1, 147)),
            Map.entry("a day later 136", () -> Looks.pumped(150).found(1, 136)),
            Map.entry("a day later 120", () -> Looks.pumped(150).found(1, 120)),
            Map.entry("a week later 138", () -> Looks.pumped(150).found(7, 138)),
            Map.entry(
                    "the same by the weather",
                    () -> Looks.pumped(150).found(7, 138).knownFrom(LeakReading.Warmth.WEATHER)),
            Map.entry("148 and 146", () -> Looks.pumped(150).found(1, 148).found(2, 146)),
            Map.entry("an hour later 148", () -> Looks.pumped(150).found(1 / 24.0, 148)),
            Map.entry("ten days", AirLossTest::tenDays),
            Map.entry("ten days, then 136", () -> tenDays().found(11, 136)),
            Map.entry(
                    "and 136 again",
                    () -> tenDays().found(11, 136).set(11.003, 150).found(12, 136)),
            Map.entry("six weeks", AirLossTest::sixWeeks),
            Map.entry("six weeks, then 149", () -> sixWeeks().found(49, 149)),
            Map.entry(
                    "six weeks, and pumped unnoted",
                    () -> sixWeeks().withoutTheLast().found(49, 150)),
            Map.entry("six weeks, then 118", () -> sixWeeks().found(49, 118)),
            Map.entry("six weeks, then 76", () -> sixWeeks().found(49, 76)));

    @ParameterizedTest
    @CsvSource({
        "a day later 147, 0.347, 1.273, 3.475, 0.785, 0.203, 0.012, 0.000, UNSURE",
        "a day later 136, 1.307, 6.219, 10.809, 0.190, 0.289, 0.521, 0.000, UNSURE",
        "a day later 120, 14.41, 20.52, 24.87, 0.013, 0.012, 0.739, 0.236, LEAK",
        "a week later 138, 0.525, 1.069, 1.659, 0.996, 0.004, 0.000, 0.000, NORMAL",
        "the same by the weather, 0.415, 1.025, 1.795, 0.986, 0.014, 0.000, 0.000, NORMAL",
        "148 and 146, 0.340, 1.076, 2.384, 0.912, 0.087, 0.000, 0.000, NORMAL",
        "an hour later 148, 0.35, 1.43, 5.98, 0.687, 0.214, 0.093, 0.006, UNSURE",
        "ten days, 0.480, 1.060, 1.725, 0.995, 0.005, 0.000, 0.000, NORMAL",
        "'ten days, then 136', 0.702, 1.562, 2.482, 0.897, 0.103, 0.000, 0.000, NORMAL",
        "and 136 again, 5.371, 8.533, 11.327, 0.015, 0.131, 0.854, 0.000, LEAK",
        "six weeks, 1.004, 1.179, 1.367, 1.000, 0.000, 0.000, 0.000, NORMAL",
        "'six weeks, then 149', 1.004, 1.179, 1.367, 1.000, 0.000, 0.000, 0.000, NORMAL",
        "'six weeks, and pumped unnoted', 1.004, 1.179, 1.367, 1.000, 0.000, 0.000, 0.000, NORMAL",
        "'six weeks, then 118', 2.557, 3.281, 3.985, 0.071, 0.929, 0.000, 0.000, SLOW",
        "'six weeks, then 76', 6.926, 9.073, 11.106, 0.002, 0.038, 0.961, 0.000, LEAK",
    })
    void theRateAndItsClass(
            String looks,
            double low,
            double middle,
            double high,
            double normal,
            double slow,
            double leak,
            double fast,
            LeakClass named) {
        LossRate rate = WORKED.get(looks).get().loss().rate().orElseThrow();
        assertThat(100 * rate.lowPerDay()).isCloseTo(low, within(0.006));
        assertThat(100 * rate.perDay()).isCloseTo(middle, within(0.006));
        assertThat(100 * rate.highPerDay()).isCloseTo(high, within(0.006));
        assertThat(rate.probability(LeakClass.NORMAL)).isCloseTo(normal, within(0.001));
        assertThat(rate.probability(LeakClass.SLOW)).isCloseTo(slow, within(0.001));
        assertThat(rate.probability(LeakClass.LEAK)).isCloseTo(leak, within(0.001));
        assertThat(rate.probability(LeakClass.FAST)).isCloseTo(fast, within(0.001));
        assertThat(rate.probability(LeakClass.UNSURE)).isZero();
        assertThat(rate.named()).isEqualTo(named);
        assertThat(rate.isPerhapsFast()).isEqualTo("a day later 120".equals(looks));
    }

    @ParameterizedTest
    @CsvSource({
        "a day later 147, NONE, 0",
        "a day later 120, DUE, 0",
        "ten days, NONE, 0",
        "'ten days, then 136', READ_ONCE_MORE, 0",
        "and 136 again, DUE, 0",
        "six weeks, NONE, 0",
        "'six weeks, then 149', NONE, 1",
        "'six weeks, and pumped unnoted', NONE, 1",
        "'six weeks, then 118', DUE, 0",
        "'six weeks, then 76', DUE, 0",
    })
    void whatIsTold(String looks, AirLoss.Alarm alarm, int unlogged) {
        AirLoss loss = WORKED.get(looks).get().loss();
        assertThat(loss.alarm()).isEqualTo(alarm);
        assertThat(loss.unlogged()).hasSize(unlogged);
    }

    @Test
    void theRiseOfTenDaysIsToldWithItsDay() {
        AirLoss loss = WORKED.get("and 136 again").get().loss();
        assertThat(loss.verdict().days()).isCloseTo(1.95e4, within(200.0));
        assertThat(loss.rise().orElseThrow().since()).isEqualTo(Looks.day(10.003));
        assertThat(-Math.log1p(-loss.rise().orElseThrow().before())).isCloseTo(0.0128, within(5e-5));
        assertThat(-Math.log1p(-loss.rise().orElseThrow().now())).isCloseTo(0.0982, within(5e-5));
        assertThat(Math.sqrt(tenDays().loss().noise().square())).isCloseTo(0.668, within(5e-4));
    }

    @Test
    void theRisesOfSixWeeksAreTold() {
        AirLoss slow = WORKED.get("six weeks, then 118").get().loss();
        assertThat(slow.verdict().days()).isCloseTo(9881, within(15.0));
        assertThat(-Math.log1p(-slow.rise().orElseThrow().before())).isCloseTo(0.0120, within(5e-5));
        assertThat(-Math.log1p(-slow.rise().orElseThrow().now())).isCloseTo(0.0343, within(5e-5));
        assertThat(WORKED.get("six weeks, then 76").get().loss().verdict().days())
                .isCloseTo(1.2e10, within(0.05e10));
    }

    /** A day of much is no rise yet, and no data is left out for being soon. */
    @Test
    void oneDatumOfAHundredfoldLikelihoodAsksForOneMore() {
        AirLoss loss = WORKED.get("ten days, then 136").get().loss();
        assertThat(loss.dueSince()).isEmpty();
        assertThat(loss.rise()).isEmpty();
        AirLoss.LastFall fall = loss.lastFall().orElseThrow();
        assertThat(fall.before().at()).isEqualTo(Looks.day(10.003));
        assertThat(fall.after().at()).isEqualTo(Looks.day(11));
        assertThat(fall.lost()).isCloseTo(14 / 150.0, within(1e-9));
        assertThat(fall.usual()).isCloseTo(0.0127, within(1e-4));
        assertThat(tenDays().loss().lastFall()).as("it was pumped").isEmpty();
        assertThat(loss.verdict().onceMore()).isTrue();
        assertThat(tenDays().found(11, 143).loss().alarm()).isEqualTo(AirLoss.Alarm.NONE);
    }

    /** What is told stays told while the next readings say nothing new, and its day does not move. */
    @Test
    void whatIsDueStaysDueOnTheSameDay() {
        Looks looks = sixWeeks().found(49, 118);
        Instant since = looks.loss().dueSince().orElseThrow();
        looks.set(49.003, 150);
        for (int week = 8; week <= 12; week++) {
            looks.found(7 * week, 128).set(7 * week + 0.003, 150);
            AirLoss loss = looks.loss();
            assertThat(loss.dueSince()).contains(since);
            assertThat(loss.alarm()).isEqualTo(AirLoss.Alarm.DUE);
        }
        assertThat(due(UUID.randomUUID(), looks.loss(), null).orElseThrow().due())
                .isEqualTo(LocalDate.ofInstant(since, ZoneOffset.UTC));
    }

    /** Where it loses as little as ever for three weeks, air went at once and there is no leak to look for. */
    @Test
    void whatIsDueIsTakenBackWhereTheLossDoesNotGoOn() {
        Looks looks = sixWeeks()
                .found(49, 118)
                .set(49.003, 150)
                .found(56, 138)
                .set(56.003, 150)
                .found(63, 138);
        assertThat(looks.loss().alarm()).isEqualTo(AirLoss.Alarm.DUE);
        assertThat(looks.set(63.003, 150).found(70, 138).loss().alarm()).isEqualTo(AirLoss.Alarm.NONE);
    }

    @Test
    void aJobSettlesWhatWasToldBefore() {
        AirLoss loss = sixWeeks().found(49, 118).loss();
        UUID wheel = UUID.randomUUID();
        assertThat(loss.dueTold()).isEqualTo(Looks.day(49));
        assertThat(due(wheel, loss, Looks.day(48))).isPresent();
        assertThat(due(wheel, loss, Looks.day(49))).isEmpty();
    }

    /** Since what was told, it got worse: that is another matter, of a later day. */
    @Test
    void anotherRiseIsDueAnew() {
        Looks looks = sixWeeks().found(49, 118).set(49.003, 150).found(56, 118).set(56.003, 150);
        Instant first = looks.loss().dueSince().orElseThrow();
        looks.found(57, 110).set(57.003, 150).found(58, 108).set(58.003, 150).found(59, 109);
        assertThat(looks.loss().dueSince().orElseThrow()).isAfter(first);
    }

    @Test
    void aRiseThatIsStillNormalIsNotedOnly() {
        Looks looks = Looks.pumped(150);
        for (int week = 1; week <= 16; week++) {
            looks.found(7 * week, week <= 8 ? 146 : 130).set(7 * week + 0.003, 150);
        }
        AirLoss loss = looks.loss();
        assertThat(loss.named()).isEqualTo(LeakClass.NORMAL);
        assertThat(loss.alarm()).isEqualTo(AirLoss.Alarm.NOTE);
        assertThat(loss.dueSince()).isEmpty();
        assertThat(due(UUID.randomUUID(), loss, null)).isEmpty();
        PaceRise rise = loss.rise().orElseThrow();
        assertThat(rise.now()).isGreaterThan(2 * rise.before());
        assertThat(rise.since()).isBetween(Looks.day(49), Looks.day(63.1));
    }

    /** Three times more in it than it can have, and nobody pumps each time without a word: it sealed itself. */
    @Test
    void threeTimesTooMuchMeansThatItSealedItself() {
        Looks looks = sixWeeks().found(49, 118).set(49.003, 150).found(56, 158).found(63, 166);
        assertThat(looks.loss().dueSince()).as("twice may be the pump").isPresent();
        AirLoss sealed = looks.found(70, 174).loss();
        assertThat(sealed.unlogged()).hasSize(3);
        assertThat(sealed.dueSince()).isEmpty();
        assertThat(sealed.verdict()).as("nor is any of it looked at for a rise").isNull();
        assertThat(sealed.rate()).as("what was before is no data").isEmpty();
        assertThat(looks.found(77, 161).loss().named()).isEqualTo(LeakClass.NORMAL);
    }

    @Test
    void flatInTenMinutesIsAHoleAndNoRate() {
        AirLoss loss = Looks.pumped(190).found(10 / 1440.0, 14).loss();
        assertThat(loss.alarm()).isEqualTo(AirLoss.Alarm.SUDDEN);
        assertThat(loss.rate()).isEmpty();
        assertThat(loss.outlook()).isEmpty();
        assertThat(loss.named()).isEqualTo(LeakClass.FAST);
        assertThat(loss.sudden().orElseThrow().within()).isEqualTo(Duration.ofMinutes(10));
        assertThat(due(UUID.randomUUID(), loss, null).orElseThrow().reason()).isEqualTo(DueReason.LEAK);
    }

    /** A gauge's own doubt, half a day, and a wheel that was pumped are no sudden loss. */
    @Test
    void nothingElseIsCalledFlatAtOnce() {
        assertThat(Looks.pumped(190).found(2 / 24.0, 175).loss().sudden()).isEmpty();
        assertThat(Looks.pumped(190).found(13 / 24.0, 14).loss().sudden()).isEmpty();
        assertThat(Looks.pumped(14).found(1 / 24.0, 190).loss().sudden()).isEmpty();
        assertThat(Looks.pumped(190).found(11 / 24.0, 0).loss().sudden()).isPresent();
        AirLoss pumped = Looks.pumped(190).found(1 / 24.0, 100).set(0.05, 190).loss();
        assertThat(pumped.sudden()).as("since it was pumped").isEmpty();
        assertThat(pumped.alarm()).as("nobody mended it").isEqualTo(AirLoss.Alarm.DUE);
    }

    /** ln(150/5) over two days is a fast leak at least; over seventy days nobody can say so. */
    @Test
    void foundFlatIsNamedByTheSlowestThatItCanHaveBeen() {
        AirLoss soon = Looks.pumped(150).found(2, 0).loss();
        FoundFlat flat = soon.foundFlat().orElseThrow();
        assertThat(flat.atLeast()).isCloseTo(Math.log(30) / 2, within(1e-9));
        assertThat(flat.leastLossPerDay()).isCloseTo(1 - Math.exp(-Math.log(30) / 2), within(1e-9));
        assertThat(soon.named()).isEqualTo(LeakClass.FAST);
        assertThat(soon.alarm()).isEqualTo(AirLoss.Alarm.DUE);
        assertThat(soon.dueSince()).contains(Looks.day(2));
        assertThat(Looks.pumped(150).found(30, 0).loss().named()).isEqualTo(LeakClass.LEAK);
        AirLoss winter = Looks.pumped(150).found(70, 0).loss();
        assertThat(winter.named()).isEqualTo(LeakClass.SLOW);
        assertThat(winter.dueSince()).isEmpty();
        AirLoss again =
                Looks.pumped(150).found(2, 0).set(2.01, 150).found(9, 139).loss();
        assertThat(again.foundFlat()).isEmpty();
        assertThat(again.rate().orElseThrow().named()).isEqualTo(LeakClass.NORMAL);
        assertThat(again.alarm()).isEqualTo(AirLoss.Alarm.DUE);
    }

    @Test
    void whenOneMoreReadingWouldTellIsTold() {
        AirLoss loss = WORKED.get("a day later 147").get().loss();
        Instant again = loss.readAgain().orElseThrow();
        assertThat(again).isAfter(Looks.day(1)).isBefore(Looks.day(10));
        double days = Duration.between(Looks.day(0), again).toMinutes() / 1440.0;
        double likely = 150 * Math.exp(-loss.rate().orElseThrow().perDay() * days);
        assertThat(Looks.pumped(150).found(1, 147).found(days, likely).loss().named())
                .isNotEqualTo(LeakClass.UNSURE);
        assertThat(WORKED.get("six weeks").get().loss().readAgain()).isEmpty();
        assertThat(Looks.pumped(150).loss().readAgain()).isEmpty();
    }

    /** The other wheel, read with the same gauge, tells how much it scatters. */
    @Test
    void aGaugeThatWasSeenToScatterLessMakesTheBandNarrower() {
        GaugeNoise fine = tenDays().loss().noise().elsewhere();
        assertThat(fine.degrees()).isEqualTo(8 + 10);
        assertThat(fine.square()).isBetween(0.2, 0.9);
        AirLoss alone = Looks.pumped(150).found(3, 144).loss();
        AirLoss told = Looks.pumped(150).found(3, 144).loss(fine);
        assertThat(width(told)).isLessThan(0.95 * width(alone));
        assertThat(GaugeNoise.USUAL.elsewhere()).isEqualTo(GaugeNoise.USUAL);
        assertThat(new GaugeNoise(100, 2).elsewhere()).isEqualTo(new GaugeNoise(32, 56 / 32.0));
    }

    private static double width(AirLoss loss) {
        LossRate rate = loss.rate().orElseThrow();
        return rate.highLossPerDay() - rate.lowLossPerDay();
    }

    /** Gay-Lussac: 180 kPa at 20 C are about 192 at 32 C; noted, the warmth explains the rise. */
    @ParameterizedTest
    @CsvSource({"191.5, 32, 0", "197, 20, 1", "182, 20, 0"})
    void aRiseIsAskedAboutWhereNothingExplainsIt(double kpa, double celsius, int asked) {
        AirLoss loss = Looks.pumped(180).found(2, kpa, celsius).loss();
        assertThat(loss.unlogged()).hasSize(asked);
        loss.unlogged().forEach(found -> {
            assertThat(found.before().at()).isEqualTo(Looks.day(0));
            assertThat(found.after().at()).isEqualTo(Looks.day(2));
        });
    }

    /** Seven degrees either way explain more where nobody noted the temperature. */
    @Test
    void withoutATemperatureMoreIsExplained() {
        assertThat(Looks.pumped(180)
                        .found(2, 195)
                        .knownFrom(LeakReading.Warmth.UNKNOWN)
                        .loss()
                        .unlogged())
                .isEmpty();
        assertThat(Looks.pumped(180)
                        .found(2, 230)
                        .knownFrom(LeakReading.Warmth.UNKNOWN)
                        .loss()
                        .unlogged())
                .hasSize(1);
    }

    /** What was noted carries to 20 C by the gas law: 1.80 bar at 22 C reads 1.54 bar at -5 C. */
    @Test
    void readingsAreComparedAtOneTemperature() {
        LeakReading warm = reading(180, 22);
        LeakReading cold = reading(154.3, -5);
        assertThat(cold.at20(0).kpa()).isCloseTo(warm.at20(0).kpa(), within(0.2));
        assertThat(reading(1, 60).at20(0).kpa())
                .as("less than the air around it")
                .isZero();
    }

    private static LeakReading reading(double kpa, double celsius) {
        return LeakReading.noted(Looks.day(0), GaugePressure.kpa(kpa), Temperature.celsius(celsius));
    }

    /** Half a year and hundreds of readings are judged as their last third of a year. */
    @Test
    void olderReadingsAreLeftOut() {
        Looks looks = Looks.pumped(150);
        for (int day = 1; day <= 100; day++) {
            looks.found(day, 120).set(day + 0.003, 150);
        }
        for (int day = 101; day <= 225; day++) {
            looks.found(day, 148.2).set(day + 0.003, 150);
        }
        AirLoss loss = looks.loss();
        assertThat(loss.named()).isEqualTo(LeakClass.NORMAL);
        assertThat(loss.dueSince()).isEmpty();
        assertThat(loss.noise().degrees()).isLessThanOrEqualTo(8 + 60);
    }

    @ParameterizedTest
    @CsvSource({"207, 204, 90, 12", "124.1, 120.7, 170,"})
    void ordinaryReadingsSoonAfterEachOtherAreJudged(double first, double then, long minutes, Double celsius) {
        List<Turn> turns = List.of(
                turn(Duration.ZERO, first, celsius, false), turn(Duration.ofMinutes(minutes), then, celsius, false));
        assertThat(AirLoss.of(turns, Looks.BANDS, GaugeNoise.USUAL, 0).named()).isEqualTo(LeakClass.UNSURE);
        assertSense(turns);
    }

    private static Turn turn(Duration after, double kpa, Double celsius, boolean set) {
        return new Turn(
                LeakReading.noted(
                        Looks.day(0).plus(after),
                        GaugePressure.kpa(kpa),
                        celsius == null ? null : Temperature.celsius(celsius)),
                set);
    }

    /** Readings of 0 to 12 bar, seconds to years apart, equal, rising, falling, with and without temperature. */
    @Test
    void anyLogMakesSense() {
        Random random = new Random(19);
        for (int log = 0; log < 2000; log++) {
            List<Turn> turns = new ArrayList<>();
            double seconds = 0;
            double kpa = 10 + random.nextDouble() * 1190;
            int readings = 1 + random.nextInt(8);
            for (int i = 0; i < readings; i++) {
                kpa = switch (random.nextInt(5)) {
                    case 0 -> kpa;
                    case 1 -> 0;
                    case 2 -> kpa * random.nextDouble();
                    case 3 -> Math.min(1200, kpa * 1.02 + 0.1);
                    default -> random.nextDouble() * 1200;
                };
                seconds += Math.pow(10, random.nextDouble() * 8);
                Double celsius = random.nextBoolean() ? null : random.nextDouble() * 60 - 20;
                turns.add(turn(Duration.ofMillis(Math.round(1000 * seconds)), kpa, celsius, random.nextInt(4) == 0));
            }
            assertSense(turns);
        }
        assertSense(List.of());
    }

    private static void assertSense(List<Turn> turns) {
        for (SetupKind kind : SetupKind.values()) {
            AirLoss loss = AirLoss.of(turns, LeakBands.of(kind, true), GaugeNoise.USUAL, 300);
            assertThat(loss.named()).isNotNull();
            assertThat(loss.noise().square()).isPositive().isFinite();
            loss.readAgain();
            loss.rise().ifPresent(rise -> assertThat(rise.now()).isGreaterThan(rise.before()));
            loss.fits().forEach(fit -> assertThat(fit.at(fit.end()).kpa()).isPositive());
            loss.rate().ifPresent(rate -> {
                assertThat(rate.lowLossPerDay()).isPositive().isLessThanOrEqualTo(rate.lossPerDay());
                assertThat(rate.highLossPerDay()).isLessThan(1).isGreaterThanOrEqualTo(rate.lossPerDay());
                double all =
                        LeakClass.NAMED.stream().mapToDouble(rate::probability).sum();
                assertThat(all).isCloseTo(1, within(1e-9));
            });
            loss.outlook().ifPresent(outlook -> assertSense(outlook, turns));
        }
    }

    private static void assertSense(PressureOutlook outlook, List<Turn> turns) {
        Instant last = turns.get(turns.size() - 1).reading().at();
        for (int days : new int[] {0, 1, 60, 3650}) {
            outlook.expectedAt(last.plus(Duration.ofDays(days))).ifPresent(AirLossTest::assertOrdered);
            outlook.toSet(GaugePressure.kpa(190), Duration.ofDays(days)).ifPresent(AirLossTest::assertOrdered);
        }
        outlook.expectedAt(last.plus(Duration.ofDays(60)))
                .ifPresent(later -> assertThat(later.high().kpa())
                        .as("nobody pumps meanwhile")
                        .isLessThanOrEqualTo(outlook.lastAt20().kpa() * Math.exp(0.05) * (1 + 1e-12)));
        outlook.under(GaugePressure.kpa(100));
    }

    private static void assertOrdered(PressureOutlook.Expected expected) {
        assertThat(expected.low().kpa()).isLessThanOrEqualTo(expected.likely().kpa());
        assertThat(expected.likely().kpa()).isLessThanOrEqualTo(expected.high().kpa());
        assertThat(expected.high().kpa()).isLessThanOrEqualTo(GaugePressure.READING_KPA.maximum() * 1.06);
    }

    /** Bands of docs/handbook, page 6, said by somebody who is sure. */
    @ParameterizedTest
    @CsvSource({"0.025, NORMAL", "0.03, SLOW", "0.07, LEAK", "0.2, LEAK", "0.21, FAST", "1, FAST"})
    void aLossThatSomebodyIsSureOfHasItsClass(double loss, LeakClass named) {
        assertThat(Looks.BANDS.named(loss)).isEqualTo(named);
    }

    /** A butyl tube that loses 2 %/day has a slow leak, a latex one loses next to nothing. */
    @ParameterizedTest
    @CsvSource({"TUBELESS, NORMAL", "BUTYL_TUBE, SLOW", "TPU_TUBE, SLOW", "LATEX_TUBE, NORMAL"})
    void whatIsNormalDependsOnTheKind(SetupKind kind, LeakClass named) {
        List<Turn> turns = Looks.pumped(550).found(14, 550 * Math.pow(0.98, 14)).turns();
        assertThat(AirLoss.of(turns, LeakBands.of(kind, false), GaugeNoise.USUAL, 0)
                        .named())
                .isEqualTo(named);
    }

    /** A road tire at 80 psi that lost 10 psi in a week: 1.9 %/day, normal; from 25 psi 7 %/day, a leak. */
    @ParameterizedTest
    @CsvSource({"80, 1.9, NORMAL", "25, 7.0, LEAK"})
    void theSameLossIsMuchOrLittle(double psi, double percent, LeakClass named) {
        AirLoss loss = Looks.pumped(PressureUnit.PSI.toKpa(psi))
                .found(7, PressureUnit.PSI.toKpa(psi - 10))
                .loss();
        assertThat(100 * loss.rate().orElseThrow().lossPerDay()).isCloseTo(percent, within(0.25));
        assertThat(loss.named()).isEqualTo(named);
    }

    @Test
    void whatWasFittedIsDrawnThroughTheReadings() {
        AirLoss loss = sixWeeks().found(49, 118).loss();
        List<AirLoss.Fit> fits = loss.fits();
        assertThat(fits).hasSize(7);
        assertThat(fits.get(0).start()).isEqualTo(Looks.day(0));
        assertThat(fits.get(0).end()).isEqualTo(Looks.day(7));
        assertThat(fits.get(0).at(Looks.day(0)).kpa()).isCloseTo(150, within(1.0));
        assertThat(fits.get(0).at(Looks.day(7)).kpa()).isCloseTo(138, within(1.0));
        assertThat(fits.get(6).perDay()).isEqualTo(loss.rate().orElseThrow().perDay());
        assertThat(fits.get(5).perDay()).isCloseTo(0.012, within(5e-4));
        assertThat(Looks.pumped(150).loss().fits()).isEmpty();
    }

    @Test
    void fiveKilopascalAreFlatAndHalfADayIsNotAtOnce() {
        Looks unknown = Looks.pumped(150).found(0.4, 5).knownFrom(LeakReading.Warmth.UNKNOWN);
        assertThat(unknown.loss().sudden()).isPresent();
        assertThat(unknown.loss().dueSince()).contains(Looks.day(0.4));
        assertThat(Looks.pumped(150).found(0.5, 0).loss().foundFlat()).isPresent();
        assertThat(Looks.pumped(190).found(0.5, 14).loss().sudden()).isEmpty();
        assertThat(Looks.pumped(190).found(0.49, 14).loss().sudden()).isPresent();
    }

    /** At 40 kPa a gauge tells less: a quarter of it is its own doubt, a third is not; at 150 a sixth is not. */
    @Test
    void atLittlePressureMoreIsExplainedByTheGauge() {
        assertThat(Looks.pumped(60).found(0.1, 45).loss().sudden()).isEmpty();
        assertThat(Looks.pumped(60).found(0.1, 40).loss().sudden()).isPresent();
        assertThat(Looks.pumped(150).found(0.1, 131).loss().sudden()).isEmpty();
        assertThat(Looks.pumped(150).found(0.1, 128).loss().sudden()).isPresent();
        assertThat(GaugeNoise.ofLog(550)).isCloseTo(0.012, within(1e-12));
        assertThat(GaugeNoise.ofLog(100)).isCloseTo(0.025, within(1e-12));
    }

    /** What lies back more than a third of a year says nothing, however few readings there are. */
    @Test
    void readingsOfLastWinterAreLeftOut() {
        Looks looks = Looks.pumped(150).pairs(6, 5, 100).set(200, 150).found(207, 139);
        AirLoss loss = looks.loss();
        assertThat(loss.noise().degrees()).isEqualTo(8 + 1);
        assertThat(loss.rate().orElseThrow().perDay()).isLessThan(0.02);
        assertThat(loss.dueSince()).isEmpty();
    }

    /** One day of 17 % is no leak for sure, two are; one of 22 % is. */
    @Test
    void oneDatumIsEnoughOnlyWhereMuchWasLost() {
        Looks once = Looks.pumped(150).found(1, 124);
        assertThat(once.loss().rate().orElseThrow().leaks()).isGreaterThan(0.95);
        assertThat(once.loss().dueSince()).isEmpty();
        assertThat(once.set(1.003, 150).found(2, 124).loss().dueSince()).contains(Looks.day(2));
        assertThat(Looks.pumped(150).found(1, 120).loss().dueSince()).contains(Looks.day(1));
    }

    @Test
    void whatHappenedDidSoBeforeTheNextReading() {
        PaceRise rise = WORKED.get("six weeks, then 118").get().loss().rise().orElseThrow();
        assertThat(rise.since()).isIn(Looks.day(42), Looks.day(42.003));
        assertThat(rise.seen()).isEqualTo(Looks.day(49));
        assertThat(sixWeeks().loss().bands()).isEqualTo(Looks.BANDS);
    }

    @Test
    void whatIsUsualGrowsWithTheDays() {
        AirLoss.LastFall fall = sixWeeks().found(45, 146).loss().lastFall().orElseThrow();
        double days = 45 - 42.003;
        assertThat(fall.usual()).isCloseTo(1 - Math.exp(-0.0119 * days), within(5e-4));
        assertThat(Looks.pumped(150).loss().lastFall()).isEmpty();
        assertThat(Looks.pumped(150).found(1, 148).loss().lastFall()).isPresent();
    }

    /** 3 to 4 %/day is hardly more; 0.2 to 0.9 is not worth speaking of; of both the sums are beyond doubt. */
    @ParameterizedTest
    @CsvSource({"0.03, 0.04, 5000", "0.002, 0.009, 5000", "0.01, 0.02, 0"})
    void whatIsNotWorthSpeakingOfIsNotTold(double before, double then, double atLeast) {
        Looks looks = Looks.pumped(150);
        for (int week = 1; week <= 17; week++) {
            looks.found(7 * week, 150 * Math.exp(-7 * (week <= 9 ? before : then)))
                    .set(7 * week + 0.003, 150);
        }
        AirLoss loss = looks.loss();
        assertThat(loss.verdict().days()).isGreaterThan(5000);
        assertThat(loss.rise().isPresent()).isEqualTo(atLeast == 0);
    }

    /** What such tires usually lose stands in for readings, and what is worth speaking of goes with it. */
    @Test
    void whatIsUsualGoesWithTheKind() {
        List<Turn> soon = Looks.pumped(150).found(1 / 24.0, 149.9).turns();
        for (SetupKind kind : SetupKind.values()) {
            LeakBands bands = LeakBands.of(kind, false);
            double rate = AirLoss.of(soon, bands, GaugeNoise.USUAL, 0)
                    .rate()
                    .orElseThrow()
                    .perDay();
            assertThat(rate / 0.014).isCloseTo(bands.slow() / 0.025, within(0.15 * bands.slow() / 0.025));
        }
        Looks looks = Looks.pumped(150);
        for (int week = 1; week <= 17; week++) {
            looks.found(7 * week, 150 * Math.exp(-7 * (week <= 9 ? 0.003 : 0.009)))
                    .set(7 * week + 0.003, 150);
        }
        assertThat(looks.loss().rise())
                .as("six tenths of a percent of a tubeless tire")
                .isEmpty();
        assertThat(AirLoss.of(looks.turns(), LeakBands.of(SetupKind.BUTYL_TUBE, false), GaugeNoise.USUAL, 0)
                        .rise())
                .as("and of a tube")
                .isPresent();
        assertThat(AirLoss.of(looks.turns(), LeakBands.of(SetupKind.LATEX_TUBE, false), GaugeNoise.USUAL, 0)
                        .verdict()
                        .days())
                .as("latex is not looked at for so little")
                .isLessThan(looks.loss().verdict().days());
    }

    /** docs/handbook, page 6: the ends of the classes. */
    @Test
    void theBandsAreThoseOfTheTable() {
        LeakBands fresh = LeakBands.of(SetupKind.TUBELESS, true);
        assertThat(fresh.from(LeakClass.SLOW)).isEqualTo(0.05);
        assertThat(fresh.from(LeakClass.LEAK)).isEqualTo(0.10);
        assertThat(fresh.from(LeakClass.FAST)).isEqualTo(0.25);
        assertThat(fresh.scale()).isEqualTo(2);
        assertThat(LeakBands.of(SetupKind.BUTYL_TUBE, true)).isEqualTo(LeakBands.of(SetupKind.BUTYL_TUBE, false));
        assertThat(Looks.BANDS.from(LeakClass.NORMAL)).isEqualTo(Double.NEGATIVE_INFINITY);
        assertThat(Looks.BANDS.named(0.06)).isEqualTo(LeakClass.SLOW);
    }

    @Test
    void halfOfItIsGoneAfterTheHalfLife() {
        LossRate rate = sixWeeks().loss().rate().orElseThrow();
        assertThat(rate.halfLifeDays()).isCloseTo(Math.log(2) / rate.perDay(), within(1e-9));
        assertThat(Math.pow(1 - rate.lossPerDay(), rate.halfLifeDays())).isCloseTo(0.5, within(1e-9));
    }

    /** In a span that goes on the fit bends where the pace rose. */
    @Test
    void aRiseWithinASpanIsDrawnAsTwoFalls() {
        Looks looks = Looks.pumped(150).pairs(6, 7, 138);
        looks.set(42.01, 150).found(49, 138).found(51, 110).found(53, 88);
        AirLoss loss = looks.loss();
        List<AirLoss.Fit> fits = loss.fits();
        AirLoss.Fit last = fits.get(fits.size() - 1);
        AirLoss.Fit before = fits.get(fits.size() - 2);
        assertThat(last.start()).isEqualTo(loss.rise().orElseThrow().since()).isEqualTo(Looks.day(49));
        assertThat(last.end()).isEqualTo(Looks.day(53));
        assertThat(before.start()).isEqualTo(Looks.day(42.01));
        assertThat(before.end()).isEqualTo(Looks.day(49));
        assertThat(last.perDay()).isGreaterThan(5 * before.perDay());
        assertThat(last.at(Looks.day(51)).kpa()).isCloseTo(110, within(3.0));
        assertThat(loss.named()).isEqualTo(LeakClass.LEAK);
    }

    /** Between two inflations nobody pumped. */
    @Test
    void spansBeginWithAnInflation() {
        List<Turn> turns = Looks.pumped(150).found(1, 149).set(2, 150).turns();
        assertThat(Turn.spans(turns)).extracting(List::size).containsExactly(2, 1);
        assertThat(Turn.spans(turns.subList(1, 3))).extracting(List::size).containsExactly(1, 1);
        assertThat(Turn.spans(List.of())).isEmpty();
    }

    private static Optional<DueItem> due(UUID wheel, AirLoss loss, Instant worked) {
        return loss.dueSince().flatMap(since -> LeakLooks.of(wheel, since, loss.dueTold(), worked, ZoneOffset.UTC));
    }
}
