package org.stratopneum.web.jobs;

import java.time.Instant;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.stratopneum.core.job.Ending;
import org.stratopneum.core.job.Given;
import org.stratopneum.core.job.Job;
import org.stratopneum.core.job.JobCase;
import org.stratopneum.core.job.Step;
import org.stratopneum.core.job.Walk;
import org.stratopneum.web.fleet.bikes.HandGauge;
import org.stratopneum.web.fleet.bikes.WheelState;
import org.stratopneum.web.platform.fault.NotThereException;

/** A job card with how far each of its wheels has come, rear wheel first, and the gauge that they are read with. */
record Card(CardMapper.CardRow row, CardChoices choices, HandGauge hand, List<Wheel> wheels) {

    /**
     * One wheel of a card.
     *
     * @param now the wheel as it stands
     * @param setUp what the job leads to on it
     * @param answers by the id of their step
     */
    record Wheel(
            CardMapper.WheelRow row,
            WheelState now,
            CardCase setUp,
            JobCase facts,
            Walk walk,
            Map<String, CardMapper.AnswerRow> answers) {

        static Wheel of(
                CardMapper.WheelRow row,
                WheelState now,
                CardCase setUp,
                JobCase facts,
                Job job,
                Map<String, CardMapper.AnswerRow> answers) {
            Map<String, Given> given = CardMapper.AnswerRow.given(answers.values());
            return new Wheel(row, now, setUp, facts, Walk.of(job.script(), facts, given), answers);
        }

        private Wheel with(CardMapper.AnswerRow answer, Job job) {
            Map<String, CardMapper.AnswerRow> more = new HashMap<>(answers);
            more.put(answer.step(), answer);
            return of(row, now, setUp, facts, job, more);
        }

        UUID id() {
            return row.wheelId();
        }

        /** Ended for good; what only blocks goes on once it is mended. */
        boolean ended() {
            return walk.ending().filter(ending -> ending != Ending.BLOCKED).isPresent();
        }

        boolean blocked() {
            return walk.ending().filter(Ending.BLOCKED::equals).isPresent();
        }

        Optional<Instant> waitsUntil(Instant begun) {
            return walk.waitsUntil(begun);
        }
    }

    /** The card with one answer more; what the log has is as it was. */
    Card with(CardMapper.AnswerRow answer) {
        List<Wheel> then = wheels.stream()
                .map(wheel -> wheel.id().equals(answer.wheelId()) ? wheel.with(answer, row.job()) : wheel)
                .toList();
        return new Card(row, choices, hand, then);
    }

    Wheel wheel(UUID id) {
        return wheels.stream()
                .filter(wheel -> wheel.id().equals(id))
                .findFirst()
                .orElseThrow(NotThereException::new);
    }

    boolean ended() {
        return wheels.stream().allMatch(Wheel::ended);
    }

    /**
     * The wheel to go on with: the one that was answered last, unless it waits and another one does not. So the wheels of
     * a pair are worked through each other's waits.
     */
    Wheel next(Instant now) {
        Comparator<Wheel> order = Comparator.comparing(Wheel::ended)
                .thenComparing((Wheel wheel) -> wheel.blocked())
                .thenComparing(wheel -> waits(wheel, now))
                .thenComparing(wheel ->
                        waits(wheel, now) ? wheel.waitsUntil(row.begunAt()).orElse(Instant.MAX) : Instant.MAX)
                .thenComparing(wheel -> wheel.walk().since(row.begunAt()), Comparator.reverseOrder());
        return wheels.stream().min(order).orElseThrow();
    }

    /** Whether the wheel's open step is a wait that is not over. */
    boolean waits(Wheel wheel, Instant now) {
        return wheel.waitsUntil(row.begunAt()).filter(now::isBefore).isPresent();
    }

    Optional<Step> open(Wheel wheel) {
        return row.endedAt() == null ? wheel.walk().open() : Optional.empty();
    }
}
