package org.stratopneum.bench.season.truth;

import java.util.Random;

/**
 * The air of a year at a home, day by day: a wave with the sun, and weather that stays for some days. Warmth and swing go
 * with the latitude (fitted from memory to cities of the plains of Europe).
 */
public final class Climate {

    public static final int DAYS = 365;

    /** The coldest day comes some weeks after the shortest (day of the year). */
    private static final int COLDEST = 20;

    /** Colder by so much (C/m; the standard atmosphere of ISO 2533). */
    private static final double LAPSE_PER_M = 0.0065;

    private static final double STAYS = 0.75;
    private static final double WEATHER_C = 3.2;

    private final double[] celsius = new double[DAYS];
    private final double[] humidity = new double[DAYS];

    /**
     * A year that begins with January, in a plain.
     *
     * @param latitudeDeg north positive (degrees, 35 to 62)
     */
    public Climate(double latitudeDeg, Random random) {
        this(latitudeDeg, 0, COLDEST, random);
    }

    /**
     * @param latitudeDeg north positive (degrees, 35 to 62)
     * @param heightM above the plain (m)
     * @param coldest day of this year that is the coldest by the sun
     */
    public Climate(double latitudeDeg, double heightM, int coldest, Random random) {
        double mean = 29.5 - 0.38 * latitudeDeg - LAPSE_PER_M * heightM;
        double swing = 0.19 * latitudeDeg;
        double off = 0;
        for (int day = 0; day < DAYS; day++) {
            off = STAYS * off + Math.sqrt(1 - STAYS * STAYS) * WEATHER_C * random.nextGaussian();
            double wave = Math.cos(2 * Math.PI * (day - coldest) / DAYS);
            celsius[day] = mean - swing * wave + off;
            // warm spells are dry
            humidity[day] =
                    Math.max(0.25, Math.min(0.98, 0.70 + 0.10 * wave - 0.015 * off + 0.05 * random.nextGaussian()));
        }
    }

    /** Mean of the day, outdoors (C). */
    public double outdoorsC(int day) {
        return celsius[day];
    }

    /** Relative humidity outdoors (ratio). */
    public double humidity(int day) {
        return humidity[day];
    }

    /** A room that is heated below 18 C; a shed follows the air outdoors, a little milder (C). */
    public double storedC(int day, boolean room) {
        return room ? Math.max(18, 0.6 * celsius[day] + 9) : celsius[day] + 2;
    }

    /** Humidity there: the same water in warmer air (ratio). */
    public double storedHumidity(int day, boolean room) {
        double there = humidity[day] * saturationKpa(celsius[day]) / saturationKpa(storedC(day, room));
        return Math.max(0.15, Math.min(0.95, there));
    }

    /** Vapour pressure of saturated air (kPa), by Buck's formula of 1981; the models use another. */
    static double saturationKpa(double celsius) {
        return 0.61121 * Math.exp((18.678 - celsius / 234.5) * celsius / (257.14 + celsius));
    }
}
