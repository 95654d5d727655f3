package org.stratopneum.core.leak;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.stratopneum.core.air.CarriedPressure;
import org.stratopneum.core.air.Surroundings;
import org.stratopneum.core.quantity.GaugePressure;
import org.stratopneum.core.quantity.Temperature;

/**
 * How a wheel loses its air between two inflations: p(t) = p0 exp(-k t) of the gauge pressure at 20 C, by weighted least
 * squares on ln p with weights (p/sigma)^2. A reading is taken to be good to 3.4 kPa or 2 %, whichever is more, and 3 C
 * more doubtful where its temperature was not noted (model; our judgement). It leaves out a change of pace on the way,
 * the weather's change of the air pressure, and the first hours after a fill with carbon dioxide.
 *
 * @param start moment of the first reading
 * @param end moment of the last reading
 * @param logStartKpa logarithm of the fitted pressure at {@code start} and 20 C (kPa)
 * @param perDay k (1/day); below 0 where it rose
 * @param sigma standard deviation of {@code perDay} (1/day)
 * @param readings how many
 */
public record PressureFall(
        Instant start, Instant end, double logStartKpa, double perDay, double sigma, int readings, Scatter scatter) {

    /** What the fit knows of its two numbers: sum of weights, mean time (days), sum of squares about it (days2). */
    record Scatter(double weight, double meanDay, double squares, double inflation) {}

    private static final Temperature REFERENCE = Temperature.celsius(20);

    /** Half-width of the 80 % interval (standard deviations). */
    private static final double Z80 = 1.2816;

    private static final double MILLIS_PER_DAY = Duration.ofDays(1).toMillis();

    /**
     * Between these a fitted pressure is weighed as itself, beyond them as the nearer (kPa): a line through readings
     * seconds apart leaves any sense years later, and its weights would with it.
     */
    private static final double LEAST_WEIGHED_KPA = 1;

    private static final double MOST_WEIGHED_KPA = GaugePressure.READING_KPA.maximum();

    /** The weights need the fitted pressures: so many rounds settle them to more digits than anybody reads. */
    private static final int ROUNDS = 6;

    /**
     * @param readings since the last inflation, oldest first
     * @param heightM where they were read (m)
     * @return empty with fewer than two readings of a tire with air, or all of them at one moment
     */
    public static Optional<PressureFall> of(List<LeakReading> readings, double heightM) {
        List<LeakReading> withAir =
                readings.stream().filter(reading -> at20(reading, heightM) > 0).toList();
        if (withAir.size() < 2
                || !withAir.get(0).at().isBefore(withAir.get(withAir.size() - 1).at())) {
            return Optional.empty();
        }
        Instant start = withAir.get(0).at();
        List<WeightedLine.Point> points = withAir.stream()
                .map(reading -> new WeightedLine.Point(
                        days(start, reading.at()), at20(reading, heightM), reading.temperature() != null))
                .toList();
        return Optional.of(fit(points, start, withAir.get(withAir.size() - 1).at()));
    }

    /** The reading at 20 C (kPa); 0 where it would lie below the air around it. */
    static double at20(LeakReading reading, double heightM) {
        if (reading.temperature() == null) {
            return reading.pressure().kpa();
        }
        return CarriedPressure.carryIfHeld(
                        reading.pressure(),
                        new Surroundings(reading.temperature(), heightM),
                        new Surroundings(REFERENCE, heightM))
                .map(GaugePressure::kpa)
                .orElse(0.0);
    }

    private static double days(Instant from, Instant to) {
        return Duration.between(from, to).toMillis() / MILLIS_PER_DAY;
    }

    private static PressureFall fit(List<WeightedLine.Point> points, Instant start, Instant end) {
        double[] fitted = points.stream().mapToDouble(WeightedLine.Point::kpa).toArray();
        WeightedLine line = null;
        for (int round = 0; round < ROUNDS; round++) {
            line = WeightedLine.through(points, fitted);
            for (int i = 0; i < fitted.length; i++) {
                fitted[i] = Math.max(
                        LEAST_WEIGHED_KPA,
                        Math.min(
                                MOST_WEIGHED_KPA, Math.exp(line.at(points.get(i).day()))));
            }
        }
        int free = points.size() - 2;
        double inflation = free < 2 ? 1 : Math.sqrt(Math.max(1, line.chi2() / free));
        return new PressureFall(
                start,
                end,
                line.at(0),
                -line.slope(),
                inflation / Math.sqrt(line.squares()),
                points.size(),
                new Scatter(line.weight(), line.meanDay(), line.squares(), inflation));
    }

    /** What was read within less time tells of the gauge and not of the tire (our judgement). */
    private static final Duration LEAST_SPAN = Duration.ofHours(1);

    /** Whether its readings lie far enough apart to tell of the tire. */
    public boolean longEnough() {
        return Duration.between(start, end).compareTo(LEAST_SPAN) >= 0;
    }

    /** Share of the gauge pressure lost in a day (ratio); below 0 where it rose. */
    public double lossPerDay() {
        return -Math.expm1(-perDay);
    }

    /** Lower end of the 80 % interval of the loss in a day (ratio). */
    public double lowLossPerDay() {
        return -Math.expm1(-(perDay - Z80 * sigma));
    }

    /** Upper end of the 80 % interval of the loss in a day (ratio). */
    public double highLossPerDay() {
        return -Math.expm1(-(perDay + Z80 * sigma));
    }

    /** How long until half of it is left (days); empty while it does not fall. */
    public Optional<Double> halfLifeDays() {
        return perDay > 0 ? Optional.of(Math.log(2) / perDay) : Optional.empty();
    }

    /**
     * A pressure with its 80 % interval, at 20 C.
     *
     * @param low lower end, {@code high} upper end
     */
    public record Expected(GaugePressure likely, GaugePressure low, GaugePressure high) {

        /** From the logarithms of pressures (kPa). */
        static Expected ofLogs(double likely, double low, double high) {
            return new Expected(fromLog(likely), fromLog(low), fromLog(high));
        }

        /** None of the three above {@code most}: nobody pumps meanwhile, and at one temperature a tire gains nothing. */
        Expected atMost(Expected most) {
            return new Expected(lower(likely, most.likely), lower(low, most.low), lower(high, most.high));
        }

        private static GaugePressure lower(GaugePressure one, GaugePressure other) {
            return one.isAbove(other) ? other : one;
        }
    }

    /** No gauge of a bicycle shows more than {@link GaugePressure#READING_KPA}; an end that lies beyond is given as that. */
    private static final double MOST_LOG = Math.log(GaugePressure.READING_KPA.maximum());

    private static GaugePressure fromLog(double log) {
        return GaugePressure.kpa(Math.exp(Math.min(log, MOST_LOG)));
    }

    /**
     * What the wheel has at a moment if it goes on like this, at 20 C; after the last reading never more than at it, since
     * nobody pumps meanwhile.
     */
    public Expected at(Instant moment) {
        Expected there = onTheLine(moment);
        return moment.isAfter(end) ? there.atMost(onTheLine(end)) : there;
    }

    private Expected onTheLine(Instant moment) {
        double day = days(start, moment);
        double log = logStartKpa - perDay * day;
        double off = day - scatter.meanDay;
        double doubt = Z80 * scatter.inflation * Math.sqrt(1 / scatter.weight + off * off / scatter.squares);
        return Expected.ofLogs(log, log - doubt, log + doubt);
    }
}
