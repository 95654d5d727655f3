package org.stratopneum.core.weather;

import java.time.LocalDate;
import java.time.LocalTime;
import java.time.temporal.ChronoUnit;
import java.util.Objects;
import org.stratopneum.core.check.Problems;
import org.stratopneum.core.check.Range;
import org.stratopneum.core.quantity.Temperature;

/**
 * The air of one day at one place.
 *
 * @param day the local day
 * @param lowC lowest temperature of the day (C), not above {@code highC}
 * @param highC highest temperature of the day (C)
 * @param relativeHumidity mean relative humidity (ratio)
 */
public record DailyWeather(LocalDate day, double lowC, double highC, double relativeHumidity) {

    /** Relative humidities that air outdoors has (ratio). */
    public static final Range HUMIDITY = Range.closed(0, 1, "");

    /** When it is coldest and when it is warmest (common practice, no source: near sunrise, and in the afternoon). */
    private static final LocalTime COLDEST = LocalTime.of(6, 0);

    private static final LocalTime WARMEST = LocalTime.of(15, 0);

    private static final double MINUTES_OF_A_DAY = 24 * 60;

    /** What is not known even of today: the station is not the shed (C; our judgement). */
    private static final double DOUBT_TODAY_C = 1.5;

    /** What each day ahead adds, up to where a forecast knows no more than the season (C; our judgement). */
    private static final double DOUBT_PER_DAY_C = 0.5;

    private static final double MOST_DOUBT_C = 5;

    public DailyWeather {
        Objects.requireNonNull(day, "day");
        Problems problems = new Problems();
        problems.check("lowC", lowC, Temperature.CELSIUS);
        problems.check("highC", highC, Temperature.CELSIUS);
        problems.check("highC", highC, Range.closed(lowC, Math.max(lowC, Temperature.CELSIUS.maximum()), "°C"));
        problems.check("relativeHumidity", relativeHumidity, HUMIDITY);
        problems.throwIfAny();
    }

    /** The middle of lowest and highest (C). */
    public double meanC() {
        return (lowC + highC) / 2;
    }

    /**
     * The air's temperature at a time of the day: half a wave up from the coldest to the warmest hour, half a wave down
     * to the next coldest (model). It leaves out clouds, wind, sun on the tire, and that the next night is another one.
     */
    public double temperatureAt(LocalTime time) {
        double since = (MINUTES_OF_A_DAY + COLDEST.until(time, ChronoUnit.MINUTES)) % MINUTES_OF_A_DAY;
        double rise = COLDEST.until(WARMEST, ChronoUnit.MINUTES);
        double phase =
                since <= rise ? Math.PI * (since / rise - 1) : Math.PI * (since - rise) / (MINUTES_OF_A_DAY - rise);
        return meanC() + (highC - lowC) / 2 * Math.cos(phase);
    }

    /**
     * How far off a temperature may be that was told {@code days} ahead: one standard deviation (C).
     *
     * @param days ahead; the past counts as today
     */
    public static double doubtC(long days) {
        return Math.min(MOST_DOUBT_C, DOUBT_TODAY_C + DOUBT_PER_DAY_C * Math.max(0, days));
    }
}
