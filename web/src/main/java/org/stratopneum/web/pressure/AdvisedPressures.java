package org.stratopneum.web.pressure;

import java.util.Optional;
import java.util.stream.Stream;
import org.stratopneum.core.pressure.BikeAdvice;
import org.stratopneum.core.pressure.GaugeStep;
import org.stratopneum.core.pressure.WheelAdvice;
import org.stratopneum.core.quantity.GaugePressure;
import org.stratopneum.core.quantity.PressureUnit;
import org.stratopneum.web.fleet.bikes.WheelPosition;

/**
 * The advice as it is told: rounded to what the rider's gauge shows.
 *
 * @param rear told rear (in {@code unit})
 * @param front told front (in {@code unit})
 */
public record AdvisedPressures(double rear, double front, PressureUnit unit) {

    public static AdvisedPressures of(BikeAdvice advice, PressureUnit unit) {
        return new AdvisedPressures(rounded(advice.rear(), unit), rounded(advice.front(), unit), unit);
    }

    /** What may be set and written: nothing where riding is blocked, or beyond what a tire can have held. */
    public static Optional<AdvisedPressures> settable(BikeAdvice advice, PressureUnit unit) {
        return Optional.of(advice)
                .filter(found -> !found.blocked())
                .map(found -> of(found, unit))
                .filter(AdvisedPressures::canBeHeld);
    }

    /** What is recommended for one wheel, in steps of the gauge. */
    public static double rounded(WheelAdvice advice, PressureUnit unit) {
        return GaugeStep.nearest(advice.pressure(), advice.limits(), unit);
    }

    /** Whether a tire can have held both; without printed limits a great load on a thin tire asks for more. */
    boolean canBeHeld() {
        return Stream.of(WheelPosition.values())
                .allMatch(position ->
                        GaugePressure.TIRE_KPA.contains(pressure(position).kpa()));
    }

    double at(WheelPosition position) {
        return position == WheelPosition.REAR ? rear : front;
    }

    public GaugePressure pressure(WheelPosition position) {
        return GaugePressure.of(at(position), unit);
    }
}
