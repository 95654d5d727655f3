package org.stratopneum.core.leak;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.stratopneum.core.agenda.DueReason;
import org.stratopneum.core.agenda.LeakLooks;
import org.stratopneum.core.pressure.SetupKind;
import org.stratopneum.core.quantity.GaugePressure;
import org.stratopneum.core.quantity.PressureUnit;
import org.stratopneum.core.quantity.Temperature;

/** Whatever was read, however soon after: what is said of it makes sense, or nothing is said. */
class AnyReadingsTest {

    private static final Instant START = Instant.parse("2026-03-02T07:00:00Z");
    private static final LeakBands BANDS = LeakBands.of(SetupKind.TUBELESS, false);

    private static Turn turn(Duration after, double kpa, Double celsius, boolean set) {
        return new Turn(
                new LeakReading(
                        START.plus(after),
                        GaugePressure.kpa(kpa),
                        celsius == null ? null : Temperature.celsius(celsius)),
                set);
    }

    @Test
    void twoOrdinaryReadingsAnHourAndAHalfApartAreJudged() {
        List<Turn> turns =
                List.of(turn(Duration.ZERO, 207, 12.0, false), turn(Duration.ofMinutes(90), 204, 12.0, false));
        assertThat(LeakRate.of(turns, BANDS, 0).orElseThrow().named()).isEqualTo(LeakClass.UNSURE);
        assertSense(turns);
    }

    @Test
    void soAreTwoWithoutATemperature() {
        List<Turn> turns = List.of(
                turn(Duration.ZERO, PressureUnit.PSI.toKpa(18), null, false),
                turn(Duration.ofMinutes(170), PressureUnit.PSI.toKpa(17.5), null, false));
        assertThat(LeakRate.of(turns, BANDS, 0)).isPresent();
        assertSense(turns);
    }

    @Test
    void flatInTenMinutesIsAHoleAndNoRate() {
        List<Turn> turns = List.of(turn(Duration.ZERO, 190, null, true), turn(Duration.ofMinutes(10), 14, null, false));
        assertThat(LeakRate.of(turns, BANDS, 0)).isEmpty();
        assertThat(PressureOutlook.of(turns, 0).orElseThrow().toSet(GaugePressure.kpa(190), Duration.ofDays(2)))
                .isEmpty();
        Optional<WentFlat> flat = WentFlat.in(Turn.spans(turns).get(0));
        assertThat(flat.orElseThrow().within()).isEqualTo(Duration.ofMinutes(10));
        assertThat(LeakLooks.of(UUID.randomUUID(), Optional.empty(), flat, Optional.empty(), ZoneOffset.UTC)
                        .orElseThrow()
                        .reason())
                .isEqualTo(DueReason.LEAK);
        assertSense(turns);
    }

    /** A gauge's own doubt, half a day, and a wheel that was pumped are no sudden loss. */
    @Test
    void nothingElseIsCalledFlat() {
        assertThat(flat(turn(Duration.ZERO, 190, 20.0, true), turn(Duration.ofHours(2), 175, 20.0, false)))
                .isEmpty();
        assertThat(flat(turn(Duration.ZERO, 190, 20.0, true), turn(Duration.ofHours(13), 14, 20.0, false)))
                .isEmpty();
        assertThat(flat(turn(Duration.ZERO, 14, 20.0, true), turn(Duration.ofHours(1), 190, 20.0, false)))
                .isEmpty();
        assertThat(flat(turn(Duration.ZERO, 190, 20.0, true), turn(Duration.ofHours(11), 0, 20.0, false)))
                .isPresent();
    }

    private static Optional<WentFlat> flat(Turn... turns) {
        return WentFlat.in(List.of(turns).stream().map(Turn::reading).toList());
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
    }

    private static void assertSense(List<Turn> turns) {
        LeakRate.of(turns, BANDS, 300).ifPresent(rate -> {
            assertThat(rate.named()).isNotNull();
            assertThat(rate.fall().sigma()).isPositive().isFinite();
            rate.below(100);
        });
        PaceChange.between(Turn.spans(turns), 300);
        List<LeakReading> readings = turns.stream().map(Turn::reading).toList();
        UnexplainedRise.in(readings, 300);
        WentFlat.in(readings);
        PressureOutlook.of(turns, 300).ifPresent(outlook -> {
            Instant last = turns.get(turns.size() - 1).reading().at();
            for (int days : new int[] {0, 1, 60, 3650}) {
                outlook.expectedAt(last.plus(Duration.ofDays(days))).ifPresent(AnyReadingsTest::assertOrdered);
                outlook.toSet(GaugePressure.kpa(190), Duration.ofDays(days)).ifPresent(AnyReadingsTest::assertOrdered);
            }
            outlook.expectedAt(last.plus(Duration.ofDays(60)))
                    .ifPresent(later -> assertThat(later.high().kpa())
                            .as("nobody pumps meanwhile")
                            .isLessThanOrEqualTo(outlook.expectedAt(last)
                                    .orElseThrow()
                                    .high()
                                    .kpa()));
            outlook.under(GaugePressure.kpa(100));
        });
    }

    private static void assertOrdered(PressureFall.Expected expected) {
        assertThat(expected.low().kpa()).isLessThanOrEqualTo(expected.likely().kpa());
        assertThat(expected.likely().kpa()).isLessThanOrEqualTo(expected.high().kpa());
        assertThat(expected.high().kpa()).isLessThanOrEqualTo(GaugePressure.READING_KPA.maximum() * (1 + 1e-12));
    }
}
