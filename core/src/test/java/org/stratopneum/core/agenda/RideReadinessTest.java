package org.stratopneum.core.agenda;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.stratopneum.core.check.InvalidInputException;

class RideReadinessTest {

    private static final UUID WHEEL = UUID.randomUUID();
    private static final LocalDate SATURDAY = LocalDate.of(2026, 6, 6);

    private static DueItem due(DueReason reason, LocalDate on) {
        return new DueItem(WHEEL, reason, on);
    }

    @ParameterizedTest
    @EnumSource
    void whatIsDueAfterTheRideCanWait(DueReason reason) {
        assertThat(RideReadiness.of(List.of(due(reason, SATURDAY.plusDays(1))), SATURDAY))
                .isEmpty();
        assertThat(RideReadiness.of(List.of(due(reason, SATURDAY)), SATURDAY)).hasSize(1);
        assertThat(RideReadiness.of(List.of(due(reason, SATURDAY.minusDays(90))), SATURDAY))
                .hasSize(1);
    }

    /** Common practice, no source: fresh sealant stands overnight; a hold test that stands is read before it is ridden. */
    @Test
    void whatMustBeDoneComesFirstAndWhatStandsOvernightIsDoneTheDayBefore() {
        List<RideReadiness.Before> before = RideReadiness.of(
                List.of(
                        due(DueReason.PREVENTION_LOOK, SATURDAY.minusDays(20)),
                        due(DueReason.SEALANT_REFRESH, SATURDAY.minusDays(2)),
                        due(DueReason.HOLD_TEST, SATURDAY.minusDays(1)),
                        due(DueReason.BELOW_WINDOW, SATURDAY.minusDays(3))),
                SATURDAY);
        assertThat(before)
                .extracting(found -> found.item().reason())
                .containsExactly(
                        DueReason.HOLD_TEST,
                        DueReason.BELOW_WINDOW,
                        DueReason.SEALANT_REFRESH,
                        DueReason.PREVENTION_LOOK);
        assertThat(before)
                .extracting(RideReadiness.Before::standing)
                .containsExactly(
                        RideReadiness.Standing.MUST,
                        RideReadiness.Standing.MUST,
                        RideReadiness.Standing.BETTER,
                        RideReadiness.Standing.BETTER);
        assertThat(before.get(2).latest()).isEqualTo(SATURDAY.minusDays(1));
        assertThat(before.get(3).latest()).isEqualTo(SATURDAY);
    }

    @Test
    void preventionLooksComeAfterTheLastOne() {
        assertThat(PreventionLooks.next(WHEEL, SATURDAY, 7))
                .isEqualTo(new DueItem(
                        WHEEL,
                        DueReason.PREVENTION_LOOK,
                        SATURDAY.plusDays(7),
                        SATURDAY.plusDays(6),
                        SATURDAY.plusDays(8)));
        assertThatThrownBy(() -> PreventionLooks.next(WHEEL, SATURDAY, 0)).isInstanceOf(InvalidInputException.class);
        assertThatThrownBy(() -> PreventionLooks.next(WHEEL, SATURDAY, 366)).isInstanceOf(InvalidInputException.class);
    }
}
