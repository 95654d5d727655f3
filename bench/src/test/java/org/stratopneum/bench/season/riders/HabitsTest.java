package org.stratopneum.bench.season.riders;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.mockito.Mockito;
import org.stratopneum.bench.season.riders.Shed.Ride;
import org.stratopneum.bench.season.riders.Shed.Wheel;
import org.stratopneum.core.pressure.Casing;
import org.stratopneum.core.pressure.DropSchool;
import org.stratopneum.core.pressure.Ground;
import org.stratopneum.core.pressure.GroundMix;
import org.stratopneum.core.pressure.Setup;
import org.stratopneum.core.pressure.SetupKind;
import org.stratopneum.core.sealant.DryingClimate;
import org.stratopneum.core.tire.TireOnRim;

/** What each rider does with what a shed shows; no truth stands behind it here. */
class HabitsTest {

    private static final LocalDate FIRST = LocalDate.of(2026, 1, 1);
    private static final Ride RIDE = new Ride(0, 20, Ground.FOREST_TRACK);

    private final Wheel wheel = wheel(57, 45, 280);
    private final Shed shed = Mockito.mock(Shed.class);
    private final List<LocalDate> poured = new ArrayList<>();
    private final List<LocalDate> dipped = new ArrayList<>();
    private LocalDate today = FIRST;
    private double depthMm = 12;

    private static Wheel wheel(double mm, double loadKg, double mostKpa) {
        return new Wheel(
                new UUID(0, 1),
                0,
                true,
                TireOnRim.onMeasuringRim(mm, 622),
                new Setup(SetupKind.TUBELESS, false, Casing.STANDARD, false, mostKpa, null, null, true),
                loadKg,
                new org.stratopneum.core.pressure.Ride(
                        DropSchool.BALANCED,
                        new GroundMix(new EnumMap<>(Map.of(Ground.FOREST_TRACK, 1.0))),
                        false,
                        false));
    }

    @BeforeEach
    void openTheShed() {
        Mockito.when(shed.wheels()).thenReturn(List.of(wheel));
        Mockito.when(shed.today()).thenAnswer(asked -> today);
        Mockito.when(shed.celsius()).thenReturn(20.0);
        Mockito.when(shed.air()).thenReturn(DryingClimate.same(20, 0.5));
        Mockito.when(shed.read(wheel)).thenReturn(170.0);
        Mockito.when(shed.thumb(wheel)).thenReturn(170.0);
        Mockito.when(shed.dip(wheel)).thenAnswer(asked -> {
            dipped.add(today);
            return depthMm;
        });
        Mockito.doAnswer(asked -> poured.add(today)).when(shed).pour(Mockito.eq(wheel), Mockito.anyDouble());
    }

    private void pass(Rider rider, int days, boolean rides) {
        today = FIRST;
        rider.fitted(shed, wheel);
        for (int day = 0; day < days; day++) {
            today = FIRST.plusDays(day);
            if (rides) {
                rider.before(shed, RIDE);
                rider.after(shed, RIDE, Map.of(wheel, Shed.Felt.RIGHT), List.of());
            }
            rider.evening(shed);
        }
    }

    /** Such charts go by straight lines between widths, and by weight: 28 psi at 50 mm for 45 kg on the wheel, by hand. */
    @ParameterizedTest
    @CsvSource({"50, 45, 193", "57, 45, 165.5", "57, 30, 132.4", "25, 45, 280"})
    void aChartGoesByWeightAndWidthAndNeverOverWhatIsPrinted(double mm, double loadKg, double kpa) {
        assertThat(Habits.chartKpa(wheel(mm, loadKg, 280))).isCloseTo(kpa, within(0.5));
    }

    @Test
    void whoHasAReminderPoursEveryThreeMonths() {
        pass(Habits.chart(true, new Random(1)), 365, false);
        assertThat(poured).hasSize(3);
        assertThat(poured.get(0))
                .isBetween(FIRST.plusMonths(3), FIRST.plusMonths(3).plusDays(5));
        assertThat(dipped).isEmpty();
    }

    @Test
    void aThumbPumpsWhatFeelsSoftAlone() {
        pass(Habits.thumb(new Random(1)), 30, true);
        Mockito.verify(shed, Mockito.never()).read(wheel);
        Mockito.verify(shed, Mockito.never()).pump(Mockito.eq(wheel), Mockito.anyDouble());
        Mockito.when(shed.thumb(wheel)).thenReturn(60.0);
        pass(Habits.thumb(new Random(1)), 1, true);
        Mockito.verify(shed).pump(Mockito.eq(wheel), Mockito.anyDouble());
    }

    /** docs/handbook, page 5: a standard dose wants a look after 69 days; a doubtful dip is followed by a refresh. */
    @Test
    void whoObeysLooksWhenItIsDueAndRefreshesWhereThatLeavesDoubt() {
        pass(new WithApplication(Obedience.PERFECT, true, new Random(1)), 68, false);
        assertThat(dipped).isEmpty();
        depthMm = 9;
        pass(new WithApplication(Obedience.PERFECT, true, new Random(1)), 90, false);
        assertThat(dipped).hasSize(1);
        assertThat(dipped.get(0)).isBetween(FIRST.plusDays(66), FIRST.plusDays(72));
        assertThat(poured).isEqualTo(dipped);
    }

    @Test
    void whoIsThereForARideLooksSoonerAndWhoIsNotLater() {
        pass(new WithApplication(Obedience.PERFECT, false, new Random(1)), 100, true);
        pass(new WithApplication(Obedience.PERFECT, false, new Random(1)), 100, false);
        assertThat(dipped.get(0)).isBefore(FIRST.plusDays(68));
        assertThat(dipped.get(dipped.size() - 1)).isAfter(FIRST.plusDays(72));
    }

    @Test
    void whoDoesNothingTheApplicationSaysDipsNothing() {
        pass(new WithApplication(new Obedience(1, 0, 1, 0, 0), false, new Random(1)), 300, true);
        assertThat(dipped).isEmpty();
        assertThat(poured).isEmpty();
    }
}
