package org.stratopneum.core.leak;

/**
 * A rate at which a wheel loses its air, p(t) = p0 exp(-k t) of the gauge pressure at 20 C, with its 80 % interval.
 *
 * @param perDay as likely faster as slower (1/day)
 * @param lowPerDay lower end, {@code highPerDay} upper end (1/day)
 */
public record LossPace(double perDay, double lowPerDay, double highPerDay) {

    /** Share of the gauge pressure lost in a day (ratio). */
    public double lossPerDay() {
        return -Math.expm1(-perDay);
    }

    /** Lower end of the 80 % interval of the loss in a day (ratio). */
    public double lowLossPerDay() {
        return -Math.expm1(-lowPerDay);
    }

    /** Upper end of the 80 % interval of the loss in a day (ratio). */
    public double highLossPerDay() {
        return -Math.expm1(-highPerDay);
    }
}
