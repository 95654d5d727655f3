package org.stratopneum.core.leak;

import java.time.Duration;
import java.time.Instant;
import java.util.Optional;
import java.util.function.DoubleFunction;
import org.stratopneum.core.quantity.GaugePressure;

/**
 * What a wheel holds now and later, at 20 C: its level at the last reading, carried on by the rate at which it loses air. The
 * doubts of the level and of the rate are added as if each were normal (model). It leaves out what {@link AirLoss} leaves
 * out, and above all that a hole may come tomorrow.
 *
 * @param at when it was read last, {@code last} the logarithm of what was read (kPa)
 * @param level logarithm that the pace acts on (kPa), for {@code exposure} days so far; {@code variance} its doubt
 * @param pace null where nothing tells it
 */
public record PressureOutlook(Instant at, double last, double level, double exposure, double variance, LossPace pace) {

    /** Nobody trusts a pace for longer (days; our judgement). */
    public static final int FARTHEST_DAYS = 60;

    /** Half-width of the 80 % interval (standard deviations). */
    private static final double Z80 = 1.2816;

    private static final double MILLIS_PER_DAY = Duration.ofDays(1).toMillis();
    private static final int HOURS = 24;

    private static final double FLAT = Math.log(AirLoss.FLAT_KPA);

    /** Nobody pumps meanwhile: the gauge may have shown too little, by so much at most (of the logarithm; our judgement). */
    private static final double ABOVE = 0.05;

    /**
     * A pressure with its 80 % interval, at 20 C.
     *
     * @param low lower end, {@code high} upper end
     */
    public record Expected(GaugePressure likely, GaugePressure low, GaugePressure high) {}

    /** The last reading at 20 C. */
    public GaugePressure lastAt20() {
        return GaugePressure.kpa(Math.exp(last));
    }

    /** What it has at a moment, sixty days after the last reading at most; empty where nothing tells the rate. */
    public Optional<Expected> expectedAt(Instant moment) {
        double days = Math.max(0, Math.min(FARTHEST_DAYS, days(at, moment)));
        return pace == null ? Optional.empty() : Optional.of(new Expected(likely(days), low(days), high(days)));
    }

    private GaugePressure likely(double days) {
        return held(level - pace.perDay() * (days + exposure));
    }

    private GaugePressure low(double days) {
        double exposed = days + exposure;
        return held(level - pace.perDay() * exposed - doubt(exposed * (pace.highPerDay() - pace.perDay())));
    }

    private GaugePressure high(double days) {
        double exposed = days + exposure;
        return held(level - pace.perDay() * exposed + doubt(exposed * (pace.perDay() - pace.lowPerDay())));
    }

    /** The level's own doubt, and that of the rate (of the logarithm). */
    private double doubt(double ofRate) {
        return Math.sqrt(Z80 * Z80 * variance + ofRate * ofRate);
    }

    private static double days(Instant from, Instant to) {
        return Duration.between(from, to).toMillis() / MILLIS_PER_DAY;
    }

    /** Never less than flat, nor more than was read last and a little. */
    private GaugePressure held(double log) {
        return GaugePressure.kpa(Math.exp(Math.max(FLAT, Math.min(last + ABOVE, log))));
    }

    /**
     * When it falls below a pressure.
     *
     * @param earliest one time in ten it is below before this
     * @param likely in the middle
     * @param latest nine times in ten it is below by then, or null where that is farther off than sixty days
     */
    public record Under(Instant earliest, Instant likely, Instant latest) {}

    /**
     * When it falls, or fell, below a pressure if it goes on like this, to the hour.
     *
     * @param floor that pressure, at 20 C
     * @return empty where nothing tells the rate, or it is farther off than sixty days
     */
    public Optional<Under> under(GaugePressure floor) {
        return pace == null
                ? Optional.empty()
                : first(floor, this::likely)
                        .map(middle -> new Under(
                                first(floor, this::low).orElse(middle),
                                middle,
                                first(floor, this::high).orElse(null)));
    }

    private Optional<Instant> first(GaugePressure floor, DoubleFunction<GaugePressure> after) {
        for (int hour = 0; hour <= FARTHEST_DAYS * HOURS; hour++) {
            if (after.apply(hour / (double) HOURS).isBelow(floor)) {
                return Optional.of(at.plus(Duration.ofHours(hour)));
            }
        }
        return Optional.empty();
    }

    /**
     * What to set, so that so much is in it later, at one temperature; empty where nothing tells the rate.
     *
     * @param wanted at the end, above 0
     * @param stands until then, sixty days at most
     */
    public Optional<Expected> toSet(GaugePressure wanted, Duration stands) {
        return Optional.ofNullable(pace).map(known -> {
            double days = Math.min(FARTHEST_DAYS, stands.toMillis() / MILLIS_PER_DAY);
            return new Expected(
                    raised(wanted, days * known.perDay()),
                    raised(wanted, days * known.lowPerDay()),
                    raised(wanted, days * known.highPerDay()));
        });
    }

    /** No gauge of a bicycle shows more than {@link GaugePressure#READING_KPA}; what lies beyond is given as that. */
    private static GaugePressure raised(GaugePressure wanted, double log) {
        return GaugePressure.kpa(Math.min(GaugePressure.READING_KPA.maximum(), wanted.kpa() * Math.exp(log)));
    }
}
