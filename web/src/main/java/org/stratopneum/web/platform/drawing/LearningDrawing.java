package org.stratopneum.web.platform.drawing;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.stratopneum.core.dialling.Feel;
import org.stratopneum.web.platform.wording.Numbers;

/**
 * What suits a rider on a wheel, note by note: the band that narrows, its middle, and the pressures that were ridden with
 * what was said of them. Positions are in drawing units, {@link #WIDTH} by {@link #HEIGHT}, the origin at the top left.
 */
public record LearningDrawing(String band, String middle, double chainY, double endY, List<Dot> dots, List<Tick> up) {

    public static final int WIDTH = 420;
    public static final int HEIGHT = 200;

    private static final int MOST_TICKS = 6;

    /** A note: where it was ridden, and the code of its shape. */
    public record Dot(double x, double y, String code) {}

    /** A mark on the axis. */
    public record Tick(double y, String label) {}

    /**
     * What was known after a number of notes (in the rider's unit).
     *
     * @param middle the pressure to try, {@code low} and {@code high} the ends of its 80 % interval
     */
    public record Known(double low, double middle, double high) {}

    /** A pressure that was ridden (in the rider's unit). */
    public record Ridden(double pressure, Feel feel) {}

    /**
     * @param known before the first note, and after each: one more than {@code ridden}
     * @param chain what the chain alone gives
     */
    public static LearningDrawing of(List<Known> known, List<Ridden> ridden, double chain) {
        double least = chain;
        double most = chain;
        for (Known at : known) {
            least = Math.min(least, at.low);
            most = Math.max(most, at.high);
        }
        for (Ridden at : ridden) {
            least = Math.min(least, at.pressure);
            most = Math.max(most, at.pressure);
        }
        double room = Math.max(0.05 * (most - least), 1e-6);
        Axis axis = new Axis(least - room, most + room, known.size());
        StringBuilder upper = new StringBuilder();
        StringBuilder lower = new StringBuilder();
        StringBuilder middle = new StringBuilder();
        for (int i = 0; i < known.size(); i++) {
            upper.append(axis.point(i == 0 ? "M" : "L", i, known.get(i).high));
            lower.insert(0, axis.point("L", i, known.get(i).low));
            middle.append(axis.point(i == 0 ? "M" : "L", i, known.get(i).middle));
        }
        List<Dot> dots = new ArrayList<>();
        for (int i = 0; i < ridden.size(); i++) {
            dots.add(new Dot(axis.x(i + 1.0), axis.y(ridden.get(i).pressure), code(ridden.get(i).feel)));
        }
        return new LearningDrawing(
                upper.append(lower).append("Z").toString(),
                middle.toString(),
                axis.y(chain),
                axis.y(known.get(known.size() - 1).middle),
                dots,
                axis.ticks());
    }

    private static String code(Feel feel) {
        return switch (feel) {
            case TOO_SOFT -> "below";
            case RIGHT -> "inside";
            case TOO_HARD -> "above";
            case BURP_OR_STRIKE -> "blocks";
        };
    }

    private record Axis(double least, double most, int columns) {

        double x(double column) {
            return WIDTH * column / Math.max(1, columns - 1);
        }

        double y(double pressure) {
            return HEIGHT * (most - pressure) / (most - least);
        }

        String point(String command, int column, double pressure) {
            return String.format(Locale.ROOT, "%s%.1f %.1f ", command, x(column), y(pressure));
        }

        List<Tick> ticks() {
            double step = Ticks.step(most - least, MOST_TICKS);
            List<Tick> ticks = new ArrayList<>();
            for (double at = Math.ceil(least / step) * step; at <= most; at += step) {
                ticks.add(new Tick(y(at), Numbers.upTo(at, 2)));
            }
            return ticks;
        }
    }
}
