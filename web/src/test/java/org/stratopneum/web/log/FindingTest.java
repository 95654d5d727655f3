package org.stratopneum.web.log;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.transaction.PlatformTransactionManager;
import org.stratopneum.core.diagnosis.Cause;
import org.stratopneum.core.quantity.PressureUnit;
import org.stratopneum.web.log.LogDetail.PressureRead;
import org.stratopneum.web.rider.RiderMapper;
import org.stratopneum.web.support.RunningApplication;
import org.stratopneum.web.support.TestGarage;
import org.stratopneum.web.support.TestRider;

/** What is looked for in the log, on the real database. */
@ExtendWith(RunningApplication.class)
class FindingTest {

    private static final Instant FIRST = Instant.parse("2026-03-01T10:00:00Z");

    private final Logbook logbook;
    private final JdbcTemplate jdbc;
    private final TestRider rider;
    private final TestRider other;
    private TestGarage garage;
    private int hours;

    FindingTest(Logbook logbook, JdbcTemplate jdbc, PlatformTransactionManager transactions, RiderMapper riders) {
        this.logbook = logbook;
        this.jdbc = jdbc;
        this.rider = TestRider.make(transactions, riders);
        this.other = TestRider.make(transactions, riders);
    }

    @BeforeEach
    void garage() {
        garage = rider.asks(() -> TestGarage.make(jdbc, logbook, FIRST));
    }

    @Test
    void anEntryIsFoundByItsWordsInAllTheirForms() {
        UUID sealed = write(garage.rear(), garage.rearTire(), new LogDetail.PunctureSealed(), null);
        UUID leak = write(garage.front(), garage.frontTire(), new LeakFound(Cause.CORE, null), null);
        assertThat(found("seals")).containsExactly(sealed);
        assertThat(found("leaking valves")).containsExactly(leak);
        assertThat(found("leak -core")).isEmpty();
        assertThat(found("nothing of the kind")).isEmpty();
    }

    @Test
    void theRidersOwnWordsAndTheNamesOfThingsFindIt() {
        UUID noted = write(garage.rear(), garage.rearTire(), read(180), "Would not seal, 3 tries with soap");
        UUID plain = write(garage.front(), garage.frontTire(), read(170), null);
        assertThat(found("soap")).containsExactly(noted);
        assertThat(found("rear seal")).containsExactly(noted);
        assertThat(found("front seal")).isEmpty();
        assertThat(found("\"front tire\" read")).containsExactly(plain);
        assertThat(found("read -soap")).containsExactly(plain);
        rider.does(() -> jdbc.update("update tire set name = 'Mudlark' where id = ?", garage.frontTire()));
        assertThat(found("mudl read")).containsExactly(plain);
    }

    /** Row security does not reach into the function that looks by words; it must keep the fence itself. */
    @Test
    void nobodyFindsWhatIsAnothers() {
        write(garage.rear(), garage.rearTire(), read(180), "marmot");
        TestGarage theirs = other.asks(() -> TestGarage.make(jdbc, logbook, FIRST));
        assertThat(found("marmot")).hasSize(1);
        assertThat(other.asks(() -> logbook.page(words("marmot"), null, 10)).rows())
                .isEmpty();
        assertThat(other.asks(() -> logbook.page(words("read marmot -\"" + theirs.bike() + "\""), null, 10))
                        .rows())
                .isEmpty();
    }

    @Test
    void whatTookThePlaceOfAnEntryIsFoundAndNotWhatItWas() {
        UUID noted = write(garage.rear(), garage.rearTire(), read(180), "marmot");
        UUID renoted = rider.asks(() -> logbook.note(noted, "chamois"));
        assertThat(found("marmot")).isEmpty();
        assertThat(found("chamois")).containsExactly(renoted);
        List<UUID> struck = rider.asks(() -> logbook.strike(List.of(renoted)));
        assertThat(found("chamois")).isEqualTo(struck);
        assertThat(ids(new LogFilter("chamois", null, null, null, null, null, null, false)))
                .isEmpty();
        List<UUID> back = rider.asks(() -> logbook.putBack(struck));
        assertThat(rider.asks(() -> logbook.chain(noted)).stream().map(LogRow::id))
                .containsExactly(noted, renoted, struck.get(0), back.get(0));
        assertThat(rider.asks(() -> logbook.chain(back.get(0)))).hasSize(4);
    }

    /** Words and filters together: the same entries as picked out one by one, page by page. */
    @Test
    void filtersAndPagesAgreeWithPickingByHand() {
        for (int i = 0; i < 30; i++) {
            boolean rear = i % 3 != 0;
            write(
                    rear ? garage.rear() : garage.front(),
                    rear ? garage.rearTire() : garage.frontTire(),
                    i % 4 == 0 ? new LogDetail.PunctureSealed() : read(150 + i),
                    i % 5 == 0 ? "stony" : null);
        }
        Instant since = FIRST.plus(5, ChronoUnit.HOURS);
        Instant until = FIRST.plus(27, ChronoUnit.HOURS);
        List<LogFilter> filters = Stream.of(null, "stony")
                .flatMap(words -> Stream.of(
                        new LogFilter(words, null, garage.bike(), null, null, since, until, true),
                        new LogFilter(words, Set.of(LogKind.PUNCTURE_SEALED), null, null, null, null, until, false),
                        new LogFilter(words, LogKind.READINGS, null, garage.rear(), null, since, null, true),
                        new LogFilter(words, null, null, null, garage.frontTire(), null, null, true)))
                .toList();
        List<LogRow> all =
                rider.asks(() -> logbook.page(LogFilter.bike(null), null, 100)).rows();
        for (LogFilter filter : filters) {
            List<UUID> picked = all.stream()
                    .filter(row -> filter.words() == null || row.note() != null)
                    .filter(row -> filter.kinds() == null || filter.kinds().contains(row.kind()))
                    .filter(row -> filter.wheel() == null
                            || filter.wheel().equals(row.subject().wheelId()))
                    .filter(row -> filter.tire() == null
                            || filter.tire().equals(row.subject().tireId()))
                    .filter(row -> filter.since() == null || !row.happenedAt().isBefore(filter.since()))
                    .filter(row -> filter.until() == null || row.happenedAt().isBefore(filter.until()))
                    .map(LogRow::id)
                    .toList();
            assertThat(ids(filter)).as(filter.toString()).isEqualTo(picked).hasSizeGreaterThan(1);
            assertThat(picked).hasSizeLessThan(all.size());
        }
    }

    /** Whatever a line says, but for numbers and words that every text has, finds it. */
    @Test
    void everyWordOfALineFindsIt() {
        List<LogDetail> details = List.of(
                read(180),
                new LogDetail.SealantAdded(60, true),
                new LogDetail.SealantHeard(LogDetail.SealantHeard.Sound.RATTLES),
                new LogDetail.CareDone(LogDetail.CareDone.Care.PREVENTION_LOOK),
                new LogDetail.PunctureSealed(true),
                new LogDetail.SealantLost(20),
                new LogDetail.SealantFound(null),
                new LogDetail.DipExplained(LocalDate.of(2026, 5, 1), LogDetail.DipExplained.Reason.LUMPS, null),
                new LeakFound(Cause.TUBE_PINCH, 5.0));
        Set<String> missed = new TreeSet<>();
        for (LogDetail detail : details) {
            UUID id = write(garage.rear(), garage.rearTire(), detail, null);
            String words =
                    rider.asks(() -> jdbc.queryForObject("select words from log_entry where id = ?", String.class, id));
            assertThat(words).isNotBlank();
            Arrays.stream(words.split("\\P{L}+"))
                    .filter(word -> !word.isEmpty())
                    .forEach(word -> {
                        if (!found(word).contains(id)) {
                            missed.add(word);
                        }
                    });
        }
        assertThat(missed).isEmpty();
    }

    private static PressureRead read(double kpa) {
        return new PressureRead(kpa, PressureUnit.BAR, false, null);
    }

    private UUID write(UUID wheel, UUID tire, LogDetail detail, String note) {
        hours++;
        LogEntry entry = TestGarage.entry(
                        FIRST.plus(hours, ChronoUnit.HOURS), LogSubject.wheel(garage.bike(), wheel, tire), detail)
                .noted(note);
        rider.does(() -> logbook.write(entry));
        return entry.id();
    }

    private static LogFilter words(String words) {
        return new LogFilter(words, null, null, null, null, null, null, true);
    }

    private List<UUID> found(String words) {
        return ids(words(words));
    }

    /** All pages of three, one after the other. */
    private List<UUID> ids(LogFilter filter) {
        List<UUID> ids = new ArrayList<>();
        LogPage.Key key = null;
        do {
            LogPage.Key before = key;
            LogPage page = rider.asks(() -> logbook.page(filter, before, 3));
            ids.addAll(page.rows().stream().map(LogRow::id).collect(Collectors.toList()));
            key = page.next();
        } while (key != null);
        return ids;
    }
}
