package org.stratopneum.core.diagnosis;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.EnumSet;
import java.util.Set;
import java.util.stream.LongStream;
import org.junit.jupiter.api.Test;

class DrillTest {

    private static final LeakModel MODEL = LeakModel.of(AirSystem.TUBELESS);

    @Test
    void theSameSeedIsTheSameFaultAndAskingTwiceTheSameAnswer() {
        Drill one = new Drill(4711);
        Drill again = new Drill(4711);
        assertThat(again.story()).isEqualTo(one.story());
        assertThat(again.fault()).isEqualTo(one.fault());
        for (Check check : MODEL.checks()) {
            assertThat(again.answer(check)).isEqualTo(one.answer(check)).isIn(check.answers());
        }
    }

    @Test
    void everyStoryAndEveryFaultIsDrawn() {
        Set<Drill.Story> stories = EnumSet.noneOf(Drill.Story.class);
        Set<Cause> faults = EnumSet.noneOf(Cause.class);
        LongStream.range(0, 3000).mapToObj(Drill::new).forEach(drill -> {
            stories.add(drill.story());
            faults.add(drill.fault());
        });
        assertThat(stories).containsExactlyInAnyOrder(Drill.Story.values());
        assertThat(faults).containsExactlyInAnyOrderElementsOf(MODEL.causes());
    }

    /** Answers come as often as the table says: bubbles at the tip in nine of ten fouled cores. */
    @Test
    void answersAreAsOftenAsTheTableSays() {
        Check tip = MODEL.check("soap-valve-tip");
        long cores = 0;
        long bubbles = 0;
        for (long seed = 0; cores < 400; seed++) {
            Drill drill = new Drill(seed);
            if (drill.fault() == Cause.CORE) {
                cores++;
                bubbles += drill.answer(tip).equals("bubbles") ? 1 : 0;
            }
        }
        assertThat((double) bubbles / cores).isCloseTo(0.9, within(0.05));
    }

    @Test
    void whatIsMendedAlikeHoldsAndNothingElse() {
        Drill drill = LongStream.range(0, 500)
                .mapToObj(Drill::new)
                .filter(found -> found.fault() == Cause.CUT)
                .findFirst()
                .orElseThrow();
        assertThat(MODEL.causes().stream().filter(drill::holds)).containsExactlyInAnyOrder(Cause.CUT, Cause.TREAD_HOLE);
    }

    /** The finder ends on every wheel, after one mending at least, and the last thing it mended is the fault. */
    @Test
    void theFinderFindsEveryFaultInItsOwnWay() {
        double sum = 0;
        for (long seed = 0; seed < 400; seed++) {
            Drill drill = new Drill(seed);
            Drill.Way way = drill.findersWay();
            assertThat(way.minutes()).isGreaterThan(25);
            Step last = way.steps().get(way.steps().size() - 1);
            assertThat(drill.holds(((Step.MendedInVain) last).cause())).isTrue();
            assertThat(way.points(way.minutes())).isEqualTo(100);
            assertThat(way.points(2 * way.minutes())).isEqualTo(50);
            assertThat(way.points(1)).as("luck has an end").isEqualTo(300);
            sum += way.minutes();
        }
        assertThat(sum / 400)
                .as("in the mean between one mending and a few hours")
                .isBetween(40.0, 180.0);
    }

    /** Minutes of the table and 25 for the hold test around each mend. */
    @Test
    void mendingTakesWhatTheTableSays() {
        assertThat(Drill.minutes(Cause.CORE)).isEqualTo(6 + 25);
        assertThat(Drill.minutes(Cause.TAPE)).isEqualTo(45 + 25);
        assertThat(Drill.Story.FAST.known())
                .containsExactlyInAnyOrder(Circumstance.RATE_FAST, Circumstance.NOT_NEW_SETUP);
        assertThat(Drill.Story.NOTHING_KNOWN.known()).isEmpty();
    }
}
