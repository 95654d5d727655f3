package org.stratopneum.web.platform.drawing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.stratopneum.core.pressure.Ceiling;
import org.stratopneum.core.pressure.Ground;
import org.stratopneum.core.pressure.PressureLimits;
import org.stratopneum.core.pressure.PressureWindow;
import org.stratopneum.core.quantity.GaugePressure;
import org.stratopneum.core.quantity.PressureUnit;
import org.stratopneum.core.quantity.RiderUnit;
import org.stratopneum.core.tire.TireOnRim;
import org.stratopneum.core.tire.TireSection;
import org.stratopneum.web.platform.wording.PressureText;

/** Read back from what is drawn: every mark stands where its number says, and everything is to one scale. */
class DrawingsTest {

    private static final PressureLimits LIMITS = new PressureLimits(
            GaugePressure.psi(14),
            GaugePressure.psi(9),
            Ground.SMOOTH_PAVEMENT,
            GaugePressure.psi(9),
            new Ceiling(GaugePressure.psi(51), false));

    private static final PressureWindow WINDOW = new PressureWindow(GaugePressure.psi(18), GaugePressure.psi(25));
    private static final SteelRule.Words WORDS = new SteelRule.Words("told", "read", "now", "lowest", "highest");

    /** What is drawn is rounded to a tenth of a unit. */
    private static final double DRAWN = 0.11;

    private static List<Double> numbers(String svg, String pattern) {
        Matcher found = Pattern.compile(pattern).matcher(svg);
        assertThat(found.find()).as(pattern + " in " + svg).isTrue();
        List<Double> numbers = new ArrayList<>();
        for (int i = 1; i <= found.groupCount(); i++) {
            numbers.add(Double.parseDouble(found.group(i)));
        }
        return numbers;
    }

    private static SteelRule rule(Double told, PressureWindow window, GaugePressure read, PressureUnit unit) {
        return new SteelRule(new SteelRule.Shown(told, window, LIMITS, read, "below", List.of(), unit), WORDS);
    }

    @ParameterizedTest
    @EnumSource(PressureUnit.class)
    void theRuleIsStraightAndBothItsEdgesSayTheSame(PressureUnit unit) {
        double told = GaugePressure.psi(21.5).in(unit);
        for (SteelRule.Size size :
                rule(told, WINDOW, GaugePressure.psi(12), unit).sizes()) {
            String svg = size.body();
            double at = numbers(svg, "class=\"scribe\" d=\"M([\\d.]+)").get(0);
            double read = numbers(svg, "class=\"ptr st-below\" d=\"M([\\d.]+)").get(0);
            List<Double> range = numbers(svg, "class=\"range-r\" x=\"([\\d.]+)\" y=\"[\\d.]+\" width=\"([\\d.]+)\"");
            double perPsi = (at - read) / (21.5 - 12);
            assertThat(range.get(0) - read).isCloseTo(perPsi * (18 - 12), within(2 * DRAWN));
            assertThat(range.get(1)).isCloseTo(perPsi * (25 - 18), within(2 * DRAWN));
            // "lowest" stands at the least that may be in it
            assertThat(numbers(svg, "class=\"b\" d=\"M([\\d.]+)").get(0) - read)
                    .isCloseTo(perPsi * (14 - 12), within(2 * DRAWN));
            labels(svg, "num")
                    .forEach(label -> assertThat(label.x - read)
                            .as(label + " " + unit)
                            .isCloseTo(
                                    perPsi
                                            * (GaugePressure.of(label.value, unit)
                                                            .in(PressureUnit.PSI)
                                                    - 12),
                                    within(3 * DRAWN)));
            labels(svg, "num2")
                    .forEach(label -> assertThat(label.x - read)
                            .as(label + " beside " + unit)
                            .isCloseTo(
                                    perPsi
                                            * (GaugePressure.of(label.value, PressureText.beside(unit))
                                                            .in(PressureUnit.PSI)
                                                    - 12),
                                    within(3 * DRAWN)));
            marked(svg, "num", "5", 60.5);
            marked(svg, "num2", "5", 125.5);
        }
    }

    @ParameterizedTest
    @CsvSource({"16, true", "13.5, false", "14.5, true"})
    void theWordsOfTheLeastMakeRoomForTheMarkOfAReading(double read, boolean before) {
        String wide = rule(21.5, WINDOW, GaugePressure.psi(read), PressureUnit.PSI)
                .sizes()
                .get(0)
                .body();
        assertThat(wide.contains("text-anchor=\"end\">lowest<")).isEqualTo(before);
        assertThat(wide).contains(">lowest<");
    }

    /** The short marks of an edge are evenly spaced, and each number stands at one of them. */
    private static void marked(String svg, String css, String length, double y) {
        List<Double> comb = numbers(
                svg,
                "class=\"comb\" stroke-width=\"" + length + "\" stroke-dasharray=\"1 ([\\d.]+)\" d=\"M([\\d.]+) " + y
                        + "H([\\d.]+)");
        double apart = 1 + comb.get(0);
        double first = comb.get(1) + 0.5;
        double gaps = (comb.get(2) - 0.5 - first) / apart;
        assertThat(gaps).isGreaterThan(3).isCloseTo(Math.rint(gaps), within(0.02));
        labels(svg, css).forEach(label -> {
            double at = (label.x - first) / apart;
            assertThat(at).as(label + " of " + css).isCloseTo(Math.rint(at), within(2 * DRAWN / apart));
        });
    }

    private record Label(double x, double value) {}

    private static List<Label> labels(String svg, String css) {
        Matcher found = Pattern.compile(
                        "class=\"" + css + "(?: in)?\" x=\"([\\d.]+)\" y=\"[\\d.]+\" text-anchor=\"middle\">([\\d.]+)<")
                .matcher(svg);
        List<Label> labels = new ArrayList<>();
        while (found.find()) {
            labels.add(new Label(Double.parseDouble(found.group(1)), Double.parseDouble(found.group(2))));
        }
        assertThat(labels).as(css).hasSizeBetween(2, 12);
        return labels;
    }

    @Test
    void aFlatTireAndOneThatMayNotBeRiddenStillHaveARule() {
        assertThat(rule(21.5, WINDOW, GaugePressure.ZERO, PressureUnit.PSI)
                        .sizes()
                        .get(0)
                        .body())
                .contains("ptr");
        String blocked = rule(null, null, GaugePressure.psi(60), PressureUnit.BAR)
                .sizes()
                .get(0)
                .body();
        assertThat(blocked).doesNotContain("scribe", "range-r").contains("highest");
    }

    private static WheelDial dial(TireSection section, double target, double needle) {
        return new WheelDial(
                section,
                target,
                "23.0",
                target * 0.86,
                target * 1.17,
                target * 0.6,
                target * 2,
                new WheelDial.Needle(needle, needle, needle, "inside"),
                new WheelDial.Liquid(false, 60.0, 14, 32, "60 ml", false));
    }

    /** Straight up is right, and a turn of 270 degrees is the whole of it; no needle runs into the sealant. */
    @ParameterizedTest
    @CsvSource({"1,0", "1.1,27", "0.8,-54", "0,-128", "3,128"})
    void theNeedleTurnsByTheShareThatIsMissing(double share, double degrees) {
        TireSection section = new TireOnRim(57, 622, null, 30, null).section();
        String svg = dial(section, 23, 23 * share).draw(0, 0, 0.5).toString();
        List<Double> needle =
                numbers(svg, "class=\"needle st-inside\" d=\"M(-?[\\d.]+) (-?[\\d.]+)L(-?[\\d.]+) (-?[\\d.]+)\"");
        double angle = Math.toDegrees(Math.atan2(needle.get(2) - needle.get(0), needle.get(1) - needle.get(3)));
        assertThat(angle).isCloseTo(degrees, within(0.2));
    }

    @Test
    void wheelsAreToOneScaleAndStandOnTheGround() {
        TireSection large = new TireOnRim(57, 622, null, 30, null).section();
        TireSection small = new TireOnRim(62, 406, null, 30, null).section();
        String svg = BikeDrawing.of(dial(small, 43, 43), dial(large, 23, 23)).body();
        Matcher tires =
                Pattern.compile("class=\"rub-l\" d=\"M[-\\d. ]+A([\\d.]+)").matcher(svg);
        List<Double> radii = new ArrayList<>();
        while (tires.find()) {
            radii.add(Double.parseDouble(tires.group(1)));
        }
        double outerSmall = 203 + small.height().mm();
        double outerLarge = 311 + large.height().mm();
        assertThat((radii.get(0) + 0.7) / (radii.get(1) + 0.7)).isCloseTo(outerSmall / outerLarge, within(0.003));
        Matcher hubs =
                Pattern.compile("class=\"hub\" cx=\"[\\d.]+\" cy=\"([\\d.]+)\"").matcher(svg);
        for (double radius : radii) {
            assertThat(hubs.find()).isTrue();
            assertThat(Double.parseDouble(hubs.group(1)) + radius + 0.7).isCloseTo(212, within(2 * DRAWN));
        }
    }

    /** Lengths of a wide and a narrow tire, read from the drawing, are in the proportion of the true ones. */
    @ParameterizedTest
    @CsvSource({"57,622,30", "25,622,17", "120,559,80", "42,622,25"})
    void theSectionIsDrawnToScaleWithItsPoolAtItsDepth(double width, int bead, double rim) {
        TireSection section = new TireOnRim(width, bead, null, rim, null).section();
        SectionDrawing drawing = SectionDrawing.of(
                section,
                new SectionDrawing.Inside(false, null, true, false),
                RiderUnit.MM,
                new SectionDrawing.Pool(10, 8, 12, 5.0, true, "60 ml", "10 mm"),
                "enough to seal");
        String svg = drawing.body();
        List<Double> arc = numbers(svg, "class=\"rubber\" d=\"M[\\d.]+ [\\d.]+A([\\d.]+) [\\d.]+ 0 1 1");
        double scale = arc.get(0) / (section.inflatedWidth().mm() / 2);
        List<Double> wet = numbers(
                svg, "class=\"stick-wet\" x=\"[\\d.]+\" y=\"([\\d.]+)\" width=\"[\\d.]+\" height=\"([\\d.]+)\"");
        assertThat(wet.get(1)).isCloseTo(10 * scale, within(DRAWN));
        List<Double> level = numbers(svg, "class=\"milk-l\" d=\"M([\\d.]+) ([\\d.]+)H([\\d.]+)");
        assertThat(level.get(1)).isCloseTo(wet.get(0), within(DRAWN));
        // chord of a circle at a depth: half of it squared is d (2 r - d)
        double inner = section.inflatedWidth().mm() / 2 - 2.1;
        assertThat((level.get(2) - level.get(0)) / 2 / scale).isCloseTo(Math.sqrt(10 * (2 * inner - 10)), within(0.1));
        assertThat(svg).contains("60 ml", ">enough<", ">to seal<");
        String plain = SectionDrawing.of(section, new SectionDrawing.Inside(false, null, true, false), RiderUnit.MM)
                .body();
        assertThat(plain).contains(drawing.widthText(), drawing.heightText(), drawing.rimText());
    }

    @Test
    void theSectionShowsWhatLiesInside() {
        TireSection section = new TireOnRim(42, 622, null, 25.0, null).section();
        String tubeless = SectionDrawing.of(section, new SectionDrawing.Inside(true, 45.0, true, false), RiderUnit.MM)
                .body();
        String tubed = SectionDrawing.of(section, new SectionDrawing.Inside(false, null, false, true), RiderUnit.IN)
                .body();
        assertThat(tubeless).contains("class=\"tape\"").doesNotContain("tube-s");
        assertThat(tubed).contains("tube-s", "1.51 in").doesNotContain("class=\"tape\"");
    }

    private static LossChart chart(int days, PressureUnit unit) {
        Instant start = Instant.parse("2026-05-01T06:00:00Z");
        return new LossChart(
                new LossChart.Shown(
                        List.of(
                                new LossChart.Read(start, GaugePressure.psi(22), true, "pumped"),
                                new LossChart.Read(
                                        start.plus(Duration.ofDays(days)), GaugePressure.psi(20), false, "read")),
                        null,
                        0.025,
                        WINDOW,
                        GaugePressure.psi(14),
                        "inside",
                        "/log?about=wheel-1",
                        unit,
                        ZoneId.of("Europe/Vienna"),
                        start.plus(Duration.ofDays(days + 1))),
                new LossChart.Words("today", "range", "sound", "lowest", null));
    }

    /** Later lies to the right, less lies lower. */
    @ParameterizedTest
    @ValueSource(ints = {1, 10, 45, 110})
    void readingsStandInTheirOrderAndNoAxisIsCrowded(int days) {
        String svg = chart(days, PressureUnit.BAR).body();
        List<Double> fall = numbers(svg, "class=\"fall st-inside\" d=\"M([\\d.]+) ([\\d.]+)L([\\d.]+) ([\\d.]+)\"");
        assertThat(fall.get(2)).isGreaterThan(fall.get(0));
        assertThat(fall.get(3)).isGreaterThan(fall.get(1));
        Matcher dates = Pattern.compile(">\\d+ [A-Z][a-z]{2}<").matcher(svg);
        assertThat(dates.results().count()).isBetween(2L, 8L);
    }

    /** A line of words is some 60 wide: near the axis it stands to the right of its reading. */
    @ParameterizedTest
    @CsvSource({"10, end", "1, start"})
    void theWordsOfAReadingStandInsideOfTheDrawing(int days, String anchor) {
        Matcher words = Pattern.compile("x=\"([\\d.]+)\" y=\"[\\d.]+\"(?: text-anchor=\"(\\w+)\")?>20.0 read<")
                .matcher(chart(days, PressureUnit.PSI).body());
        assertThat(words.find()).isTrue();
        assertThat(Objects.requireNonNullElse(words.group(2), "start")).isEqualTo(anchor);
        assertThat(Double.parseDouble(words.group(1)) - (anchor.equals("end") ? 60 : 0))
                .isGreaterThan(46);
    }

    /** Each reading says its value and its moment at its own place, and leads to its day in the log. */
    @Test
    void aReadingSaysItsValueAndLeadsToItsEntry() {
        String svg = chart(10, PressureUnit.PSI).body();
        List<Double> fall = numbers(svg, "class=\"fall st-inside\" d=\"M([\\d.]+) ([\\d.]+)L([\\d.]+) ([\\d.]+)\"");
        List<Double> spot = numbers(svg, "class=\"spot\" data-x=\"([\\d.]+)\" data-y=\"([\\d.]+)\"");
        assertThat(spot).isEqualTo(fall.subList(0, 2));
        assertThat(svg)
                .contains("data-said=\"1 May 2026, 08:00: 22.0 psi, pumped\"")
                .contains("href=\"/log?about=wheel-1&amp;since=2026-05-11&amp;until=2026-05-11\"");
    }

    /** A name that somebody typed never becomes markup. */
    @Test
    void whatIsLetteredIsEscaped() {
        assertThat(new Svg().text("lab", 0, 0, "start", "<script>&").toString()).contains("&lt;script&gt;&amp;");
    }
}
