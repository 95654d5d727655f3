package org.stratopneum.core.leak;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.stratopneum.core.agenda.DueReason;
import org.stratopneum.core.agenda.LeakLooks;
import org.stratopneum.core.pressure.SetupKind;
import org.stratopneum.core.quantity.GaugePressure;
import org.stratopneum.core.quantity.Temperature;

/** What comes of a pace: when it is under the floor, what to set now, what nobody can explain, and what is due. */
class AheadTest {

    private static final Instant START = Instant.parse("2026-05-01T07:00:00Z");
    private static final double HEIGHT_M = 0;

    private static Turn read(double day, double kpa, Double celsius, boolean pumped) {
        return new Turn(
                new LeakReading(
                        START.plus(Duration.ofMinutes(Math.round(day * 24 * 60))),
                        GaugePressure.kpa(kpa),
                        celsius == null ? null : Temperature.celsius(celsius)),
                pumped);
    }

    /** 200 kPa, halved in ten days. */
    private static PressureOutlook halving() {
        return PressureOutlook.of(
                        List.of(
                                read(0, 200, 20.0, true),
                                read(5, 200 * Math.exp(-0.5 * Math.log(2)), 20.0, false),
                                read(10, 100, 20.0, false)),
                        HEIGHT_M)
                .orElseThrow();
    }

    /** Halves in ten days: 50 kPa ten days after 100, to the hour that it looks at. */
    @Test
    void whenItIsUnderAFloorFollowsFromTheHalfLife() {
        PressureOutlook.Under under = halving().under(GaugePressure.kpa(50)).orElseThrow();
        assertThat(Duration.between(START.plus(Duration.ofDays(20)), under.likely())
                        .abs())
                .isLessThanOrEqualTo(Duration.ofHours(2));
        assertThat(under.earliest()).isBefore(under.likely());
        assertThat(under.latest()).isAfter(under.likely());
    }

    @Test
    void aFloorThatIsPassedAlreadyIsPassedNow() {
        assertThat(halving().under(GaugePressure.kpa(150)).orElseThrow().likely())
                .isEqualTo(START.plus(Duration.ofDays(10)));
    }

    /** Five days before it is wanted: half a half-life more, a factor of the root of two. */
    @Test
    void whatToSetIsWhatItLosesUntilThen() {
        PressureFall.Expected set =
                halving().toSet(GaugePressure.kpa(190), Duration.ofDays(5)).orElseThrow();
        assertThat(set.likely().kpa()).isCloseTo(190 * Math.sqrt(2), within(0.01));
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
        PressureOutlook one =
                PressureOutlook.of(List.of(read(0, 200, 20.0, true)), HEIGHT_M).orElseThrow();
        assertThat(one.under(GaugePressure.kpa(100))).isEmpty();
        assertThat(one.toSet(GaugePressure.kpa(100), Duration.ofDays(1))).isEmpty();
    }

    /** Gay-Lussac: 180 kPa at 20 C are about 192 at 32 C; noted, the warmth explains the rise, and not noted nearly so. */
    @ParameterizedTest
    @CsvSource({"191.5, 32, false", "195, 20, true", "182, 20, false", "185, , false", "215, , true"})
    void aRiseIsAskedAboutWhereNothingExplainsIt(double kpa, Double celsius, boolean asked) {
        List<LeakReading> readings = List.of(
                read(0, 180, 20.0, true).reading(), read(2, kpa, celsius, false).reading());
        assertThat(UnexplainedRise.in(readings, HEIGHT_M).isPresent()).isEqualTo(asked);
    }

    private static Optional<LeakRate> rate(double loss, double days) {
        List<Turn> turns = List.of(
                read(0, 180, 20.0, true),
                read(days / 2, 180 * Math.pow(1 - loss, days / 2), 20.0, false),
                read(days, 180 * Math.pow(1 - loss, days), 20.0, false));
        return LeakRate.of(turns, LeakBands.of(SetupKind.TUBELESS, false), HEIGHT_M);
    }

    @ParameterizedTest
    @CsvSource({"0.01, 10, false", "0.04, 6, false", "0.10, 4, true", "0.30, 3, true"})
    void aLeakIsDueSinceTheWheelWasPumped(double loss, double days, boolean due) {
        UUID wheel = UUID.randomUUID();
        var item = LeakLooks.of(wheel, rate(loss, days), Optional.empty(), Optional.empty(), ZoneOffset.UTC);
        assertThat(item.isPresent()).isEqualTo(due);
        item.ifPresent(found -> {
            assertThat(found.reason()).isEqualTo(DueReason.LEAK);
            assertThat(found.due()).isEqualTo(LocalDate.of(2026, 5, 1));
        });
    }

    @Test
    void aPaceThatChangedIsDueSinceThenUnlessItIsSurelyNormal() {
        PaceChange change = new PaceChange(START.plus(Duration.ofDays(3)), 0.01, 0.05);
        UUID wheel = UUID.randomUUID();
        assertThat(LeakLooks.of(wheel, rate(0.04, 6), Optional.empty(), Optional.of(change), ZoneOffset.UTC)
                        .orElseThrow()
                        .due())
                .isEqualTo(LocalDate.of(2026, 5, 4));
        assertThat(LeakLooks.of(wheel, Optional.empty(), Optional.empty(), Optional.of(change), ZoneOffset.UTC))
                .isPresent();
        assertThat(LeakLooks.of(wheel, rate(0.01, 12), Optional.empty(), Optional.of(change), ZoneOffset.UTC))
                .as("the pace of the last span is normal again")
                .isEmpty();
    }

    /** Bands of docs/handbook, page 6, said by somebody who is sure. */
    @ParameterizedTest
    @CsvSource({"0.025, NORMAL", "0.03, SLOW", "0.07, LEAK", "0.2, LEAK", "0.21, FAST", "1, FAST"})
    void aLossThatSomebodyIsSureOfHasItsClass(double loss, LeakClass named) {
        assertThat(LeakBands.of(SetupKind.TUBELESS, false).named(loss)).isEqualTo(named);
    }
}
