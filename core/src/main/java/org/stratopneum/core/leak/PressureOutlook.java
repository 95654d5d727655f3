package org.stratopneum.core.leak;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.IntStream;
import org.stratopneum.core.quantity.GaugePressure;

/**
 * What a wheel holds now and later: its last reading, carried on by the rate at which it has lost air so far. The rate
 * is that of the readings since the last inflation; while these cannot tell it to 1 % a day, the spans between earlier
 * inflations are added, the latest first, each weighted by what it knows (our judgement). It leaves out what
 * {@link PressureFall} leaves out, and above all that a hole may come tomorrow.
 *
 * @param anchor last reading (at 20 C, kPa gauge), {@code anchorSigma} its doubt (of its logarithm)
 * @param at when that was
 * @param perDay k (1/day), or null where nothing tells it
 * @param sigma standard deviation of {@code perDay} (1/day)
 * @param since first reading that the rate was taken from, or null
 * @param fall the fit, where the last span alone tells the rate, or null
 */
public record PressureOutlook(
        double anchor, double anchorSigma, Instant at, Double perDay, double sigma, Instant since, PressureFall fall) {

    /** A rate known to this needs no older readings (1/day). */
    private static final double WELL_KNOWN = 0.01;

    /** Half-width of the 80 % interval (standard deviations). */
    private static final double Z80 = 1.2816;

    private static final double MILLIS_PER_DAY = Duration.ofDays(1).toMillis();

    /**
     * @param turns since the tire was fitted, oldest first
     * @param heightM where they were read (m)
     * @return empty without a reading, or where the last one found no air
     */
    public static Optional<PressureOutlook> of(List<Turn> turns, double heightM) {
        if (turns.isEmpty()) {
            return Optional.empty();
        }
        LeakReading last = turns.get(turns.size() - 1).reading();
        double kpa = PressureFall.at20(last, heightM);
        if (kpa <= 0) {
            return Optional.empty();
        }
        double anchorSigma = WeightedLine.sigma(kpa, last.temperature() != null) / kpa;
        List<List<LeakReading>> spans = Turn.spans(turns);
        if (WentFlat.in(spans.get(spans.size() - 1)).isPresent()) {
            return Optional.of(new PressureOutlook(kpa, anchorSigma, last.at(), null, 0, null, null));
        }
        double weight = 0;
        double sum = 0;
        Instant since = null;
        PressureFall own = null;
        for (int i = spans.size() - 1; i >= 0 && (weight == 0 || 1 / Math.sqrt(weight) > WELL_KNOWN); i--) {
            Optional<PressureFall> fall = PressureFall.of(spans.get(i), heightM).filter(PressureFall::longEnough);
            if (fall.isPresent()) {
                double w = 1 / (fall.get().sigma() * fall.get().sigma());
                weight += w;
                sum += w * fall.get().perDay();
                since = fall.get().start();
                own = i == spans.size() - 1 ? fall.get() : own;
            }
        }
        PressureFall alone = own != null && since.equals(own.start()) ? own : null;
        return Optional.of(
                weight == 0
                        ? new PressureOutlook(kpa, anchorSigma, last.at(), null, 0, null, null)
                        : new PressureOutlook(
                                kpa, anchorSigma, last.at(), sum / weight, 1 / Math.sqrt(weight), since, alone));
    }

    /** Share lost in a day (ratio); empty where nothing tells the rate. */
    public Optional<Double> lossPerDay() {
        return Optional.ofNullable(perDay).map(k -> -Math.expm1(-k));
    }

    /** Lower end of the 80 % interval of the loss in a day (ratio). */
    public double lowLossPerDay() {
        return -Math.expm1(-(perDay - Z80 * sigma));
    }

    /** Upper end of the 80 % interval of the loss in a day (ratio). */
    public double highLossPerDay() {
        return -Math.expm1(-(perDay + Z80 * sigma));
    }

    /** What it has at a moment not before the last reading, at 20 C; empty where nothing tells the rate. */
    public Optional<PressureFall.Expected> expectedAt(Instant moment) {
        if (perDay == null) {
            return Optional.empty();
        }
        if (fall != null) {
            return Optional.of(fall.at(moment));
        }
        PressureFall.Expected now = carriedOn(0);
        return Optional.of(carriedOn(Duration.between(at, moment).toMillis() / MILLIS_PER_DAY)
                .atMost(now));
    }

    private PressureFall.Expected carriedOn(double days) {
        double log = Math.log(anchor) - perDay * days;
        double doubt = Z80 * Math.hypot(anchorSigma, days * sigma);
        return PressureFall.Expected.ofLogs(log, log - doubt, log + doubt);
    }

    /** The last reading at 20 C. */
    public GaugePressure lastAt20() {
        return GaugePressure.kpa(anchor);
    }

    /** Nobody asks farther ahead (days). */
    private static final int FAR_DAYS = 200;

    /**
     * When it falls below a pressure.
     *
     * @param earliest one time in ten it is below before this
     * @param likely in the middle
     * @param latest nine times in ten it is below by then, or null where that is farther off than two hundred days
     */
    public record Under(Instant earliest, Instant likely, Instant latest) {}

    /**
     * When it falls, or fell, below a pressure if it goes on like this, to the hour.
     *
     * @param floor that pressure, at 20 C
     * @return empty where nothing tells the rate, or it is farther off than two hundred days
     */
    public Optional<Under> under(GaugePressure floor) {
        Optional<Instant> likely = first(floor, PressureFall.Expected::likely);
        return likely.map(middle -> new Under(
                first(floor, PressureFall.Expected::low).orElse(middle),
                middle,
                first(floor, PressureFall.Expected::high).orElse(null)));
    }

    private Optional<Instant> first(GaugePressure floor, Function<PressureFall.Expected, GaugePressure> end) {
        return perDay == null
                ? Optional.empty()
                : IntStream.rangeClosed(0, FAR_DAYS * HOURS)
                        .mapToObj(hour -> at.plus(Duration.ofHours(hour)))
                        .filter(moment -> expectedAt(moment)
                                .map(end)
                                .filter(pressure -> pressure.isBelow(floor))
                                .isPresent())
                        .findFirst();
    }

    private static final int HOURS = 24;

    /**
     * What to set, so that so much is in it later, at one temperature; empty where nothing tells the rate.
     *
     * @param wanted at the end, above 0
     * @param stands until then
     */
    public Optional<PressureFall.Expected> toSet(GaugePressure wanted, Duration stands) {
        if (perDay == null) {
            return Optional.empty();
        }
        double days = stands.toMillis() / MILLIS_PER_DAY;
        double log = Math.log(wanted.kpa()) + perDay * days;
        double doubt = Z80 * days * sigma;
        return Optional.of(PressureFall.Expected.ofLogs(log, log - doubt, log + doubt));
    }
}
