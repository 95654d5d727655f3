package org.stratopneum.web.platform.drawing;

import java.util.List;
import org.stratopneum.web.platform.wording.Numbers;

/** How a recommended pressure comes about: each step moves the level to the left or to the right. */
public final class ChainDrawing {

    private static final double WIDTH = 760;
    private static final double LEFT = 372;
    private static final double LENGTH = 270;
    private static final double ROW = 46;
    private static final double HEAD = 24;
    private static final int MOST_TICKS = 6;

    private final List<Step> steps;
    private final String unit;

    /** A step: where it leads (in the rider's unit), lettered, and by which factor. */
    public record Step(String name, double level, String levelText, String factor) {}

    public ChainDrawing(List<Step> steps, String unit) {
        this.steps = steps;
        this.unit = unit;
    }

    public String viewBox() {
        return Svg.of("0 0 %.0f %.0f", WIDTH, HEAD + steps.size() * ROW + 14);
    }

    public String body() {
        double least = steps.stream().mapToDouble(Step::level).min().orElse(0);
        double most = steps.stream().mapToDouble(Step::level).max().orElse(1);
        double step = Ticks.step(Math.max(most - least, most * 0.04), MOST_TICKS - 2);
        double from = Math.floor(least / step) * step;
        double to = Math.max(from + step, Math.ceil(most / step) * step);
        Svg svg = new Svg();
        Svg scale = new Svg();
        for (double at = from; at <= to + step / 2; at += step) {
            double x = x(at, from, to);
            scale.line("h", x, HEAD, x, HEAD + steps.size() * ROW + 4);
            svg.text("num2", x, 15, "middle", Numbers.upTo(at, 2) + (at + step > to + step / 2 ? " " + unit : ""));
        }
        Svg levels = new Svg();
        Svg onwards = new Svg();
        for (int i = 0; i < steps.size(); i++) {
            draw(svg, levels, onwards, i, from, to);
        }
        return scale.part(svg).part(levels).part(onwards).toString();
    }

    private static double x(double value, double from, double to) {
        return LEFT + (value - from) / (to - from) * LENGTH;
    }

    /** @param levels the lines of the levels, {@code onwards} those from one to the next */
    private void draw(Svg svg, Svg levels, Svg onwards, int i, double from, double to) {
        Step step = steps.get(i);
        boolean last = i == steps.size() - 1;
        double y = HEAD + i * ROW + ROW / 2 + 2;
        double x = x(step.level, from, to);
        svg.text("lab", 0, y + 5, "start", step.name);
        if (i > 0) {
            double before = x(steps.get(i - 1).level, from, to);
            if (Math.abs(before - x) > 0.5) {
                svg.rect("forbid", Math.min(before, x), y - 12, Math.abs(before - x), 24);
            }
        }
        levels.line(last ? "scribe" : "b", x, y - 15, x, y + 15);
        if (!last) {
            onwards.line("l dots", x, y + 15, x, y + ROW - 15);
        }
        svg.text(last ? "set on-film" : "num on-film", x + 10, y + 6, "start", step.levelText)
                .text("num2", WIDTH - 2, y + 5, "end", step.factor);
    }
}
