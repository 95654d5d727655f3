package org.stratopneum.web.fleet.bikes;

import static org.assertj.core.api.Assertions.assertThat;
import static org.stratopneum.web.fleet.bikes.TestTires.BIKE;
import static org.stratopneum.web.fleet.bikes.TestTires.FIRST_TIRE;
import static org.stratopneum.web.fleet.bikes.TestTires.SECOND_TIRE;
import static org.stratopneum.web.fleet.bikes.TestTires.SPRING;
import static org.stratopneum.web.fleet.bikes.TestTires.SUMMER;
import static org.stratopneum.web.fleet.bikes.TestTires.SUMMER_FRONT;
import static org.stratopneum.web.fleet.bikes.TestTires.SUMMER_REAR;
import static org.stratopneum.web.fleet.bikes.TestTires.WINTER;
import static org.stratopneum.web.fleet.bikes.TestTires.WINTER_REAR;

import java.util.UUID;
import org.junit.jupiter.api.Test;

class FittedTiresTest {

    private final FittedTires tires = TestTires.plover();

    @Test
    void theTireOfADayIsTheOneThatWasOnThen() {
        assertThat(tires.tireOn(SUMMER_REAR, SPRING.minusSeconds(1))).isEmpty();
        assertThat(tires.tireOn(SUMMER_REAR, SPRING)).contains(FIRST_TIRE);
        assertThat(tires.tireOn(SUMMER_REAR, SUMMER.minusSeconds(1))).contains(FIRST_TIRE);
        assertThat(tires.tireOn(SUMMER_REAR, SUMMER)).isEmpty();
        assertThat(tires.tireOn(SUMMER_REAR, WINTER)).contains(SECOND_TIRE);
        assertThat(tires.tireOn(SUMMER_FRONT, WINTER)).isEmpty();
    }

    @Test
    void theWheelOfADayIsTheOneOfThePairThatWasInTheBike() {
        assertThat(rear(SUMMER)).isEqualTo(SUMMER_REAR);
        assertThat(rear(WINTER)).isEqualTo(WINTER_REAR);
        assertThat(rear(SPRING.minusSeconds(9))).as("before the log begins").isEqualTo(SUMMER_REAR);
        assertThat(tires.wheelIn(BIKE, WheelPosition.FRONT, WINTER))
                .as("the winter pair has none")
                .isEmpty();
        assertThat(tires.wheelIn(UUID.randomUUID(), WheelPosition.REAR, SUMMER)).isEmpty();
    }

    @Test
    void aStayEndsWhereTheTireComesOffOrAnotherGoesOn() {
        assertThat(tires.stays())
                .containsExactly(
                        new FittedTires.Stay(SUMMER_REAR, FIRST_TIRE, SPRING, SUMMER),
                        new FittedTires.Stay(SUMMER_REAR, TestTires.SECOND_TIRE, SUMMER.plusSeconds(600), null));
    }

    @Test
    void aTireThatCameOffForAnEveningStayed() {
        assertThat(TestTires.wandering().stays())
                .containsExactly(
                        new FittedTires.Stay(SUMMER_REAR, FIRST_TIRE, SPRING, WINTER),
                        new FittedTires.Stay(WINTER_REAR, FIRST_TIRE, WINTER, null));
    }

    private UUID rear(java.time.Instant at) {
        return tires.wheelIn(BIKE, WheelPosition.REAR, at).orElseThrow().id();
    }
}
