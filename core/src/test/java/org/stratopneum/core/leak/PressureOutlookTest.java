package org.stratopneum.core.leak;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.Duration;
import java.time.Instant;
import java.util.Random;
import java.util.function.Function;
import org.junit.jupiter.api.Test;
import org.stratopneum.core.quantity.GaugePressure;

class PressureOutlookTest {

    /** 200 kPa, halved in ten days, and read often enough to be sure. */
    private static PressureOutlook halving() {
        Looks looks = Looks.pumped(200);
        for (int day = 1; day <= 10; day++) {
            looks.found(day, 200 * Math.pow(0.5, day / 10.0));
        }
        return looks.loss().outlook().orElseThrow();
    }

    /** Halves in ten days: 50 kPa ten days after 100. */
    @Test
    void whenItIsUnderAFloorFollowsFromTheHalfLife() {
        PressureOutlook.Under under = halving().under(GaugePressure.kpa(50)).orElseThrow();
        assertThat(Duration.between(Looks.day(20), under.likely()).abs()).isLessThanOrEqualTo(Duration.ofHours(8));
        assertThat(under.earliest()).isBefore(under.likely());
        assertThat(under.latest()).isAfter(under.likely());
    }

    @Test
    void aFloorThatIsPassedAlreadyIsPassedNow() {
        assertThat(halving().under(GaugePressure.kpa(150)).orElseThrow().likely())
                .isEqualTo(Looks.day(10));
        assertThat(halving().under(GaugePressure.kpa(1))).as("flat").isEmpty();
    }

    /** By chance: at the hour that is named it is expected below, an hour sooner not yet, with each end of the interval. */
    @Test
    void itIsUnderAFloorWhenTheExpectedPressureIs() {
        Random random = new Random(26);
        for (int i = 0; i < 300; i++) {
            double perDay = 0.2 * random.nextDouble();
            PressureOutlook outlook = new PressureOutlook(
                    Looks.day(0),
                    Math.log(200),
                    Math.log(200) + 0.02 * random.nextGaussian(),
                    0.1 * random.nextDouble(),
                    1e-4 * random.nextDouble(),
                    new LossPace(perDay, perDay * random.nextDouble(), perDay * (1 + random.nextDouble())));
            GaugePressure floor = GaugePressure.kpa(60 + 130 * random.nextDouble());
            outlook.under(floor).ifPresent(under -> {
                passes(outlook, floor, under.earliest(), PressureOutlook.Expected::low);
                passes(outlook, floor, under.likely(), PressureOutlook.Expected::likely);
                if (under.latest() != null) {
                    passes(outlook, floor, under.latest(), PressureOutlook.Expected::high);
                }
            });
        }
    }

    private static void passes(
            PressureOutlook outlook,
            GaugePressure floor,
            Instant at,
            Function<PressureOutlook.Expected, GaugePressure> end) {
        assertThat(end.apply(outlook.expectedAt(at).orElseThrow())).isLessThan(floor);
        if (at.isAfter(outlook.at())) {
            assertThat(end.apply(
                            outlook.expectedAt(at.minus(Duration.ofHours(1))).orElseThrow()))
                    .isGreaterThanOrEqualTo(floor);
        }
    }

    /** Five days before it is wanted: half a half-life more, a factor of the root of two. */
    @Test
    void whatToSetIsWhatItLosesUntilThen() {
        PressureOutlook.Expected set =
                halving().toSet(GaugePressure.kpa(190), Duration.ofDays(5)).orElseThrow();
        assertThat(set.likely().kpa()).isCloseTo(190 * Math.sqrt(2), within(3.0));
        assertThat(set.low().kpa()).isLessThan(set.likely().kpa());
        assertThat(set.high().kpa()).isGreaterThan(set.likely().kpa());
        assertThat(halving()
                        .toSet(GaugePressure.kpa(190), Duration.ZERO)
                        .orElseThrow()
                        .high()
                        .kpa())
                .isCloseTo(190, within(1e-9));
    }

    @Test
    void withoutAPaceNothingIsForetold() {
        PressureOutlook one = Looks.pumped(200).loss().outlook().orElseThrow();
        assertThat(one.under(GaugePressure.kpa(100))).isEmpty();
        assertThat(one.toSet(GaugePressure.kpa(100), Duration.ofDays(1))).isEmpty();
        assertThat(one.expectedAt(Looks.day(4))).isEmpty();
        assertThat(one.pace()).isNull();
        assertThat(one.lastAt20().kpa()).isCloseTo(200, within(1e-9));
        assertThat(one.at()).isEqualTo(Looks.day(0));
        assertThat(Looks.pumped(0).loss().outlook()).isEmpty();
    }

    /** Pumped an hour ago, the rate is that of the days before; the pressure is the one just read. */
    @Test
    void afterAnInflationTheDaysBeforeTell() {
        PressureOutlook outlook = Looks.pumped(160)
                .pairs(4, 7, 160 * Math.exp(-0.014 * 7))
                .set(28.01, 165)
                .loss()
                .outlook()
                .orElseThrow();
        PressureOutlook.Expected soon = outlook.expectedAt(Looks.day(28.01)).orElseThrow();
        assertThat(soon.likely().kpa()).isCloseTo(165, within(0.5));
        PressureOutlook.Expected later = outlook.expectedAt(Looks.day(38.01)).orElseThrow();
        double perDay = outlook.pace().perDay();
        assertThat(later.likely().kpa()).isCloseTo(soon.likely().kpa() * Math.exp(-10 * perDay), within(1e-6));
        assertThat(later.high().kpa() - later.low().kpa())
                .isGreaterThan(soon.high().kpa() - soon.low().kpa());
    }

    /** After a rise it is the new pace that counts. */
    @Test
    void afterARiseOnlyTheNewPaceIsCarriedOn() {
        AirLoss loss = Looks.pumped(150).pairs(6, 7, 138).found(49, 76).loss();
        PressureOutlook.Expected then =
                loss.outlook().orElseThrow().expectedAt(Looks.day(51)).orElseThrow();
        assertThat(then.likely().kpa()).isBetween(60.0, 67.0);
    }

    /** Wheels read with the noise that the model assumes: the 80 % band holds the truth about that often. */
    @Test
    void theBandHoldsTheTruthAsOftenAsItSays() {
        Random random = new Random(20_605);
        int held = 0;
        int wheels = 400;
        for (int wheel = 0; wheel < wheels; wheel++) {
            double k = 0.014 * Math.exp(0.7 * random.nextGaussian());
            double kpa = 160;
            Looks looks = Looks.pumped(kpa + noise(random, kpa));
            for (int day = 3; day <= 12; day += 3) {
                kpa *= Math.exp(-3 * k);
                looks.found(day, kpa + noise(random, kpa));
                if (day == 6) {
                    kpa = 160;
                    looks.set(6.003, kpa + noise(random, kpa));
                }
            }
            Instant later = Looks.day(15);
            PressureOutlook.Expected then =
                    looks.loss().outlook().orElseThrow().expectedAt(later).orElseThrow();
            double truth = kpa * Math.exp(-3 * k);
            held += truth >= then.low().kpa() && truth <= then.high().kpa() ? 1 : 0;
        }
        assertThat(held / (double) wheels).isBetween(0.74, 0.88);
    }

    /** A gauge's 2.5 kPa, and a temperature that is off by 1.5 C. */
    private static double noise(Random random, double kpa) {
        return 2.5 * random.nextGaussian() + 1.5 * (kpa + 101.3) / 293 * random.nextGaussian();
    }
}
