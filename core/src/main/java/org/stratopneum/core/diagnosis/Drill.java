package org.stratopneum.core.diagnosis;

import java.util.HashSet;
import java.util.List;
import java.util.Random;
import java.util.Set;
import java.util.SplittableRandom;

/**
 * A fault to find for practice: drawn, and answered, by the finder's own model, the same for the same seed. Asking twice
 * gives the same answer. One cause at a time, and hold tests tell the truth, as in {@link Trial}.
 */
public final class Drill {

    /** More steps than any wheel takes: whoever gets there has gone wrong. */
    private static final int MOST_STEPS = 60;

    /** A hundred points are what the finder gets on the same wheel; nobody gets more than three times as many. */
    private static final double FINDERS_POINTS = 100;

    private static final double MOST_POINTS = 300;

    /** What is told before anything is looked at. */
    public enum Story {
        NOTHING_KNOWN(Set.of()),
        OLD_SEALANT(Set.of(Circumstance.SEALANT_OLD, Circumstance.NOT_NEW_SETUP)),
        NEW_SETUP(Set.of(Circumstance.NEW_SETUP)),
        AFTER_A_HIT(Set.of(Circumstance.HIT, Circumstance.NOT_NEW_SETUP)),
        AFTER_A_LEVER(Set.of(Circumstance.LEVER)),
        FAST(Set.of(Circumstance.RATE_FAST, Circumstance.NOT_NEW_SETUP));

        private final Set<Circumstance> known;

        Story(Set<Circumstance> known) {
            this.known = known;
        }

        public Set<Circumstance> known() {
            return known;
        }
    }

    private final long seed;
    private final Story story;
    private final Trial trial;

    public Drill(long seed) {
        this.seed = seed;
        Random random = mixed(seed);
        this.story = Story.values()[random.nextInt(Story.values().length)];
        this.trial = new Trial(model(), story.known, Trial.World.AS_THE_TABLE_SAYS, random);
    }

    private static LeakModel model() {
        return LeakModel.of(AirSystem.TUBELESS);
    }

    /** Seeds that lie side by side begin alike in the usual generator; these do not. */
    private static Random mixed(long seed) {
        return new Random(new SplittableRandom(seed).nextLong());
    }

    public Story story() {
        return story;
    }

    /** What is to be found. */
    public Cause fault() {
        return trial.fault();
    }

    /** What is seen. */
    public String answer(Check check) {
        double at = mixed(seed + check.code().hashCode()).nextDouble();
        for (String answer : check.answers()) {
            at -= check.likelihood(fault(), answer);
            if (at < 0) {
                return answer;
            }
        }
        return check.answers().get(0);
    }

    /** Whether it holds once {@code cause} was mended. */
    public boolean holds(Cause cause) {
        return cause.alike().contains(fault());
    }

    /** What mending {@code cause} takes, with its hold test (min). */
    public static double minutes(Cause cause) {
        return model().fixMinutes(cause) + Diagnosis.AROUND_A_FIX;
    }

    /**
     * The finder's own way on this wheel, which holds after its last step: it sees what the rider sees, and looks at each
     * thing once, as they do.
     *
     * @param minutes of its looks and repairs (min)
     */
    public record Way(List<Step> steps, double minutes) {

        /** @param taken by somebody on this wheel (min, above 0); @return 100 for as long as the finder takes */
        public int points(double taken) {
            return (int) Math.round(Math.min(MOST_POINTS, FINDERS_POINTS * minutes / taken));
        }
    }

    public Way findersWay() {
        Diagnosis diagnosis = Diagnosis.begun(model(), story.known);
        Set<String> seen = new HashSet<>();
        double minutes = 0;
        for (int i = 0; i < MOST_STEPS; i++) {
            Diagnosis.Next next =
                    new Diagnosis(model(), story.known, diagnosis.steps(), seen).next(Diagnosis.Mode.MEND_SOON);
            if (next.check() != null) {
                minutes += next.check().minutes();
                seen.add(next.check().code());
                diagnosis = diagnosis.found(next.check().code(), answer(next.check()));
            } else {
                minutes += minutes(next.mend());
                diagnosis = diagnosis.mendedInVain(next.mend());
                if (holds(next.mend())) {
                    return new Way(diagnosis.steps(), minutes);
                }
            }
        }
        throw new IllegalStateException("the finder finds no end for seed " + seed);
    }
}
