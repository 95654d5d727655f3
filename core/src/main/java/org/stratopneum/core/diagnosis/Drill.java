package org.stratopneum.core.diagnosis;

import java.util.EnumMap;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.SplittableRandom;

/**
 * A fault to find for practice: drawn, and answered, by the finder's own model, the same for the same seed. Asking twice
 * gives the same answer. One cause at a time, and hold tests tell the truth, as in {@link Trial}.
 */
public final class Drill {

    /** So many faults tell what the finder takes in a story (the mean is good to about 5 %). */
    private static final int TRIALS = 300;

    private static final Map<Story, Double> PAR = new EnumMap<>(Story.class);

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

    /** What the finder takes in this story until it holds, in the mean over hidden faults (min). */
    public double par() {
        synchronized (PAR) {
            return PAR.computeIfAbsent(story, Drill::mean);
        }
    }

    private static double mean(Story story) {
        double sum = 0;
        Trial.Finder finder = new Trial.Finder(model());
        for (int i = 0; i < TRIALS; i++) {
            sum += new Trial(model(), story.known, Trial.World.AS_THE_TABLE_SAYS, mixed(i))
                    .mendedBy(finder)
                    .all();
        }
        return sum / TRIALS;
    }
}
