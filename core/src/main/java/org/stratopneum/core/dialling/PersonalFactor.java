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

    /** How theta moves. */
    private static final double[] MOVE = ThetaGrid.kernel(MOVE_SIGMA);

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
    public static final int MODEL = 3;

    /** Before any note. */
    public static final PersonalFactor PRIOR = startingFrom(ThetaGrid.normal(PRIOR_SIGMA));

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

    /** Before any note of a wheel, where its first theta is believed to lie so (not normalised). */
    static PersonalFactor startingFrom(double[] first) {
        double[][] weights = new double[NOISE.length][];
        for (int noise = 0; noise < NOISE.length; noise++) {
            double share = NOISE_WEIGHT[noise];
            weights[noise] = Arrays.stream(first).map(weight -> share * weight).toArray();
        }
        return new PersonalFactor(weights, true);
    }

    private static double[][] normalised(double[][] weights) {
        double sum = Arrays.stream(weights).flatMapToDouble(Arrays::stream).sum();
        return Arrays.stream(weights)
                .map(row -> Arrays.stream(row).map(weight -> weight / sum).toArray())
                .toArray(double[][]::new);
    }

    private static double[] marginal(double[][] p) {
        double[] marginal = new double[ThetaGrid.STEPS + 1];
        for (double[] row : p) {
            for (int i = 0; i <= ThetaGrid.STEPS; i++) {
                marginal[i] += row[i];
            }
        }
        return marginal;
    }

    /** After all of {@code notes}, in the order of the days. */
    public PersonalFactor after(List<RideNote> notes) {
        PersonalFactor factor = this;
        for (RideNote note : notes) {
            factor = factor.after(note);
        }
        return factor;
    }

    /** How well each first theta explains all of {@code notes}: followed back from the last to the first. */
    static double[] likelihoodOfFirst(List<RideNote> notes) {
        double[] logScale = new double[NOISE.length];
        double[][] likelihood = new double[NOISE.length][];
        for (int noise = 0; noise < NOISE.length; noise++) {
            double[] row = new double[ThetaGrid.STEPS + 1];
            Arrays.fill(row, 1);
            for (int i = notes.size() - 1; i >= 0; i--) {
                RideNote note = notes.get(i);
                double most = 0;
                for (int step = 0; step < row.length; step++) {
                    row[step] *= said(note, step, NOISE[noise]);
                    most = Math.max(most, row[step]);
                }
                for (int step = 0; step < row.length; step++) {
                    row[step] /= most;
                }
                logScale[noise] += Math.log(most);
                row = i == 0 ? row : note.afterChange() ? ThetaGrid.spread(row, MOVE) : mayHaveMoved(row);
            }
            likelihood[noise] = row;
        }
        double largest = Arrays.stream(logScale).max().orElseThrow();
        double[] all = new double[ThetaGrid.STEPS + 1];
        for (int noise = 0; noise < NOISE.length; noise++) {
            double weight = NOISE_WEIGHT[noise] * Math.exp(logScale[noise] - largest);
            for (int step = 0; step < all.length; step++) {
                all[step] += weight * likelihood[noise][step];
            }
        }
        return all;
    }

    /** Probability of a note where theta lies at a step. */
    private static double said(RideNote note, int step, double noise) {
        double likely = likelihood(note.feel(), note.logRatio() - ThetaGrid.thetaAt(step), noise);
        return Math.pow((1 - ANYTHING) * likely + ANYTHING / ANSWERS, note.sameGround() ? 1 : OTHER_GROUND);
    }

    private static double[] mayHaveMoved(double[] row) {
        double[] spread = ThetaGrid.spread(row, MOVE);
        for (int i = 0; i < row.length; i++) {
            spread[i] = (1 - UNSAID) * row[i] + UNSAID * spread[i];
        }
        return spread;
    }

    /** After one note more. */
    public PersonalFactor after(RideNote note) {
        double[][] before = (note.afterChange() ? afterChange() : moved ? this : mayHaveMoved()).p;
        double[][] next = new double[NOISE.length][ThetaGrid.STEPS + 1];
        for (int noise = 0; noise < NOISE.length; noise++) {
            for (int i = 0; i <= ThetaGrid.STEPS; i++) {
                next[noise][i] = before[noise][i] * said(note, i, NOISE[noise]);
            }
        }
        return new PersonalFactor(next, false);
    }

    /** After another tire, or another rim: the factor stays, its doubt grows; nothing changes before the first note. */
    public PersonalFactor afterChange() {
        return moved
                ? this
                : new PersonalFactor(
                        Arrays.stream(p).map(row -> ThetaGrid.spread(row, MOVE)).toArray(double[][]::new), true);
    }

    private PersonalFactor mayHaveMoved() {
        return new PersonalFactor(
                Arrays.stream(p).map(PersonalFactor::mayHaveMoved).toArray(double[][]::new), true);
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
        return Math.abs(mean()) > ThetaGrid.REACH - END;
    }

    /** Mean of theta (logarithm of a ratio). */
    public double mean() {
        double mean = 0;
        for (int i = 0; i <= ThetaGrid.STEPS; i++) {
            mean += theta[i] * ThetaGrid.thetaAt(i);
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
        for (int i = 0; i <= ThetaGrid.STEPS; i++) {
            if (sum + theta[i] >= wanted) {
                return ThetaGrid.thetaAt(i) - ThetaGrid.STEP / 2 + ThetaGrid.STEP * (wanted - sum) / theta[i];
            }
            sum += theta[i];
        }
        return ThetaGrid.REACH;
    }

    /** Width of the 80 % interval (logarithm of a ratio). */
    public double width() {
        return quantile(HIGH) - quantile(LOW);
    }

    /** Probability of an answer after a ride at {@code logRatio}; a burp counts among what is too soft. */
    public double probability(Feel feel, double logRatio) {
        double answered = 0;
        for (int noise = 0; noise < NOISE.length; noise++) {
            for (int i = 0; i <= ThetaGrid.STEPS; i++) {
                answered += p[noise][i] * likelihood(feel, logRatio - ThetaGrid.thetaAt(i), NOISE[noise]);
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
