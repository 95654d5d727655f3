package org.stratopneum.web.platform.drawing;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Function;
import java.util.stream.DoubleStream;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.stratopneum.core.leak.PressureOutlook;
import org.stratopneum.core.pressure.PressureWindow;
import org.stratopneum.core.quantity.GaugePressure;
import org.stratopneum.core.quantity.PressureUnit;
import org.stratopneum.web.platform.wording.DateText;
import org.stratopneum.web.platform.wording.Numbers;
import org.stratopneum.web.platform.wording.PressureText;

/**
 * The air that a wheel loses since it was last pumped, all at 20 C: readings, how it goes on with its doubt, how a sound wheel would
 * fall, the target range, and hatched what is too little.
 */
public final class LossChart {

    private static final double WIDTH = 656;
    private static final double HEIGHT = 420;
    private static final double LEFT = 46;
    private static final double RIGHT = 22;
    private static final double TOP = 36;
    private static final double BOTTOM = 40;
    private static final int AHEAD_DAYS = 7;
    private static final int POINTS = 40;
    private static final int MOST_TICKS = 6;

    /** What a reading's words may be wide. */
    private static final double WORDS = 76;

    /** What was read, and when. */
    public record Read(Instant at, GaugePressure pressure, boolean pumped, String words) {}

    /**
     * What is drawn.
     *
     * @param reads oldest first, at least one
     * @param outlook how it goes on, or null where nothing tells
     * @param soundPerDay what a sound wheel loses in a day (ratio)
     * @param window the target range, or null
     * @param floor the least that may be in it, or null
     * @param state code of the class of the loss
     * @param log the address of the readings of its wheel in the log, to be followed by days
     */
    public record Shown(
            List<Read> reads,
            PressureOutlook outlook,
            double soundPerDay,
            PressureWindow window,
            GaugePressure floor,
            String state,
            String log,
            PressureUnit unit,
            ZoneId zone,
            Instant now) {}

    /** What is lettered; {@code under} at the lower end of the target range, or null. */
    public record Words(String today, String range, String sound, String lowest, String under) {}

    private final Shown shown;
    private final Words words;
    private final double fromTime;
    private final double toTime;
    private final double most;
    private final double least;

    public LossChart(Shown shown, Words words) {
        this.shown = shown;
        this.words = words;
        Instant first = shown.reads.get(0).at();
        Instant end = shown.now.plus(Duration.ofDays(AHEAD_DAYS));
        fromTime = first.toEpochMilli();
        toTime = end.toEpochMilli();
        double[] all = Stream.of(
                        shown.reads.stream().map(Read::pressure),
                        Stream.ofNullable(shown.window).flatMap(window -> Stream.of(window.low(), window.high())),
                        Stream.ofNullable(shown.outlook)
                                .flatMap(outlook -> outlook.expectedAt(end).stream())
                                .map(PressureOutlook.Expected::low),
                        Stream.ofNullable(shown.floor))
                .flatMap(Function.identity())
                .mapToDouble(pressure -> pressure.in(shown.unit))
                .toArray();
        double low = DoubleStream.of(all).min().orElseThrow();
        double high = DoubleStream.of(all).max().orElseThrow();
        double margin = Math.max(0.1 * (high - low), 2 * shown.unit.resolution());
        most = high + margin;
        least = Math.max(0, low - 1.5 * margin);
    }

    public String viewBox() {
        return Svg.of("0 0 %.0f %.0f", WIDTH, HEIGHT);
    }

    private double x(Instant at) {
        return LEFT + (at.toEpochMilli() - fromTime) / (toTime - fromTime) * (WIDTH - LEFT - RIGHT);
    }

    private double y(double value) {
        return HEIGHT - BOTTOM - (value - least) / (most - least) * (HEIGHT - TOP - BOTTOM);
    }

    private double y(GaugePressure pressure) {
        return y(pressure.in(shown.unit));
    }

    public String body() {
        Svg svg = new Svg();
        double right = WIDTH - RIGHT;
        double bottom = HEIGHT - BOTTOM;
        if (shown.window != null) {
            svg.rect(
                            "range-r",
                            LEFT,
                            y(shown.window.high()),
                            right - LEFT,
                            y(shown.window.low()) - y(shown.window.high()))
                    .text("num2", right - 6, y(shown.window.high()) + 19, "end", words.range);
        }
        if (shown.floor != null && shown.floor.in(shown.unit) > least) {
            svg.rect("forbid", LEFT, y(shown.floor), right - LEFT, bottom - y(shown.floor))
                    .line("l", LEFT, y(shown.floor), right, y(shown.floor))
                    .text("lab2 on-film", LEFT + 8, y(shown.floor) + 19, "start", words.lowest);
        }
        axes(svg, bottom, right);
        sound(svg);
        svg.line("l", x(shown.now), TOP - 10, x(shown.now), bottom)
                .text("num2", x(shown.now), TOP - 16, "middle", words.today);
        ahead(svg);
        readings(svg);
        spots(svg);
        return svg.toString();
    }

    private void axes(Svg svg, double bottom, double right) {
        double step = Ticks.step(most - least, MOST_TICKS);
        for (double at = Math.ceil(least / step) * step; at <= most; at += step) {
            svg.line("l", LEFT - 5, y(at), LEFT, y(at)).text("num2", LEFT - 9, y(at) + 5, "end", Numbers.upTo(at, 2));
        }
        svg.text("num2", LEFT - 9, TOP - 12, "end", shown.unit.symbol())
                .line("l", LEFT, TOP - 6, LEFT, bottom)
                .line("l", LEFT, bottom, right, bottom);
        LocalDate first = LocalDate.ofInstant(Instant.ofEpochMilli((long) fromTime), shown.zone);
        long days = Math.round((toTime - fromTime) / Duration.ofDays(1).toMillis());
        long each = Math.max(1, Math.round(Math.ceil(days / (double) MOST_TICKS)));
        for (long day = 0; day <= days; day += each) {
            Instant at = first.plusDays(day).atStartOfDay(shown.zone).toInstant();
            if (x(at) >= LEFT - 1 && x(at) <= right - 10) {
                svg.line("l", x(at), bottom, x(at), bottom + 6)
                        .text("num2", x(at), bottom + 23, "middle", DateText.dayAndMonth(first.plusDays(day)));
            }
        }
    }

    /** From where it was pumped to, as a wheel that is in order would fall. */
    private void sound(Svg svg) {
        Read start = shown.reads.get(0);
        StringBuilder path = new StringBuilder();
        for (int i = 0; i <= POINTS; i++) {
            Instant at = moment(start.at(), Instant.ofEpochMilli((long) toTime), i);
            double days = Duration.between(start.at(), at).toMillis()
                    / (double) Duration.ofDays(1).toMillis();
            double value = start.pressure().in(shown.unit) * Math.pow(1 - shown.soundPerDay, days);
            if (value >= least) {
                path.append(Svg.of("%s%.1f %.1f", path.isEmpty() ? "M" : "L", x(at), y(value)));
            }
        }
        svg.path("l dots", path.toString());
        double days = (toTime - fromTime) / Duration.ofDays(1).toMillis();
        double end = start.pressure().in(shown.unit) * Math.pow(1 - shown.soundPerDay, days);
        if (end > least) {
            svg.text("num2 on-film", WIDTH - RIGHT - 6, y(end) - 8, "end", words.sound);
        }
    }

    private static Instant moment(Instant from, Instant to, int i) {
        return from.plus(Duration.between(from, to).multipliedBy(i).dividedBy(POINTS));
    }

    private void ahead(Svg svg) {
        if (shown.outlook == null || shown.outlook.pace() == null) {
            return;
        }
        Instant last = shown.reads.get(shown.reads.size() - 1).at();
        Instant end = Instant.ofEpochMilli((long) toTime);
        List<Instant> moments = IntStream.rangeClosed(0, POINTS)
                .mapToObj(i -> moment(last, end, i))
                .toList();
        StringBuilder upper = new StringBuilder();
        StringBuilder lower = new StringBuilder();
        List<String> middle = new ArrayList<>();
        for (Instant at : moments) {
            PressureOutlook.Expected expected = shown.outlook.expectedAt(at).orElseThrow();
            upper.append(Svg.of("%s%.1f %.1f", upper.isEmpty() ? "M" : "L", x(at), y(expected.high())));
            lower.insert(0, Svg.of("L%.1f %.1f", x(at), Math.min(HEIGHT - BOTTOM, y(expected.low()))));
            middle.add(Svg.of("%.1f %.1f", x(at), Math.min(HEIGHT - BOTTOM, y(expected.likely()))));
        }
        svg.path("doubt st-" + shown.state, upper.append(lower).append("Z").toString())
                .path("fall dash st-" + shown.state, "M" + String.join("L", middle));
        if (shown.window != null && words.under != null) {
            shown.outlook
                    .under(shown.window.low())
                    .map(PressureOutlook.Under::likely)
                    .ifPresent(at -> {
                        if (at.isAfter(shown.now) && at.isBefore(end)) {
                            svg.line("l", x(at), y(shown.window.low()), x(at), y(shown.window.low()) - 34)
                                    .text("lab on-film", x(at), y(shown.window.low()) - 40, "middle", words.under);
                        }
                    });
        }
    }

    /** Readings with their moment and their entry, and what is expected each day from now on. */
    private void spots(Svg svg) {
        if (shown.outlook != null && shown.outlook.pace() != null) {
            for (int day = 0; day <= AHEAD_DAYS; day++) {
                Instant at = shown.now.plus(Duration.ofDays(day));
                PressureOutlook.Expected expected = shown.outlook.expectedAt(at).orElseThrow();
                String said = Svg.of(
                        "%s: %s %s (%s-%s)",
                        DateText.dayAndMonth(LocalDate.ofInstant(at, shown.zone)),
                        PressureText.number(expected.likely(), shown.unit),
                        shown.unit.symbol(),
                        PressureText.number(expected.low(), shown.unit),
                        PressureText.number(expected.high(), shown.unit));
                svg.spot(x(at), Math.min(HEIGHT - BOTTOM, y(expected.likely())), said, null);
            }
        }
        for (Read read : shown.reads) {
            LocalDate day = LocalDate.ofInstant(read.at(), shown.zone);
            String said = DateText.moment(read.at(), shown.zone) + ": " + PressureText.text(read.pressure(), shown.unit)
                    + ", " + read.words();
            svg.spot(x(read.at()), y(read.pressure()), said, shown.log + "&since=" + day + "&until=" + day);
        }
    }

    private void readings(Svg svg) {
        StringBuilder path = new StringBuilder();
        for (Read read : shown.reads) {
            path.append(Svg.of("%s%.1f %.1f", path.isEmpty() ? "M" : "L", x(read.at()), y(read.pressure())));
        }
        svg.path("fall st-" + shown.state, path.toString());
        for (int i = 0; i < shown.reads.size(); i++) {
            Read read = shown.reads.get(i);
            svg.circle(read.pumped() ? "hub-i" : "st-open", x(read.at()), y(read.pressure()), read.pumped() ? 6 : 5);
            if (i == 0 || i == shown.reads.size() - 1) {
                boolean first = i == 0;
                // to the left there is no room near the axis
                boolean right = first || x(read.at()) < LEFT + WORDS;
                svg.text(
                        "lab on-film",
                        x(read.at()) + (right ? 10 : -8),
                        y(read.pressure()) + (first ? -12 : 24),
                        right ? "start" : "end",
                        PressureText.number(read.pressure(), shown.unit) + " " + read.words());
            }
        }
    }
}
