package org.stratopneum.core.history;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.stratopneum.core.history.SealantUse.Filling;

/** What a tire takes of sealant. */
class SealantUseTest {

    private static final Instant START = Instant.parse("2025-01-01T12:00:00Z");

    private static Filling filling(double months, double ml) {
        return new Filling(START.plus(Duration.ofMinutes(Math.round(months * SealantUse.DAYS_A_MONTH * 1440))), ml);
    }

    /** 120 ml at first, 60 ml after three and after six months: 20 ml a month. */
    @Test
    void whatMakesGoodIsCountedOverTheTimeItMadeGoodFor() {
        SealantUse use = SealantUse.of(List.of(List.of(filling(0, 120), filling(3, 60), filling(6, 60))))
                .orElseThrow();
        assertThat(use.totalMl()).isEqualTo(240);
        assertThat(use.mlAMonth()).isCloseTo(20, within(0.001));
        assertThat(use.monthsBetween()).isCloseTo(3, within(0.001));
    }

    @Test
    void oneFillingTellsNoUse() {
        SealantUse use = SealantUse.of(List.of(List.of(filling(0, 100)))).orElseThrow();
        assertThat(use.totalMl()).isEqualTo(100);
        assertThat(use.mlAMonth()).isNull();
        assertThat(use.monthsBetween()).isNull();
    }

    @Test
    void aTireThatWentElsewhereBeginsAnew() {
        SealantUse use = SealantUse.of(
                        List.of(List.of(filling(0, 100), filling(2, 40)), List.of(filling(12, 90)), List.of()))
                .orElseThrow();
        assertThat(use.gaps()).isEqualTo(1);
        assertThat(use.fillings()).isEqualTo(3);
        assertThat(use.mlAMonth()).isCloseTo(20, within(0.001));
    }

    @Test
    void twoSyringesInOneEveningAreOneFilling() {
        SealantUse use = SealantUse.of(List.of(List.of(filling(0, 60), filling(0.01, 40), filling(4, 50))))
                .orElseThrow();
        assertThat(use.fillings()).isEqualTo(2);
        assertThat(use.totalMl()).isEqualTo(150);
        assertThat(use.longest()).isCloseTo(4, within(0.001));
    }

    @Test
    void aDryTireUsesNothing() {
        assertThat(SealantUse.of(List.of())).isEmpty();
        assertThat(SealantUse.of(List.of(List.of()))).isEmpty();
    }
}
