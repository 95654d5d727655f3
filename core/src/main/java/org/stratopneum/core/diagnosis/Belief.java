package org.stratopneum.core.diagnosis;

import java.util.Comparator;
import java.util.List;
import java.util.function.IntPredicate;
import java.util.stream.IntStream;

/** How likely each cause is, alone or with a second one: causes may add up to more than one. */
public final class Belief {

    private final LeakStates states;
    private final double[] probability;

    /** @param weight of each state, not negative and not all zero; made to add up to one */
    Belief(LeakStates states, double[] weight) {
        this.states = states;
        double sum = 0;
        for (double one : weight) {
            sum += one;
        }
        probability = new double[weight.length];
        for (int i = 0; i < weight.length; i++) {
            probability[i] = weight[i] / sum;
        }
    }

    public List<Cause> causes() {
        return states.causes();
    }

    /** How likely this cause is among those that hold (ratio). */
    public double of(Cause cause) {
        return sum(states.with(states.causes().indexOf(cause)));
    }

    double at(int cause) {
        return sum(states.with(cause));
    }

    /** How likely this cause is, or one that looks alike and is first mended alike (ratio). */
    public double ofAlike(Cause cause) {
        return ofGroup(states.group(states.causes().indexOf(cause)));
    }

    double ofGroup(int group) {
        return sum(states.ofGroup(group));
    }

    private double sum(int[] some) {
        double sum = 0;
        for (int state : some) {
            sum += probability[state];
        }
        return sum;
    }

    /** How likely there are two causes (ratio). */
    public double ofTwo() {
        return sum(states::isDouble);
    }

    /** How likely it leaks only when ridden, warm or at another pressure (ratio). */
    public double ofSilent() {
        return sum(states::isSilent);
    }

    private double sum(IntPredicate wanted) {
        return IntStream.range(0, probability.length)
                .filter(wanted)
                .mapToDouble(state -> probability[state])
                .sum();
    }

    /** What is believed once an answer was seen, by numbers of the model. */
    Belief after(int check, int answer) {
        double[] likelihood = states.likelihoods(check, answer);
        double[] weights = new double[probability.length];
        for (int i = 0; i < weights.length; i++) {
            weights[i] = probability[i] * likelihood[i];
        }
        return new Belief(states, weights);
    }

    /** How likely an answer will be seen, by numbers of the model. */
    double expects(int check, int answer) {
        double[] likelihood = states.likelihoods(check, answer);
        double sum = 0;
        for (int i = 0; i < probability.length; i++) {
            sum += probability[i] * likelihood[i];
        }
        return sum;
    }

    /** What is believed once a cause was mended and the wheel still lost air. */
    Belief afterMendInVain(Cause cause) {
        return new Belief(
                states, states.afterMendInVain(probability, states.causes().indexOf(cause)));
    }

    /** Entropy of what is the matter, whether it bubbles or not (nat). */
    double doubt() {
        int half = states.isSilent(probability.length - 1) ? probability.length / 2 : probability.length;
        double sum = 0;
        for (int i = 0; i < half; i++) {
            double one = probability[i] + (half < probability.length ? probability[half + i] : 0);
            sum -= one > 0 ? one * Math.log(one) : 0;
        }
        return sum;
    }

    /** Most likely first. */
    public List<Cause> ranking() {
        return causes().stream()
                .sorted(Comparator.comparingDouble(this::of).reversed())
                .toList();
    }

    public Cause leading() {
        return ranking().get(0);
    }

    /** The likeliest of a group, by number. */
    int likeliestOf(int group) {
        int best = states.members(group)[0];
        for (int cause : states.members(group)) {
            best = at(cause) > at(best) ? cause : best;
        }
        return best;
    }

    LeakStates states() {
        return states;
    }

    double ofState(int state) {
        return probability[state];
    }
}
