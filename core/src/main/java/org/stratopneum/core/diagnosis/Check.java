package org.stratopneum.core.diagnosis;

import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import org.stratopneum.core.job.Caution;

/**
 * Something to look at.
 *
 * @param code its name in the table
 * @param minutes what it takes (min)
 * @param mess how dirty it gets, or how long it keeps one waiting (0 clean, 10 worst; our judgement)
 * @param answers what may be seen, exclusive
 * @param likelihood of each answer, by cause (ratios that add up to 1)
 * @param kind how it differs from others
 * @param cautions what can hurt somebody meanwhile, and by what is seen
 * @param after signs of which one must have been seen first, as "check answer", or what must be known; empty where it is
 *     free
 */
public record Check(
        String code,
        double minutes,
        double mess,
        List<String> answers,
        Map<Cause, List<Double>> likelihood,
        Kind kind,
        Cautions cautions,
        List<String> after) {

    /**
     * What can hurt somebody.
     *
     * @param looking while it is looked at, empty where nothing can
     * @param seen by what was seen, whatever it turns out to be; the usual answers are not in it
     */
    public record Cautions(Optional<Caution> looking, Map<String, Caution> seen) {

        public Cautions {
            Objects.requireNonNull(looking, "looking");
            seen = Map.copyOf(seen);
        }

        public Optional<Caution> after(String answer) {
            return Optional.ofNullable(seen.get(answer));
        }
    }

    /**
     * How a check differs from others.
     *
     * @param overnight whether the wheel stands for a night meanwhile
     * @param repeated whether it is worth making again after a mending in vain
     * @param bubblesOnly whether it does not show a leak that only a ridden, warm or differently pumped wheel has
     */
    public record Kind(boolean overnight, boolean repeated, boolean bubblesOnly) {}

    /** A mess costs as much as so many minutes (our judgement), a night as many (min). */
    private static final double MESS_MINUTES = 1;

    private static final double NIGHT_MINUTES = 20;

    /** Messier, or longer, than this it is put off while a clean one is worth its minutes. */
    private static final double CLEAN_MESS = 2;

    private static final double CLEAN_MINUTES = 10;

    /** A minute's look (min; our judgement). */
    private static final double QUICK_MINUTES = 2;

    public Check {
        answers = List.copyOf(answers);
        likelihood = Map.copyOf(likelihood);
        after = List.copyOf(after);
        if (!answers.containsAll(cautions.seen().keySet())) {
            throw new IllegalArgumentException("a caution of " + code + " is of no answer to it");
        }
    }

    /** What it costs, with its mess and its night (min). */
    public double cost() {
        return minutes + MESS_MINUTES * mess + (kind.overnight ? NIGHT_MINUTES : 0);
    }

    /** Whether it is a minute's look, which comes before a tub and before a night. */
    boolean isQuick() {
        return mess < CLEAN_MESS && minutes <= QUICK_MINUTES && !kind.overnight;
    }

    /** Whether hands stay clean, and it is done soon. */
    boolean isClean() {
        return mess < CLEAN_MESS && minutes < CLEAN_MINUTES;
    }

    public boolean overnight() {
        return kind.overnight;
    }

    /** How likely {@code answer} is where {@code cause} holds (ratio). */
    public double likelihood(Cause cause, String answer) {
        int at = answers.indexOf(answer);
        if (at < 0) {
            throw new IllegalArgumentException(answer + " is no answer to " + code);
        }
        return likelihood.get(cause).get(at);
    }
}
