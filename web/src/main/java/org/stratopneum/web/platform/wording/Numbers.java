package org.stratopneum.web.platform.wording;

import java.math.BigDecimal;
import java.math.RoundingMode;

/** Writes numbers: for people with the mark that they know, and plainly for programs. */
public final class Numbers {

    private Numbers() {}

    /** {@code value} with exactly {@code decimals} decimals. */
    public static String fixed(double value, int decimals) {
        return marked(exactly(value, decimals).toPlainString());
    }

    /** {@code value} with at most {@code decimals} decimals, without trailing zeros. */
    public static String upTo(double value, int decimals) {
        return marked(plain(value, decimals));
    }

    /** The same with a point, wherever the rider is: for tables, addresses and scripts. */
    public static String plain(double value, int decimals) {
        BigDecimal rounded = exactly(value, decimals).stripTrailingZeros();
        return rounded.scale() < 0 ? rounded.setScale(0).toPlainString() : rounded.toPlainString();
    }

    private static BigDecimal exactly(double value, int decimals) {
        BigDecimal rounded = BigDecimal.valueOf(value).setScale(decimals, RoundingMode.HALF_UP);
        return rounded.signum() == 0 ? rounded.abs() : rounded;
    }

    private static String marked(String number) {
        return Region.current().decimalComma() ? number.replace('.', ',') : number;
    }
}
