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

    /** Nobody mends without a hold test, and with luck the first is right; more than a few hours nobody needs. */
    @Test
    void theFindersMeanLiesBetweenOneMendingAndAFewHours() {
        Set<Drill.Story> seen = EnumSet.noneOf(Drill.Story.class);
        for (long seed = 0; seen.size() < Drill.Story.values().length; seed++) {
            Drill drill = new Drill(seed);
            seen.add(drill.story());
            assertThat(drill.par()).as(drill.story().name()).isBetween(26.0, 180.0);
        }
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
