package org.stratopneum.core.gauge;

import java.util.List;
import org.hipparchus.stat.regression.SimpleRegression;
import org.stratopneum.core.quantity.GaugePressure;

/**
 * How a gauge stands to the reference: reference = offset + slope x shown, by least squares; the offset alone while the
 * pairs are fewer than three or lie too close together to tell a slope. Relative truth is what repeats: whether the
 * reference itself is right is left out, and so are temperature and age of the gauge.
 *
 * @param offsetKpa what is added (kPa)
 * @param slope what a reading is multiplied with (ratio)
 * @param spreadKpa standard deviation of a pair about the fit (kPa), or null while there are too few to tell
 * @param residualsKpa reference less fit, pair by pair (kPa)
 */
public record GaugeFit(double offsetKpa, double slope, Double spreadKpa, List<Double> residualsKpa) {

    /** A slope wants so many pairs (common practice). */
    public static final int PAIRS_FOR_SLOPE = 3;

    /** And so much between the lowest and the highest of them (kPa; our judgement, 10 psi). */
    public static final double RANGE_FOR_SLOPE_KPA = 69;

    /** No working gauge has a slope outside of this (ratios; our judgement). */
    private static final double LEAST_SLOPE = 0.8;

    private static final double MOST_SLOPE = 1.25;

    /** A gauge that nobody compared is taken at its word. */
    public static final GaugeFit NONE = new GaugeFit(0, 1, null, List.of());

    public GaugeFit {
        residualsKpa = List.copyOf(residualsKpa);
    }

    /** @param pairs in any order, none or more */
    public static GaugeFit of(List<GaugePair> pairs) {
        if (pairs.isEmpty()) {
            return NONE;
        }
        SimpleRegression regression = new SimpleRegression();
        pairs.forEach(
                pair -> regression.addData(pair.shown().kpa(), pair.reference().kpa()));
        boolean sloped = pairs.size() >= PAIRS_FOR_SLOPE && range(pairs) >= RANGE_FOR_SLOPE_KPA;
        double slope = sloped ? regression.getSlope() : 1;
        double offset = sloped ? regression.getIntercept() : meanDifference(pairs);
        List<Double> residuals = pairs.stream()
                .map(pair ->
                        pair.reference().kpa() - offset - slope * pair.shown().kpa())
                .toList();
        return new GaugeFit(offset, slope, spread(residuals, sloped ? 2 : 1), residuals);
    }

    private static double range(List<GaugePair> pairs) {
        return pairs.stream().mapToDouble(pair -> pair.shown().kpa()).max().orElseThrow()
                - pairs.stream().mapToDouble(pair -> pair.shown().kpa()).min().orElseThrow();
    }

    private static double meanDifference(List<GaugePair> pairs) {
        return pairs.stream()
                .mapToDouble(pair -> pair.reference().kpa() - pair.shown().kpa())
                .average()
                .orElseThrow();
    }

    private static Double spread(List<Double> residuals, int parameters) {
        int free = residuals.size() - parameters;
        if (free < 1) {
            return null;
        }
        double squares =
                residuals.stream().mapToDouble(residual -> residual * residual).sum();
        return Math.sqrt(squares / free);
    }

    /** Whether a slope could be told. */
    public boolean sloped() {
        return residualsKpa.size() >= PAIRS_FOR_SLOPE && slope != 1;
    }

    /** Whether a reading stays what it is. */
    public boolean changesNothing() {
        return offsetKpa == 0 && slope == 1;
    }

    /** Whether a gauge can be like this; if not, a pair is wrong, or the gauge broken. */
    public boolean believable() {
        return slope >= LEAST_SLOPE && slope <= MOST_SLOPE;
    }

    /** What the reference would show. Below nothing a tire has nothing. */
    public GaugePressure toReference(GaugePressure shown) {
        return GaugePressure.kpa(Math.max(0, offsetKpa + slope * shown.kpa()));
    }

    /** What this gauge shows where the reference shows {@code reference}; nothing where it does not move yet. */
    public GaugePressure toShown(GaugePressure reference) {
        return GaugePressure.kpa(Math.max(0, (reference.kpa() - offsetKpa) / slope));
    }
}
