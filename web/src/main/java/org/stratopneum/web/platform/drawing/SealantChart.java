package org.stratopneum.web.platform.drawing;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Objects;
import java.util.stream.Stream;
import org.stratopneum.core.sealant.SealantForecast;
import org.stratopneum.web.platform.wording.DateText;
import org.stratopneum.web.platform.wording.Numbers;

/**
 * Sealant in a tire over the days since it was last renewed: the middle of what is expected, its band, dips with their
 * doubt, hatched what is too little, and the days to check and to refresh as pennants.
 */
public final class SealantChart {

    private static final double WIDTH = 656;
    private static final double HEIGHT = 272;
    private static final double LEFT = 46;
    private static final double RIGHT = 20;
    private static final double TOP = 74;
    private static final double BOTTOM = 40;
    private static final double FLAG = 112;
    private static final int MOST_TICKS = 5;

    /** So far from the middle of today's words to a pole beside them. */
    private static final double HALF_WORDS = 54;

    /** What is expected on a day (ml). */
    public record Expected(LocalDate day, SealantForecast.Spread ml) {}

    /** A dip (ml) with its standard deviation (ml). */
    public record Seen(LocalDate day, double ml, double sigmaMl) {}

    /**
     * What is drawn.
     *
     * @param expected oldest first, at least two days
     * @param check when to look, or null where a look would tell nothing
     * @param leastMl what is too little lies under this (ml)
     * @param perMl what a millilitre is in the unit that is shown
     * @param log the address of the sealant of its wheel in the log, to be followed by days
     */
    public record Shown(
            List<Expected> expected,
            List<Seen> seen,
            double leastMl,
            LocalDate today,
            LocalDate check,
            LocalDate refresh,
            double perMl,
            String log) {}

    /** What is lettered; {@code dipped} what a dip is called. */
    public record Words(String today, String check, String refresh, String least, String unit, String dipped) {}

    private final Shown shown;
    private final Words words;
    private final LocalDate first;
    private final long days;
    private final double most;

    public SealantChart(Shown shown, Words words) {
        this.shown = shown;
        this.words = words;
        first = shown.expected.get(0).day();
        days = Math.max(
                1,
                ChronoUnit.DAYS.between(
                        first, shown.expected.get(shown.expected.size() - 1).day()));
        double highest = shown.leastMl;
        for (Expected at : shown.expected) {
            highest = Math.max(highest, at.ml.p90());
        }
        for (Seen at : shown.seen) {
            highest = Math.max(highest, at.ml + at.sigmaMl);
        }
        most = highest * 1.08;
    }

    public String viewBox() {
        return Svg.of("0 0 %.0f %.0f", WIDTH, HEIGHT);
    }

    private double x(LocalDate day) {
        return LEFT + (WIDTH - LEFT - RIGHT) * ChronoUnit.DAYS.between(first, day) / days;
    }

    private double y(double ml) {
        return HEIGHT - BOTTOM - ml / most * (HEIGHT - TOP - BOTTOM);
    }

    public String body() {
        double bottom = y(0);
        double right = WIDTH - RIGHT;
        Svg svg = new Svg();
        StringBuilder upper = new StringBuilder();
        StringBuilder lower = new StringBuilder();
        StringBuilder middle = new StringBuilder();
        for (Expected at : shown.expected) {
            String command = upper.isEmpty() ? "M" : "L";
            upper.append(Svg.of("%s%.1f %.1f", command, x(at.day), y(at.ml.p90())));
            lower.insert(0, Svg.of("L%.1f %.1f", x(at.day), y(at.ml.p10())));
            middle.append(Svg.of("%s%.1f %.1f", command, x(at.day), y(at.ml.p50())));
        }
        svg.path("milk-2", upper.append(lower).append("Z").toString());
        double step = Ticks.step(most * shown.perMl, MOST_TICKS);
        for (double at = 0; at <= most * shown.perMl; at += step) {
            double y = y(at / shown.perMl);
            svg.line("l", LEFT - 5, y, LEFT, y).text("num2", LEFT - 9, y + 5, "end", Numbers.upTo(at, 1));
        }
        svg.text("num2", LEFT - 9, TOP - 8, "end", words.unit)
                .line("l", LEFT, TOP, LEFT, bottom)
                .line("l", LEFT, bottom, right, bottom)
                .rect("forbid", LEFT, y(shown.leastMl), right - LEFT, bottom - y(shown.leastMl))
                .line("l", LEFT, y(shown.leastMl), right, y(shown.leastMl))
                .path("milk-m", middle.toString())
                .text("lab2 on-film", LEFT + 8, y(shown.leastMl) + 19, "start", words.least);
        shown.seen.forEach(dip -> dip(svg, dip));
        if (shown.check != null) {
            flag(svg, shown.check, "mark", words.check, shown.refresh);
        }
        flag(svg, shown.refresh, "ink", words.refresh, null);
        today(svg, bottom);
        dates(svg, bottom);
        spots(svg);
        return svg.toString();
    }

    /** What is expected on a day, with its band, and the dips with their entries. */
    private void spots(Svg svg) {
        for (Expected at : shown.expected) {
            String said = Svg.of(
                    "%s: %s %s (%s-%s)",
                    DateText.date(at.day), amount(at.ml.p50()), words.unit, amount(at.ml.p10()), amount(at.ml.p90()));
            svg.spot(x(at.day), y(at.ml.p50()), said, null);
        }
        for (Seen dip : shown.seen) {
            String said = DateText.date(dip.day) + ": " + words.dipped + " " + amount(dip.ml) + " " + words.unit;
            svg.spot(x(dip.day), y(dip.ml), said, shown.log + "&since=" + dip.day + "&until=" + dip.day);
        }
    }

    private String amount(double ml) {
        return Numbers.fixed(ml * shown.perMl, shown.perMl < 1 ? 1 : 0);
    }

    private void dip(Svg svg, Seen dip) {
        double x = x(dip.day);
        double high = y(dip.ml + dip.sigmaMl);
        double low = y(Math.max(0, dip.ml - dip.sigmaMl));
        svg.path("l", "M%.1f %.1fV%.1fM%.1f %.1fh10M%.1f %.1fh10", x, high, low, x - 5, high, x - 5, low)
                .path("hub-i", "M%.1f %.1fl6 6-6 6-6-6z", x, y(dip.ml) - 6);
    }

    private void today(Svg svg, double bottom) {
        if (!within(shown.today)) {
            return;
        }
        double x = x(shown.today);
        double ml = shown.expected.stream()
                .filter(at -> !at.day.isAfter(shown.today))
                .reduce((earlier, later) -> later)
                .map(at -> at.ml.p50())
                .orElse(0.0);
        svg.line("l", x, TOP - 8, x, bottom)
                .text("milk-tx on-film", clearOfPoles(x), TOP - 14, "middle", words.today)
                .circle("milk-o", x, y(ml), 6);
    }

    /** The middle of today's words: over its day, but for the edges and the pole of a flag that would cut through them. */
    private double clearOfPoles(double x) {
        double low = LEFT + 40;
        double high = WIDTH - 60;
        for (LocalDate flag : Stream.of(shown.check, shown.refresh)
                .filter(Objects::nonNull)
                .filter(this::within)
                .toList()) {
            double pole = x(flag);
            if (pole > x) {
                high = Math.min(high, pole - HALF_WORDS);
            } else if (pole < x) {
                low = Math.max(low, pole + HALF_WORDS);
            }
        }
        return low > high ? x : Math.max(low, Math.min(high, x));
    }

    private boolean within(LocalDate day) {
        return !day.isBefore(first) && !day.isAfter(first.plusDays(days));
    }

    /** A pennant at a day; to the left where it would stand over the next one, or beyond the edge. */
    private void flag(Svg svg, LocalDate day, String tone, String words1, LocalDate next) {
        if (!within(day)) {
            return;
        }
        double x = x(day);
        boolean left =
                x > WIDTH - RIGHT - FLAG || next != null && within(next) && x(next) - x < FLAG + 12 && x > FLAG + LEFT;
        double width = left ? -FLAG : FLAG;
        svg.line("flag-l-" + tone, x, y(0), x, 6)
                .path("flag-" + tone, "M%.1f 6h%.1fl%s 18 %s 18h%.1fz", x, width, left ? 9 : -9, left ? -9 : 9, -width)
                .text("cap", left ? x - FLAG + 16 : x + 7, 20, "start", words1)
                .text("num", left ? x - FLAG + 16 : x + 7, 37, "start", DateText.dayAndMonth(day));
    }

    private void dates(Svg svg, double bottom) {
        long each = Math.max(1, Math.round(Math.ceil(days / (double) MOST_TICKS)));
        for (long day = 0; day <= days; day += each) {
            LocalDate at = first.plusDays(day);
            svg.line("l", x(at), bottom, x(at), bottom + 6)
                    .text(
                            "num2",
                            x(at),
                            bottom + 23,
                            day == 0 ? "start" : day + each > days ? "end" : "middle",
                            DateText.dayAndMonth(at));
        }
    }
}
