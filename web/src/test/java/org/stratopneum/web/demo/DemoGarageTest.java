package org.stratopneum.web.demo;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.parallel.ResourceLock;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.transaction.support.TransactionTemplate;
import org.stratopneum.core.pressure.BikeAdvice;
import org.stratopneum.web.fleet.bikes.BikeState;
import org.stratopneum.web.fleet.bikes.Garage;
import org.stratopneum.web.jobs.OpenCards;
import org.stratopneum.web.parts.shelf.Shelf;
import org.stratopneum.web.pressure.BikeAdvisor;
import org.stratopneum.web.rider.CurrentRider;
import org.stratopneum.web.rider.Rider;
import org.stratopneum.web.rider.RiderMapper;
import org.stratopneum.web.support.RunningApplication;

@ExtendWith(RunningApplication.class)
@ResourceLock("demo garage")
class DemoGarageTest {

    private final Garage garage;
    private final BikeAdvisor advisor;
    private final RiderMapper riders;
    private final JdbcTemplate jdbc;
    private final TransactionTemplate transaction;
    private final DemoGarage demo;
    private final OpenCards cards;
    private final Shelf shelf;

    DemoGarageTest(
            Garage garage,
            BikeAdvisor advisor,
            RiderMapper riders,
            JdbcTemplate jdbc,
            TransactionTemplate transaction,
            DemoGarage demo,
            OpenCards cards,
            Shelf shelf) {
        this.garage = garage;
        this.advisor = advisor;
        this.riders = riders;
        this.jdbc = jdbc;
        this.transaction = transaction;
        this.demo = demo;
        this.cards = cards;
        this.shelf = shelf;
    }

    @Test
    void theThreeBikesStandReadyWithAdviceThatNothingBlocks() {
        inDemo(() -> {
            List<BikeState> bikes = garage.bikes();
            assertThat(bikes).extracting(BikeState::name).containsExactly("Skylark", "Heron", "Sledge");
            for (BikeState bike : bikes) {
                assertThat(bike.rollable()).as(bike.name()).isTrue();
                BikeAdvice advice = advisor.adviseUsual(bike).orElseThrow();
                assertThat(advice.blocked()).as(bike.name()).isFalse();
                assertThat(bike.rear().lastReading()).isPresent();
                assertThat(bike.front().lastReading()).isPresent();
            }
        });
    }

    /** The rear of Skylark leaks since its lever job; the leak finder to come must have something true to find. */
    @Test
    void theRearOfSkylarkLosesMoreThanItsFrontSinceTheLeverJob() {
        inDemo(() -> {
            BikeState skylark = garage.bikes().get(0);
            BikeAdvice advice = advisor.adviseUsual(skylark.under(64.0)).orElseThrow();
            double rear = lastKpaOfTheDemo(skylark.rear().wheelId())
                    / advice.rear().pressure().kpa();
            double front = lastKpaOfTheDemo(skylark.front().wheelId())
                    / advice.front().pressure().kpa();
            assertThat(rear).isLessThan(front - 0.1);
        });
    }

    /** What a visitor is to find: a wheel that failed its first hold test and passed the next, and a card left lying. */
    @Test
    void theBenchHasAStoryToTell() {
        inDemo(() -> {
            assertThat(jdbc.queryForList(
                            """
                            select round((detail ->> 'gaugeKpa')::numeric) from log_current
                            where kind in ('HOLD_STARTED', 'HOLD_ENDED') and wheel_id = ? order by happened_at
                            """, Integer.class, garage.bikes().get(2).rear().wheelId()))
                    .as("275 kPa each evening: 15 % lost over the first night, not 3 % over the next")
                    .containsExactly(276, 234, 276, 269);
            assertThat(cards.all())
                    .as("one look at two wheels, each waiting for a hand")
                    .hasSize(2)
                    .allSatisfy(card -> assertThat(card.waitsUntil()).isNull());
            assertThat(shelf.available())
                    .filteredOn(item -> item.name().equals("Tarn milk"))
                    .singleElement()
                    .satisfies(bottle -> assertThat(bottle.left())
                            .as("what did not go into tires")
                            .isEqualTo(1000 - filledFrom(bottle.id()))
                            .isPositive());
        });
    }

    @Test
    void nothingOfTheDemoLiesInTheFuture() {
        inDemo(() -> assertThat(jdbc.queryForObject(
                        "select count(*) from log_entry where happened_at > now() or written_at > now()",
                        Integer.class))
                .isZero());
    }

    @Test
    void loadingTwiceAddsNothing() {
        int before = entries();
        demo.start();
        assertThat(entries()).isEqualTo(before);
    }

    /** At a start three days later everything has moved by three whole days; undone at the end. */
    @Test
    void onALaterDayTheEntriesMoveForwardByWholeDays() {
        CurrentRider.runAs(
                DemoConfiguration.DEMO_RIDER,
                () -> transaction.executeWithoutResult(status -> {
                    Rider rider = riders.self().orElseThrow();
                    LocalDate later = rider.demoDay().plusDays(3);
                    Map<UUID, Instant> before = moments();

                    int moved = riders.moveDemoTo(rider.id(), later);

                    Map<UUID, Instant> after = moments();
                    assertThat(moved).isEqualTo(before.size()).isPositive();
                    before.forEach((id, then) -> {
                        var wanted = then.atZone(rider.zoneId()).plusDays(3);
                        assertThat(after.get(id)).isEqualTo(wanted.toInstant());
                        assertThat(LocalTime.ofInstant(after.get(id), rider.zoneId()))
                                .isEqualTo(wanted.toLocalTime());
                    });
                    assertThat(riders.self().orElseThrow().demoDay()).isEqualTo(later);
                    assertThat(riders.moveDemoTo(rider.id(), later)).isZero();
                    assertThat(riders.moveDemoTo(rider.id(), later.minus(5, ChronoUnit.DAYS)))
                            .isZero();
                    status.setRollbackOnly();
                }));
    }

    private double filledFrom(UUID bottle) {
        return jdbc.queryForObject(
                "select sum((detail ->> 'volumeMl')::numeric) from log_current where part_id = ?",
                Double.class,
                bottle);
    }

    /** Her year was passed with the same bikes, loads and grounds as stand here: what was recommended first is so still. */
    @Test
    void theYearIsThatOfTheseBikes() {
        inDemo(() -> {
            for (BikeState bike : garage.bikes()) {
                BikeState light = bike.under(64.0);
                BikeAdvice anybody = BikeAdvisor.usualRide(light)
                        .flatMap(ride -> advisor.adviseAnybody(light, ride))
                        .orElseThrow();
                assertThat(firstTold(bike.rear().wheelId()))
                        .as("%s rear", bike.name())
                        .isCloseTo(anybody.rear().pressure().kpa(), within(0.1));
                assertThat(firstTold(bike.front().wheelId()))
                        .as("%s front", bike.name())
                        .isCloseTo(anybody.front().pressure().kpa(), within(0.1));
            }
        });
    }

    private double firstTold(UUID wheel) {
        return jdbc.queryForObject("""
                select (detail ->> 'toldKpa')::double precision from log_entry
                where wheel_id = ? and kind = 'PRESSURE_READ' and source = 'DEMO'
                order by happened_at limit 1
                """, Double.class, wheel);
    }

    /** What other tests have written meanwhile does not count. */
    private double lastKpaOfTheDemo(UUID wheel) {
        return jdbc.queryForObject("""
                select (detail ->> 'gaugeKpa')::double precision from log_entry
                where wheel_id = ? and kind = 'PRESSURE_READ' and source = 'DEMO'
                order by happened_at desc limit 1
                """, Double.class, wheel);
    }

    private Map<UUID, Instant> moments() {
        return jdbc
                .query(
                        "select id, happened_at from log_entry",
                        (row, number) -> Map.entry(
                                row.getObject(1, UUID.class),
                                row.getTimestamp(2).toInstant()))
                .stream()
                .collect(Collectors.toMap(Map.Entry::getKey, Map.Entry::getValue));
    }

    private int entries() {
        int[] count = new int[1];
        inDemo(() -> count[0] = moments().size());
        return count[0];
    }

    private void inDemo(Runnable work) {
        CurrentRider.runAs(DemoConfiguration.DEMO_RIDER, () -> transaction.executeWithoutResult(status -> work.run()));
    }
}
