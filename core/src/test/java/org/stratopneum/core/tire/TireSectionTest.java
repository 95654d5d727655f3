package org.stratopneum.core.tire;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class TireSectionTest {

    /** The docs/handbook's worked values (page 1), to the digits printed there. */
    @ParameterizedTest
    @CsvSource({
        "28, 622, 19, 21, 28.84, 24.30,  587.4, 1.189, 1372",
        "40, 622, 25, 25, 40.00, 35.61, 1181.7, 2.433, 2056",
        "60, 622, 30, 30, 60.00, 55.98, 2745.9, 5.828, 3382",
        "60, 622, 30, 35, 61.84, 56.41, 2874.7, 6.100, 3389",
    })
    void agreesWithTheWorkedValues(
            double nominal,
            double bsd,
            double measuringRim,
            double rim,
            double width,
            double height,
            double area,
            double volume,
            double surface) {
        TireSection section = new TireOnRim(nominal, bsd, measuringRim, rim, null).section();

        assertThat(section.inflatedWidth().mm()).isCloseTo(width, within(0.006));
        assertThat(section.height().mm()).isCloseTo(height, within(0.006));
        assertThat(section.areaMm2()).isCloseTo(area, within(0.06));
        assertThat(section.airVolumeL()).isCloseTo(volume, within(0.0006));
        assertThat(section.innerSurfaceCm2()).isCloseTo(surface, within(0.6));
    }

    /** Common practice, no source: about 0.4 mm more tire for each mm more rim. */
    @ParameterizedTest
    @CsvSource({"28, 19", "40, 25", "60, 30", "75, 35"})
    void aWiderRimMakesTheTireWiderByAboutFourTenths(double nominal, double rim) {
        double narrow = new TireOnRim(nominal, 622, null, rim, null)
                .section()
                .inflatedWidth()
                .mm();
        double wide = new TireOnRim(nominal, 622, null, rim + 1, null)
                .section()
                .inflatedWidth()
                .mm();
        assertThat(wide - narrow).isBetween(0.3, 0.5);
    }

    /** Area, volume and surface once more by slicing the section into thin strips: no closed formula is shared. */
    @ParameterizedTest
    @CsvSource({"28, 622, 21", "42, 622, 25", "57, 622, 30", "62, 406, 30", "55, 507, 35"})
    void agreesWithASlicedSection(double nominal, double bsd, double rim) {
        TireSection section = new TireOnRim(nominal, bsd, null, rim, null).section();
        double radius = section.inflatedWidth().mm() / 2;
        double centre = section.height().mm() - radius;
        int slices = 200_000;
        double from = -Math.asin(centre / radius);
        double step = (Math.PI / 2 - from) / slices;
        double area = 0;
        double volume = 0;
        double surface = 0;
        for (int i = 0; i < slices; i++) {
            // strips between two heights, at equal angles seen from the centre so that they thin out at the crown
            double angle = from + (i + 0.5) * step;
            double height = centre + radius * Math.sin(angle);
            double strip = 2 * radius * Math.cos(angle) * radius * Math.cos(angle) * step;
            area += strip;
            volume += strip * 2 * Math.PI * (bsd / 2 + height);
            surface += 2 * radius * step * 2 * Math.PI * (bsd / 2 + height);
        }
        assertThat(section.areaMm2()).isCloseTo(area, within(area * 1e-8));
        assertThat(section.airVolumeL()).isCloseTo(volume / 1e6, within(volume / 1e6 * 1e-8));
        assertThat(section.innerSurfaceCm2()).isCloseTo(surface / 100, within(surface / 100 * 1e-8));
    }

    @Test
    void onItsMeasuringRimATireIsAsWideAsItSays() {
        for (double nominal = 18; nominal <= 130; nominal += 0.5) {
            double width = TireOnRim.onMeasuringRim(nominal, 622)
                    .section()
                    .inflatedWidth()
                    .mm();
            assertThat(width).isCloseTo(nominal, within(1e-8));
        }
    }

    @Test
    void theCasingKeepsItsLengthOnAnyRim() {
        double onNarrow = new TireOnRim(57, 622, null, 23, null).section().casingLengthMm();
        double onWide = new TireOnRim(57, 622, null, 40, null).section().casingLengthMm();
        assertThat(onNarrow).isCloseTo(onWide, within(1e-9));
    }

    @Test
    void aMeasuredWidthReplacesTheComputedOne() {
        TireSection section = new TireOnRim(57, 622, null, 30, 55.2).section();
        assertThat(section.inflatedWidth().mm()).isEqualTo(55.2);
        assertThat(section.casingLengthMm())
                .isLessThan(new TireOnRim(57, 622, null, 30, null).section().casingLengthMm());
    }
}
