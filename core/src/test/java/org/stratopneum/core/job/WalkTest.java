package org.stratopneum.core.job;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.stratopneum.core.job.Part.all;
import static org.stratopneum.core.job.Part.block;
import static org.stratopneum.core.job.Part.end;
import static org.stratopneum.core.job.Part.leave;
import static org.stratopneum.core.job.Part.reached;
import static org.stratopneum.core.job.Step.Branch.on;
import static org.stratopneum.core.job.Step.act;
import static org.stratopneum.core.job.Step.ask;

import java.time.Duration;
import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.stratopneum.core.check.Problem;
import org.stratopneum.core.quantity.GaugePressure;

class WalkTest {

    private static final Instant BEGUN = Instant.parse("2026-03-01T08:00:00Z");
    private static final Instant LATER = BEGUN.plus(Duration.ofMinutes(10));

    private static final JobCase PLAIN =
            new JobCase.Builder().amount(Amount.CEILING, GaugePressure.kpa(350)).build();

    private final Map<String, Given> given = new LinkedHashMap<>();

    private Walk walk(Part script) {
        return Walk.of(script, PLAIN, given);
    }

    private void answer(String step, Answer answer) {
        given.put(step, Given.answer(answer, LATER));
    }

    private static String openOf(Walk walk) {
        return walk.open().map(Step::id).orElse("");
    }

    @Test
    void stepsComeInTheirOrderAndTheLastEndsTheJob() {
        Part script = all(act("one"), act("two"));

        assertThat(openOf(walk(script))).isEqualTo("one");
        answer("one", Answer.DONE);
        assertThat(openOf(walk(script))).isEqualTo("two");
        answer("two", Answer.DONE);
        assertThat(walk(script).ending()).contains(Ending.DONE);
    }

    @Test
    void anAnswerTakenBackOpensItsStepAndLosesNothingBehindIt() {
        Part script = all(act("one"), act("two"), act("three"));
        answer("one", Answer.DONE);
        answer("two", Answer.DONE);

        Given kept = given.remove("one");
        assertThat(openOf(walk(script))).isEqualTo("one");
        given.put("one", kept);
        assertThat(openOf(walk(script))).isEqualTo("three");
    }

    @Test
    void anAnswerThatTheStepDoesNotKnowLeavesItOpen() {
        answer("up", Answer.SEIZED);
        assertThat(openOf(walk(ask("up", on(Answer.UP), on(Answer.NOT_UP))))).isEqualTo("up");
    }

    @Test
    void aBlockIsLeftForWhatComesBehindItAlsoFromADeeperOne() {
        Part script = all(
                block(
                        "outer",
                        ask(
                                "q",
                                on(Answer.YES, block("inner", act("deep"), leave("outer"), act("never"))),
                                on(Answer.NO)),
                        act("rung")),
                act("behind"));
        answer("q", Answer.YES);
        answer("deep", Answer.DONE);
        assertThat(openOf(walk(script))).isEqualTo("behind");

        answer("q", Answer.NO);
        assertThat(openOf(walk(script))).isEqualTo("rung");
    }

    @Test
    void leavingABlockThatIsNotThereIsADefect() {
        assertThatThrownBy(() -> walk(all(leave("nowhere"), act("one")))).isInstanceOf(IllegalStateException.class);
    }

    @Test
    void whatIsInTheLogAlreadyIsNotTakenBackFromTheCard() {
        Part script = all(act("one"), act("two"), reached(Milestone.TIRE_OFF), act("three"), act("four"));
        answer("one", Answer.DONE);
        answer("two", Answer.DONE);
        answer("three", Answer.DONE);

        Walk walk = walk(script);
        assertThat(walk.milestones()).containsExactly(Milestone.TIRE_OFF);
        assertThat(walk.canBeTakenBack()).extracting(taken -> taken.step().id()).containsExactly("three");
    }

    @Test
    void aWaitBeginsWithTheAnswerBeforeItAndItsEndIsTold() {
        Part script = all(act("one"), Step.rest("dry", Duration.ofMinutes(5), true));
        assertThat(walk(script).waitsUntil(BEGUN)).isEmpty();
        answer("one", Answer.DONE);
        assertThat(walk(script).waitsUntil(BEGUN)).contains(LATER.plus(Duration.ofMinutes(5)));
        assertThat(walk(Step.rest("dry", Duration.ofMinutes(5), true)).waitsUntil(BEGUN))
                .contains(BEGUN.plus(Duration.ofMinutes(5)));
    }

    @Test
    void onlyAWaitThatMattersRefusesToBeCutShort() {
        Given early = Given.answer(Answer.DONE, BEGUN.plus(Duration.ofMinutes(1)));
        Given inTime = Given.answer(Answer.DONE, BEGUN.plus(Duration.ofHours(8)));
        Walk shortOne = walk(Step.rest("dry", Duration.ofMinutes(5), true));
        Walk hold = walk(Step.rest("stand", Duration.ofHours(8), false));

        assertThat(shortOne.problemOf(early, PLAIN, BEGUN)).isEmpty();
        assertThat(hold.problemOf(early, PLAIN, BEGUN)).contains(new Problem("answer", Walk.TOO_EARLY, 8.0, null, "h"));
        assertThat(hold.problemOf(inTime, PLAIN, BEGUN)).isEmpty();
    }

    @ParameterizedTest
    @CsvSource({
        "PRESSURE_SET, 350, ''",
        "PRESSURE_SET, 350.1, above-ceiling",
        "PRESSURE_TO_HOLD, 351, above-ceiling",
        "PRESSURE_FOUND, 500, ''",
        "PRESSURE_HELD, 500, ''",
        "PRESSURE_SET, -1, below-minimum",
        "PRESSURE_FOUND, 1300, above-maximum",
        "SEALANT, 1001, above-maximum",
        "SEALANT, 0, ''",
        "PRESSURE_SET, NaN, not-finite"
    })
    void aValueIsCheckedByWhatItIs(Measured what, double value, String code) {
        Walk walk = walk(Step.measure("m", what));
        assertThat(walk.problemOf(Given.value(value, null, LATER), PLAIN, BEGUN)
                        .map(Problem::code)
                        .orElse(""))
                .isEqualTo(code);
    }

    @Test
    void aMeasurementWithoutAValueIsMissing() {
        assertThat(walk(Step.measure("m", Measured.SEALANT)).problemOf(Given.answer(Answer.DONE, LATER), PLAIN, BEGUN))
                .contains(Problem.of("value", Problem.MISSING));
    }

    /**
     * Common practice, no source: corrected for temperature, up to 5 % in a day is passed, up to 10 % repeated. The tire
     * cooled from 22 to -5 C: 180 kPa read 154 kPa then (the docs/handbook's worked value), which is no loss at all.
     */
    @ParameterizedTest
    @CsvSource({
        "180, 22, 154, -5, PASSED",
        "180, 22, 154, 22, FAILED",
        "180, 22, 176, 22, PASSED",
        "180, 22, 168, 22, REPEAT",
        "0, 20, 0, 20, FAILED"
    })
    void theHoldTestIsJudgedAtOneTemperature(
            double startKpa, double startC, double endKpa, double endC, Answer verdict) {
        Part script = all(
                Step.measure("start", Measured.PRESSURE_TO_HOLD),
                Step.held("end", "start", on(Answer.PASSED), on(Answer.REPEAT), on(Answer.FAILED, end(Ending.LEAKS))));
        given.put("start", Given.value(startKpa, startC, BEGUN));
        given.put("end", Given.value(endKpa, endC, BEGUN.plus(Duration.ofHours(24))));

        assertThat(walk(script).taken().get(1).answer()).isEqualTo(verdict);
    }

    @Test
    void whatLiesAheadIsTheUsualWay() {
        Part script =
                all(act("one"), ask("up", on(Answer.UP, act("good")), on(Answer.NOT_UP, act("bad"))), act("last"));
        assertThat(walk(script).usuallyAhead(PLAIN)).extracting(Step::id).containsExactly("one", "up", "good", "last");
        answer("one", Answer.DONE);
        answer("up", Answer.NOT_UP);
        assertThat(walk(script).usuallyAhead(PLAIN)).extracting(Step::id).containsExactly("bad", "last");
    }

    @Test
    void theUsualWayOfEveryJobIsTold() {
        for (Job job : Job.values()) {
            boolean tube = job.goal() == Job.Goal.TUBE;
            JobCase usual = new JobCase.Builder()
                    .when(Condition.CORE_REMOVABLE, true)
                    .when(Condition.LIQUID_INSIDE, !tube)
                    .when(Condition.TUBED, tube)
                    .build();
            List<Step> ahead = Walk.of(job.script(), usual, Map.of()).usuallyAhead(usual);
            assertThat(ahead).as(job.name()).hasSizeGreaterThan(2).doesNotHaveDuplicates();
        }
    }
}
