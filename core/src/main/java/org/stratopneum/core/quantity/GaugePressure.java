package org.stratopneum.core.quantity;

import org.stratopneum.core.check.InvalidInputException;
import org.stratopneum.core.check.Range;

/**
 * Pressure above that of the surrounding air: what a gauge shows. Never negative here; a model whose result would be
 * negative says so itself.
 *
 * @param kpa gauge pressure (kPa), 0 or more; what a gauge can have shown is narrower, see {@link #READING_KPA}
 */
public record GaugePressure(double kpa) implements Comparable<GaugePressure> {

    /** What a bicycle gauge can have shown (kPa); the upper end is ours, above any bicycle tire or charge chamber. */
    public static final Range READING_KPA = Range.closed(0, 2000, "kPa");

    /** What a bicycle tire can have held (kPa); narrower, so that a reading typed in the wrong unit is noticed. */
    public static final Range TIRE_KPA = Range.closed(0, 1200, "kPa");

    /** What the type itself holds (kPa): any finite pressure, so that a model may say how far beyond sense it went. */
    private static final Range KPA = Range.closed(0, 1e9, "kPa");

    public static final GaugePressure ZERO = new GaugePressure(0);

    public GaugePressure {
        KPA.problemOf("gaugeKpa", kpa).ifPresent(problem -> {
            throw new InvalidInputException(problem);
        });
    }

    public static GaugePressure kpa(double kpa) {
        return new GaugePressure(kpa);
    }

    /** @param value gauge pressure (in {@code unit}) */
    public static GaugePressure of(double value, PressureUnit unit) {
        return new GaugePressure(unit.toKpa(value));
    }

    /** @param psi gauge pressure (psi) */
    public static GaugePressure psi(double psi) {
        return of(psi, PressureUnit.PSI);
    }

    /** @return gauge pressure (in {@code unit}) */
    public double in(PressureUnit unit) {
        return unit.fromKpa(kpa);
    }

    public AbsolutePressure absoluteAt(AbsolutePressure ambient) {
        return new AbsolutePressure(kpa + ambient.kpa());
    }

    public boolean isAbove(GaugePressure other) {
        return kpa > other.kpa;
    }

    public boolean isBelow(GaugePressure other) {
        return kpa < other.kpa;
    }

    @Override
    public int compareTo(GaugePressure other) {
        return Double.compare(kpa, other.kpa);
    }
}
