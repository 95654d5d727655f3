package org.stratopneum.core.quantity;

import javax.measure.UnitConverter;

/**
 * A conversion between two units as a line: the units library is asked twice for it, and not at every number, where its
 * exact arithmetic takes a microsecond.
 *
 * @param offset what zero becomes
 * @param factor what one more becomes
 */
record Conversion(double offset, double factor) {

    /** Far from zero, so that the difference of two answers keeps its digits. */
    private static final double FAR = 1e6;

    static Conversion of(UnitConverter converter) {
        double offset = converter.convert(0.0);
        return new Conversion(
                offset, converter.isLinear() ? converter.convert(1.0) : (converter.convert(FAR) - offset) / FAR);
    }

    double of(double value) {
        return offset + factor * value;
    }
}
