package org.stratopneum.web.platform.drawing;

import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.stratopneum.core.sealant.SealantForecast;
import org.stratopneum.web.platform.wording.Numbers;
import org.stratopneum.web.platform.wording.Wording;

/**
 * Sealant in a tire over the days since it was last renewed: the middle of what is expected, its band, dips with their
 * doubt, the least that works, and the days to look and to refresh as flags. Positions are in drawing units,
 * {@link #WIDTH} by {@link #HEIGHT}, the origin at the top left.
 */
public record SealantChart(
        String band,
        String middle,
        double minimumY,
        Double todayX,
        List<Dip> dips,
        Flag check,
        Flag refresh,
        List<Tick> across,
        List<Tick> up) {

    public static final int WIDTH = 640;
    public static final int HEIGHT = 220;

    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMM", Wording.LOCALE);
    private static final int MOST_TICKS = 5;

    /** What is expected on a day (ml). */
    public record Expected(LocalDate day, SealantForecast.Spread ml) {}

    /** A dip (ml) with its standard deviation (ml). */
    public record Seen(LocalDate day, double ml, double sigmaMl) {}

    /** A dip's place, with the ends of its doubt. */
    public record Dip(double x, double y, double top, double bottom) {}

    /** A day to keep, with its date. */
    public record Flag(double x, String label) {}

    /** A mark on an axis. */
    public record Tick(double at, String label) {}

    /** @param expected oldest first, at least two days; {@code perMl} what a millilitre is in the unit that is shown */
    public static SealantChart of(
            List<Expected> expected,
            List<Seen> seen,
            double minimumMl,
            LocalDate today,
            LocalDate check,
            LocalDate refresh,
            double perMl) {
        LocalDate first = expected.get(0).day();
        LocalDate last = expected.get(expected.size() - 1).day();
        double most = minimumMl;
        for (Expected at : expected) {
            most = Math.max(most, at.ml.p90());
        }
        for (Seen at : seen) {
            most = Math.max(most, at.ml + at.sigmaMl);
        }
        Axes axes = new Axes(first, ChronoUnit.DAYS.between(first, last), most * 1.08);
        StringBuilder upper = new StringBuilder();
        StringBuilder lower = new StringBuilder();
        StringBuilder middle = new StringBuilder();
        for (int i = 0; i < expected.size(); i++) {
            Expected at = expected.get(i);
            upper.append(axes.point(i == 0 ? "M" : "L", at.day, at.ml.p90()));
            lower.insert(0, axes.point("L", at.day, at.ml.p10()));
            middle.append(axes.point(i == 0 ? "M" : "L", at.day, at.ml.p50()));
        }
        return new SealantChart(
                upper.append(lower).append("Z").toString(),
                middle.toString(),
                axes.y(minimumMl),
                today.isBefore(first) || today.isAfter(last) ? null : axes.x(today),
                seen.stream()
                        .map(dip -> new Dip(
                                axes.x(dip.day),
                                axes.y(dip.ml),
                                axes.y(dip.ml + dip.sigmaMl),
                                axes.y(Math.max(0, dip.ml - dip.sigmaMl))))
                        .toList(),
                new Flag(axes.x(check), DAY.format(check)),
                new Flag(axes.x(refresh), DAY.format(refresh)),
                axes.across(),
                axes.up(perMl));
    }

    private record Axes(LocalDate first, long days, double most) {

        double x(LocalDate day) {
            return WIDTH * ChronoUnit.DAYS.between(first, day) / (double) Math.max(1, days);
        }

        double y(double ml) {
            return HEIGHT * (1 - ml / most);
        }

        String point(String command, LocalDate day, double ml) {
            return String.format(Locale.ROOT, "%s%.1f %.1f ", command, x(day), y(ml));
        }

        List<Tick> across() {
            List<Tick> ticks = new ArrayList<>();
            long step = Math.max(1, days / MOST_TICKS);
            for (long day = 0; day <= days - step / 2; day += step) {
                LocalDate at = first.plusDays(day);
                ticks.add(new Tick(x(at), DAY.format(at)));
            }
            return ticks;
        }

        List<Tick> up(double perMl) {
            double step = Ticks.step(most * perMl, MOST_TICKS);
            List<Tick> ticks = new ArrayList<>();
            for (double at = 0; at <= most * perMl; at += step) {
                ticks.add(new Tick(y(at / perMl), Numbers.upTo(at, 1)));
            }
            return ticks;
        }
    }
}
