package org.stratopneum.web.exchange.csv;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.Instant;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.stratopneum.core.quantity.PressureUnit;
import org.stratopneum.core.quantity.QuantityUnit;
import org.stratopneum.core.quantity.RiderUnit;
import org.stratopneum.web.fleet.bikes.TestTires;
import org.stratopneum.web.log.LogDetail;
import org.stratopneum.web.log.LogEntry;
import org.stratopneum.web.log.LogSource;
import org.stratopneum.web.log.Ridden;
import org.stratopneum.web.rider.Rider;

class CsvRowsTest {

    private static final Instant NOW = Instant.parse("2026-02-01T08:00:00Z");
    private static final Rider RIDER = Rider.fresh(UUID.randomUUID(), "Rider", "Europe/Vienna", PressureUnit.BAR);
    private static final List<CsvField> COLUMNS = List.of(
            CsvField.DATE,
            CsvField.TIME,
            CsvField.BIKE,
            CsvField.WHEEL,
            CsvField.PRESSURE,
            CsvField.STATE,
            CsvField.TEMPERATURE,
            CsvField.DEPTH,
            CsvField.FILLED,
            CsvField.DISTANCE,
            CsvField.MINUTES,
            CsvField.NOTE);

    private final CsvRows rows = rows(PressureUnit.PSI, RiderUnit.FAHRENHEIT, RiderUnit.MI, RiderUnit.FL_OZ);

    private static CsvRows rows(PressureUnit pressure, RiderUnit temperature, RiderUnit distance, RiderUnit volume) {
        Map<CsvField, QuantityUnit> units = Map.of(
                CsvField.PRESSURE, pressure,
                CsvField.TEMPERATURE, temperature,
                CsvField.DEPTH, RiderUnit.MM,
                CsvField.FILLED, volume,
                CsvField.DISTANCE, distance);
        CsvPlan plan = new CsvPlan(
                CsvPlan.Holds.NOTES,
                CsvPlan.Encoding.UTF_8,
                CsvPlan.Separator.COMMA,
                true,
                CsvPlan.Decimal.POINT,
                DateOrder.DMY,
                null,
                "REAR",
                false,
                null,
                COLUMNS.stream()
                        .map(field -> new CsvPlan.Column(field, units.get(field)))
                        .toList());
        return new CsvRows(plan, TestTires.plover(), RIDER, NOW, "reference");
    }

    /** 1 psi = 6.894757 kPa, 1 mile = 1609.344 m, 1 US fl oz = 29.57353 ml (NIST SP 811, appendix B.8); 50 °F = 10 °C. */
    @Test
    void unitsOfTheFileAreReckonedInto() {
        LogEntry read = only("4.6.2025, 17:40, plover, front, 20, set, 50, , , , , ");
        LogDetail.PressureRead pressure = (LogDetail.PressureRead) read.detail();
        assertThat(pressure.gaugeKpa()).isCloseTo(137.89514, within(1e-4));
        assertThat(pressure.readIn()).isEqualTo(PressureUnit.PSI);
        assertThat(pressure.afterInflation()).isTrue();
        assertThat(read.temperatureC()).isCloseTo(10, within(1e-9));
        assertThat(read.happenedAt()).as("summer time").isEqualTo("2025-06-04T15:40:00Z");
        assertThat(read.subject().wheelId()).isEqualTo(TestTires.SUMMER_FRONT);
        assertThat(read.source()).isEqualTo(LogSource.IMPORT);
        assertThat(read.reference()).isEqualTo("reference");
        LogEntry ride = only("4.6.2025, , plover, , , , , , , 10, 55, ");
        assertThat(((Ridden) ride.detail()).distanceM()).isCloseTo(16_093.44, within(1e-6));
        assertThat(ride.subject().wheelId()).isNull();
        LogEntry filled = only("4.6.2025, , plover, rear, , , , , 3, , , ");
        assertThat(((LogDetail.SealantAdded) filled.detail()).volumeMl()).isCloseTo(88.72059, within(1e-4));
        assertThat(filled.subject().tireId()).isEqualTo(TestTires.SECOND_TIRE);
    }

    @Test
    void aRowSaysAllThatItSaysAndItsNoteOnce() {
        CsvRows.Read read = rows.read(cells("4.6.2025, , plover, rear, 21, , , 3 6 7, 2, 12, , over the pass"));
        assertThat(read.problems()).isEmpty();
        assertThat(read.entries())
                .hasSize(4)
                .extracting(LogEntry::note)
                .containsExactly("over the pass", null, null, null);
        assertThat(((LogDetail.SealantDipped) read.entries().get(1).detail()).depthsMm())
                .containsExactly(3.0, 6.0, 7.0);
        assertThat(read.entries()).extracting(LogEntry::id).doesNotHaveDuplicates();
    }

    /** One number is the mean of the dips that count, so the mean of what is kept is that number. */
    @Test
    void aSingleDepthIsTheMean() {
        LogDetail.SealantDipped dipped = (LogDetail.SealantDipped)
                only("4.6.2025, , plover, rear, , , , 5.5, , , , ").detail();
        assertThat(dipped.depthMm()).isEqualTo(5.5);
    }

    @Test
    void theSameRowIsTheSameEntryAndAnotherIsAnother() {
        String row = "4.6.2025, 17:40, plover, rear, 20, set, 50, , , , , soap";
        assertThat(only(row).id()).isEqualTo(only(row).id());
        // another name for the same bike and wheel says the same
        assertThat(only(row.replace("rear", "back")).id()).isEqualTo(only(row).id());
        for (String other : List.of(
                row.replace("17:40", "17:41"),
                row.replace("rear", "front"),
                row.replace(" 20,", " 20.5,"),
                row.replace("set", "found"),
                row.replace("soap", "soup"),
                row.replace(" 50,", " 51,"))) {
            assertThat(only(other).id()).as(other).isNotEqualTo(only(row).id());
        }
    }

    @Test
    void aWheelIsTheOneThatWasInTheBikeThatDay() {
        assertThat(only("4.6.2025, , plover, rear, 20, , , , , , , ").subject().wheelId())
                .isEqualTo(TestTires.SUMMER_REAR);
        assertThat(only("4.12.2025, , plover, rear, 20, , , , , , , ").subject().wheelId())
                .isEqualTo(TestTires.WINTER_REAR);
        assertThat(only("4.6.2024, , plover, rear, 20, , , , , , , ").subject().tireId())
                .as("before any tire was on it")
                .isNull();
        assertThat(codes("4.12.2025, , plover, front, 20, , , , , , , "))
                .containsExactly("PRESSURE no-such-wheel-then");
    }

    @Test
    void todayWithoutATimeIsNow() {
        assertThat(only("1.2.2026, , plover, rear, 20, , , , , , , ").happenedAt())
                .isEqualTo(NOW);
        assertThat(codes("1.2.2026, 23:00, plover, rear, 20, , , , , , , ")).containsExactly("DATE in-the-future");
        assertThat(only("31.1.2026 23:10, , plover, rear, 20, , , , , , , ").happenedAt())
                .isEqualTo("2026-01-31T22:10:00Z");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = ';',
            quoteCharacter = '~',
            value = {
                "31.4.2025, , plover, rear, 20, , , , , , , ; DATE not-a-date",
                ", , plover, rear, 20, , , , , , , ; DATE missing",
                "4.6.2025, 25:00, plover, rear, 20, , , , , , , ; TIME not-a-time",
                "4.6.2025, noonish, plover, rear, 20, , , , , , , ; TIME not-a-time",
                "4.6.2025, , , rear, 20, , , , , , , ; BIKE missing",
                "4.6.2025, , dunlin, rear, 20, , , , , , , ; BIKE no-bike-of-that-name",
                "4.6.2025, , plo, rear, 20, , , , , , , ; BIKE several-bikes-of-that-name",
                "4.6.2025, , plover, middle, 20, , , , , , , ; WHEEL no-wheel-word",
                "4.6.2025, , plover, rear, 20 psi, , , , , , , ; PRESSURE not-a-cell-number",
                "4.6.2025, , plover, rear, -3, , , , , , , ; PRESSURE below-minimum",
                "4.6.2025, , plover, rear, 9999, , , , , , , ; PRESSURE above-maximum",
                "4.6.2025, , plover, rear, 20, maybe, , , , , , ; STATE no-state-word",
                "4.6.2025, , plover, rear, 20, , 999, , , , , ; TEMPERATURE above-maximum",
                "4.6.2025, , plover, rear, , , , 5 900, , , , ; DEPTH above-maximum",
                "4.6.2025, , plover, rear, , , , deep, , , , ; DEPTH not-a-cell-number",
                "4.6.2025, , plover, , , , , , , 0, , ; DISTANCE not-above-minimum",
                "4.6.2025, , plover, , , , , , , 10, never, ; MINUTES not-a-cell-number",
                "4.6.2025, , plover, rear, , , , , , , , words; row-says-nothing"
            })
    void whatIsWrongIsToldByItsColumn(String row, String code) {
        assertThat(codes(row)).containsExactly(code);
    }

    /** The limit stands in the unit of the file, where its rider sees it. */
    @Test
    void aLimitIsToldInTheUnitOfTheFile() {
        var problem = rows.read(cells("4.6.2025, , plover, rear, 9999, , , , , , , "))
                .problems()
                .get(0);
        assertThat(problem.unit()).isEqualTo("psi");
        assertThat(problem.limit()).isCloseTo(174.0453, within(1e-3));
        assertThat(problem.value()).isEqualTo(9999);
    }

    /** Whatever begins like a formula comes back as it was, apostrophes of its own too. */
    @Test
    void anApostropheOfOursIsTakenOffAgain() {
        for (String text : List.of("=1+1", "+1", "-1", "@x", "\tx", "\rx", "'=1+1", "''-x")) {
            assertThat(CsvSheet.marked(text)).isEqualTo("'" + text);
            assertThat(CsvSheet.unmarked(CsvSheet.marked(text))).isEqualTo(text);
        }
        for (String text : List.of("1-1=0", "'twas wet", "", "'")) {
            assertThat(CsvSheet.marked(text)).isEqualTo(text);
            assertThat(CsvSheet.unmarked(text)).isEqualTo(text);
        }
    }

    /** ISO 8601: a time with an offset is an instant, and so one moment for riders of all zones. */
    @ParameterizedTest
    @CsvSource({
        "4.6.2025, 17:40, 2025-06-04T15:40:00Z",
        "4.6.2025, 17:40Z, 2025-06-04T17:40:00Z",
        "2025-06-04T17:40:00Z, '', 2025-06-04T17:40:00Z",
        "2025-06-04, 17:40, 2025-06-04T15:40:00Z",
        "4.6.2025, 17:40:30.123456789+05:30, 2025-06-04T12:10:30Z",
        "4.6.2025T17:40:00-0700, '', 2025-06-05T00:40:00Z",
        "4.6.2025, 7:30 AM, 2025-06-04T05:30:00Z",
        "4.6.2025, 7:30pm, 2025-06-04T17:30:00Z",
        "4.6.2025, 12:15 a.m., 2025-06-03T22:15:00Z",
        "4.6.2025, 12:15 p.m., 2025-06-04T10:15:00Z",
        "4.6.2025 7:05 PM, '', 2025-06-04T17:05:00Z",
        "4.6.2025, 7 AM, 2025-06-04T05:00:00Z",
        "4.6.2025, 13:30 PM, ",
        "4.6.2025, 17:60, ",
        "4.6.2025, 7, "
    })
    void aTimeIsReadAsItIsWritten(String date, String time, Instant moment) {
        assertThat(TableTime.moment(date, time, DateOrder.DMY, RIDER.zoneId()).orElse(null))
                .isEqualTo(moment);
    }

    @ParameterizedTest
    @CsvSource({
        "just pumped, true", "after pumping, true", "Set, true", "yes, true",
        "before pumping, false", "as found, false", "found, false", "no, false"
    })
    void theWordsOfThePagesAreUnderstood(String word, boolean afterInflation) {
        LogDetail.PressureRead read = (LogDetail.PressureRead)
                only("4.6.2025, , plover, rear, 20, " + word + ", , , , , , ").detail();
        assertThat(read.afterInflation()).isEqualTo(afterInflation);
    }

    private static List<String> cells(String row) {
        return Arrays.asList(row.split(", ?", -1));
    }

    private LogEntry only(String row) {
        CsvRows.Read read = rows.read(cells(row));
        assertThat(read.problems()).as(row).isEmpty();
        assertThat(read.entries()).as(row).hasSize(1);
        return read.entries().get(0);
    }

    private List<String> codes(String row) {
        CsvRows.Read read = rows.read(cells(row));
        assertThat(read.entries()).isEmpty();
        return read.problems().stream()
                .map(problem -> (problem.field() + " " + problem.code()).strip())
                .toList();
    }
}
