package org.stratopneum.web.platform.drawing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.stratopneum.core.dialling.Feel;
import org.stratopneum.core.sealant.SealantForecast;

/** Drawings of what was learned: what suits a rider, sealant over the days, the pool at six o'clock. */
class LearnedDrawingsTest {

    private static final Pattern NUMBERS = Pattern.compile("-?\\d+(?:\\.\\d+)?");
    private static final LocalDate FIRST = LocalDate.of(2026, 3, 1);

    private static List<Double> numbers(String path) {
        List<Double> numbers = new ArrayList<>();
        Matcher found = NUMBERS.matcher(path);
        while (found.find()) {
            numbers.add(Double.parseDouble(found.group()));
        }
        return numbers;
    }

    @Test
    void theBandStandsWhereItsNumbersSay() {
        LearningDrawing drawing = LearningDrawing.of(
                List.of(new LearningDrawing.Known(18, 21, 24), new LearningDrawing.Known(19, 20, 22)),
                List.of(new LearningDrawing.Ridden(23, Feel.TOO_HARD)),
                21);
        List<Double> band = numbers(drawing.band());
        assertThat(band).as("two points above, two below").hasSize(8);
        double perUnit = (drawing.endY() - drawing.chainY()) / (20 - 21);
        assertThat(perUnit).as("up is more").isNegative().as("and straight").isLessThan(-10);
        LearningDrawing.Dot dot = drawing.dots().get(0);
        assertThat(dot.y()).isCloseTo(drawing.chainY() - 2 * (drawing.endY() - drawing.chainY()), within(1e-6));
        assertThat(dot.x()).isEqualTo(LearningDrawing.WIDTH);
        assertThat(dot.code()).isEqualTo("above");
        assertThat(band).allMatch(at -> at >= 0 && at <= LearningDrawing.WIDTH);
        for (LearningDrawing.Tick tick : drawing.up()) {
            double value = Double.parseDouble(tick.label());
            assertThat(tick.y())
                    .isCloseTo(drawing.chainY() + (value - 21) * (drawing.chainY() - drawing.endY()), within(1e-6));
        }
    }

    @Test
    void everyFeelingHasAShapeOfItsOwn() {
        List<LearningDrawing.Known> known = new ArrayList<>();
        List<LearningDrawing.Ridden> ridden = new ArrayList<>();
        known.add(new LearningDrawing.Known(18, 21, 24));
        for (Feel feel : Feel.values()) {
            known.add(new LearningDrawing.Known(19, 20, 22));
            ridden.add(new LearningDrawing.Ridden(20, feel));
        }
        assertThat(LearningDrawing.of(known, ridden, 21).dots())
                .extracting(LearningDrawing.Dot::code)
                .doesNotHaveDuplicates();
    }

    /** One pressure for everything is drawn as well: nothing is divided by no span. */
    @Test
    void aFlatDrawingIsADrawing() {
        LearningDrawing flat = LearningDrawing.of(List.of(new LearningDrawing.Known(21, 21, 21)), List.of(), 21);
        assertThat(flat.chainY()).isBetween(0.0, (double) LearningDrawing.HEIGHT);
        assertThat(flat.middle()).doesNotContain("NaN");
    }

    private static SealantChart.Expected expected(int day, double low, double middle, double high) {
        return new SealantChart.Expected(FIRST.plusDays(day), new SealantForecast.Spread(low, middle, high));
    }

    private static SealantChart chart(int todayOn) {
        return new SealantChart(
                new SealantChart.Shown(
                        List.of(expected(0, 95, 95, 95), expected(50, 40, 60, 75), expected(100, 5, 30, 55)),
                        List.of(new SealantChart.Seen(FIRST.plusDays(50), 62, 6)),
                        32,
                        FIRST.plusDays(todayOn),
                        FIRST.plusDays(60),
                        FIRST.plusDays(90),
                        1,
                        "/log?about=wheel-1"),
                new SealantChart.Words("today", "check by", "refresh by", "too little", "ml", "dipped"));
    }

    private static List<Double> found(String svg, String pattern) {
        Matcher found = Pattern.compile(pattern).matcher(svg);
        assertThat(found.find()).as(pattern).isTrue();
        return Stream.iterate(1, i -> i + 1)
                .limit(found.groupCount())
                .map(i -> Double.parseDouble(found.group(i)))
                .toList();
    }

    @Test
    void sealantFallsToTheRightAndFlagsStandOnTheirDays() {
        String svg = chart(25).body();
        List<Double> middle = numbers(middle(svg));
        double left = middle.get(0);
        double right = middle.get(4);
        double perDay = (right - left) / 100;
        double perMl = (middle.get(5) - middle.get(1)) / (95 - 30);
        assertThat(middle.get(3) - middle.get(1)).as("60 ml on day 50").isCloseTo(35 * perMl, within(0.2));
        assertThat(found(svg, "flag-l-mark\" d=\"M([\\d.]+)").get(0)).isCloseTo(left + 60 * perDay, within(0.2));
        assertThat(found(svg, "flag-l-ink\" d=\"M([\\d.]+)").get(0)).isCloseTo(left + 90 * perDay, within(0.2));
        assertThat(svg).contains("30 Apr", "today");
        List<Double> dip = found(svg, "class=\"hub-i\" d=\"M([\\d.]+) ([\\d.]+)");
        assertThat(dip.get(0)).isCloseTo(left + 50 * perDay, within(0.2));
        assertThat(dip.get(1) + 6 - middle.get(1)).as("62 ml").isCloseTo((95 - 62) * perMl, within(0.2));
    }

    /** The check stands on day 60; a day of the chart is 5.9 wide, the words about 100. */
    @ParameterizedTest
    @ValueSource(ints = {20, 55, 59, 61, 66, 75})
    void noPoleStandsInTheWordsOfToday(int day) {
        String svg = chart(day).body();
        double words = found(svg, "milk-tx on-film\" x=\"([\\d.]+)").get(0);
        double check = found(svg, "flag-l-mark\" d=\"M([\\d.]+)").get(0);
        double refresh = found(svg, "flag-l-ink\" d=\"M([\\d.]+)").get(0);
        assertThat(Math.abs(words - check)).isGreaterThan(50);
        assertThat(Math.abs(words - refresh)).isGreaterThan(50);
    }

    private static String middle(String svg) {
        Matcher found = Pattern.compile("class=\"milk-m\" d=\"([^\"]+)").matcher(svg);
        assertThat(found.find()).isTrue();
        return found.group(1);
    }

    @Test
    void aDayOutsideOfTheChartIsNotDrawnAsToday() {
        assertThat(chart(130).body()).doesNotContain(">today<");
    }

    @ParameterizedTest
    @CsvSource({"10, 5, 2", "0.9, 5, 0.2", "95, 5, 20", "1, 1, 1", "7, 6, 2"})
    void ticksAreRoundAndNotTooMany(double span, int most, double step) {
        assertThat(Ticks.step(span, most)).isCloseTo(step, within(1e-9));
        assertThat(span / Ticks.step(span, most)).isLessThanOrEqualTo(most);
    }
}
