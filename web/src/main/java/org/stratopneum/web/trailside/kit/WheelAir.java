package org.stratopneum.web.trailside.kit;

import java.util.EnumMap;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Component;
import org.stratopneum.core.air.StandardAtmosphere;
import org.stratopneum.core.pressure.BikeAdvice;
import org.stratopneum.core.pressure.Ceiling;
import org.stratopneum.core.pressure.GaugeStep;
import org.stratopneum.core.pressure.PressureWindow;
import org.stratopneum.core.pressure.WheelAdvice;
import org.stratopneum.core.quantity.AbsolutePressure;
import org.stratopneum.core.quantity.GaugePressure;
import org.stratopneum.core.quantity.PressureUnit;
import org.stratopneum.core.trailside.AirBudget;
import org.stratopneum.web.fleet.bikes.BikeState;
import org.stratopneum.web.fleet.bikes.WheelPosition;
import org.stratopneum.web.fleet.bikes.WheelState;
import org.stratopneum.web.pressure.BikeAdvisor;
import org.stratopneum.web.rider.Rider;

/** The air of a rider's wheels: volume, what is usually ridden, and the limit. */
@Component
public class WheelAir {

    private final BikeAdvisor advisor;

    WheelAir(BikeAdvisor advisor) {
        this.advisor = advisor;
    }

    /**
     * A wheel's air.
     *
     * @param window where the pressure should lie, or null where only a reading tells it
     * @param limitKnown whether the ceiling is said by tire or rim, and not only usual for the width
     */
    public record Known(AirBudget budget, PressureWindow window, boolean limitKnown) {}

    /** Nothing for a wheel without a tire that fits, and where neither advice nor a reading tells what is ridden. */
    public Map<WheelPosition, Known> of(BikeState bike, Rider rider) {
        Optional<BikeAdvice> advice = advisor.adviseUsual(bike);
        Map<WheelPosition, Known> known = new EnumMap<>(WheelPosition.class);
        for (WheelPosition position : WheelPosition.values()) {
            of(bike, position, advice, rider).ifPresent(air -> known.put(position, air));
        }
        return known;
    }

    private static Optional<Known> of(
            BikeState bike, WheelPosition position, Optional<BikeAdvice> advice, Rider rider) {
        return bike.wheel(position)
                .filter(WheelState::fits)
                .flatMap(wheel -> advice.map(found -> position == WheelPosition.REAR ? found.rear() : found.front())
                        .filter(found -> !found.blocked())
                        .map(found -> advised(bike, wheel, found, rider.pressureUnit()))
                        .or(() -> read(bike, wheel)));
    }

    /** As it is told elsewhere: to what the rider's gauge shows. */
    private static Known advised(BikeState bike, WheelState wheel, WheelAdvice advice, PressureUnit unit) {
        Ceiling ceiling = advice.limits().ceiling();
        GaugePressure usual = GaugePressure.of(GaugeStep.nearest(advice.pressure(), advice.limits(), unit), unit);
        return new Known(
                AirBudget.of(
                        litres(wheel),
                        ambient(bike),
                        usual.isAbove(ceiling.pressure()) ? ceiling.pressure() : usual,
                        advice.window().low(),
                        ceiling.pressure()),
                advice.window(),
                !ceiling.usual());
    }

    /** What was last read stands for what is ridden. */
    private static Optional<Known> read(BikeState bike, WheelState wheel) {
        Ceiling ceiling = wheel.ceiling().orElseThrow();
        return wheel.lastReading()
                .map(WheelState.Reading::pressure)
                .filter(usual -> usual.kpa() > 0)
                .filter(usual -> !usual.isAbove(ceiling.pressure()))
                .map(usual -> new Known(
                        AirBudget.of(
                                litres(wheel),
                                ambient(bike),
                                usual,
                                PressureWindow.lowAround(usual),
                                ceiling.pressure()),
                        null,
                        !ceiling.usual()));
    }

    private static double litres(WheelState wheel) {
        return wheel.tireOnRim().orElseThrow().section().airVolumeL();
    }

    /** Where the rider's bikes stand; at sea level where nobody said. */
    private static AbsolutePressure ambient(BikeState bike) {
        return bike.home() == null
                ? StandardAtmosphere.SEA_LEVEL
                : StandardAtmosphere.at(bike.home().heightM());
    }
}
