package org.stratopneum.bench.season.truth;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.stratopneum.bench.season.riders.Rider;
import org.stratopneum.bench.season.riders.Roadside;
import org.stratopneum.bench.season.riders.Shed;
import org.stratopneum.core.sealant.DryingClimate;
import org.stratopneum.core.trailside.End;

class YearTest {

    /** Does nothing, but for what a test adds. */
    private static class Idle implements Rider {
        @Override
        public void fitted(Shed shed, Shed.Wheel wheel) {}

        @Override
        public void removed(Shed shed, Shed.Wheel wheel) {}

        @Override
        public void before(Shed shed, Shed.Ride ride) {}

        @Override
        public End stops(Shed.Wheel wheel, Roadside stop) {
            return End.LIMP;
        }

        @Override
        public void after(
                Shed shed, Shed.Ride ride, Map<Shed.Wheel, Shed.Felt> felt, Iterable<Shed.Wheel> pumpedFlat) {}

        @Override
        public void evening(Shed shed) {}
    }

    @Test
    void whoDoesNothingRidesSoftAndDryAndSpendsNoTimeButOnFlats() {
        Map<Figure, Double> year = Year.of(new DealtHome(11), new Idle());
        assertThat(year.get(Figure.SOFT_KM)).isGreaterThan(0.3 * year.get(Figure.KM));
        assertThat(year.get(Figure.DRY_KM)).isGreaterThan(0.3 * year.get(Figure.KM));
        assertThat(year.get(Figure.TRIPS)).isZero();
        assertThat(year.get(Figure.MINUTES)).isCloseTo(20 * year.get(Figure.FLATS), within(1e-9));
    }

    /** What is pumped by a gauge reads the same on it, whatever the gauge is off by; its scatter stays. */
    @Test
    void aGaugeIsOffByTheSameBothWays() {
        List<Double> read = new ArrayList<>();
        Year.of(new DealtHome(12), new Idle() {
            @Override
            public void evening(Shed shed) {
                shed.pump(shed.wheels().get(0), 200);
                read.add(shed.read(shed.wheels().get(0)));
            }
        });
        double mean = read.stream().mapToDouble(Double::doubleValue).average().orElseThrow();
        double scatter = Math.sqrt(
                read.stream().mapToDouble(one -> (one - mean) * (one - mean)).sum() / read.size());
        assertThat(mean).isCloseTo(200, within(0.6));
        assertThat(scatter).as("two scatters of 2 kPa").isCloseTo(2 * Math.sqrt(2), within(0.4));
    }

    /** Each look and each work has its price, a wheel is opened once in an evening, and who rode is in the shed anyway. */
    @Test
    void minutesAreCounted() {
        int[] evenings = new int[2];
        Map<Figure, Double> year = Year.of(new DealtHome(13), new Idle() {
            private LocalDate rode;

            @Override
            public void before(Shed shed, Shed.Ride ride) {
                rode = shed.today();
            }

            @Override
            public void evening(Shed shed) {
                if (evenings[0] + evenings[1] < 40) {
                    evenings[shed.today().equals(rode) ? 1 : 0]++;
                    shed.dip(shed.wheels().get(0));
                    shed.pour(shed.wheels().get(0), 1);
                    shed.read(shed.wheels().get(0));
                }
            }
        });
        assertThat(evenings[1]).as("evenings after a ride").isPositive();
        assertThat(year.get(Figure.TRIPS)).isEqualTo(evenings[0]);
        assertThat(year.get(Figure.DIPS)).isEqualTo(40);
        assertThat(year.get(Figure.MINUTES) - 20 * year.get(Figure.FLATS))
                .isCloseTo(40 * (4 + 3 + 8 + 1) + 5 * evenings[0], within(1e-9));
    }

    /** Whoever searches every evening finds a leak on the day after it began at the latest, and who does so each month later. */
    @Test
    void aLeakIsFoundWhenSomebodySearches() {
        Map<Figure, Double> daily = searching(1);
        Map<Figure, Double> monthly = searching(30);
        assertThat(daily.get(Figure.LEAKS_FOUND))
                .isEqualTo(daily.get(Figure.SEARCHES) - daily.get(Figure.FALSE_ALARMS))
                .isPositive();
        assertThat(daily.get(Figure.FOUND_AFTER)).isBetween(0.0, 1.0);
        assertThat(monthly.get(Figure.FOUND_AFTER)).isBetween(3.0, 29.0);
        assertThat(Year.of(new DealtHome(11), new Idle()).get(Figure.FOUND_AFTER))
                .isNaN();
    }

    private static Map<Figure, Double> searching(int everyDays) {
        return Year.of(new DealtHome(11), new Idle() {
            private int evening;

            @Override
            public void evening(Shed shed) {
                if (evening++ % everyDays == 0) {
                    shed.wheels().forEach(wheel -> shed.search(wheel, Shed.Order.ANY));
                }
            }
        });
    }

    /** The weather to come is not this year's. */
    @Test
    void tomorrowIsNotKnown() {
        Year.of(new DealtHome(14), new Idle() {
            private DryingClimate air;
            private double expected;

            @Override
            public void evening(Shed shed) {
                if (air != null && expected == shed.air().deficitKpa(shed.today())) {
                    throw new AssertionError("the air of " + shed.today() + " was known the day before");
                }
                air = shed.air();
                expected = air.deficitKpa(shed.today().plusDays(1));
            }
        });
    }
}
