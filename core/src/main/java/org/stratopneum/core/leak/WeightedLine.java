package org.stratopneum.core.leak;

import java.util.List;

/**
 * A straight line through logarithms of pressures, each weighted by what its reading is good for.
 *
 * @param weight sum of the weights (no unit)
 * @param meanDay weighted mean of the times (days)
 * @param meanLog weighted mean of the logarithms
 * @param slope of the logarithm (1/day)
 * @param squares weighted sum of squares about {@code meanDay} (days2)
 * @param chi2 weighted sum of the squares that are left (no unit)
 */
record WeightedLine(double weight, double meanDay, double meanLog, double slope, double squares, double chi2) {

    /** A reading's own doubt: the larger of the two (kPa, ratio). */
    private static final double LEAST_SIGMA_KPA = 3.4;

    private static final double SIGMA_RATIO = 0.02;

    /** How far off the temperature may be where nobody noted it (C). */
    private static final double UNKNOWN_C = 3;

    private static final double ABSOLUTE_ZERO_OFFSET_KPA = 101;
    private static final double REFERENCE_KELVIN = 293;

    /**
     * A reading at 20 C.
     *
     * @param day since the first (days)
     * @param kpa pressure (kPa gauge)
     * @param warmthKnown whether its temperature was noted
     */
    record Point(double day, double kpa, boolean warmthKnown) {}

    /** @param fitted pressures that the weights are taken from (kPa) */
    static WeightedLine through(List<Point> points, double[] fitted) {
        double weight = 0;
        double days = 0;
        double logs = 0;
        for (int i = 0; i < fitted.length; i++) {
            double w = weightOf(points.get(i), fitted[i]);
            weight += w;
            days += w * points.get(i).day;
            logs += w * Math.log(points.get(i).kpa);
        }
        double meanDay = days / weight;
        double meanLog = logs / weight;
        double squares = 0;
        double products = 0;
        for (int i = 0; i < fitted.length; i++) {
            double w = weightOf(points.get(i), fitted[i]);
            double day = points.get(i).day - meanDay;
            squares += w * day * day;
            products += w * day * (Math.log(points.get(i).kpa) - meanLog);
        }
        WeightedLine line = new WeightedLine(weight, meanDay, meanLog, products / squares, squares, 0);
        double chi2 = 0;
        for (int i = 0; i < fitted.length; i++) {
            double off = Math.log(points.get(i).kpa) - line.at(points.get(i).day);
            chi2 += weightOf(points.get(i), fitted[i]) * off * off;
        }
        return new WeightedLine(weight, meanDay, meanLog, line.slope, squares, chi2);
    }

    private static double weightOf(Point point, double fittedKpa) {
        double relative = sigma(fittedKpa, point.warmthKnown) / fittedKpa;
        return 1 / (relative * relative);
    }

    /** What a reading near {@code kpa} is good to: one standard deviation (kPa). */
    static double sigma(double kpa, boolean warmthKnown) {
        double own = Math.max(LEAST_SIGMA_KPA, SIGMA_RATIO * kpa);
        double warmth = warmthKnown ? 0 : UNKNOWN_C * (kpa + ABSOLUTE_ZERO_OFFSET_KPA) / REFERENCE_KELVIN;
        return Math.hypot(own, warmth);
    }

    double at(double day) {
        return meanLog + slope * (day - meanDay);
    }
}
