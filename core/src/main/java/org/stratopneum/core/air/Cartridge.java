package org.stratopneum.core.air;

import org.stratopneum.core.check.InvalidInputException;
import org.stratopneum.core.check.Problem;
import org.stratopneum.core.check.Range;
import org.stratopneum.core.quantity.GaugePressure;
import org.stratopneum.core.quantity.Temperature;

/**
 * Carbon dioxide let into a tire that holds air already: p = rho R T (1 + B rho), the second virial coefficient
 * B = -128e-6 (293.15/T)^2.26 m3/mol (from memory), added to what is in the tire. It leaves out the forces between the
 * two gases, the stretch of the casing, and the cold: read again when the gas has warmed up.
 *
 * @param tireL air volume of the tire (l)
 * @param temperature of the gas once it has warmed up
 * @param start what is in the tire before
 */
public record Cartridge(double tireL, Temperature temperature, GaugePressure start) {

    private static final Temperature BENCH = Temperature.celsius(20);

    public static final Range MASS_G = Range.closed(1, 100, "g");
    public static final Range COUNT = Range.closed(1, 20, "");

    /** Denser gas than this the equation does not describe (mol/m3). */
    private static final double DENSEST = 1500;

    public static final String TOO_DENSE = "gas-too-dense";

    /** Molar gas constant (J/(mol K)), CODATA 2018. */
    private static final double R = 8.314462618;

    /** Molar mass of carbon dioxide (g/mol). */
    private static final double G_PER_MOL = 44.0095;

    private static final double M3_PER_L = 1e-3;
    private static final double PA_PER_KPA = 1e3;

    /** How much of a cartridge gets into a tire (ratio; assumption). */
    public enum Delivery {
        LOW(0.42),
        LIKELY(0.85),
        BEST(1.0);

        private final double share;

        Delivery(double share) {
            this.share = share;
        }

        public double share() {
            return share;
        }
    }

    /**
     * @param grams carbon dioxide in all cartridges (g)
     * @throws InvalidInputException with {@link #TOO_DENSE} where the equation ends
     */
    public GaugePressure after(double grams, Delivery delivery) {
        double density = density(grams * delivery.share());
        if (!(density <= DENSEST)) {
            throw new InvalidInputException(new Problem("massG", TOO_DENSE, DENSEST / density * grams, grams, "g"));
        }
        return GaugePressure.kpa(start.kpa() + pressureKpa(density));
    }

    /**
     * Into a soft tire of {@code tireL} (l) at the bench.
     *
     * @return a cartridge at 20 C (assumption), with nothing in the tire
     */
    public static Cartridge intoSoft(double tireL) {
        return new Cartridge(tireL, BENCH, GaugePressure.ZERO);
    }

    /** @return moles of so much gas in the tire's volume (mol/m3) */
    private double density(double grams) {
        return grams / G_PER_MOL / (tireL * M3_PER_L);
    }

    private double pressureKpa(double density) {
        return density * R * temperature.kelvin() * (1 + virial() * density) / PA_PER_KPA;
    }

    private double virial() {
        return -128e-6 * Math.pow(293.15 / temperature.kelvin(), 2.26);
    }

    /**
     * What must get into the tire for {@code target}: the smaller root of the equation of state.
     *
     * @return carbon dioxide (g), 0 where the tire holds as much already
     * @throws InvalidInputException with {@link #TOO_DENSE} where the equation ends before
     */
    public double gramsFor(GaugePressure target) {
        double wanted = target.kpa() - start.kpa();
        if (wanted <= 0) {
            return 0;
        }
        double ideal = wanted * PA_PER_KPA / (R * temperature.kelvin());
        double root = 1 + 4 * virial() * ideal;
        // the form without a difference of nearly equal numbers
        double density = root < 0 ? Double.POSITIVE_INFINITY : 2 * ideal / (1 + Math.sqrt(root));
        if (!(density <= DENSEST)) {
            double most = start.kpa() + pressureKpa(DENSEST);
            throw new InvalidInputException(new Problem("targetKpa", TOO_DENSE, most, target.kpa(), "kPa"));
        }
        return density * tireL * M3_PER_L * G_PER_MOL;
    }

    /** @return the smallest number of cartridges of {@code massG} (g) that likely reach {@code target} */
    public int countFor(GaugePressure target, double massG) {
        return (int) Math.ceil(gramsFor(target) / (massG * Delivery.LIKELY.share()) - 1e-9);
    }
}
