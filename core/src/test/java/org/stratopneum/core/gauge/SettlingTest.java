package org.stratopneum.core.gauge;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.Instant;
import org.junit.jupiter.api.Test;
import org.stratopneum.core.quantity.GaugePressure;

class SettlingTest {

    private static final Instant START = Instant.parse("2026-03-02T07:00:00Z");

    private final Settling settling = new Settling();

    private void show(double second, double kpa) {
        settling.show(START.plusMillis(Math.round(1000 * second)), GaugePressure.kpa(kpa));
    }

    @Test
    void itRestsWhenItHasStayedForTwoSeconds() {
        for (int i = 0; i < 20; i++) {
            show(i / 10.0, 150 + 0.2 * (i % 2));
            assertThat(settling.settled()).as("after " + i / 10.0 + " s").isEmpty();
        }
        show(2.0, 150.1);
        assertThat(settling.settled().orElseThrow().kpa()).isCloseTo(150.1, within(0.05));
    }

    @Test
    void whilePumpedItMoves() {
        for (int i = 0; i < 100; i++) {
            show(i / 10.0, 150 + 0.5 * i);
            assertThat(settling.settled()).isEmpty();
        }
        for (int i = 100; i < 125; i++) {
            show(i / 10.0, 200);
        }
        assertThat(settling.settled().orElseThrow().kpa()).isEqualTo(200);
    }

    @Test
    void aGaugeThatBeganAnewIsWatchedAnew() {
        show(0, 150);
        show(1.5, 150);
        show(3, 150);
        assertThat(settling.settled()).isPresent();
        show(1, 150);
        assertThat(settling.settled()).isEmpty();
    }
}
