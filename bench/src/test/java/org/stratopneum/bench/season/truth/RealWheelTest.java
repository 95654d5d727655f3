package org.stratopneum.bench.season.truth;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.stratopneum.core.pressure.Casing;
import org.stratopneum.core.pressure.Ground;
import org.stratopneum.core.tire.TireOnRim;

class RealWheelTest {

    private static final double LOAD_KG = 50;

    private static RealWheel wheel(double taste, long seed) {
        return new RealWheel(
                new RealWheel.Printed(TireOnRim.onMeasuringRim(57, 622).section(), Casing.STANDARD, LOAD_KG, 280),
                taste,
                new Random(seed));
    }

    @ParameterizedTest
    @EnumSource(Ground.class)
    void aroundTheBestItIsRightAndFarFromItNot(Ground ground) {
        RealWheel wheel = wheel(1, 1);
        double best = wheel.best(ground);
        assertThat(best).isBetween(40.0, 280.0);
        assertThat(wheel.side(best, ground)).isZero();
        assertThat(wheel.side(0.87 * best, ground)).isNegative();
        assertThat(wheel.side(1.15 * best, ground)).isPositive();
    }

    /** Rim strikes by hand: edges that are high enough, of all that come. */
    @Test
    void rimsAreStruckAsOftenAsEdgesAreHighEnough() {
        RealWheel wheel = wheel(1, 2);
        Contact contact = new Contact(wheel.printed().section(), 1);
        double km = 20_000;
        int struck = 0;
        for (int part = 0; part < 2000; part++) {
            wheel.pump(110, 20);
            struck += wheel.ride(km / 2000, Ground.ROUGH_TRAIL, 20).strikes();
        }
        double expected = km * 3 * Math.exp(-contact.strikesFromM(LOAD_KG, 110) / 0.060);
        assertThat(expected).isGreaterThan(100);
        assertThat((double) struck).isCloseTo(expected, within(4 * Math.sqrt(expected)));
    }

    /** With enough liquid nine holes of ten close, without any none (so it was made; the draw is checked). */
    @Test
    void liquidClosesMostHoles() {
        assertThat(flats(true)).isCloseTo(0.1, within(0.06));
        assertThat(flats(false)).isGreaterThan(0.85);
    }

    /** Of the wheels that met a thorn those after which it lies flat. */
    private static double flats(boolean filled) {
        int flat = 0;
        double thorns = 0;
        for (int seed = 0; seed < 600; seed++) {
            RealWheel wheel = wheel(1, seed);
            wheel.pump(250, 20);
            if (filled) {
                wheel.pour(120);
            }
            // smooth ground: nothing else lets air out
            flat += wheel.ride(1000, Ground.SMOOTH_PAVEMENT, 20).flat() != null ? 1 : 0;
            thorns += 1000 / 4000.0;
        }
        // at least one thorn came with 1 - exp(-1/4)
        return flat / (thorns * (1 - Math.exp(-0.25)) / 0.25);
    }

    @Test
    void whoIsDealtTheSameWheelSeesItLoseTheSameAir() {
        RealWheel one = wheel(1, 7);
        RealWheel other = wheel(1, 7);
        one.pump(150, 20);
        other.pump(150, 20);
        for (int day = 0; day < 30; day++) {
            one.stands(20, 0.5);
            other.stands(20, 0.5);
        }
        assertThat(one.gauge(20)).isEqualTo(other.gauge(20)).isLessThan(150);
    }
}
