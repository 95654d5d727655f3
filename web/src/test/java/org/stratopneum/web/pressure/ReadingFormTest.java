package org.stratopneum.web.pressure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.Instant;
import java.time.ZoneId;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.stratopneum.core.check.Problem;
import org.stratopneum.core.check.Problems;
import org.stratopneum.core.fit.RimBed;
import org.stratopneum.core.pressure.DropSchool;
import org.stratopneum.core.pressure.Ground;
import org.stratopneum.core.pressure.Posture;
import org.stratopneum.core.quantity.GaugePressure;
import org.stratopneum.core.quantity.PressureUnit;
import org.stratopneum.web.fleet.bikes.BikeRider;
import org.stratopneum.web.fleet.bikes.BikeState;
import org.stratopneum.web.fleet.bikes.HandGauge;
import org.stratopneum.web.fleet.bikes.LearnedPressure;
import org.stratopneum.web.fleet.bikes.TireClearance;
import org.stratopneum.web.fleet.bikes.WheelLoads;
import org.stratopneum.web.fleet.bikes.WheelPosition;
import org.stratopneum.web.fleet.bikes.WheelState;

class ReadingFormTest {

    private static final Instant NOW = Instant.parse("2026-05-10T10:00:00Z");
    private static final ZoneId ZONE = ZoneId.of("Europe/Vienna");

    private final Problems problems = new Problems();

    @Test
    void onlyTheWheelThatWasTypedIsRead() {
        ReadingForm.Readings read = read(Map.of("rear", "1,85", "front", " ", "unit", "BAR", "state", "SET"))
                .orElseThrow();
        assertThat(read.wheels()).containsOnlyKeys(WheelPosition.REAR);
        assertThat(read.wheels().get(WheelPosition.REAR).kpa()).isCloseTo(185, within(1e-9));
        assertThat(read.afterInflation()).isTrue();
        assertThat(read.at()).isNull();
    }

    @Test
    void aTypedMomentIsInTheRidersZone() {
        ReadingForm.Readings read = read(Map.of("front", "20", "unit", "PSI", "at", "2026-05-10T07:30"))
                .orElseThrow();
        assertThat(read.at()).isEqualTo(Instant.parse("2026-05-10T05:30:00Z"));
    }

    @ParameterizedTest
    @EnumSource(PressureUnit.class)
    void theLimitIsSaidInTheUnitThatWasTypedAndNeverAboveOurs(PressureUnit unit) {
        assertThat(read(Map.of("rear", "99999", "unit", unit.name()))).isEmpty();
        Problem problem = problems.list().get(0);
        assertThat(problem.field()).isEqualTo("rear");
        assertThat(unit.toKpa(problem.limit())).isLessThanOrEqualTo(GaugePressure.TIRE_KPA.maximum() + 1e-6);
        assertThat(read(Map.of("rear", problem.limit().toString(), "unit", unit.name())))
                .isPresent();
    }

    @Test
    void everyFaultIsFoundAtOnce() {
        assertThat(read(Map.of("rear", "x", "front", "-1", "unit", "PSI", "at", "soon", "temperature", "999")))
                .isEmpty();
        assertThat(problems.list())
                .extracting(Problem::field)
                .containsExactlyInAnyOrder("rear", "front", "at", "temperature");
    }

    @Test
    void aWheelThatIsNotInTheBikeCannotBeRead() {
        BikeState unicycle = bike(wheel(WheelPosition.REAR), null);
        ReadingForm form = ReadingForm.typed(Map.of("rear", "30", "front", "30", "unit", "PSI"));
        assertThat(form.readings(problems, unicycle, Optional.empty(), ZONE, NOW))
                .isEmpty();
        assertThat(problems.list()).containsExactly(Problem.of("front", "no-wheel"));
    }

    private Optional<ReadingForm.Readings> read(Map<String, String> typed) {
        BikeState bike = bike(wheel(WheelPosition.REAR), wheel(WheelPosition.FRONT));
        return ReadingForm.typed(typed).readings(problems, bike, Optional.empty(), ZONE, NOW);
    }

    private static BikeState bike(WheelState rear, WheelState front) {
        return new BikeState(
                UUID.randomUUID(),
                "Test bike",
                Posture.ROAD,
                BikeRider.keeper(70.0),
                WheelLoads.NEVER,
                new BikeState.Masses(10, 3, 0, 0, 0),
                DropSchool.BALANCED,
                false,
                Map.of(Ground.SMOOTH_PAVEMENT, 1.0),
                UUID.randomUUID(),
                "Set",
                new TireClearance(null, null),
                HandGauge.NONE,
                null,
                rear,
                front);
    }

    private static WheelState wheel(WheelPosition position) {
        return new WheelState(
                UUID.randomUUID(),
                position,
                new WheelState.Rim(
                        UUID.randomUUID(), "Rim", 21, 622, null, false, RimBed.TAPED, null, null, null, false),
                Optional.empty(),
                Optional.empty(),
                LearnedPressure.NOTHING);
    }
}
