package org.stratopneum.bench.season;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.LongStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.stratopneum.bench.season.truth.DealtHome;
import org.stratopneum.bench.season.truth.Figure;

class SeasonTest {

    private static Map<Figure, Double> year(Way way, long seed) {
        return way.year(new DealtHome(seed), seed);
    }

    private static final Map<Way, List<Map<Figure, Double>>> YEARS = new EnumMap<>(Way.class);

    private static double mean(Way way, Figure figure) {
        return YEARS
                .computeIfAbsent(
                        way,
                        asked -> LongStream.rangeClosed(1, 4)
                                .mapToObj(seed -> year(asked, seed))
                                .toList())
                .stream()
                .mapToDouble(year -> year.get(figure))
                .average()
                .orElseThrow();
    }

    /** What a rider's side is made of names nothing of the truth. */
    @Test
    void nobodyPeeks() throws IOException {
        try (Stream<Path> sources = Files.list(Path.of("src/main/java/org/stratopneum/bench/season/riders"))) {
            List<Path> all = sources.toList();
            assertThat(all).hasSizeGreaterThan(3);
            for (Path source : all) {
                assertThat(Files.readString(source)).as(source.toString()).doesNotContain("season.truth");
            }
        }
    }

    @Test
    void theSameSeedMakesTheSameYear() {
        for (Way way : List.of(Way.THUMB, Way.USUAL)) {
            assertThat(year(way, 3)).isEqualTo(year(way, 3)).isNotEqualTo(year(way, 4));
        }
    }

    /** Another process lays its objects out otherwise, and still comes to the same. */
    @Test
    void anotherProcessMakesTheSameYear() throws IOException {
        assertThat(printed(1)).isEqualTo(printed(2)).contains("minutes at the bench");
    }

    private static String printed(int layout) throws IOException {
        Process other = new ProcessBuilder(
                        Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                        "-XX:+UnlockExperimentalVMOptions",
                        "-XX:hashCode=" + layout,
                        "-cp",
                        System.getProperty("java.class.path"),
                        SeasonBench.class.getName(),
                        "1",
                        "2")
                .start();
        try (Stream<String> lines = other.inputReader(StandardCharsets.UTF_8).lines()) {
            return lines.filter(line -> !line.endsWith(" s")).collect(Collectors.joining("\n"));
        }
    }

    @Test
    void allRideTheSameWays() {
        assertThat(Stream.of(Way.values())
                        .map(way -> year(way, 5).get(Figure.KM))
                        .distinct())
                .hasSize(1);
    }

    /** A limit is never passed on the application's word. */
    @Test
    void nothingIsSetOverALimit() {
        for (Way way : List.of(Way.PERFECT, Way.USUAL, Way.SLOPPY, Way.APART, Way.KNOWING)) {
            assertThat(mean(way, Figure.OVER_LIMIT)).as(way.said()).isZero();
        }
    }

    /** What is known need not be looked at, and nothing goes wrong for long. */
    @Test
    void whoKnowsAllRidesBestWithTheLeastWork() {
        for (Figure figure : List.of(Figure.READINGS, Figure.DIPS, Figure.FALSE_ALARMS, Figure.TRIPS)) {
            assertThat(mean(Way.KNOWING, figure)).as(figure.said()).isZero();
        }
        for (Figure figure : List.of(Figure.SOFT_KM, Figure.HARD_KM, Figure.DRY_KM, Figure.MINUTES, Figure.LEAK_DAYS)) {
            assertThat(mean(Way.KNOWING, figure)).as(figure.said()).isLessThan(mean(Way.PERFECT, figure));
        }
    }

    /** Dates chosen together are fewer trips. */
    @Test
    void whatIsDoneTogetherTakesFewerTrips() {
        assertThat(mean(Way.USUAL, Figure.TRIPS)).isLessThan(0.5 * mean(Way.APART, Figure.TRIPS));
    }

    @Test
    void whoLooksMoreOftenAsksMoreAndFindsLeaksSooner() {
        assertThat(mean(Way.PERFECT, Figure.READINGS)).isGreaterThan(mean(Way.SLOPPY, Figure.READINGS));
        assertThat(mean(Way.PERFECT, Figure.LEAK_DAYS)).isLessThan(mean(Way.SLOPPY, Figure.LEAK_DAYS));
        assertThat(mean(Way.THUMB, Figure.READINGS)).isZero();
        assertThat(mean(Way.CHART, Figure.DIPS)).isZero();
    }
}
