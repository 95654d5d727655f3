package org.stratopneum.web.platform.drawing;

import java.util.List;
import java.util.stream.IntStream;
import org.stratopneum.web.platform.wording.Numbers;

/**
 * How far pairs of a gauge lie from its fit, against what the gauge showed. Positions are in drawing units, the middle
 * line at 0, above it where the reference showed more.
 */
public record ResidualDrawing(List<Dot> dots, List<Tick> across, String most) {

    public static final int WIDTH = 400;
    public static final int HALF_HEIGHT = 60;

    /** A pair; {@code y} from the middle line, down. */
    public record Dot(double x, double y) {}

    /** A mark below. */
    public record Tick(double x, String label) {}

    /**
     * @param shown what the gauge showed, pair by pair (in a unit)
     * @param residuals reference less fit (in the same unit)
     * @param least what half of the height stands for at least (in the same unit)
     */
    public static ResidualDrawing of(List<Double> shown, List<Double> residuals, double least) {
        double from = shown.stream().mapToDouble(Double::doubleValue).min().orElseThrow();
        double to = shown.stream().mapToDouble(Double::doubleValue).max().orElseThrow();
        double span = Math.max(to - from, 1e-6);
        double most =
                Math.max(least, residuals.stream().mapToDouble(Math::abs).max().orElse(0));
        List<Dot> dots = IntStream.range(0, shown.size())
                .mapToObj(i -> new Dot(WIDTH * (shown.get(i) - from) / span, -HALF_HEIGHT * residuals.get(i) / most))
                .toList();
        return new ResidualDrawing(
                dots,
                List.of(new Tick(0, Numbers.upTo(from, 1)), new Tick(WIDTH, Numbers.upTo(to, 1))),
                Numbers.upTo(most, 2));
    }
}
