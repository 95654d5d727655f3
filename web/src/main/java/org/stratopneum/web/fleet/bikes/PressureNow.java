package org.stratopneum.web.fleet.bikes;

import java.time.Duration;
import java.time.Instant;
import java.util.Optional;
import org.stratopneum.core.air.CarriedPressure;
import org.stratopneum.core.air.Surroundings;
import org.stratopneum.core.leak.PressureOutlook;
import org.stratopneum.core.quantity.GaugePressure;

/**
 * What a wheel holds now, as warm as it was at its last reading: carried on from there by the rate at which it loses air,
 * with an 80 % interval; the reading itself where nothing tells a rate, or somebody has just read it.
 *
 * @param low lower end, {@code high} upper end; both as {@code likely} where it is the reading itself
 * @param estimated whether it was carried on
 */
public record PressureNow(GaugePressure likely, GaugePressure low, GaugePressure high, boolean estimated) {

    /** Within this nobody's gauge sees the loss of a wheel that one would ride. */
    private static final Duration JUST_READ = Duration.ofHours(1);

    private static final double REFERENCE_C = 20;

    /** @param loss what is known of its loss, or null; @return empty without a reading */
    public static Optional<PressureNow> of(WheelState wheel, LossNow loss, Instant now) {
        return wheel.lastReading()
                .map(reading -> carried(reading, loss, now)
                        .orElseGet(() ->
                                new PressureNow(reading.pressure(), reading.pressure(), reading.pressure(), false)));
    }

    private static Optional<PressureNow> carried(WheelState.Reading reading, LossNow loss, Instant now) {
        if (loss == null || Duration.between(reading.at(), now).compareTo(JUST_READ) < 0) {
            return Optional.empty();
        }
        return Optional.ofNullable(loss.outlook())
                .filter(outlook -> outlook.at().equals(reading.at()))
                .flatMap(outlook -> outlook.expectedAt(now))
                .flatMap(expected -> carried(expected, loss));
    }

    private static Optional<PressureNow> carried(PressureOutlook.Expected expected, LossNow loss) {
        Surroundings from = Surroundings.of(REFERENCE_C, loss.heightM());
        Surroundings to = loss.lastC() == null ? from : Surroundings.of(loss.lastC(), loss.heightM());
        return CarriedPressure.carryIfHeld(expected.likely(), from, to)
                .map(likely -> new PressureNow(
                        likely,
                        CarriedPressure.carryIfHeld(expected.low(), from, to).orElse(GaugePressure.ZERO),
                        CarriedPressure.carryIfHeld(expected.high(), from, to).orElse(likely),
                        true));
    }
}
