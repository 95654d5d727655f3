package org.stratopneum.core.leak;

import java.time.Duration;
import java.time.Instant;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.IntStream;
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
        return Optional.ofNullable(pace).map(known -> {
            double days = Math.max(0, Math.min(FARTHEST_DAYS, days(at, moment))) + exposure;
            double own = Z80 * Math.sqrt(variance);
            double likely = level - known.perDay() * days;
            double low = Math.hypot(own, days * (known.highPerDay() - known.perDay()));
            double high = Math.hypot(own, days * (known.perDay() - known.lowPerDay()));
            return new Expected(held(likely), held(likely - low), held(likely + high));
        });
    }

    private static double days(Instant from, Instant to) {
        return Duration.between(from, to).toMillis() / MILLIS_PER_DAY;
    }

    /** Never less than flat, nor more than was read last and a little. */
    private GaugePressure held(double log) {
        return GaugePressure.kpa(Math.exp(Math.max(Math.log(AirLoss.FLAT_KPA), Math.min(last + ABOVE, log))));
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
        Optional<Instant> likely = first(floor, Expected::likely);
        return likely.map(middle -> new Under(
                first(floor, Expected::low).orElse(middle),
                middle,
                first(floor, Expected::high).orElse(null)));
    }

    private Optional<Instant> first(GaugePressure floor, Function<Expected, GaugePressure> end) {
        return pace == null
                ? Optional.empty()
                : IntStream.rangeClosed(0, FARTHEST_DAYS * HOURS)
                        .mapToObj(hour -> at.plus(Duration.ofHours(hour)))
                        .filter(moment -> expectedAt(moment)
                                .map(end)
                                .filter(pressure -> pressure.isBelow(floor))
                                .isPresent())
                        .findFirst();
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
