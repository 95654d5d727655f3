package org.stratopneum.web.due;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class FeedEntryTest {

    private static final ZoneId ZONE = ZoneId.of("Europe/Vienna");
    private static final LocalDate TODAY = LocalDate.of(2026, 3, 10);

    private static DueEntry due(LocalDate day) {
        return new DueEntry(
                "key", null, null, null, "Heron", "look", "bubble", "/todo", DueEntry.Kind.NOTED, day, null);
    }

    /** It rings the evening before, or where that is over soon, and at an hour at which people are awake. */
    @ParameterizedTest
    @CsvSource({
        "2026-03-11, 2026-03-10T12:00:00Z, ",
        "2026-03-11, 2026-03-10T17:30:00Z, 2026-03-10T17:45:00Z",
        "2026-03-10, 2026-03-10T12:00:10Z, 2026-03-10T12:15:00Z",
        "2026-02-01, 2026-03-10T12:00:00Z, 2026-03-10T12:15:00Z",
        "2026-03-10, 2026-03-10T01:00:00Z, 2026-03-10T06:30:00Z",
        "2026-03-10, 2026-03-10T21:30:00Z, 2026-03-11T06:30:00Z"
    })
    void itRingsWhenSomebodyHears(LocalDate due, Instant now, Instant ring) {
        assertThat(FeedEntry.fresh(due(due), "look", TODAY, now, ZONE).alarmAt())
                .isEqualTo(ring);
    }

    @Test
    void whatStaysAsItIsSaysNothingNew() {
        Instant now = Instant.parse("2026-03-10T12:00:00Z");
        FeedEntry entry = FeedEntry.fresh(due(TODAY), "look", TODAY, now, ZONE);
        LocalDate tomorrow = TODAY.plusDays(1);
        Instant next = now.plus(Duration.ofDays(1));
        assertThat(entry.next(due(TODAY), "look", tomorrow, next, ZONE)).isEqualTo(entry);
        assertThat(entry.next(due(tomorrow), "look", tomorrow, next, ZONE))
                .as("what is due at once is due at once the next day too")
                .isEqualTo(entry);
        assertThat(entry.sequenceOn(tomorrow)).as("it stands on another day").isEqualTo(1);
        assertThat(entry.changedBy(tomorrow, ZONE)).isEqualTo("2026-03-10T23:00:00Z");

        FeedEntry renamed = entry.next(due(TODAY), "look soon", TODAY, next, ZONE);
        assertThat(renamed.sequence()).isEqualTo(1);
        assertThat(renamed.alarmAt()).as("a word more does not ring again").isEqualTo(entry.alarmAt());
    }

    @Test
    void whatIsDoneAndComesAgainCountsOn() {
        Instant now = Instant.parse("2026-03-10T12:00:00Z");
        FeedEntry gone = FeedEntry.fresh(due(TODAY), "look", TODAY, now, ZONE).gone(now);
        assertThat(gone.gone(now.plusSeconds(60))).as("once").isEqualTo(gone);
        assertThat(gone.sequenceOn(TODAY.plusDays(5))).isEqualTo(1);
        FeedEntry again = gone.next(due(TODAY.plusDays(3)), "look", TODAY, now.plusSeconds(90), ZONE);
        assertThat(again.sequence()).isEqualTo(2);
        assertThat(again.goneAt()).isNull();
    }
}
