package org.stratopneum.web.platform.drawing;

import java.util.List;
import java.util.Locale;
import java.util.stream.IntStream;
import org.stratopneum.core.diagnosis.Spot;

/**
 * A wheel seen from the left with its valve at twelve, in twelve sectors to choose an hour by, and what was marked on it. One
 * drawing unit is no particular length: every wheel is drawn alike.
 *
 * @param spots what was marked
 */
public record WheelMapDrawing(List<Mark> spots) {

    private static final int HOURS = 12;
    private static final double OUTER = 100;
    private static final double INNER = 58;
    private static final double LABEL = 46;

    /** A sector around an hour. */
    public record Sector(int hour, String path, double labelX, double labelY) {}

    /** @param number in the list beside the drawing, from 1 */
    public record Mark(int number, double x, double y) {}

    public static WheelMapDrawing of(List<Spot> spots) {
        return new WheelMapDrawing(IntStream.range(0, spots.size())
                .mapToObj(i -> mark(i + 1, spots.get(i)))
                .toList());
    }

    private static Mark mark(int number, Spot spot) {
        double radius = radius(spot.zone());
        return new Mark(number, x(spot.hour(), radius), y(spot.hour(), radius));
    }

    /** From the axle outwards; both flanks, and both beads, lie over each other in this view. */
    private static double radius(Spot.Zone zone) {
        return switch (zone) {
            case TREAD -> 98;
            case FLANK_LEFT, FLANK_RIGHT -> 88;
            case BEAD_LEFT, BEAD_RIGHT -> 78;
            case RIM_JOINT, SPOKE_HOLE, VALVE_FOOT -> 68;
            case VALVE_TIP -> 58;
        };
    }

    private static double x(double hour, double radius) {
        return radius * Math.sin(2 * Math.PI * hour / HOURS);
    }

    private static double y(double hour, double radius) {
        return -radius * Math.cos(2 * Math.PI * hour / HOURS);
    }

    public List<Sector> sectors() {
        return IntStream.rangeClosed(1, HOURS)
                .mapToObj(hour -> new Sector(hour, sector(hour), x(hour, LABEL), y(hour, LABEL)))
                .toList();
    }

    private static String sector(int hour) {
        double from = hour - 0.5;
        double to = hour + 0.5;
        return String.format(
                Locale.ROOT,
                "M%.1f %.1fA%.0f %.0f 0 0 1 %.1f %.1fL%.1f %.1fA%.0f %.0f 0 0 0 %.1f %.1fZ",
                x(from, OUTER),
                y(from, OUTER),
                OUTER,
                OUTER,
                x(to, OUTER),
                y(to, OUTER),
                x(to, INNER),
                y(to, INNER),
                INNER,
                INNER,
                x(from, INNER),
                y(from, INNER));
    }
}
