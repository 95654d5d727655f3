package org.stratopneum.web.platform.weather;

import java.util.List;
import org.stratopneum.core.weather.DailyWeather;

/**
 * What a weather service answers.
 *
 * @param station the name that was asked for
 * @param heightM above sea level (m)
 * @param simulated whether the days are made up
 * @param days oldest first
 */
public record WeatherDays(String station, double heightM, boolean simulated, List<DailyWeather> days) {}
