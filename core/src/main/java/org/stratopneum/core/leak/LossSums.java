package org.stratopneum.core.leak;

/**
 * What data say of the rate at which a wheel loses its air: each says that the logarithm of the pressure fell by z while the
 * rate acted for x days, give or take the root of S. Sums over x2/S, x z/S and z2/S.
 *
 * @param xx (days2)
 * @param xz (days)
 * @param zz no unit
 * @param count how many data
 */
record LossSums(double xx, double xz, double zz, int count) {

    static final LossSums NONE = new LossSums(0, 0, 0, 0);

    /** What is believed of a rate before any reading: that it is about {@code mean}, give or take {@code sigma} (1/day). */
    static LossSums before(double mean, double sigma) {
        double weight = 1 / (sigma * sigma);
        return new LossSums(weight, mean * weight, mean * mean * weight, 0);
    }

    LossSums plus(double exposure, double fall, double variance) {
        return new LossSums(
                xx + exposure * exposure / variance,
                xz + exposure * fall / variance,
                zz + fall * fall / variance,
                count + 1);
    }

    LossSums without(LossSums other) {
        return new LossSums(xx - other.xx, xz - other.xz, zz - other.zz, count - other.count);
    }

    /** The rate that fits best (1/day). */
    double rate() {
        return xz / xx;
    }

    /** What that rate leaves unexplained. */
    double misfit() {
        return zz - xz * xz / xx;
    }

    /** What a rate leaves unexplained (1/day). */
    double misfit(double rate) {
        return zz - 2 * rate * xz + rate * rate * xx;
    }
}
