package org.stratopneum.bench.season.truth;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.stratopneum.core.pressure.Casing;
import org.stratopneum.core.pressure.Ground;
import org.stratopneum.core.pressure.Setup;
import org.stratopneum.core.pressure.SetupKind;
import org.stratopneum.core.tire.TireOnRim;

class RealWheelTest {

    private static final double LOAD_KG = 50;

    private static RealWheel wheel(double taste, long seed) {
        return wheel(SetupKind.TUBELESS, taste, seed);
    }

    private static RealWheel wheel(SetupKind kind, double taste, long seed) {
        Setup setup = new Setup(kind, false, Casing.STANDARD, false, 280.0, null, null, true);
        return new RealWheel(
                new RealWheel.Printed(TireOnRim.onMeasuringRim(57, 622).section(), setup, LOAD_KG, 280),
                taste,
                new Random(seed));
    }

    /** A thorn that waits is met once, and goes into the tread; tubes are spared. */
    @Test
    void aThornThatWaitsIsMetOnTheNextRide() {
        RealWheel wheel = wheel(1, 5);
        wheel.pump(150, 20);
        wheel.meets(5);
        RealWheel.Open open = wheel.ride(0.001, Ground.SMOOTH_PAVEMENT, 20).flat();
        assertThat(open.mm()).isEqualTo(5);
        assertThat(open.flank()).isFalse();
        assertThat(wheel.leaks()).isTrue();
        wheel.mended();
        wheel.pump(150, 20);
        assertThat(wheel.ride(0.001, Ground.SMOOTH_PAVEMENT, 20).flat()).isNull();
        RealWheel tube = wheel(SetupKind.BUTYL_TUBE, 1, 5);
        tube.pump(150, 20);
        tube.meets(5);
        assertThat(tube.ride(0.001, Ground.SMOOTH_PAVEMENT, 20).flat()).isNull();
    }

    /** By hand: 5.2 % of the overpressure a day at 200 kPa, and what rubber lets through of it. */
    @Test
    void aLeakLosesWhatItIsSaidTo() {
        RealWheel sound = wheel(1, 6);
        RealWheel leaks = wheel(1, 6);
        leaks.leaks(0.052);
        sound.pump(200, 20);
        leaks.pump(200, 20);
        sound.stands(20, 0.5);
        leaks.stands(20, 0.5);
        assertThat(leaks.gauge(20) / sound.gauge(20)).isCloseTo(Math.exp(-0.052), within(0.002));
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
