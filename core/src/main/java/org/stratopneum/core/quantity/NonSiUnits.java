package org.stratopneum.core.quantity;

import static javax.measure.MetricPrefix.KILO;
import static tech.units.indriya.unit.Units.KILOGRAM;
import static tech.units.indriya.unit.Units.METRE;
import static tech.units.indriya.unit.Units.PASCAL;

import javax.measure.Unit;
import javax.measure.quantity.Length;
import javax.measure.quantity.Pressure;
import tech.units.indriya.unit.Units;

/** The units outside SI that riders read, defined by their exact values (NIST SP 811, appendix B). */
final class NonSiUnits {

    /** International avoirdupois pound, exactly 0.45359237 kg. */
    static final Unit<javax.measure.quantity.Mass> POUND =
            KILOGRAM.multiply(45359237).divide(100000000);

    /** International inch, exactly 0.0254 m. */
    static final Unit<Length> INCH = METRE.multiply(254).divide(10000);

    /** Standard acceleration of free fall, exactly 9.80665 m/s2. */
    private static final Unit<?> STANDARD_GRAVITY =
            Units.METRE_PER_SQUARE_SECOND.multiply(980665).divide(100000);

    /** Pound-force per square inch, built from its definition. */
    static final Unit<Pressure> PSI =
            POUND.multiply(STANDARD_GRAVITY).divide(INCH.multiply(INCH)).asType(Pressure.class);

    static final Unit<Pressure> KILOPASCAL = KILO(PASCAL);

    /** Bar, exactly 100 kPa. */
    static final Unit<Pressure> BAR = PASCAL.multiply(100000);

    private NonSiUnits() {}
}
