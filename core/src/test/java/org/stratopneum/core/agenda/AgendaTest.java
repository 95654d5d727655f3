package org.stratopneum.core.agenda;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.stratopneum.core.pressure.PressureWindow;
import org.stratopneum.core.pressure.SetupKind;
import org.stratopneum.core.quantity.GaugePressure;

class AgendaTest {

    private static final UUID REAR = new UUID(0, 1);
    private static final LocalDate FITTED = LocalDate.of(2026, 3, 1);
    private static final LocalDate READ = LocalDate.of(2026, 5, 20);
    private static final PressureWindow WINDOW = new PressureWindow(GaugePressure.kpa(130), GaugePressure.kpa(175));

    /** Worked by hand: ln(150/130) / -ln(1 - loss), whole days; losses are those that are still normal. */
    @ParameterizedTest
    @CsvSource({"TUBELESS, 150, 5", "BUTYL_TUBE, 150, 9", "TPU_TUBE, 150, 9", "LATEX_TUBE, 150, 1", "TUBELESS, 170, 10"
    })
    void theNextLookIsBeforeANormalWheelHasLeftTheWindow(SetupKind kind, double kpa, int days) {
        DueItem item = only(wheel(kind, READ, kpa));
        assertThat(item.reason()).isEqualTo(DueReason.PRESSURE_LOOK);
        assertThat(ChronoUnit.DAYS.between(READ, item.due())).isEqualTo(days);
    }

    @Test
    void whatLiesOutsideTheWindowIsDueAtOnce() {
        assertThat(only(wheel(SetupKind.TUBELESS, READ, 129.9)))
                .isEqualTo(new DueItem(REAR, DueReason.BELOW_WINDOW, READ));
        assertThat(only(wheel(SetupKind.TUBELESS, READ, 175.1)))
                .isEqualTo(new DueItem(REAR, DueReason.ABOVE_WINDOW, READ));
    }

    @Test
    void aWheelThatWasNeverReadIsDueSinceItWasFitted() {
        DueItem item = only(new WheelPressure(REAR, SetupKind.TUBELESS, FITTED, null, null, WINDOW));
        assertThat(item).isEqualTo(new DueItem(REAR, DueReason.FIRST_READING, FITTED));
    }

    /** Common practice, no source: a fresh tubeless set-up is looked at before each ride for two weeks. */
    @Test
    void aFreshTubelessSetUpIsLookedAtEveryDayForAFortnight() {
        for (int day = 0; day < 20; day++) {
            LocalDate read = FITTED.plusDays(day);
            DueItem item =
                    only(new WheelPressure(REAR, SetupKind.TUBELESS, FITTED, read, GaugePressure.kpa(150), WINDOW));
            assertThat(item.reason())
                    .as("read on day %d", day)
                    .isEqualTo(day < 14 ? DueReason.SETTLING : DueReason.PRESSURE_LOOK);
        }
        DueItem tube =
                only(new WheelPressure(REAR, SetupKind.BUTYL_TUBE, FITTED, FITTED, GaugePressure.kpa(150), WINDOW));
        assertThat(tube.reason()).isEqualTo(DueReason.PRESSURE_LOOK);
    }

    /** Property: more air never makes a look due earlier, and no reading is trusted for more than a month. */
    @ParameterizedTest
    @EnumSource(SetupKind.class)
    void moreAirNeverMakesALookDueEarlier(SetupKind kind) {
        PressureWindow wide = new PressureWindow(GaugePressure.kpa(50), GaugePressure.kpa(500));
        LocalDate before = READ;
        for (double kpa = 50; kpa <= 500; kpa += 5) {
            LocalDate due = only(new WheelPressure(REAR, kind, FITTED, READ, GaugePressure.kpa(kpa), wide))
                    .due();
            assertThat(due).isAfterOrEqualTo(before).isAfter(READ).isBeforeOrEqualTo(READ.plusDays(30));
            before = due;
        }
    }

    @Test
    void withoutAWindowNothingIsJudged() {
        assertThat(PressureLooks.of(
                        new WheelPressure(REAR, SetupKind.TUBELESS, FITTED, READ, GaugePressure.kpa(1), null)))
                .isEmpty();
        assertThatThrownBy(() -> new WheelPressure(REAR, SetupKind.TUBELESS, FITTED, READ, null, WINDOW))
                .isInstanceOf(IllegalArgumentException.class);
    }

    /** What a wheel likely holds counts once it has left the window below, and never for more than was read. */
    @ParameterizedTest
    @CsvSource({"150, 129, 129", "150, 131, 150", "120, 125, 120", "150, , 150"})
    void aWheelIsJudgedByWhatIsLikelyLeft(double read, Double likely, double judged) {
        Optional<GaugePressure> now = Optional.ofNullable(likely).map(GaugePressure::kpa);
        assertThat(PressureLooks.judged(GaugePressure.kpa(read), now, WINDOW)).isEqualTo(GaugePressure.kpa(judged));
        assertThat(PressureLooks.judged(GaugePressure.kpa(read), now, null)).isEqualTo(GaugePressure.kpa(read));
    }

    private static WheelPressure wheel(SetupKind kind, LocalDate read, double kpa) {
        return new WheelPressure(REAR, kind, FITTED, read, GaugePressure.kpa(kpa), WINDOW);
    }

    private static DueItem only(WheelPressure wheel) {
        List<DueItem> items = PressureLooks.of(wheel);
        assertThat(items).hasSize(1);
        return items.get(0);
    }
}
