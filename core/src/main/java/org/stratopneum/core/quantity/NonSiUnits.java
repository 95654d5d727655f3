package org.stratopneum.core.quantity;

import static javax.measure.MetricPrefix.KILO;
import static javax.measure.MetricPrefix.MILLI;
import static tech.units.indriya.unit.Units.KILOGRAM;
import static tech.units.indriya.unit.Units.METRE;
import static tech.units.indriya.unit.Units.PASCAL;

import javax.measure.Unit;
import javax.measure.quantity.Length;
import javax.measure.quantity.Pressure;
import javax.measure.quantity.Volume;
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

    static final Unit<Length> MILLIMETRE = MILLI(METRE);

    static final Unit<Length> KILOMETRE = KILO(METRE);

    /** International mile, exactly 1609.344 m. */
    static final Unit<Length> MILE = METRE.multiply(1609344).divide(1000);

    static final Unit<Volume> MILLILITRE = Units.CUBIC_METRE.divide(1000000);

    /** Fluid ounce of the United States, exactly 231/128 cubic inches. */
    static final Unit<Volume> FLUID_OUNCE =
            INCH.pow(3).multiply(231).divide(128).asType(Volume.class);

    /** Degree Fahrenheit: (F + 459.67) / 1.8 kelvin. */
    static final Unit<javax.measure.quantity.Temperature> FAHRENHEIT =
            Units.KELVIN.multiply(5).divide(9).shift(459.67);

    /** Bar, exactly 100 kPa. */
    static final Unit<Pressure> BAR = PASCAL.multiply(100000);

    private NonSiUnits() {}
}
