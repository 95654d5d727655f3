package org.stratopneum.core.leak;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
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
        List<List<LeakReading>> spans = spans(turns);
        double weight = 0;
        double sum = 0;
        Instant since = null;
        PressureFall own = null;
        for (int i = spans.size() - 1; i >= 0 && (weight == 0 || 1 / Math.sqrt(weight) > WELL_KNOWN); i--) {
            Optional<PressureFall> fall = PressureFall.of(spans.get(i), heightM);
            if (fall.isPresent()) {
                double w = 1 / (fall.get().sigma() * fall.get().sigma());
                weight += w;
                sum += w * fall.get().perDay();
                since = fall.get().start();
                own = i == spans.size() - 1 ? fall.get() : own;
            }
        }
        double anchorSigma = WeightedLine.sigma(kpa, last.temperature() != null) / kpa;
        PressureFall alone = own != null && since.equals(own.start()) ? own : null;
        return Optional.of(
                weight == 0
                        ? new PressureOutlook(kpa, anchorSigma, last.at(), null, 0, null, null)
                        : new PressureOutlook(
                                kpa, anchorSigma, last.at(), sum / weight, 1 / Math.sqrt(weight), since, alone));
    }

    /** Readings between two inflations, oldest span first; the one before an inflation ends its span. */
    private static List<List<LeakReading>> spans(List<Turn> turns) {
        List<List<LeakReading>> spans = new ArrayList<>();
        for (Turn turn : turns) {
            if (turn.afterInflation() || spans.isEmpty()) {
                spans.add(new ArrayList<>());
            }
            spans.get(spans.size() - 1).add(turn.reading());
        }
        return Collections.unmodifiableList(spans);
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
        double days = Duration.between(at, moment).toMillis() / MILLIS_PER_DAY;
        double log = Math.log(anchor) - perDay * days;
        double doubt = Z80 * Math.hypot(anchorSigma, days * sigma);
        return Optional.of(new PressureFall.Expected(
                GaugePressure.kpa(Math.exp(log)),
                GaugePressure.kpa(Math.exp(log - doubt)),
                GaugePressure.kpa(Math.exp(log + doubt))));
    }

    /** The last reading at 20 C. */
    public GaugePressure lastAt20() {
        return GaugePressure.kpa(anchor);
    }
}
