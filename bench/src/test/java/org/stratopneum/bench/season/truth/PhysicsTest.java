package org.stratopneum.bench.season.truth;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.stratopneum.core.quantity.PressureUnit;
import org.stratopneum.core.tire.TireOnRim;
import org.stratopneum.core.tire.TireSection;

/** The laws of the made-up year against closed forms, tables, and what the trade says. */
class PhysicsTest {

    private static TireSection section(double mm) {
        return TireOnRim.onMeasuringRim(mm, 622).section();
    }

    /** Saturated vapour over water, kPa: WMO-No. 8, table of annex 4.B; value from memory. */
    @ParameterizedTest
    @CsvSource({"0, 0.6112", "10, 1.2280", "20, 2.3388", "30, 4.2455"})
    void saturatedAirIsThatOfTheTables(double celsius, double kpa) {
        assertThat(Climate.saturationKpa(celsius)).isCloseTo(kpa, within(0.004));
    }

    @Test
    void itIsColderInTheNorthAndInWinterAndTheShedFollows() {
        Climate south = new Climate(38, new Random(1));
        Climate north = new Climate(60, new Random(1));
        assertThat(mean(south, 0, 365)).isBetween(13.0, 17.0);
        assertThat(mean(north, 0, 365)).isBetween(5.0, 9.0);
        assertThat(mean(north, 180, 220)).isGreaterThan(mean(north, 0, 40) + 15);
        IntStream.range(0, 365).forEach(day -> {
            assertThat(north.storedC(day, true)).isGreaterThanOrEqualTo(18);
            assertThat(north.storedC(day, false)).isCloseTo(north.outdoorsC(day) + 2, within(1e-9));
            assertThat(north.storedHumidity(day, true)).isBetween(0.15, 0.95);
        });
    }

    private static double mean(Climate climate, int from, int to) {
        return IntStream.range(from, to)
                .mapToDouble(climate::outdoorsC)
                .average()
                .orElseThrow();
    }

    /** A standard dose lasts about four months at 20 C and 50 % (common practice, no source). */
    @ParameterizedTest
    @CsvSource({"28", "40", "60"})
    void aStandardDoseLastsAsLongAsTheTradeSays(double mm) {
        double surface = section(mm).innerSurfaceCm2();
        Liquid liquid = new Liquid(surface, 0.01, 1);
        liquid.pour(0.30 * surface / 10);
        int days = 0;
        while (liquid.closesHoles()) {
            liquid.dry(20, 0.5);
            days++;
        }
        assertThat(days).isBetween(95, 155);
        assertThat(liquid.pool()).isLessThanOrEqualTo(liquid.flowing());
    }

    @Test
    void liquidIsNeitherMadeNorLostButByDryingAndRunningOut() {
        Liquid liquid = new Liquid(3000, 0, 1);
        liquid.pour(100);
        assertThat(liquid.lose(30)).isCloseTo(30, within(1e-9));
        assertThat(liquid.flowing()).isCloseTo(70, within(1e-9));
        liquid.dry(20, 1);
        assertThat(liquid.flowing()).as("nothing dries into wet air").isCloseTo(70, within(1e-9));
        assertThat(liquid.lose(500)).isCloseTo(70, within(1e-9));
        assertThat(liquid.flowing()).isZero();
    }

    /** Without a hole it falls by the exponential; ten degrees more let through half as much again (35 kJ/mol). */
    @Test
    void airGoesByTheExponentialAndFasterWhenWarm() {
        Air cool = new Air();
        Air warm = new Air();
        cool.set(200, 20);
        warm.set(200, 20);
        for (int day = 0; day < 30; day++) {
            cool.day(20, 0.01, 0);
            warm.day(30, 0.01, 0);
        }
        assertThat(cool.gauge(20)).isCloseTo(200 * Math.exp(-0.3), within(1e-9));
        double faster = Math.log(200 / warm.gauge(20)) / 0.3;
        assertThat(faster).isCloseTo(Math.exp(35_000 / 8.314 * (1 / 293.15 - 1 / 303.15)), within(0.01));
    }

    /** Charles: absolute pressure goes with absolute temperature. */
    @Test
    void aColdTireReadsLess() {
        Air air = new Air();
        air.set(150, 20);
        assertThat(air.gauge(0)).isCloseTo((150 + 101.3) * 273.15 / 293.15 - 101.3, within(1e-9));
    }

    /** Charted pressures at 15 % squash (psi): the fit of docs/handbook, page 3, to published wheel-load charts. */
    @ParameterizedTest
    @CsvSource({"28, 40, 63", "32, 45, 57", "40, 45, 37.9", "50, 50, 28.1", "60, 45, 16.6", "60, 60, 24.5"})
    void aTireIsSquashedAboutAsTheChartsSay(double mm, double kg, double psi) {
        Contact contact = new Contact(section(mm), 1);
        double kpa = contact.pressureAt(kg, 0.15);
        assertThat(PressureUnit.PSI.fromKpa(kpa)).isCloseTo(psi, within(0.25 * psi));
        // the load on a patch 2 sqrt(2 R x) long and three tenths of the width wide, at that pressure and what the
        // walls carry
        double height = section(mm).height().mm() / 1000;
        double patch =
                0.30 * section(mm).inflatedWidth().mm() / 1000 * 2 * Math.sqrt(2 * (0.311 + height) * 0.15 * height);
        assertThat((kpa + 32) * patch * 1000).isCloseTo(9.81 * kg, within(1e-6));
    }

    @Test
    void whatStrikesTheRimGoesBothWays() {
        Contact contact = new Contact(section(57), 1);
        double kpa = contact.wantedFor(50, 0.3);
        assertThat(contact.strikesFromM(50, kpa)).isCloseTo(0.3, within(1e-12));
        assertThat(contact.strikesFromM(50, 2 * kpa)).isGreaterThan(0.3);
        assertThat(contact.strikesFromM(80, kpa)).isLessThan(0.3);
    }
}
