package org.stratopneum.web.platform.wording;

import org.stratopneum.core.quantity.QuantityUnit;

/** Writes a quantity in a rider's unit: the one formatter for everything that is measured. */
public final class QuantityText {

    private QuantityText() {}

    /** @param value in the core's unit */
    public static String number(double value, QuantityUnit unit) {
        return Numbers.fixed(unit.fromCore(value), unit.decimals());
    }

    /** "12.8 kg". */
    public static String text(double value, QuantityUnit unit) {
        return number(value, unit) + " " + unit.symbol();
    }

    /** Without trailing zeros: a size that was printed or chosen, not measured. */
    public static String size(double value, QuantityUnit unit) {
        return Numbers.upTo(unit.fromCore(value), unit.decimals()) + " " + unit.symbol();
    }

    /** As it stands in a field to be typed over: without trailing zeros, empty for null. */
    public static String typed(Double value, QuantityUnit unit) {
        return value == null ? "" : Numbers.upTo(unit.fromCore(value), unit.decimals() + 1);
    }
}
