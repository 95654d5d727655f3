package org.stratopneum.core.air;

import java.util.Optional;
import org.stratopneum.core.check.InvalidInputException;
import org.stratopneum.core.check.Problem;
import org.stratopneum.core.quantity.GaugePressure;

/**
 * The reading of a closed tire after it was carried to another temperature and height: ideal gas at fixed volume,
 * p2 = (p1 + pa1) T2/T1 - pa2. It leaves out the stretch of the casing, leakage on the way, and the lag of the air in
 * the tire behind the air around it (about half an hour).
 */
public final class CarriedPressure {

    /** The tire would be softer than the air around it: no gauge shows that. */
    public static final String BELOW_AMBIENT = "below-ambient";

    private CarriedPressure() {}

    /**
     * @param reading gauge pressure where it was read
     * @return gauge pressure at {@code to}
     * @throws InvalidInputException with {@link #BELOW_AMBIENT} when the result would be below 0 kPa
     */
    public static GaugePressure carry(GaugePressure reading, Surroundings from, Surroundings to) {
        double gauge = gaugeKpa(reading, from, to);
        if (gauge < 0) {
            throw new InvalidInputException(new Problem("gaugeKpa", BELOW_AMBIENT, 0.0, gauge, "kPa"));
        }
        return GaugePressure.kpa(gauge);
    }

    /** The same; empty where the tire would be softer than the air around it. */
    public static Optional<GaugePressure> carryIfHeld(GaugePressure reading, Surroundings from, Surroundings to) {
        return Optional.of(gaugeKpa(reading, from, to))
                .filter(gauge -> gauge >= 0)
                .map(GaugePressure::kpa);
    }

    private static double gaugeKpa(GaugePressure reading, Surroundings from, Surroundings to) {
        double absolute = reading.absoluteAt(from.ambient()).kpa();
        return absolute * to.temperature().kelvin() / from.temperature().kelvin()
                - to.ambient().kpa();
    }
}
