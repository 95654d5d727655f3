package org.stratopneum.core.agenda;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.Set;
import java.util.TreeSet;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class ShedTripTest {

    private static final LocalDate TODAY = LocalDate.of(2026, 5, 20);
    private static final int DAYS = 12;
    private static final UUID REAR = new UUID(0, 1);
    private static final UUID FRONT = new UUID(0, 2);

    private static DueItem item(UUID wheel, DueReason reason, int from, int due, int until) {
        return new DueItem(wheel, reason, TODAY.plusDays(due), TODAY.plusDays(from), TODAY.plusDays(until));
    }

    private static List<ShedTrip> plan(Set<LocalDate> anyway, DueItem... items) {
        return ShedTrip.plan(List.of(items), anyway, TODAY, TODAY.plusDays(DAYS));
    }

    @Test
    void whatCanWaitIsDoneWithWhatCannot() {
        DueItem waits = item(REAR, DueReason.SEALANT_LOOK, -5, 0, 9);
        DueItem cannot = item(FRONT, DueReason.SEALANT_REFRESH, 1, 4, 4);
        DueItem later = item(FRONT, DueReason.PREVENTION_LOOK, 3, 20, 25);
        assertThat(plan(Set.of(), waits, cannot, later))
                .containsExactly(new ShedTrip(TODAY.plusDays(4), List.of(waits, cannot, later)));
        assertThat(plan(Set.of(), later))
                .as("nobody goes for what is so far off")
                .isEmpty();
    }

    @Test
    void aRideIsATripThatIsMadeAnyway() {
        LocalDate ride = TODAY.plusDays(2);
        DueItem soon = item(REAR, DueReason.SEALANT_LOOK, 1, 6, 9);
        assertThat(plan(Set.of(ride, TODAY.minusDays(3)), soon)).containsExactly(new ShedTrip(ride, List.of(soon)));
        DueItem notYet = item(REAR, DueReason.SEALANT_LOOK, 3, 6, 9);
        assertThat(plan(Set.of(ride), notYet)).containsExactly(new ShedTrip(TODAY.plusDays(6), List.of(notYet)));
    }

    @Test
    void whatHasWaitedTooLongIsDoneToday() {
        DueItem late = item(REAR, DueReason.SEALANT_REFRESH, -20, -9, -9);
        assertThat(plan(Set.of(TODAY.plusDays(1)), late)).containsExactly(new ShedTrip(TODAY, List.of(late)));
    }

    /** Nothing is moved farther than it must be. */
    @Test
    void aTripIsAsNearToTheDaysOfItsMattersAsItCanBe() {
        DueItem alone = item(REAR, DueReason.PREVENTION_LOOK, 2, 3, 5);
        assertThat(plan(Set.of(), alone)).containsExactly(new ShedTrip(TODAY.plusDays(3), List.of(alone)));

        DueItem early = item(REAR, DueReason.SEALANT_LOOK, 0, 2, 9);
        DueItem late = item(FRONT, DueReason.SEALANT_LOOK, 4, 7, 12);
        DueItem later = item(FRONT, DueReason.PREVENTION_LOOK, 4, 8, 12);
        assertThat(plan(Set.of(), early, late, later)).extracting(ShedTrip::day).containsExactly(TODAY.plusDays(7));
        assertThat(plan(Set.of(TODAY.plusDays(3), TODAY.plusDays(5), TODAY.plusDays(9)), early, late))
                .as("of the rides that both bear")
                .extracting(ShedTrip::day)
                .containsExactly(TODAY.plusDays(5));
        DueItem overdue = item(FRONT, DueReason.SEALANT_LOOK, -9, -4, 2);
        assertThat(plan(Set.of(), overdue)).extracting(ShedTrip::day).containsExactly(TODAY);
    }

    /** What can still wait makes no trip, but is done by who is there today. */
    @Test
    void whoIsThereTodayDoesWhatCouldWait() {
        DueItem waits = item(REAR, DueReason.SEALANT_LOOK, -3, 0, 5);
        assertThat(ShedTrip.plan(List.of(waits), Set.of(), TODAY, TODAY)).isEmpty();
        assertThat(ShedTrip.plan(List.of(waits), Set.of(TODAY), TODAY, TODAY))
                .containsExactly(new ShedTrip(TODAY, List.of(waits)));
    }

    @Test
    void nobodyLooksAtWhatIsRefreshedOnThatTrip() {
        DueItem look = item(REAR, DueReason.SEALANT_LOOK, 0, 1, 3);
        DueItem refresh = item(REAR, DueReason.SEALANT_REFRESH, 0, 3, 3);
        DueItem other = item(FRONT, DueReason.SEALANT_LOOK, 0, 1, 3);
        assertThat(plan(Set.of(), look, refresh, other))
                .containsExactly(new ShedTrip(TODAY.plusDays(1), List.of(other, refresh)));
    }

    @Test
    void aSpanHoldsItsDay() {
        assertThatThrownBy(() -> item(REAR, DueReason.SEALANT_LOOK, 2, 1, 3))
                .isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> item(REAR, DueReason.SEALANT_LOOK, 0, 4, 3))
                .isInstanceOf(IllegalArgumentException.class);
    }

    /** Against all sets of days that there are: none with fewer trips serves all that must be served. */
    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4, 5, 6, 7, 8, 9, 10})
    void thereAreAsFewTripsAsThereCanBe(long seed) {
        Random random = new Random(seed);
        for (int round = 0; round < 40; round++) {
            List<DueItem> items = new ArrayList<>();
            for (int i = 0; i < 6; i++) {
                int from = random.nextInt(DAYS);
                int due = from + random.nextInt(3);
                items.add(item(new UUID(1, i), DueReason.SEALANT_LOOK, from, due, due + random.nextInt(4)));
            }
            Set<LocalDate> anyway = new TreeSet<>();
            if (random.nextBoolean()) {
                anyway.add(TODAY.plusDays(random.nextInt(DAYS)));
            }
            List<ShedTrip> trips = ShedTrip.plan(items, anyway, TODAY, TODAY.plusDays(2L * DAYS));
            assertThat(trips).extracting(ShedTrip::day).doesNotHaveDuplicates();
            assertThat(trips.stream().flatMap(trip -> trip.items().stream()))
                    .containsExactlyInAnyOrderElementsOf(items);
            assertThat(trips)
                    .allSatisfy(trip -> assertThat(trip.items())
                            .allSatisfy(item -> assertThat(trip.day()).isBetween(item.from(), item.until())));
            assertThat(trips.stream()
                            .filter(trip -> !anyway.contains(trip.day()))
                            .count())
                    .isEqualTo(fewest(items, anyway));
        }
    }

    private static long fewest(List<DueItem> items, Set<LocalDate> anyway) {
        int fewest = Integer.MAX_VALUE;
        for (int days = 0; days < 1 << DAYS + 5; days++) {
            int these = days;
            boolean serves = Integer.bitCount(days) < fewest
                    && items.stream()
                            .allMatch(item -> item.from()
                                    .datesUntil(item.until().plusDays(1))
                                    .anyMatch(day -> anyway.contains(day)
                                            || (these >> (day.toEpochDay() - TODAY.toEpochDay()) & 1) == 1));
            fewest = serves ? Integer.bitCount(days) : fewest;
        }
        return fewest;
    }
}
