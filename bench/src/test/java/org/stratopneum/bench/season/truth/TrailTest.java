package org.stratopneum.bench.season.truth;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Function;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.stratopneum.bench.season.riders.Roadside;
import org.stratopneum.core.trailside.CutSize;
import org.stratopneum.core.trailside.KitItem;
import org.stratopneum.core.trailside.Rung;
import org.stratopneum.core.trailside.Where;

/** Stops beside the trail, hundreds of each kind; shares within four standard errors of what was put in. */
class TrailTest {

    private static final int STOPS = 1500;
    private static final RealWheel.Open THORN = hole(1.5, false);

    private static RealWheel.Open hole(double mm, boolean flank) {
        return new RealWheel.Open(RealWheel.Open.Kind.HOLE, mm, flank, false);
    }

    private static Trail stop(RealWheel.Open open, double ml, long seed) {
        Home home = new DealtHome(3);
        RealWheel wheel = home.real(home.wheels().get(0));
        wheel.pour(ml);
        return new Trail(wheel, open, Dealt.by(seed), Dealt.by(seed * 7 + 1));
    }

    /** Of the stops in which it could be tried at all. */
    private static double share(RealWheel.Open open, double ml, Function<Roadside, Boolean> works) {
        List<Boolean> tried = new ArrayList<>();
        for (long seed = 0; seed < STOPS; seed++) {
            Boolean did = works.apply(stop(open, ml, seed));
            if (did != null) {
                tried.add(did);
            }
        }
        assertThat(tried).hasSizeGreaterThan(STOPS / 10);
        return tried.stream().filter(did -> did).count() / (double) tried.size();
    }

    private static void isAbout(double share, double expected) {
        assertThat(share).isCloseTo(expected, within(4 * Math.sqrt(0.25 / (STOPS / 10.0))));
    }

    @ParameterizedTest
    @CsvSource({"1.5, 200, 0.6", "1.5, 0, 0", "4, 200, 0.15", "8, 200, 0"})
    void liquidClosesWhatIsSmallAndOnlyWhereThereIsSome(double mm, double ml, double expected) {
        isAbout(share(hole(mm, false), ml, stop -> stop.tries("hole-down").equals("closed")), expected);
    }

    @ParameterizedTest
    @CsvSource({"2, false, 0.9", "5, false, 0.7", "9, false, 0.2", "2, true, 0.45"})
    void aPlugHoldsTheWorseTheLargerTheHoleAndBadlyInAFlank(double mm, boolean flank, double expected) {
        isAbout(
                share(hole(mm, flank), 0, stop -> {
                    if (stop.bag().counts().getOrDefault(KitItem.PLUG, 0) == 0
                            || stop.bag().pump() == null) {
                        return null;
                    }
                    stop.tries("plug-in");
                    return stop.tries("plug-air").equals("holds");
                }),
                expected);
    }

    /** Common practice, no source: a tube bulges out of a cut and bursts, unless a boot covers it. */
    @Test
    void aTubeInASlashWantsABoot() {
        Function<Roadside, Boolean> bare = stop -> {
            if (stop.tries("tube-in").equals(Rung.LACKS) || stop.bag().pump() == null) {
                return null;
            }
            return stop.tries("tube-air").equals("holds");
        };
        assertThat(share(hole(12, false), 0, bare)).isZero();
        isAbout(share(THORN, 0, bare), 0.94);
        isAbout(
                share(hole(12, false), 0, stop -> {
                    stop.tries("boot-makeshift-in");
                    return bare.apply(stop);
                }),
                0.94);
    }

    @Test
    void whatIsNotCarriedIsLackingAndWhatIsUsedIsGone() {
        int without = 0;
        for (long seed = 0; seed < 200; seed++) {
            Trail stop = stop(THORN, 0, seed);
            int plugs = stop.bag().counts().get(KitItem.PLUG);
            for (int i = 0; i < plugs; i++) {
                assertThat(stop.tries("plug-in")).isEqualTo("in");
            }
            assertThat(stop.tries("plug-in")).isEqualTo(Rung.LACKS);
            if (stop.bag().pump() == null) {
                without++;
                assertThat(stop.bag().charges()).hasSize(2);
                assertThat(stop.tries("air-and-watch")).isNotEqualTo(Rung.LACKS);
                assertThat(stop.tries("plug-air")).isNotEqualTo(Rung.LACKS);
                assertThat(stop.tries("pump-on"))
                        .as("both cartridges are empty")
                        .isEqualTo(Rung.LACKS);
            }
        }
        assertThat(without).isBetween(40, 120);
    }

    @Test
    void airStaysInWhatIsShutAlone() {
        assertThat(share(THORN, 0, stop -> stop.tries("air-and-watch").equals("holds")))
                .isZero();
        RealWheel.Open slow = new RealWheel.Open(RealWheel.Open.Kind.SLOW, 0, false, true);
        isAbout(share(slow, 0, stop -> stop.tries("air-and-watch").equals("holds")), 1);
        isAbout(share(slow, 0, stop -> stop.tries("core-tighten").equals("quiet")), 0.6);
        RealWheel.Open bead = new RealWheel.Open(RealWheel.Open.Kind.BEAD, 0, false, false);
        isAbout(share(bead, 0, stop -> stop.tries("bead-push").equals("sits")), 0.85);
    }

    /** What is seen at once is what is there, and a hole that is not seen has no size. */
    @Test
    void nothingIsSeenThatIsNotThere() {
        for (long seed = 0; seed < 200; seed++) {
            Trail stop = stop(hole(4, seed % 2 == 0), 0, seed);
            assertThat(stop.where()).isIn(seed % 2 == 0 ? Where.FLANK : Where.TREAD, Where.NOT_FOUND);
            assertThat(stop.size()).isEqualTo(stop.where() == Where.NOT_FOUND ? CutSize.NOT_SEEN : CutSize.UP_TO_6);
            assertThat(stop.sloshes()).isFalse();
        }
    }

    @Test
    void eachStepTakesItsTime() {
        Trail stop = stop(THORN, 0, 1);
        stop.tries("find-hole");
        assertThat(stop.minutes()).isEqualTo(3);
        stop.tries("wheel-out");
        assertThat(stop.minutes()).isEqualTo(3);
    }
}
