package org.stratopneum.web.platform.wording;

import java.math.BigDecimal;
import java.math.RoundingMode;

/** Writes numbers for people. */
public final class Numbers {

    private Numbers() {}

    /** {@code value} with exactly {@code decimals} decimals. */
    public static String fixed(double value, int decimals) {
        BigDecimal rounded = BigDecimal.valueOf(value).setScale(decimals, RoundingMode.HALF_UP);
        return rounded.signum() == 0 ? rounded.abs().toPlainString() : rounded.toPlainString();
    }

    /** {@code value} with at most {@code decimals} decimals, without trailing zeros. */
    public static String upTo(double value, int decimals) {
        BigDecimal rounded = new BigDecimal(fixed(value, decimals)).stripTrailingZeros();
        return rounded.scale() < 0 ? rounded.setScale(0).toPlainString() : rounded.toPlainString();
    }
}
