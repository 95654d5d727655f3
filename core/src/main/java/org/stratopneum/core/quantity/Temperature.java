package org.stratopneum.core.quantity;

import org.stratopneum.core.check.InvalidInputException;
import org.stratopneum.core.check.Range;

/**
 * Temperature of the gas in a tire or of the air around it.
 *
 * @param celsius temperature (C), within {@link #CELSIUS}
 */
public record Temperature(double celsius) {

    /** Where people ride and store bicycles, sun-heated tires included (C). */
    public static final Range CELSIUS = Range.closed(-60, 90, "°C");

    /** 0 C on the thermodynamic scale (K), exact by definition. */
    private static final double ZERO_CELSIUS_K = 273.15;

    public Temperature {
        CELSIUS.problemOf("temperatureC", celsius).ifPresent(problem -> {
            throw new InvalidInputException(problem);
        });
    }

    public static Temperature celsius(double celsius) {
        return new Temperature(celsius);
    }

    /** @return thermodynamic temperature (K) */
    public double kelvin() {
        return celsius + ZERO_CELSIUS_K;
    }
}
