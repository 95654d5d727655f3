package org.stratopneum.bench.season.truth;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.LongStream;
import org.junit.jupiter.api.Test;
import org.stratopneum.bench.season.riders.Shed;
import org.stratopneum.core.pressure.Ground;

class HomeTest {

    private static final List<Home> HOMES = LongStream.rangeClosed(1, 200)
            .mapToObj(DealtHome::new)
            .map(Home.class::cast)
            .toList();

    private static double mean(Home home) {
        return IntStream.range(0, Climate.DAYS)
                .mapToDouble(home.place().climate()::outdoorsC)
                .average()
                .orElseThrow();
    }

    @Test
    void neighboursInSeedAreNoNeighboursInPlace() {
        List<Double> warmth = HOMES.stream().map(HomeTest::mean).toList();
        assertThat(warmth.stream().mapToDouble(one -> one).min().orElseThrow()).isLessThan(8.5);
        assertThat(warmth.stream().mapToDouble(one -> one).max().orElseThrow()).isGreaterThan(14);
        long warmer = IntStream.range(1, warmth.size())
                .filter(i -> warmth.get(i) > warmth.get(i - 1))
                .count();
        assertThat(warmer).as("as often warmer as colder than the one before").isBetween(75L, 125L);
    }

    @Test
    void eachHasOneToFourBikesOfTwoWheels() {
        Set<Integer> sizes = HOMES.stream()
                .map(home -> {
                    assertThat(home.wheels().stream().filter(Shed.Wheel::rear))
                            .hasSize(home.wheels().size() / 2);
                    return home.wheels().size() / 2;
                })
                .collect(Collectors.toSet());
        assertThat(sizes).containsExactlyInAnyOrder(1, 2, 3, 4);
    }

    @Test
    void whatIsDealtBySeedIsDealtAgain() {
        for (long seed = 1; seed < 30; seed++) {
            Home one = new DealtHome(seed);
            Home again = new DealtHome(seed);
            assertThat(again.wheels()).isEqualTo(one.wheels());
            Shed.Wheel wheel = one.wheels().get(0);
            assertThat(again.real(wheel).best(Ground.FOREST_TRACK))
                    .isEqualTo(one.real(wheel).best(Ground.FOREST_TRACK));
            for (int day = 0; day < Climate.DAYS; day++) {
                assertThat(again.ride(day)).isEqualTo(one.ride(day));
                assertThat(again.place().climate().outdoorsC(day))
                        .isEqualTo(one.place().climate().outdoorsC(day));
            }
        }
    }

    @Test
    void peopleRideLessInFrost() {
        double frost = 0;
        double rodeInFrost = 0;
        double mild = 0;
        double rodeInMild = 0;
        for (Home home : HOMES) {
            for (int day = 0; day < Climate.DAYS; day++) {
                boolean rides = home.ride(day) != null;
                if (home.place().climate().outdoorsC(day) < 0) {
                    frost++;
                    rodeInFrost += rides ? 1 : 0;
                } else {
                    mild++;
                    rodeInMild += rides ? 1 : 0;
                }
            }
        }
        assertThat(frost).isGreaterThan(500);
        assertThat(rodeInFrost / frost).isLessThan(0.5 * rodeInMild / mild);
        assertThat(rodeInMild / mild).isBetween(0.25, 0.40);
    }
}
