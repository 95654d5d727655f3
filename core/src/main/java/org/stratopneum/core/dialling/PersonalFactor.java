package org.stratopneum.core.dialling;

import java.util.Arrays;
import java.util.List;
import org.stratopneum.core.quantity.GaugePressure;

/**
 * What a rider's notes say of the pressure that suits them: theta, the logarithm of the personal factor of one wheel,
 * with prior N(0, 0.12). After a ride at ratio r to the chain, r - theta + e with e ~ N(0, noise) decides the answer:
 * too hard above 0.05, too soft below -0.05, right between, burp or strike below -0.12. The noise is 0.04, 0.06 or 0.09
 * with weights 1/4, 1/2, 1/4; three answers in a hundred are anything. Theta may move: by N(0, 0.08) where a tire or rim
 * was changed, and between any two notes once in a hundred without a word (model; starting values are our judgement). Kept
 * on a grid of theta by noise. It leaves out that a right band may be wider or lie elsewhere for this rider, politeness, and
 * that front and rear are felt on one ride.
 */
public final class PersonalFactor {

    private static final double PRIOR_SIGMA = 0.12;
    private static final double HARD_FROM = 0.05;
    private static final double SOFT_FROM = -0.05;
    private static final double BURP_FROM = -0.12;
    private static final double[] NOISE = {0.04, 0.06, 0.09};
    private static final double[] NOISE_WEIGHT = {0.25, 0.5, 0.25};

    /** So many answers are anything: a typo, the wrong wheel, a bad day (ratio); of three that can be given. */
    private static final double ANYTHING = 0.03;

    private static final int ANSWERS = 3;

    /** What a note from another ground counts (power of its likelihood). */
    private static final double OTHER_GROUND = 0.5;

    /** By so much theta moves where something was changed, and how often it does unsaid (logarithm of a ratio, ratio). */
    private static final double MOVE_SIGMA = 0.08;

    private static final double UNSAID = 0.01;

    /** Half-width of the grid: more than four prior standard deviations (logarithm of a ratio). */
    private static final double REACH = 0.5;

    private static final int STEPS = 250;
    private static final double STEP = 2 * REACH / STEPS;

    /** N(0, 0.08) on the grid, to four standard deviations. */
    private static final double[] KERNEL = kernel();

    /** What moves no digit that anybody reads (probability). */
    private static final double NEGLIGIBLE = 1e-12;

    /** Ends of the 80 % interval (probabilities). */
    private static final double LOW = 0.1;

    private static final double HIGH = 0.9;

    /** An answer less likely than this is not waited for (probability; our judgement). */
    private static final double UNLIKELY = 0.05;

    /** An answer less likely than this does not go with the others (probability; our judgement). */
    private static final double STRANGE = 0.01;

    /** So near the end of the grid the chain cannot mean it (logarithm of a ratio; our judgement). */
    private static final double END = 0.02;

    /** Raised when the same notes would give another factor. */
    public static final int MODEL = 2;

    /** Before any note. */
    public static final PersonalFactor PRIOR = new PersonalFactor(prior(), true);

    /** Probabilities; by noise, then by theta. */
    private final double[][] p;

    /** Posterior of theta alone (probabilities). */
    private final double[] theta;

    /** Whether theta has moved already since the last note, or there was none: it does not move again before the next. */
    private final boolean moved;

    private PersonalFactor(double[][] weights, boolean moved) {
        this.p = normalised(weights);
        this.theta = marginal(p);
        this.moved = moved;
    }

    private static double[][] prior() {
        double[][] weights = new double[NOISE.length][STEPS + 1];
        for (int noise = 0; noise < NOISE.length; noise++) {
            double[] row = normal(PRIOR_SIGMA);
            for (int i = 0; i <= STEPS; i++) {
                weights[noise][i] = NOISE_WEIGHT[noise] * row[i];
            }
        }
        return weights;
    }

    private static double[] normal(double sigma) {
        double[] row = new double[STEPS + 1];
        for (int i = 0; i <= STEPS; i++) {
            double z = thetaAt(i) / sigma;
            row[i] = Math.exp(-z * z / 2);
        }
        return row;
    }

    private static double[] kernel() {
        int reach = (int) Math.round(4 * MOVE_SIGMA / STEP);
        double[] kernel = new double[2 * reach + 1];
        double sum = 0;
        for (int i = 0; i < kernel.length; i++) {
            double z = (i - reach) * STEP / MOVE_SIGMA;
            kernel[i] = Math.exp(-z * z / 2);
            sum += kernel[i];
        }
        for (int i = 0; i < kernel.length; i++) {
            kernel[i] /= sum;
        }
        return kernel;
    }

    private static double thetaAt(int step) {
        return -REACH + step * STEP;
    }

    private static double[][] normalised(double[][] weights) {
        double sum = Arrays.stream(weights).flatMapToDouble(Arrays::stream).sum();
        return Arrays.stream(weights)
                .map(row -> Arrays.stream(row).map(weight -> weight / sum).toArray())
                .toArray(double[][]::new);
    }

    private static double[] marginal(double[][] p) {
        double[] marginal = new double[STEPS + 1];
        for (double[] row : p) {
            for (int i = 0; i <= STEPS; i++) {
                marginal[i] += row[i];
            }
        }
        return marginal;
    }

    /** After all of {@code notes}, in the order of the days. */
    public static PersonalFactor after(List<RideNote> notes) {
        PersonalFactor factor = PRIOR;
        for (RideNote note : notes) {
            factor = factor.after(note);
        }
        return factor;
    }

    /** After one note more. */
    public PersonalFactor after(RideNote note) {
        double[][] before = (note.afterChange() ? afterChange() : moved ? this : mayHaveMoved()).p;
        double weight = note.sameGround() ? 1 : OTHER_GROUND;
        double[][] next = new double[NOISE.length][STEPS + 1];
        for (int noise = 0; noise < NOISE.length; noise++) {
            for (int i = 0; i <= STEPS; i++) {
                double likely = likelihood(note.feel(), note.logRatio() - thetaAt(i), NOISE[noise]);
                double said = (1 - ANYTHING) * likely + ANYTHING / ANSWERS;
                next[noise][i] = before[noise][i] * Math.pow(said, weight);
            }
        }
        return new PersonalFactor(next, false);
    }

    /** After another tire, or another rim: the factor stays, its doubt grows; nothing changes before the first note. */
    public PersonalFactor afterChange() {
        return moved ? this : new PersonalFactor(spread(), true);
    }

    private PersonalFactor mayHaveMoved() {
        double[][] spread = spread();
        double[][] next = new double[NOISE.length][STEPS + 1];
        for (int noise = 0; noise < NOISE.length; noise++) {
            for (int i = 0; i <= STEPS; i++) {
                next[noise][i] = (1 - UNSAID) * p[noise][i] + UNSAID * spread[noise][i];
            }
        }
        return new PersonalFactor(next, true);
    }

    /** Convolved with N(0, 0.08); what leaves the grid is gone. */
    private double[][] spread() {
        int reach = KERNEL.length / 2;
        double[][] spread = new double[NOISE.length][STEPS + 1];
        for (int noise = 0; noise < NOISE.length; noise++) {
            for (int from = 0; from <= STEPS; from++) {
                double weight = p[noise][from];
                if (weight < NEGLIGIBLE) {
                    continue;
                }
                for (int to = Math.max(0, from - reach); to <= Math.min(STEPS, from + reach); to++) {
                    spread[noise][to] += weight * KERNEL[to - from + reach];
                }
            }
        }
        return spread;
    }

    /** Probability of an answer where the ratio lies {@code off} from what suits. */
    private static double likelihood(Feel feel, double off, double noise) {
        return Math.exp(
                switch (feel) {
                    case TOO_HARD -> NormalTail.logBelow((off - HARD_FROM) / noise);
                    case TOO_SOFT -> NormalTail.logBelow((SOFT_FROM - off) / noise);
                    case RIGHT -> NormalTail.logBetween((SOFT_FROM - off) / noise, (HARD_FROM - off) / noise);
                    case BURP_OR_STRIKE -> NormalTail.logBelow((BURP_FROM - off) / noise);
                });
    }

    /** Whether a note does not go with those before it: it is kept and hardly counts. */
    public boolean isStrange(RideNote note) {
        return probability(note.feel(), note.logRatio()) < STRANGE;
    }

    /** Whether what is asked for lies outside of what the chain can mean: gauge or mass are wrong, more likely. */
    public boolean isOutOfRange() {
        return Math.abs(mean()) > REACH - END;
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

    /** Width of the 80 % interval (logarithm of a ratio). */
    public double width() {
        return quantile(HIGH) - quantile(LOW);
    }

    /** Probability of an answer after a ride at {@code logRatio}; a burp counts among what is too soft. */
    public double probability(Feel feel, double logRatio) {
        double answered = 0;
        for (int noise = 0; noise < NOISE.length; noise++) {
            for (int i = 0; i <= STEPS; i++) {
                answered += p[noise][i] * likelihood(feel, logRatio - thetaAt(i), NOISE[noise]);
            }
        }
        return answered;
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
