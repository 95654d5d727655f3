package org.stratopneum.core.diagnosis;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.stratopneum.core.check.InvalidInputException;

class WheelMapTest {

    private static Map<String, String> found(Spot... spots) {
        return WheelMap.findings(AirSystem.TUBELESS, List.of(spots), 32);
    }

    /** Whatever is marked is an answer that the table knows, and none of them is "clear". */
    @ParameterizedTest
    @EnumSource
    void everyPlaceIsAnAnswerOfTheTable(Spot.Zone zone) {
        Map<String, String> found = found(new Spot(zone, 4));
        assertThat(found).hasSize(1);
        found.forEach((check, answer) -> {
            List<String> answers = LeakModel.of(AirSystem.TUBELESS).check(check).answers();
            assertThat(answers.subList(1, answers.size())).contains(answer);
        });
    }

    /** docs/handbook, page 6: one place is a hole, a casing weeps in many. */
    @Test
    void onePlaceInAFlankIsAHoleAndSeveralAreACasingThatWeeps() {
        Spot one = new Spot(Spot.Zone.FLANK_LEFT, 4);
        assertThat(found(one)).containsEntry("soap-flank", "one-spot");
        assertThat(found(one, new Spot(Spot.Zone.FLANK_RIGHT, 9))).containsEntry("soap-flank", "bubbles");
    }

    /** docs/handbook, page 6: the foot of the valve shows at the spokes nearest to it. Spoke holes of 32 lie 0.375 h apart. */
    @ParameterizedTest
    @CsvSource({"0.19, bubbles-near-valve", "11.4, bubbles-near-valve", "0.94, bubbles", "6, bubbles", "11, bubbles"})
    void spokeHolesNextToTheValveTellOfItsFoot(double hour, String answer) {
        assertThat(found(new Spot(Spot.Zone.SPOKE_HOLE, hour))).containsEntry("soap-nipples", answer);
    }

    @Test
    void theJointNeverTellsOfTheValveAndOneFarHoleIsEnoughForTheTape() {
        assertThat(found(new Spot(Spot.Zone.RIM_JOINT, 12))).containsEntry("soap-nipples", "bubbles");
        assertThat(found(new Spot(Spot.Zone.SPOKE_HOLE, 0.2), new Spot(Spot.Zone.SPOKE_HOLE, 7)))
                .containsEntry("soap-nipples", "bubbles");
    }

    @Test
    void withATubeOnlyTheValveShowsAnythingOutside() {
        List<Spot> spots = List.of(new Spot(Spot.Zone.TREAD, 3), new Spot(Spot.Zone.VALVE_TIP, 3));
        assertThat(WheelMap.findings(AirSystem.TUBE, spots, null)).isEqualTo(Map.of("soap-valve-tip", "bubbles"));
    }

    @Test
    void theValveIsAtTwelveWhateverWasSaid() {
        assertThat(new Spot(Spot.Zone.VALVE_FOOT, 5).hour()).isEqualTo(12);
        assertThat(new Spot(Spot.Zone.TREAD, 5).hour()).isEqualTo(5);
    }

    @ParameterizedTest
    @ValueSource(doubles = {0, -1, 12.01, Double.NaN})
    void anHourThatNoClockHasIsRefused(double hour) {
        assertThatThrownBy(() -> new Spot(Spot.Zone.TREAD, hour)).isInstanceOf(InvalidInputException.class);
        assertThatThrownBy(() -> new HolePlace(hour)).isInstanceOf(InvalidInputException.class);
    }

    /** A quarter of the way round a 622 rim: pi 622 / 4 = 489 mm, beside the eighth of 32 spokes. */
    @Test
    void aHoleLiesWhereTheClockSays() {
        HolePlace place = new HolePlace(2.9);
        assertThat(new HolePlace(3).fromValveMm(622)).isCloseTo(488.5, within(0.1));
        assertThat(place.spokeHole(32)).isEqualTo(8);
        assertThat(place.turnedRound().hour()).isCloseTo(9.1, within(1e-9));
        assertThat(place.turnedRound().spokeHole(32))
                .as("the same hole counted from the other side")
                .isEqualTo(33 - 8);
    }

    @ParameterizedTest
    @ValueSource(doubles = {0.1, 2.5, 6, 9.9, 12})
    void turnedRoundTwiceItIsWhereItWasAndAsFarFromTheValve(double hour) {
        HolePlace place = new HolePlace(hour);
        assertThat(place.turnedRound().turnedRound().hour()).isCloseTo(hour, within(1e-9));
        assertThat(place.turnedRound().fromValveMm(622)).isCloseTo(place.fromValveMm(622), within(1e-6));
        assertThat(place.spokeHole(36)).isBetween(1, 36);
    }

    @Test
    void aSpokeHoleByItsNumberIsThatSpokeHole() {
        for (int number = 1; number <= 28; number++) {
            Spot spot = HolePlace.spokeHole(number, 28);
            assertThat(new HolePlace(spot.hour()).spokeHole(28)).isEqualTo(number);
        }
        assertThat(found(HolePlace.spokeHole(1, 32))).containsEntry("soap-nipples", "bubbles-near-valve");
    }
}
