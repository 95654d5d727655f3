package org.stratopneum.core.pressure;

import java.util.Objects;
import org.stratopneum.core.check.InvalidInputException;
import org.stratopneum.core.check.Range;
import org.stratopneum.core.quantity.Mass;
import org.stratopneum.core.tire.TireOnRim;
import org.stratopneum.core.tire.TireSection;

/**
 * One wheel as the pressure chain sees it.
 *
 * @param tire tire on its rim
 * @param setup what holds the air, and the printed limits
 * @param load load on this wheel, above 0
 * @param ride what is common to both wheels
 * @param personalFactor factor learned from the rider's notes (ratio), 1 when nothing is known
 */
public record WheelCase(TireOnRim tire, Setup setup, Mass load, Ride ride, double personalFactor) {

    public static final Range PERSONAL_FACTOR = Range.closed(0.5, 2, "");

    public WheelCase {
        Objects.requireNonNull(tire, "tire");
        Objects.requireNonNull(setup, "setup");
        Objects.requireNonNull(load, "load");
        Objects.requireNonNull(ride, "ride");
        PERSONAL_FACTOR.problemOf("personalFactor", personalFactor).ifPresent(problem -> {
            throw new InvalidInputException(problem);
        });
    }

    public WheelCase withLoad(Mass other) {
        return new WheelCase(tire, setup, other, ride, personalFactor);
    }

    public WheelCase withTire(TireOnRim other) {
        return new WheelCase(other, setup, load, ride, personalFactor);
    }

    TireSection section() {
        return tire.section();
    }
}
