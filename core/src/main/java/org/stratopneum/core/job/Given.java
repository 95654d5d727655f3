package org.stratopneum.core.job;

import java.time.Instant;
import java.util.Objects;
import org.stratopneum.core.air.HoldTest;
import org.stratopneum.core.check.Problems;
import org.stratopneum.core.quantity.GaugePressure;
import org.stratopneum.core.quantity.Temperature;

/**
 * What was answered at a step.
 *
 * @param value what was measured (in the unit of {@link Measured}), or null
 * @param temperatureC what was noted with it (C), or null
 */
public record Given(Answer answer, Double value, Double temperatureC, Instant at) {

    public Given {
        Objects.requireNonNull(answer, "answer");
        Objects.requireNonNull(at, "at");
        Problems problems = new Problems();
        problems.checkIfPresent("temperatureC", temperatureC, Temperature.CELSIUS);
        problems.throwIfAny();
    }

    public static Given answer(Answer answer, Instant at) {
        return new Given(answer, null, null, at);
    }

    public static Given value(double value, Double temperatureC, Instant at) {
        return new Given(Answer.DONE, value, temperatureC, at);
    }

    /** The value as a reading of a hold test. */
    HoldTest.Reading reading() {
        return new HoldTest.Reading(
                at, GaugePressure.kpa(value), temperatureC == null ? null : Temperature.celsius(temperatureC));
    }
}
