package org.stratopneum.core.agenda;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.stratopneum.core.sealant.DryingClimate;
import org.stratopneum.core.sealant.Schedule;
import org.stratopneum.core.sealant.SealantEvent;
import org.stratopneum.core.sealant.SealantForecast;
import org.stratopneum.core.tire.TireOnRim;

class SealantLooksTest {

    private static final UUID WHEEL = UUID.randomUUID();
    private static final LocalDate FILLED = LocalDate.of(2026, 3, 1);

    private static List<DueItem> on(int day) {
        return on(day, FILLED.plusDays(day));
    }

    private static List<DueItem> on(int day, LocalDate coreServiced) {
        LocalDate today = FILLED.plusDays(day);
        SealantForecast forecast = SealantForecast.of(
                new SealantForecast.Tire(TireOnRim.onMeasuringRim(60, 622).section(), 33.8, 1),
                DryingClimate.same(20, 0.5),
                List.of(new SealantEvent.Filled(FILLED, 101.46, true)),
                today);
        return SealantLooks.of(WHEEL, new Schedule.Measured(), forecast, coreServiced, today);
    }

    /** docs/handbook, page 5: a look after 69 days, a refresh after 122; days do not move while nothing new is known. */
    @Test
    void aLookComesFirstAndThenTheRefreshTakesItsPlace() {
        for (int day : new int[] {0, 40, 68, 90, 120}) {
            assertThat(on(day, LocalDate.MAX))
                    .as("day " + day)
                    .extracting(DueItem::reason)
                    .containsExactly(DueReason.SEALANT_LOOK, DueReason.SEALANT_REFRESH);
            assertThat(on(day).get(0).due()).isBetween(FILLED.plusDays(68), FILLED.plusDays(70));
            assertThat(on(day).get(1).due()).isBetween(FILLED.plusDays(121), FILLED.plusDays(123));
        }
        assertThat(on(124)).extracting(DueItem::reason).containsExactly(DueReason.SEALANT_REFRESH);
        assertThat(on(300)).extracting(DueItem::reason).containsExactly(DueReason.SEALANT_REFRESH);
    }

    /** docs/handbook, page 5: the core is washed or renewed at each refresh. */
    @Test
    void theCoreIsServicedWithTheRefreshUnlessItWasJustBefore() {
        DueItem refresh = on(0, LocalDate.MAX).get(1);
        DueItem service = new DueItem(WHEEL, DueReason.CORE_SERVICE, refresh.due(), refresh.from(), refresh.until());
        assertThat(on(0, null)).contains(service);
        assertThat(on(0, FILLED)).contains(service);
        assertThat(on(0, refresh.due().minusDays(29)))
                .extracting(DueItem::reason)
                .doesNotContain(DueReason.CORE_SERVICE);
    }

    /** docs/handbook, page 5: what came with a tire is looked at that day by every schedule, and once only. */
    @Test
    void whatCameWithATireIsLookedAtThatDay() {
        SealantForecast.Tire tire =
                new SealantForecast.Tire(TireOnRim.onMeasuringRim(60, 622).section(), 33.8, 1);
        SealantEvent found = new SealantEvent.Found(FILLED);
        SealantEvent dip = new SealantEvent.Dipped(FILLED, 18);
        for (Schedule schedule : List.of(new Schedule.Measured(), new Schedule.EveryMonths(4))) {
            SealantForecast unknown =
                    SealantForecast.of(tire, DryingClimate.same(20, 0.5), List.of(found), FILLED.plusDays(9));
            assertThat(SealantLooks.of(WHEEL, schedule, unknown, LocalDate.MAX, FILLED.plusDays(9)))
                    .filteredOn(item -> item.reason() == DueReason.SEALANT_LOOK)
                    .containsExactly(new DueItem(WHEEL, DueReason.SEALANT_LOOK, FILLED));
            SealantForecast seen = SealantForecast.of(tire, DryingClimate.same(20, 0.5), List.of(found, dip), FILLED);
            assertThat(SealantLooks.of(WHEEL, schedule, seen, LocalDate.MAX, FILLED))
                    .doesNotContain(new DueItem(WHEEL, DueReason.SEALANT_LOOK, FILLED));
        }
    }
}
