package org.stratopneum.web.platform.drawing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.stratopneum.web.platform.drawing.HistoryBand.Drawn;
import org.stratopneum.web.platform.drawing.HistoryBand.Mark;
import org.stratopneum.web.platform.drawing.HistoryBand.Stretch;

/** A life drawn along the calendar. */
class HistoryBandTest {

    private static final ZoneId ZONE = ZoneId.of("Europe/Vienna");
    private static final Instant FROM = Instant.parse("2025-01-01T00:00:00Z");

    private static Instant day(double days) {
        return FROM.plus(Duration.ofMinutes(Math.round(days * 1440)));
    }

    private static HistoryBand band(Drawn drawn, double days) {
        return HistoryBand.of(drawn, FROM, day(days), ZONE);
    }

    private static Drawn only(List<Stretch> fitted, List<Mark> rides, List<Mark> found) {
        return new Drawn(fitted, rides, List.of(), found, List.of(), List.of(), List.of(), List.of());
    }

    @Test
    void timeGoesEvenlyFromLeftToRight() {
        HistoryBand band = band(
                only(
                        List.of(
                                new Stretch(day(0), day(50), "first"),
                                new Stretch(day(50), day(100), "second"),
                                new Stretch(day(120), day(130), "beyond")),
                        List.of(),
                        List.of()),
                100);
        assertThat(band.fitted()).hasSize(2);
        assertThat(band.fitted().get(0).width()).isCloseTo(400, within(0.5));
        assertThat(band.fitted().get(1).x()).isCloseTo(400, within(0.5));
        assertThat(band.fitted().get(0).odd()).isNotEqualTo(band.fitted().get(1).odd());
    }

    @Test
    void whatLiesOnOnePlaceIsDrawnOnce() {
        List<Mark> found = new ArrayList<>();
        for (int i = 0; i < 200_000; i++) {
            found.add(new Mark(day(i / 600.0), 150 + i % 40, () -> "said"));
        }
        HistoryBand band = band(only(List.of(), List.of(), found), 400);
        assertThat(band.found()).hasSizeLessThan(60_000).doesNotHaveDuplicates();
        assertThat(band.found()).allSatisfy(point -> {
            assertThat(point.x()).isBetween(0.0, HistoryBand.WIDTH);
            assertThat(point.y()).isBetween(HistoryBand.READINGS, HistoryBand.READINGS + HistoryBand.HEIGHT);
        });
    }

    @Test
    void theFarthestWeekIsTheHighestBar() {
        HistoryBand band = band(
                only(
                        List.of(),
                        List.of(
                                new Mark(day(10), 30, () -> "said"),
                                new Mark(day(11), 30, () -> "said"),
                                new Mark(day(40), 30, () -> "said"),
                                new Mark(day(300), 5, () -> "said")),
                        List.of()),
                200);
        assertThat(band.step()).isEqualTo(HistoryBand.Step.WEEK);
        assertThat(band.rides()).as("what was after the end is left out").hasSize(2);
        assertThat(band.rides().get(0).height()).isEqualTo(HistoryBand.HEIGHT);
        assertThat(band.rides().get(1).height()).isCloseTo(HistoryBand.HEIGHT / 2, within(0.5));
        assertThat(band(only(List.of(), List.of(), List.of()), 2000).step()).isEqualTo(HistoryBand.Step.MONTH);
    }

    @ParameterizedTest
    @ValueSource(doubles = {7, 40, 100, 371, 800, 2000, 8000})
    void theCalendarHasAFewMarksWhateverItsLength(double days) {
        List<HistoryBand.Tick> ticks =
                band(only(List.of(), List.of(), List.of()), days).ticks();
        assertThat(ticks).hasSizeBetween(1, 9);
        for (int i = 1; i < ticks.size(); i++) {
            assertThat(ticks.get(i).x() - ticks.get(i - 1).x())
                    .as("room for its name")
                    .isGreaterThan(60);
        }
    }

    @Test
    void aReadingAloneHasItsPlaceToo() {
        assertThat(band(only(List.of(), List.of(), List.of(new Mark(day(3), 180, () -> "said"))), 10)
                        .found())
                .hasSize(1)
                .allSatisfy(point -> assertThat(point.y()).isFinite());
    }

    /** However much was read, a page says no more than has its own place. */
    @Test
    void whatIsSaidIsBoundedByItsPlaces() {
        List<Mark> found = new ArrayList<>();
        for (int i = 0; i < 20_000; i++) {
            found.add(new Mark(day(i / 60.0), 150 + i % 40, () -> "read"));
        }
        List<HistorySpot> spots = HistorySpot.of(only(List.of(), List.of(), found), FROM, day(400), ZONE);
        assertThat(spots).hasSizeBetween(100, (int) HistoryBand.WIDTH);
        assertThat(spots).isSortedAccordingTo(Comparator.comparingDouble(HistorySpot::x));
    }
}
