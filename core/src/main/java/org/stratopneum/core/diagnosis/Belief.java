package org.stratopneum.core.diagnosis;

import java.util.Comparator;
import java.util.List;
import java.util.function.ToDoubleFunction;

/** How likely each cause is. */
public final class Belief {

    private final List<Cause> causes;
    private final double[] probability;

    /** @param weight of each cause, not negative and not all zero; made to add up to one */
    Belief(List<Cause> causes, double[] weight) {
        this.causes = causes;
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
        return causes;
    }

    public double of(Cause cause) {
        return probability[causes.indexOf(cause)];
    }

    /** Of the cause of this number among {@link #causes}. */
    double at(int cause) {
        return probability[cause];
    }

    /** Of this cause and those that look alike and are first mended alike. */
    public double ofAlike(Cause cause) {
        return cause.alike().stream().mapToDouble(this::of).sum();
    }

    /** The same with each cause weighed. */
    Belief weighed(ToDoubleFunction<Cause> weight) {
        double[] weights = new double[probability.length];
        for (int i = 0; i < weights.length; i++) {
            weights[i] = probability[i] * weight.applyAsDouble(causes.get(i));
        }
        return new Belief(causes, weights);
    }

    /** What is believed once {@code answer} was seen. */
    Belief after(Check check, String answer) {
        double[] likelihood = check.likelihoods(causes, answer);
        double[] weights = new double[probability.length];
        for (int i = 0; i < weights.length; i++) {
            weights[i] = probability[i] * likelihood[i];
        }
        return new Belief(causes, weights);
    }

    /** How likely {@code answer} will be seen. */
    double expects(Check check, String answer) {
        double[] likelihood = check.likelihoods(causes, answer);
        double sum = 0;
        for (int i = 0; i < probability.length; i++) {
            sum += probability[i] * likelihood[i];
        }
        return sum;
    }

    /** Entropy (nat). */
    double doubt() {
        double sum = 0;
        for (double one : probability) {
            sum -= one > 0 ? one * Math.log(one) : 0;
        }
        return sum;
    }

    /** Most likely first. */
    public List<Cause> ranking() {
        return causes.stream()
                .sorted(Comparator.comparingDouble(this::of).reversed())
                .toList();
    }

    public Cause leading() {
        return ranking().get(0);
    }
}
