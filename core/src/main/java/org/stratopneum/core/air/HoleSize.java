package org.stratopneum.core.air;

import org.stratopneum.core.check.InvalidInputException;
import org.stratopneum.core.check.Problem;
import org.stratopneum.core.check.Problems;
import org.stratopneum.core.check.Range;
import org.stratopneum.core.quantity.GaugePressure;
import org.stratopneum.core.quantity.GaussLegendre;

/**
 * How large a hole is that lets a tire down: isothermal emptying of a fixed volume through an orifice, choked while the
 * tire holds more than about 1.9 times the air around it, subsonic after that (textbook relations for a perfect gas; a
 * discharge coefficient of 0.7 is an assumption). It leaves out sealant, the shape of the hole, the cooling of the air
 * and the shrinking of the tire; so it tells a pinprick from a gash, not 1.0 from 1.2 mm.
 */
public final class HoleSize {

    /** How long letting down may take (s): from a moment to ten days. */
    public static final Range SECONDS = Range.closed(0.1, 864_000, "s");

    /** The tire did not get softer. */
    public static final String NOT_FALLING = "not-falling";

    private static final double DISCHARGE = 0.7;

    /** Specific gas constant of dry air (J/(kg K)). */
    private static final double AIR = 287.05;

    private static final double GAMMA = 1.4;

    /** Ambient over tire pressure below which the flow is choked (ratio, 0.528). */
    private static final double CRITICAL = Math.pow(2 / (GAMMA + 1), GAMMA / (GAMMA - 1));

    private static final double PA_PER_KPA = 1000;
    private static final double LITRES_PER_M3 = 1000;
    private static final double MM_PER_M = 1000;

    /** The integrand is smooth after the substitution below: so many points give more digits than anybody needs. */
    private static final GaussLegendre POINTS = new GaussLegendre(60);

    private final double volumeM3;
    private final double kelvin;
    private final double ambientPa;

    private HoleSize(double volumeL, Surroundings surroundings) {
        this.volumeM3 = volumeL / LITRES_PER_M3;
        this.kelvin = surroundings.temperature().kelvin();
        this.ambientPa = surroundings.ambient().kpa() * PA_PER_KPA;
    }

    /**
     * @param volumeL air volume of the tire (l)
     * @param start pressure at the beginning
     * @param end pressure after {@code seconds}, below {@code start}
     * @param seconds how long it took (s)
     * @return diameter of one round hole that does this (mm)
     * @throws InvalidInputException with {@link #NOT_FALLING}, or on {@code seconds} out of range
     */
    public static double diameterMm(
            double volumeL, GaugePressure start, GaugePressure end, double seconds, Surroundings surroundings) {
        Problems problems = new Problems();
        problems.check("seconds", seconds, SECONDS);
        if (!end.isBelow(start)) {
            problems.add(new Problem("endGaugeKpa", NOT_FALLING, start.kpa(), end.kpa(), "kPa"));
        }
        problems.throwIfAny();
        double areaM2 = new HoleSize(volumeL, surroundings).secondsTimesArea(start, end) / seconds;
        return MM_PER_M * Math.sqrt(4 * areaM2 / Math.PI);
    }

    /** @return how long a hole of {@code diameterMm} (mm) takes from {@code start} to {@code end} (s) */
    public static double seconds(
            double volumeL, GaugePressure start, GaugePressure end, double diameterMm, Surroundings surroundings) {
        double areaM2 = Math.PI / 4 * Math.pow(diameterMm / MM_PER_M, 2);
        return new HoleSize(volumeL, surroundings).secondsTimesArea(start, end) / areaM2;
    }

    /** Time goes with the inverse of the area, so that one integral serves for every hole (s m2). */
    private double secondsTimesArea(GaugePressure start, GaugePressure end) {
        double from = start.kpa() * PA_PER_KPA + ambientPa;
        double to = end.kpa() * PA_PER_KPA + ambientPa;
        double critical = ambientPa / CRITICAL;
        double choked = from > critical ? Math.log(from / Math.max(to, critical)) / chokedRate() : 0;
        double subsonic = to < critical ? subsonic(to, Math.min(from, critical)) : 0;
        return volumeM3 / (AIR * kelvin) * (choked + subsonic);
    }

    /** Mass flow over area and pressure while choked (s/m). */
    private double chokedRate() {
        return DISCHARGE
                * Math.sqrt(GAMMA / (AIR * kelvin))
                * Math.pow(2 / (GAMMA + 1), (GAMMA + 1) / (2 * (GAMMA - 1)));
    }

    /** With p = ambient + s^2 the flow, which dies like s, no longer makes the integrand infinite at the end. */
    private double subsonic(double fromPa, double toPa) {
        return POINTS.integral(
                s -> 2 * s / subsonicFlow(ambientPa + s * s),
                Math.sqrt(fromPa - ambientPa),
                Math.sqrt(toPa - ambientPa));
    }

    /** Mass flow over area (kg/(s m2)) at an absolute pressure (Pa). */
    private double subsonicFlow(double pa) {
        double ratio = ambientPa / pa;
        double bracket = Math.pow(ratio, 2 / GAMMA) - Math.pow(ratio, (GAMMA + 1) / GAMMA);
        return DISCHARGE * pa * Math.sqrt(2 * GAMMA / ((GAMMA - 1) * AIR * kelvin) * bracket);
    }
}
