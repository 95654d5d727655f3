package org.stratopneum.core.pressure;

import org.stratopneum.core.check.Problems;
import org.stratopneum.core.check.Range;
import org.stratopneum.core.quantity.Mass;

/**
 * Everything that the two tires carry.
 *
 * @param riderKg rider without clothing (kg)
 * @param gearKg clothing, shoes and what the rider wears or carries (kg)
 * @param bikeKg bike (kg)
 * @param luggageFrontKg luggage that sits wholly on the front wheel (kg)
 * @param luggageMiddleKg water and luggage in the frame, counted with the rider (kg)
 * @param luggageRearKg luggage that sits wholly on the rear wheel (kg)
 */
public record SystemMass(
        double riderKg,
        double gearKg,
        double bikeKg,
        double luggageFrontKg,
        double luggageMiddleKg,
        double luggageRearKg) {

    public static final Range RIDER_KG = Range.closed(10, 250, "kg");
    public static final Range GEAR_KG = Range.closed(0, 60, "kg");
    public static final Range BIKE_KG = Range.closed(2, 150, "kg");
    public static final Range LUGGAGE_KG = Range.closed(0, 300, "kg");

    public SystemMass {
        Problems problems = new Problems();
        problems.check("riderKg", riderKg, RIDER_KG);
        problems.check("gearKg", gearKg, GEAR_KG);
        problems.check("bikeKg", bikeKg, BIKE_KG);
        problems.check("luggageFrontKg", luggageFrontKg, LUGGAGE_KG);
        problems.check("luggageMiddleKg", luggageMiddleKg, LUGGAGE_KG);
        problems.check("luggageRearKg", luggageRearKg, LUGGAGE_KG);
        problems.throwIfAny();
    }

    public Mass total() {
        return Mass.kg(shared() + luggageFrontKg + luggageRearKg);
    }

    public Mass onFront(LoadShare share) {
        return Mass.kg(shared() * share.front() + luggageFrontKg);
    }

    public Mass onRear(LoadShare share) {
        return Mass.kg(shared() * (1 - share.front()) + luggageRearKg);
    }

    private double shared() {
        return riderKg + gearKg + bikeKg + luggageMiddleKg;
    }
}
