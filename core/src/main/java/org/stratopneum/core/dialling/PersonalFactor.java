package org.stratopneum.core.dialling;

import java.util.Arrays;
import java.util.List;
import org.stratopneum.core.quantity.GaugePressure;

/**
 * What a rider's notes say of the pressure that suits them: theta, the logarithm of the personal factor of one wheel,
 * with prior N(0, 0.12). After a ride at ratio r to the chain, r - theta + e with e ~ N(0, noise) decides the answer:
 * too hard above 0.05, too soft below -0.05, right between, burp or strike below -0.12. The noise is 0.04, 0.06 or 0.09
 * with weights 1/4, 1/2, 1/4 (model; starting values are our judgement). Kept on a grid of theta by noise, in logarithms.
 * It leaves out that a rider's taste moves, and that a burp has causes besides pressure.
 */
public final class PersonalFactor {

    private static final double PRIOR_SIGMA = 0.12;
    private static final double HARD_FROM = 0.05;
    private static final double SOFT_FROM = -0.05;
    private static final double BURP_FROM = -0.12;
    private static final double[] NOISE = {0.04, 0.06, 0.09};
    private static final double[] NOISE_WEIGHT = {0.25, 0.5, 0.25};

    /** What a note from another ground counts (power of its likelihood). */
    private static final double OTHER_GROUND = 0.5;

    /** Half-width of the grid: more than four prior standard deviations (logarithm of a ratio). */
    private static final double REACH = 0.5;

    private static final int STEPS = 250;
    private static final double STEP = 2 * REACH / STEPS;

    /** Ends of the 80 % interval (probabilities). */
    private static final double LOW = 0.1;

    private static final double HIGH = 0.9;

    /** An answer less likely than this is not waited for (probability; our judgement). */
    private static final double UNLIKELY = 0.05;

    /** Raised when the same notes would give another factor. */
    public static final int MODEL = 1;

    /** Before any note. */
    public static final PersonalFactor PRIOR = new PersonalFactor(prior());

    /** Logarithm of the posterior, up to a constant; by noise, then by theta. */
    private final double[][] log;

    /** Posterior of theta alone (probabilities). */
    private final double[] theta;

    private PersonalFactor(double[][] log) {
        this.log = log;
        this.theta = marginal(log);
    }

    private static double[][] prior() {
        double[][] log = new double[NOISE.length][STEPS + 1];
        for (int noise = 0; noise < NOISE.length; noise++) {
            for (int i = 0; i <= STEPS; i++) {
                double z = thetaAt(i) / PRIOR_SIGMA;
                log[noise][i] = Math.log(NOISE_WEIGHT[noise]) - z * z / 2;
            }
        }
        return log;
    }

    private static double thetaAt(int step) {
        return -REACH + step * STEP;
    }

    private static double[] marginal(double[][] log) {
        double most = Arrays.stream(log).flatMapToDouble(Arrays::stream).max().orElseThrow();
        double[] marginal = new double[STEPS + 1];
        double sum = 0;
        for (double[] row : log) {
            for (int i = 0; i <= STEPS; i++) {
                double p = Math.exp(row[i] - most);
                marginal[i] += p;
                sum += p;
            }
        }
        for (int i = 0; i <= STEPS; i++) {
            marginal[i] /= sum;
        }
        return marginal;
    }

    /** After all of {@code notes}, whose order does not matter. */
    public static PersonalFactor after(List<RideNote> notes) {
        return PRIOR.afterAll(notes);
    }

    /** After one note more. */
    public PersonalFactor after(RideNote note) {
        return afterAll(List.of(note));
    }

    private PersonalFactor afterAll(List<RideNote> notes) {
        double[][] next = new double[NOISE.length][];
        for (int noise = 0; noise < NOISE.length; noise++) {
            next[noise] = log[noise].clone();
            for (RideNote note : notes) {
                double weight = note.sameGround() ? 1 : OTHER_GROUND;
                for (int i = 0; i <= STEPS; i++) {
                    next[noise][i] += weight * logLikelihood(note.feel(), note.logRatio() - thetaAt(i), NOISE[noise]);
                }
            }
        }
        return new PersonalFactor(next);
    }

    /** Logarithm of the probability of an answer where the ratio lies {@code off} from what suits. */
    private static double logLikelihood(Feel feel, double off, double noise) {
        return switch (feel) {
            case TOO_HARD -> NormalTail.logBelow((off - HARD_FROM) / noise);
            case TOO_SOFT -> NormalTail.logBelow((SOFT_FROM - off) / noise);
            case RIGHT -> NormalTail.logBetween((SOFT_FROM - off) / noise, (HARD_FROM - off) / noise);
            case BURP_OR_STRIKE -> NormalTail.logBelow((BURP_FROM - off) / noise);
        };
    }

    /** Mean of theta (logarithm of a ratio). */
    public double mean() {
        double mean = 0;
        for (int i = 0; i <= STEPS; i++) {
            mean += theta[i] * thetaAt(i);
        }
        return mean;
    }

    /** The personal factor to ride with next (ratio). */
    public double factor() {
        return Math.exp(mean());
    }

    /** Lower end of the 80 % interval of the factor (ratio). */
    public double low() {
        return Math.exp(quantile(LOW));
    }

    /** Upper end of the 80 % interval of the factor (ratio). */
    public double high() {
        return Math.exp(quantile(HIGH));
    }

    /** Linear between the steps of the grid, each of which stands for the half step to both of its sides. */
    private double quantile(double wanted) {
        double sum = 0;
        for (int i = 0; i <= STEPS; i++) {
            if (sum + theta[i] >= wanted) {
                return thetaAt(i) - STEP / 2 + STEP * (wanted - sum) / theta[i];
            }
            sum += theta[i];
        }
        return REACH;
    }

    /** Probability of an answer after a ride at {@code logRatio}; a burp counts among what is too soft. */
    public double probability(Feel feel, double logRatio) {
        double most = Arrays.stream(log).flatMapToDouble(Arrays::stream).max().orElseThrow();
        double sum = 0;
        double answered = 0;
        for (int noise = 0; noise < NOISE.length; noise++) {
            for (int i = 0; i <= STEPS; i++) {
                double p = Math.exp(log[noise][i] - most);
                sum += p;
                answered += p * Math.exp(logLikelihood(feel, logRatio - thetaAt(i), NOISE[noise]));
            }
        }
        return answered / sum;
    }

    /**
     * Whether a note could still move the pressure.
     *
     * @param chain what the chain gives without a personal factor
     * @param logRatio of the pressure that is ridden
     * @param resolutionKpa what the rider's gauge can show (kPa)
     */
    public boolean isWorthAsking(GaugePressure chain, double logRatio, double resolutionKpa) {
        return List.of(Feel.TOO_SOFT, Feel.RIGHT, Feel.TOO_HARD).stream()
                .filter(feel -> probability(feel, logRatio) >= UNLIKELY)
                .map(feel -> after(new RideNote(logRatio, feel, true)))
                .anyMatch(then -> Math.abs(then.factor() - factor()) * chain.kpa() >= resolutionKpa / 2);
    }
}
