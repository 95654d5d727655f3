package org.stratopneum.core.trailside;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.stratopneum.core.air.Cartridge.Delivery;
import org.stratopneum.core.air.HandPump;
import org.stratopneum.core.check.InvalidInputException;
import org.stratopneum.core.check.Problem;
import org.stratopneum.core.quantity.AbsolutePressure;
import org.stratopneum.core.quantity.GaugePressure;

/**
 * What the air in the bag does for one tire. It leaves out what cartridges and pumps leave out, and
 * what escapes while the hole is open: each filling begins in a tire that keeps its air.
 *
 * @param tireL air volume of the tire (l)
 * @param ambient pressure of the air that is pumped
 * @param goals what each goal means on this wheel, none above the ceiling
 * @param ceiling never more than this, by whatever way
 * @param law by which air and gas are reckoned
 */
public record AirBudget(
        double tireL, AbsolutePressure ambient, Map<AirGoal, GaugePressure> goals, GaugePressure ceiling, AirLaw law) {

    /** The goal is above the ceiling: the ceiling (kPa), and what was wanted. */
    public static final String ABOVE_CEILING = "target-above-ceiling";

    /** There is more in the tire already than it may hold. */
    public static final String START_ABOVE_CEILING = "above-ceiling";

    private static final double SEVENTY = 0.7;

    /** Less than this is a rounding error of the sums (g). */
    public static final double NOTHING_G = 1e-9;

    /** The same of a pressure (kPa). */
    public static final double NOTHING_KPA = 1e-6;

    /** So much is enough to ride on. */
    public static final AirGoal ENOUGH = AirGoal.SEVENTY;

    /** By the equations. */
    public AirBudget(double tireL, AbsolutePressure ambient, Map<AirGoal, GaugePressure> goals, GaugePressure ceiling) {
        this(tireL, ambient, goals, ceiling, new ExactAir(tireL, ambient));
    }

    /** The same as a device does it, by the tables that it keeps. */
    public AirBudget byTables() {
        return new AirBudget(tireL, ambient, goals, ceiling, new TabledAir(this));
    }

    public AirBudget {
        goals = Map.copyOf(goals);
        for (AirGoal goal : AirGoal.values()) {
            if (goals.get(goal).isAbove(ceiling)) {
                throw new InvalidInputException(new Problem(
                        "targetKpa",
                        ABOVE_CEILING,
                        ceiling.kpa(),
                        goals.get(goal).kpa(),
                        "kPa"));
            }
        }
    }

    /**
     * @param usual what is usually ridden
     * @param windowLow lower end of the window around it
     * @throws InvalidInputException with {@link #ABOVE_CEILING}
     */
    public static AirBudget of(
            double tireL,
            AbsolutePressure ambient,
            GaugePressure usual,
            GaugePressure windowLow,
            GaugePressure ceiling) {
        double low = Math.min(windowLow.kpa(), usual.kpa());
        return new AirBudget(
                tireL,
                ambient,
                Map.of(
                        AirGoal.USUAL,
                        usual,
                        AirGoal.LOWER_HALF,
                        GaugePressure.kpa((low + usual.kpa()) / 2),
                        AirGoal.SEVENTY,
                        GaugePressure.kpa(SEVENTY * usual.kpa())),
                ceiling);
    }

    public GaugePressure goal(AirGoal goal) {
        return goals.get(goal);
    }

    /** Whether so much is enough to ride on. */
    boolean enough(GaugePressure pressure) {
        return pressure.kpa() >= goal(ENOUGH).kpa() - NOTHING_KPA;
    }

    /** Pressure after {@code grams} (g) all got into the empty tire; for tables. */
    public GaugePressure ofGas(double grams) {
        return GaugePressure.kpa(law.gasKpa(grams));
    }

    /** What brings the empty tire to its ceiling, or to where the equation of the gas ends (g). */
    double gramsToCeiling() {
        return mostGrams(GaugePressure.ZERO);
    }

    /** Whether any of this cartridge can be let in without a risk of going over the ceiling. */
    boolean usable(Charge charge, boolean headShuts, GaugePressure start) {
        return !charge.isEmpty()
                && start.isBelow(ceiling)
                && (headShuts || charge.leftG() <= mostGrams(start) + NOTHING_G);
    }

    /** What may be let out of cartridges in all, if every gram of it got in (g). */
    private double mostGrams(GaugePressure start) {
        try {
            return law.gramsFor(ceiling.kpa() - start.kpa());
        } catch (InvalidInputException tooDense) {
            return Double.MAX_VALUE;
        }
    }

    /** By cartridges: the fewest that likely reach the goal, as far as they go and never over the ceiling. */
    public Fill byGas(GaugePressure start, AirGoal goal, List<Charge> charges, boolean headShuts) {
        double wanted =
                start.isBelow(goal(goal)) ? law.gramsFor(goal(goal).kpa() - start.kpa()) / Delivery.LIKELY.share() : 0;
        return let(start, wanted, charges, headShuts);
    }

    /** All that the cartridges hold, never over the ceiling. */
    public Fill whole(GaugePressure start, List<Charge> charges, boolean headShuts) {
        double all = charges.stream().mapToDouble(Charge::leftG).sum();
        return let(start, all, charges, headShuts);
    }

    private Fill let(GaugePressure start, double wanted, List<Charge> charges, boolean headShuts) {
        double most = mostGrams(start);
        double out = 0;
        List<Fill.Part> parts = new ArrayList<>();
        List<Charge> left = new ArrayList<>();
        for (int i = 0; i < charges.size(); i++) {
            Charge charge = charges.get(i);
            double grams = headShuts ? Math.min(charge.leftG(), Math.min(wanted, most) - out) : charge.leftG();
            if (charge.isEmpty() || out >= wanted - NOTHING_G || grams <= NOTHING_G || out + grams > most + NOTHING_G) {
                left.add(charge);
                continue;
            }
            out += grams;
            double share = grams / charge.grams();
            parts.add(new Fill.Part(
                    i, charge.grams(), share, charge.leftG() > grams + NOTHING_G && out >= most - NOTHING_G));
            left.add(charge.without(headShuts ? share : charge.left()));
        }
        return new Fill(
                parts,
                0,
                after(start, out, Delivery.LOW),
                after(start, out, Delivery.LIKELY),
                after(start, out, Delivery.BEST),
                left);
    }

    private GaugePressure after(GaugePressure start, double grams, Delivery delivery) {
        return GaugePressure.kpa(start.kpa() + law.gasKpa(grams * delivery.share()));
    }

    /**
     * What so much gas (g) likely brings several flat tires to, the same in each and never above a ceiling of one of
     * them; halved until it is known to a hundredth of a kilopascal.
     */
    public static GaugePressure shared(List<AirBudget> tires, double grams) {
        double low = 0;
        double high =
                tires.stream().mapToDouble(tire -> tire.ceiling.kpa()).min().orElseThrow();
        while (high - low > 0.01) {
            GaugePressure middle = GaugePressure.kpa((low + high) / 2);
            double wanted = tires.stream()
                    .mapToDouble(tire -> tire.law.gramsFor(middle.kpa()) / Delivery.LIKELY.share())
                    .sum();
            if (wanted > grams) {
                high = middle.kpa();
            } else {
                low = middle.kpa();
            }
        }
        return GaugePressure.kpa(low);
    }

    /** By pump, as far as it goes. */
    public Fill byPump(GaugePressure start, AirGoal goal, HandPump pump, List<Charge> charges) {
        GaugePressure to = goal(goal).isAbove(pump.most()) ? pump.most() : goal(goal);
        if (!start.isBelow(to)) {
            return new Fill(List.of(), 0, start, start, start, charges);
        }
        return new Fill(List.of(), law.strokes(pump, start, to), to, to, to, charges);
    }
}
