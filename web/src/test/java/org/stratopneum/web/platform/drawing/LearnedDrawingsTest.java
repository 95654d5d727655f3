package org.stratopneum.web.platform.drawing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.stratopneum.core.dialling.Feel;
import org.stratopneum.core.sealant.SealantForecast;
import org.stratopneum.core.tire.LiquidPool;
import org.stratopneum.core.tire.TireOnRim;
import org.stratopneum.core.tire.TireSection;

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

    @Test
    void sealantFallsToTheRightAndFlagsStandOnTheirDays() {
        SealantChart chart = SealantChart.of(
                List.of(expected(0, 95, 95, 95), expected(50, 40, 60, 75), expected(100, 5, 30, 55)),
                List.of(new SealantChart.Seen(FIRST.plusDays(50), 62, 6)),
                32,
                FIRST.plusDays(25),
                FIRST.plusDays(60),
                FIRST.plusDays(90),
                1);
        assertThat(chart.todayX()).isCloseTo(SealantChart.WIDTH * 0.25, within(1e-6));
        assertThat(chart.check().x()).isCloseTo(SealantChart.WIDTH * 0.6, within(1e-6));
        assertThat(chart.check().label()).isEqualTo("30 Apr");
        assertThat(chart.refresh().x()).isCloseTo(SealantChart.WIDTH * 0.9, within(1e-6));
        SealantChart.Dip dip = chart.dips().get(0);
        assertThat(dip.top()).isLessThan(dip.y());
        assertThat(dip.bottom() - dip.y()).isCloseTo(dip.y() - dip.top(), within(1e-6));
        double perMl = (chart.minimumY() - dip.y()) / (62 - 32);
        List<Double> middle = numbers(chart.middle());
        assertThat(middle.get(3)).as("60 ml on day 50").isCloseTo(chart.minimumY() - 28 * perMl, within(0.06));
        assertThat(chart.up())
                .allSatisfy(tick -> assertThat(tick.at())
                        .isCloseTo(chart.minimumY() - (Double.parseDouble(tick.label()) - 32) * perMl, within(1e-6)));
    }

    @Test
    void aDayOutsideOfTheChartIsNotDrawnAsToday() {
        SealantChart chart = SealantChart.of(
                List.of(expected(0, 95, 95, 95), expected(10, 80, 85, 90)),
                List.of(),
                32,
                FIRST.plusDays(30),
                FIRST.plusDays(5),
                FIRST.plusDays(9),
                1);
        assertThat(chart.todayX()).isNull();
    }

    /** The level's chord on the circle of the tread: half of it squared and the depth below the axle squared make Ro squared. */
    @ParameterizedTest
    @ValueSource(doubles = {2, 9, 17, 40})
    void thePoolIsALensToScale(double depth) {
        TireSection section = TireOnRim.onMeasuringRim(57, 622).section();
        PoolDrawing drawing = PoolDrawing.of(section, depth, depth * 0.8, depth * 1.2);
        assertThat(drawing.outer()).isCloseTo(311 + section.height().mm(), within(1e-9));
        List<Double> pool = numbers(drawing.pool());
        double half = pool.get(0);
        assertThat(half * half + drawing.level() * drawing.level())
                .isCloseTo(drawing.outer() * drawing.outer(), within(5.0));
        assertThat(drawing.outer() - drawing.level()).isCloseTo(depth, within(1e-9));
        assertThat(drawing.lowLevel()).isGreaterThan(drawing.level());
        assertThat(drawing.highLevel()).isLessThan(drawing.level());
        assertThat(LiquidPool.in(section).volumeMl(depth)).isPositive();
    }

    @ParameterizedTest
    @CsvSource({"10, 5, 2", "0.9, 5, 0.2", "95, 5, 20", "1, 1, 1", "7, 6, 2"})
    void ticksAreRoundAndNotTooMany(double span, int most, double step) {
        assertThat(Ticks.step(span, most)).isCloseTo(step, within(1e-9));
        assertThat(span / Ticks.step(span, most)).isLessThanOrEqualTo(most);
    }
}
