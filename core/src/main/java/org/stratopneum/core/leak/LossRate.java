package org.stratopneum.core.leak;

/**
 * How fast a wheel loses its air: what the readings leave of what such tires usually do, as probabilities of ninety steps
 * of ln k, where p(t) = p0 exp(-k t) of the gauge pressure at 20 C (docs/handbook, page 6).
 */
public final class LossRate {

    private static final int STEPS = 90;

    /** The slowest and the fastest that anybody asks of (1/day). */
    private static final double LEAST_LOG = Math.log(1e-4);

    private static final double WIDTH = (Math.log(2) - LEAST_LOG) / (STEPS - 1);

    /** What a settled tubeless tire usually loses (1/day), and how much tires differ (standard deviation of ln k; ours). */
    static final double USUAL = 0.014;

    private static final double SPREAD = 1.1;

    /** As likely as this a class is named, and one that may be the worse of two (ratio; our judgement). */
    private static final double SURE = 0.8;

    private static final double SURE_OF_TWO = 0.9;

    private static final double LOW = 0.1;
    private static final double MIDDLE = 0.5;
    private static final double HIGH = 0.9;

    private final LeakBands bands;
    private final double[] upTo = new double[STEPS + 1];
    private final LossPace pace;

    /**
     * @param data of the pace that holds now
     * @param gauge how it scatters, by what it showed before that pace
     */
    LossRate(LossSums data, GaugeNoise gauge, LeakBands bands) {
        this.bands = bands;
        double usual = Math.log(USUAL * bands.scale());
        double power = (gauge.degrees() + data.count()) / 2;
        double[] log = new double[STEPS];
        double most = Double.NEGATIVE_INFINITY;
        for (int i = 0; i < STEPS; i++) {
            double at = LEAST_LOG + i * WIDTH;
            double off = (at - usual) / SPREAD;
            log[i] = -power * Math.log(gauge.sum() + data.misfit(Math.exp(at))) - off * off / 2;
            most = Math.max(most, log[i]);
        }
        for (int i = 0; i < STEPS; i++) {
            upTo[i + 1] = upTo[i] + Math.exp(log[i] - most);
        }
        double all = upTo[STEPS];
        for (int i = 0; i <= STEPS; i++) {
            upTo[i] /= all;
        }
        pace = new LossPace(quantile(MIDDLE), quantile(LOW), quantile(HIGH));
    }

    /** The rate that is not passed with a probability (1/day). */
    private double quantile(double probability) {
        int step = 0;
        while (upTo[step + 1] < probability) {
            step++;
        }
        double share = (probability - upTo[step]) / (upTo[step + 1] - upTo[step]);
        return Math.exp(LEAST_LOG + (step + share - 0.5) * WIDTH);
    }

    /** How likely it loses no more than a share of its pressure in a day (ratio); each step counts as a whole. */
    private double below(double lossPerDay) {
        double last = (Math.log(-Math.log1p(-lossPerDay)) - LEAST_LOG) / WIDTH;
        return upTo[(int) Math.floor(last) + 1];
    }

    /** As likely faster as slower (1/day). */
    public double perDay() {
        return pace.perDay();
    }

    /** Lower end of the 80 % interval (1/day). */
    double lowPerDay() {
        return pace.lowPerDay();
    }

    /** Upper end of the 80 % interval (1/day). */
    double highPerDay() {
        return pace.highPerDay();
    }

    /** The rate with its interval, whatever it is called. */
    LossPace pace() {
        return pace;
    }

    /** Share of the gauge pressure lost in a day (ratio). */
    public double lossPerDay() {
        return pace.lossPerDay();
    }

    /** Lower end of the 80 % interval of the loss in a day (ratio). */
    public double lowLossPerDay() {
        return pace.lowLossPerDay();
    }

    /** Upper end of the 80 % interval of the loss in a day (ratio). */
    public double highLossPerDay() {
        return pace.highLossPerDay();
    }

    /** How long until half of it is left (days). */
    public double halfLifeDays() {
        return Math.log(2) / perDay();
    }

    /** How likely it is of a class (ratio); 0 for {@link LeakClass#UNSURE}. */
    public double probability(LeakClass of) {
        return switch (of) {
            case NORMAL -> below(bands.slow());
            case SLOW -> below(bands.leak()) - below(bands.slow());
            case LEAK -> below(bands.fast()) - below(bands.leak());
            case FAST -> 1 - below(bands.fast());
            case UNSURE -> 0;
        };
    }

    /** How likely it is to be found before riding (ratio). */
    double leaks() {
        return 1 - below(bands.leak());
    }

    /** A leak, where that may be a fast one; {@link LeakClass#UNSURE} where no class is likely enough. */
    public LeakClass named() {
        for (LeakClass named : LeakClass.NAMED) {
            if (probability(named) >= SURE) {
                return named;
            }
        }
        return leaks() >= SURE_OF_TWO ? LeakClass.LEAK : LeakClass.UNSURE;
    }

    /** Whether it is a leak for sure, and perhaps a fast one. */
    public boolean isPerhapsFast() {
        return named() == LeakClass.LEAK && probability(LeakClass.LEAK) < SURE;
    }
}
