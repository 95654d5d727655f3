package org.stratopneum.core.sealant;

import java.time.LocalDate;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.stream.IntStream;
import org.hipparchus.distribution.continuous.NormalDistribution;
import org.stratopneum.core.tire.LiquidPool;

/**
 * How much sealant is left in a tire, and when to look and when to refresh. The rate factor of the tire is not known: it
 * is carried as {@value #SAMPLES} equally likely values of its log-normal prior, each followed through all that happened,
 * and weighted by how well it agrees with every dip and sound (so is what each puncture spent). It leaves out what sticks
 * to lumps, what the wall film holds (see {@link LiquidPool}), and punctures that come.
 */
public final class SealantForecast {

    /** So many values settle the tenth of a distribution to less than a day. */
    static final int SAMPLES = 2000;

    /** Whatever the liquid, age cures it: it is looked at by then (months; common practice). */
    public static final int LONGEST_MONTHS = 6;

    private static final double CHECK_AT = 0.1;
    private static final double REFRESH_AT = 0.5;
    private static final double LOW = 0.1;
    private static final double MIDDLE = 0.5;
    private static final double HIGH = 0.9;

    /** Standard deviation of the logarithm of what a puncture spends (our judgement: wide). */
    private static final double SPENT_SIGMA = 0.7;

    /** How soft the ends of what was heard are (ml), and how often ears are simply wrong (probability). */
    private static final double SOFT_ML = 8;

    private static final double WRONG = 0.05;

    /** Spreads the values of each puncture evenly and independently of the rate: the golden ratio's fraction. */
    private static final double GOLDEN = 0.6180339887498949;

    private static final NormalDistribution NORMAL = new NormalDistribution(0, 1);

    /** Standard normal quantiles of {@value #SAMPLES} equal parts. */
    private static final double[] QUANTILES = IntStream.range(0, SAMPLES)
            .mapToDouble(i -> NORMAL.inverseCumulativeProbability((i + 0.5) / SAMPLES))
            .toArray();

    /**
     * The tire.
     *
     * @param innerSurfaceCm2 S (cm2)
     * @param minimumMl least that still works (ml)
     * @param medianRate median of the prior of k
     */
    public record Tire(double innerSurfaceCm2, double minimumMl, double medianRate) {}

    /** A distribution by its tenth, its middle and its nine tenths. */
    public record Spread(double p10, double p50, double p90) {}

    private final Tire tire;
    private final DryingClimate climate;
    private final double[] rate = new double[SAMPLES];
    private final double[] ml = new double[SAMPLES];
    private final double[] logWeight = new double[SAMPLES];

    /** The same as ratios, once all was taken in that is known; else null. */
    private double[] weight;

    /** The samples by when each falls below the minimum, once somebody asked; else null. */
    private int[] byCrossing;

    /** Deficit summed since the last filling at which a sample fell below the minimum (kPa days). */
    private final double[] crossed = new double[SAMPLES];

    private LocalDate day;
    private LocalDate filledOn;
    private LocalDate renewedOn;
    private double dried;
    private int punctures;

    private SealantForecast(Tire tire, DryingClimate climate) {
        this.tire = tire;
        this.climate = climate;
        for (int i = 0; i < SAMPLES; i++) {
            rate[i] = tire.medianRate * Math.exp(DryingRate.SIGMA * QUANTILES[i]);
        }
    }

    /**
     * @param events what happened and was seen, the first of them a filling; those after {@code asOf} do not count
     * @throws IllegalArgumentException when nothing was filled in by then
     */
    public static SealantForecast of(Tire tire, DryingClimate climate, List<SealantEvent> events, LocalDate asOf) {
        List<SealantEvent> sorted = events.stream()
                .filter(event -> !event.on().isAfter(asOf))
                .sorted(Comparator.comparing(SealantEvent::on))
                .toList();
        if (sorted.isEmpty() || !(sorted.get(0) instanceof SealantEvent.Filled)) {
            throw new IllegalArgumentException("the first thing that happens to sealant is that it is filled in");
        }
        SealantForecast forecast = new SealantForecast(tire, climate);
        forecast.day = sorted.get(0).on();
        for (SealantEvent event : sorted) {
            forecast.dryUntil(event.on());
            forecast.take(event);
        }
        forecast.dryUntil(asOf);
        return forecast;
    }

    private void dryUntil(LocalDate until) {
        double deficit = 0;
        for (LocalDate at = day; at.isBefore(until); at = at.plusDays(1)) {
            deficit += climate.deficitKpa(at);
        }
        if (deficit > 0) {
            for (int i = 0; i < SAMPLES; i++) {
                noteCrossing(i, deficit);
                ml[i] = Math.max(0, ml[i] - perKpaDay(i) * deficit);
            }
        }
        dried += deficit;
        day = until;
    }

    private double perKpaDay(int i) {
        return rate[i] * DryingRate.Q * tire.innerSurfaceCm2;
    }

    private void noteCrossing(int i, double deficit) {
        double left = (ml[i] - tire.minimumMl) / perKpaDay(i);
        if (Double.isInfinite(crossed[i]) && left < deficit) {
            crossed[i] = dried + Math.max(0, left);
        }
    }

    private void take(SealantEvent event) {
        weight = null;
        if (event instanceof SealantEvent.Filled filled) {
            for (int i = 0; i < SAMPLES; i++) {
                ml[i] = (filled.renewed() ? 0 : ml[i]) + filled.ml();
                crossed[i] = Double.POSITIVE_INFINITY;
            }
            filledOn = filled.on();
            renewedOn = renewedOn == null || filled.renewed() ? filled.on() : renewedOn;
            dried = 0;
        } else if (event instanceof SealantEvent.Spent spent) {
            punctures++;
            for (int i = 0; i < SAMPLES; i++) {
                int other = (int) (SAMPLES * ((i * GOLDEN * punctures) % 1));
                ml[i] = Math.max(0, ml[i] - spent.medianMl() * Math.exp(SPENT_SIGMA * QUANTILES[other]));
            }
        } else if (event instanceof SealantEvent.Dipped dipped) {
            for (int i = 0; i < SAMPLES; i++) {
                double z = (dipped.ml() - ml[i]) / dipped.sigmaMl();
                logWeight[i] -= z * z / 2;
            }
        } else if (event instanceof SealantEvent.Heard heard) {
            for (int i = 0; i < SAMPLES; i++) {
                double inside = NORMAL.cumulativeProbability((heard.toMl() - ml[i]) / SOFT_ML)
                        - NORMAL.cumulativeProbability((heard.fromMl() - ml[i]) / SOFT_ML);
                logWeight[i] += Math.log(WRONG + (1 - WRONG) * inside);
            }
        }
    }

    /** What is in the tire on the day that was asked for (ml). */
    public Spread volumeMl() {
        return spread(ml);
    }

    /** The rate factor of this tire, as far as it is known. */
    public Spread rateFactor() {
        return spread(rate);
    }

    private Spread spread(double[] values) {
        int[] order = order(values);
        return new Spread(quantile(values, order, LOW), quantile(values, order, MIDDLE), quantile(values, order, HIGH));
    }

    private double quantile(double[] values, int[] order, double wanted) {
        double sum = 0;
        for (int i : order) {
            sum += weights()[i];
            if (sum - weights()[i] / 2 >= wanted) {
                return values[i];
            }
        }
        return values[order[SAMPLES - 1]];
    }

    /** How likely each sample is (ratios that add up to 1). */
    private double[] weights() {
        if (weight == null) {
            double most = Arrays.stream(logWeight).max().orElseThrow();
            weight = Arrays.stream(logWeight).map(w -> Math.exp(w - most)).toArray();
            double all = Arrays.stream(weight).sum();
            for (int i = 0; i < SAMPLES; i++) {
                weight[i] /= all;
            }
        }
        return weight;
    }

    /**
     * The samples by their values, which are not negative, smallest first. Value and number are packed into one word, so
     * that no object is made for each: values that agree to seven digits stay in the order of their numbers.
     */
    private static int[] order(double[] values) {
        long[] packed = new long[SAMPLES];
        for (int i = 0; i < SAMPLES; i++) {
            packed[i] = (long) Float.floatToIntBits((float) values[i]) << Integer.SIZE | i;
        }
        Arrays.sort(packed);
        return Arrays.stream(packed).mapToInt(word -> (int) word).toArray();
    }

    /** First day on which it is too little with a probability of a tenth; six months after it was filled in at the latest. */
    public LocalDate checkBy() {
        return tooLittle(CHECK_AT);
    }

    /** First day on which it is too little as likely as not; six months after it was filled in at the latest. */
    public LocalDate refreshBy() {
        return tooLittle(REFRESH_AT);
    }

    /** Deficit since the last filling at which each sample falls below the minimum, or fell (kPa days). */
    private double[] crossing() {
        double[] crossing = new double[SAMPLES];
        for (int i = 0; i < SAMPLES; i++) {
            crossing[i] = Double.isInfinite(crossed[i])
                    ? dried + Math.max(0, (ml[i] - tire.minimumMl) / perKpaDay(i))
                    : crossed[i];
        }
        return crossing;
    }

    private LocalDate tooLittle(double probability) {
        double[] crossing = crossing();
        if (byCrossing == null) {
            byCrossing = order(crossing);
        }
        double deficit = quantile(crossing, byCrossing, probability);
        LocalDate latest = filledOn.plusMonths(LONGEST_MONTHS);
        LocalDate at = filledOn;
        double sum = 0;
        while (sum < deficit && at.isBefore(latest)) {
            sum += climate.deficitKpa(at);
            at = at.plusDays(1);
        }
        return at.isAfter(latest) ? latest : at;
    }

    /**
     * How likely it is that it is too little on a day to come, or is already (ratio).
     *
     * @param on not before the day that was asked for
     */
    public double chanceTooLittle(LocalDate on) {
        double deficit = dried;
        for (LocalDate at = day; at.isBefore(on); at = at.plusDays(1)) {
            deficit += climate.deficitKpa(at);
        }
        double[] crossing = crossing();
        double tooLittle = 0;
        for (int i = 0; i < SAMPLES; i++) {
            tooLittle += crossing[i] < deficit ? weights()[i] : 0;
        }
        return tooLittle;
    }

    /** What dries between two days, while there is something to dry, by the middle of the rate (ml). */
    public double driesMl(LocalDate from, LocalDate to) {
        double deficit = 0;
        for (LocalDate at = from; at.isBefore(to); at = at.plusDays(1)) {
            deficit += climate.deficitKpa(at);
        }
        return rateFactor().p50() * DryingRate.Q * tire.innerSurfaceCm2 * deficit;
    }

    /** When the oldest of what is in there went in. */
    public LocalDate renewedOn() {
        return renewedOn;
    }

    /** When it was last filled in or topped up. */
    public LocalDate filledOn() {
        return filledOn;
    }
}
