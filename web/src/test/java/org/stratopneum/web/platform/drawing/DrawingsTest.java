package org.stratopneum.web.platform.drawing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
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

class DrawingsTest {

    private static final PressureLimits LIMITS = new PressureLimits(
            GaugePressure.psi(14),
            GaugePressure.psi(9),
            Ground.SMOOTH_PAVEMENT,
            GaugePressure.psi(9),
            new Ceiling(GaugePressure.psi(51), false));

    @ParameterizedTest
    @EnumSource(PressureUnit.class)
    void theScaleIsStraightAndShowsAllThatMatters(PressureUnit unit) {
        PressureWindow window = new PressureWindow(GaugePressure.psi(18), GaugePressure.psi(25));
        GaugePressure told = GaugePressure.psi(21.5);
        GaugePressure read = GaugePressure.psi(12);
        PressureScale scale = PressureScale.of(told.in(unit), window, LIMITS, read, unit);

        double perKpa = (scale.told() - scale.reading()) / (told.kpa() - read.kpa());
        assertThat(scale.windowFrom() - scale.reading())
                .isCloseTo(perKpa * (window.low().kpa() - read.kpa()), within(1e-6));
        assertThat(scale.windowTo() - scale.told())
                .isCloseTo(perKpa * (window.high().kpa() - told.kpa()), within(1e-6));
        assertThat(scale.floor() - scale.reading())
                .isCloseTo(perKpa * (LIMITS.floor().kpa() - read.kpa()), within(1e-6));
        assertThat(List.of(scale.told(), scale.reading(), scale.windowFrom(), scale.windowTo()))
                .allMatch(at -> at >= 0 && at <= PressureScale.LENGTH);
        assertThat(scale.ceiling()).as("far beyond the scale").isNull();
    }

    @ParameterizedTest
    @EnumSource(PressureUnit.class)
    void ticksStandWhereTheirNumbersSay(PressureUnit unit) {
        PressureWindow window = new PressureWindow(GaugePressure.psi(60), GaugePressure.psi(80));
        PressureScale scale = PressureScale.of(GaugePressure.psi(70).in(unit), window, LIMITS, null, unit);
        List<PressureScale.Tick> labelled =
                scale.ticks().stream().filter(PressureScale.Tick::isLong).toList();
        assertThat(labelled).hasSizeGreaterThanOrEqualTo(2);
        double first = Double.parseDouble(labelled.get(0).label());
        double last = Double.parseDouble(labelled.get(labelled.size() - 1).label());
        double perUnit =
                (labelled.get(labelled.size() - 1).at() - labelled.get(0).at()) / (last - first);
        double told = labelled.get(0).at() + perUnit * (GaugePressure.psi(70).in(unit) - first);
        assertThat(scale.told()).isCloseTo(told, within(1e-6));
    }

    @Test
    void aFlatTireStillHasAScale() {
        PressureScale scale = PressureScale.of(21.5, null, LIMITS, GaugePressure.ZERO, PressureUnit.PSI);
        assertThat(scale.reading()).isEqualTo(0);
        assertThat(scale.windowFrom()).isNull();
    }

    @Test
    void theSectionIsDrawnToScale() {
        TireSection section = new TireOnRim(57, 622, 30.0, 30, null).section();
        SectionDrawing drawing = SectionDrawing.of(section, inside(false, null), RiderUnit.MM);
        assertThat(drawing.radius() * 2).isCloseTo(section.inflatedWidth().mm(), within(1e-9));
        assertThat(drawing.height()).isCloseTo(section.height().mm(), within(1e-9));
        assertThat(drawing.casing()).isEqualTo("M -15.00 0 A 28.500 28.500 0 1 1 15.00 0");
        assertThat(drawing.widthText()).isEqualTo("57.0 mm");
        assertThat(SectionDrawing.of(section, inside(false, null), RiderUnit.IN).widthText())
                .isEqualTo("2.24 in");
        assertThat(drawing.rim())
                .isNotEqualTo(SectionDrawing.of(section, inside(true, null), RiderUnit.MM)
                        .rim());
    }

    @Test
    void wheelsKeepTheirProportionsAndStandOnTheGround() {
        WheelDrawing large = WheelDrawing.of(new TireOnRim(57, 622, null, 30, null).section());
        WheelDrawing small = WheelDrawing.of(new TireOnRim(62, 406, null, 30, null).section());
        assertThat(large.bead() / small.bead()).isCloseTo(622.0 / 406, within(1e-9));
        for (WheelDrawing wheel : List.of(large, small)) {
            String[] box = wheel.viewBox().split(" ");
            double bottom = Double.parseDouble(box[1]) + Double.parseDouble(box[3]);
            assertThat(bottom).isCloseTo(wheel.outer(), within(0.1));
            assertThat(wheel.ring() + wheel.thickness() / 2).isCloseTo(wheel.outer(), within(1e-9));
        }
    }

    @Test
    void theSectionShowsWhatLiesInsideAndHowDeepTheRimIs() {
        TireSection section = new TireOnRim(42, 622, null, 25.0, null).section();
        SectionDrawing deep = SectionDrawing.of(section, inside(true, 45.0), RiderUnit.MM);
        assertThat(deep.bottom())
                .as("the walls stand 6 mm above the bead seats")
                .isEqualTo(39);
        assertThat(deep.tape()).isNotNull();
        assertThat(deep.tube()).isNull();
        SectionDrawing tubed =
                SectionDrawing.of(section, new SectionDrawing.Inside(true, null, false, true), RiderUnit.MM);
        assertThat(tubed.tape()).isNull();
        assertThat(tubed.tube()).isNotNull();
        assertThat(tubed.bottom()).isLessThan(deep.bottom());
    }

    private static SectionDrawing.Inside inside(boolean hookless, Double depthMm) {
        return new SectionDrawing.Inside(hookless, depthMm, true, false);
    }

    /** Later lies to the right, more lies higher, and a line ends where somebody pumped. */
    @Test
    void readingsStandInTheirOrderAndAreJoinedOnlyWhileThePressureFallsByItself() {
        Instant start = Instant.parse("2026-05-01T06:00:00Z");
        List<ReadingsChart.Reading> readings = List.of(
                new ReadingsChart.Reading(start, GaugePressure.psi(22), true),
                new ReadingsChart.Reading(start.plus(Duration.ofDays(3)), GaugePressure.psi(20), false),
                new ReadingsChart.Reading(start.plus(Duration.ofDays(6)), GaugePressure.psi(22.5), true));
        ReadingsChart chart = ReadingsChart.of(
                readings, null, PressureUnit.PSI, ZoneId.of("Europe/Vienna"), start.plus(Duration.ofDays(7)));
        List<ReadingsChart.Mark> marks = chart.marks();
        assertThat(marks).extracting(ReadingsChart.Mark::x).isSorted().allMatch(x -> x >= 0 && x <= 640);
        assertThat(marks.get(1).y()).isGreaterThan(marks.get(0).y());
        assertThat(marks.get(2).y()).isLessThan(marks.get(0).y());
        assertThat(chart.falls().replaceAll("[^ML]", "")).isEqualTo("MLM");
        assertThat(chart.windowTop()).isNull();
        assertThat(chart.days()).extracting(ReadingsChart.Tick::label).contains("8 May");
        assertThat(chart.pressures()).hasSizeBetween(2, 7);
    }

    @ParameterizedTest
    @ValueSource(ints = {1, 10, 45, 200, 365, 2000})
    void anAxisOfDaysIsNeverCrowded(int days) {
        Instant start = Instant.parse("2026-05-01T06:00:00Z");
        ReadingsChart chart = ReadingsChart.of(
                List.of(new ReadingsChart.Reading(start, GaugePressure.psi(22), true)),
                null,
                PressureUnit.BAR,
                ZoneId.of("Europe/Vienna"),
                start.plus(Duration.ofDays(days)));
        assertThat(chart.days()).hasSizeBetween(1, 8);
    }
}
