package org.stratopneum.web.exchange.csv;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.stratopneum.core.quantity.PressureUnit;
import org.stratopneum.core.quantity.QuantityUnit;
import org.stratopneum.core.quantity.RiderUnit;
import org.stratopneum.web.platform.wording.Units;

class CsvGuessTest {

    private static final UUID BIKE = UUID.randomUUID();

    @Test
    void aNotebookWithBothWheelsInARowIsUnderstood() {
        CsvPlan plan = guess("Date;Rear psi;Front psi;Remark\n03.04.2025;21,5;19\n17.04.2025;22;19,5;soap\n");
        assertThat(plan.separator()).isEqualTo(CsvPlan.Separator.SEMICOLON);
        assertThat(plan.decimal()).isEqualTo(CsvPlan.Decimal.COMMA);
        assertThat(plan.heading()).isTrue();
        assertThat(plan.order()).isEqualTo(DateOrder.DMY);
        assertThat(units(plan)).containsExactly(null, PressureUnit.PSI, PressureUnit.PSI, null);
        assertThat(fields(plan)).containsExactly(CsvField.DATE, CsvField.REAR, CsvField.FRONT, CsvField.NOTE);
        assertThat(plan.bike()).isEqualTo(BIKE);
        assertThat(plan.open().list()).isEmpty();
    }

    /** Figures of dates: 31 is no month; ISO 8601 begins with the year. */
    @ParameterizedTest
    @CsvSource(
            delimiter = ';',
            value = {
                "2025-04-03, 2025-04-17; YMD",
                "2025/4/3, 2025/12/30; YMD",
                "3.4.2025, 31.4.2025; ",
                "3.4.2025, 30.4.2025; DMY",
                "4/3/2025, 4/30/2025; MDY",
                "3.4.25, 30.4.25; DMY",
                "1/2/2025, 1/3/2025; ",
                "1/2/2025, 5/2/2025, 3/3/2025, 9/3/2025; DMY",
                "2/1/2025, 2/5/2025, 3/3/2025, 3/9/2025; MDY",
                "3.4.2025, 2025-04-04T10:00:00Z, 30.4.2025; DMY",
                "2025-13-01, 2025-04-04; ",
                "yesterday, 3.4.2025; "
            })
    void theOrderOfADateIsToldOrLeftOpen(String dates, String order) {
        assertThat(CsvGuess.order(List.of(dates.split(", "))))
                .isEqualTo(order == null ? null : DateOrder.valueOf(order));
    }

    /** A heading that names an order says more than figures, unless they are no dates in it. */
    @ParameterizedTest
    @CsvSource(
            delimiter = ';',
            value = {
                "date (dd/mm/yyyy); 01/02/2025; DMY",
                "Date MM/DD/YYYY; 01/02/2025; MDY",
                "day/month/year; 1/2/25; DMY",
                "date (dd/mm/yyyy); 2025-02-01; YMD",
                "date (mm/dd/yyyy); 30/04/2025; DMY",
                "date; 01/02/2025; "
            })
    void aHeadingMayNameTheOrder(String heading, String day, String order) {
        assertThat(guess(heading + ",rear bar\n" + day + ",1.5\n").order())
                .isEqualTo(order == null ? null : DateOrder.valueOf(order));
    }

    /** Nobody sets 20 bar, nobody rides at 2 psi; 11 may be either (common practice, no source). */
    @ParameterizedTest
    @CsvSource({"1.6, 1.8, BAR", "24, 21, PSI", "165, 180, KPA", "11, 11.5, ", "2, 30, "})
    void theUnitOfAPressureIsToldBySizeOrLeftOpen(String one, String other, String unit) {
        CsvPlan plan = guess("day,rear\n2025-04-03," + one + "\n2025-04-04," + other + "\n");
        assertThat(units(plan).get(1)).isEqualTo(unit == null ? null : PressureUnit.valueOf(unit));
        assertThat(plan.open().list().stream()
                        .anyMatch(problem -> problem.field().equals("unit1")))
                .isEqualTo(unit == null);
    }

    @Test
    void aTableWithoutAHeadingAsksWhatItsColumnsHold() {
        CsvPlan plan = guess("2025-04-03\t21\n2025-04-04\t22\n");
        assertThat(plan.separator()).isEqualTo(CsvPlan.Separator.TAB);
        assertThat(plan.heading()).isFalse();
        assertThat(fields(plan)).containsExactly(CsvField.DATE, null);
        assertThat(plan.open().list()).extracting(problem -> problem.code()).containsExactly("no-value-column");
    }

    @Test
    void rideDistancesCarryTheirUnitInTheHeading() {
        assertThat(units(guess("date,miles\n2025-04-03,21\n"))).endsWith(RiderUnit.MI);
        assertThat(units(guess("date,distance (km)\n2025-04-03,21\n"))).endsWith(RiderUnit.KM);
    }

    @Test
    void lettersAreToldByTheirBytes() {
        String text = "Date;Rear bar;Bemerkung\n3.4.2025;1,8;zähes Öl\n";
        assertThat(encoding(text, StandardCharsets.UTF_8)).isEqualTo(CsvPlan.Encoding.UTF_8);
        assertThat(encoding("\uFEFF" + text, StandardCharsets.UTF_8)).isEqualTo(CsvPlan.Encoding.UTF_8);
        assertThat(encoding(text, StandardCharsets.UTF_16)).isEqualTo(CsvPlan.Encoding.UTF_16);
        assertThat(encoding(text, Charset.forName("windows-1252"))).isEqualTo(CsvPlan.Encoding.WINDOWS_1252);
        // cut in the middle of a letter
        byte[] cut = "3.4.2025;1,8;zä".getBytes(StandardCharsets.UTF_8);
        assertThat(TableHead.of(java.util.Arrays.copyOf(cut, cut.length - 1)).encoding())
                .isEqualTo(CsvPlan.Encoding.UTF_8);
        assertThat(fields(guess("\uFEFF" + text))).startsWith(CsvField.DATE);
    }

    @Test
    void whateverIsSentIsGuessedWithoutBreaking() {
        for (String text : List.of(
                "",
                "\n\n",
                "\"",
                "a\"b\",c",
                ";;;;;",
                "\u0000\u0001",
                "x".repeat(70_000),
                "\"" + "y\n".repeat(40_000))) {
            CsvPlan plan = guess(text);
            assertThat(plan.open().isEmpty()).isFalse();
            assertThat(CsvPlan.of(plan.texts())).isEqualTo(plan);
        }
    }

    @Test
    void daysThatAreNoneAreNone() {
        assertThat(DateOrder.DMY.read("29.2.2024")).contains(LocalDate.of(2024, 2, 29));
        assertThat(DateOrder.DMY.read("29.2.2025")).isEmpty();
        assertThat(DateOrder.YMD.read("2025-04-03 17:40")).contains(LocalDate.of(2025, 4, 3));
        assertThat(DateOrder.YMD.read("03-04-05")).isEmpty();
        assertThat(DateOrder.DMY.read("1.1.1066")).isEmpty();
    }

    private static CsvPlan.Encoding encoding(String text, Charset charset) {
        return TableHead.of(text.getBytes(charset)).encoding();
    }

    private static CsvPlan guess(String text) {
        return new CsvGuess(TableHead.of(text.getBytes(StandardCharsets.UTF_8)), Units.metric(PressureUnit.PSI))
                .plan(BIKE);
    }

    private static List<CsvColumn> fields(CsvPlan plan) {
        return plan.columns().stream().map(CsvPlan.Column::field).toList();
    }

    private static List<QuantityUnit> units(CsvPlan plan) {
        return plan.columns().stream().map(CsvPlan.Column::unit).toList();
    }

    /** Two gauges of two riders in one table, each in its own unit. */
    @Test
    void eachColumnHasItsUnit() {
        CsvPlan plan = guess("date,rear psi,front bar,depth in mm\n2025-04-03,24,1.5,4\n2025-04-04,25,1.6,5\n");
        assertThat(units(plan)).containsExactly(null, PressureUnit.PSI, PressureUnit.BAR, RiderUnit.MM);
        assertThat(plan.open().list())
                .extracting(problem -> problem.field())
                .as("whose depth it is")
                .containsExactly("position");
        assertThat(units(guess("date,rear,front\n2025-04-03,24,1.5\n2025-04-04,25,1.6\n")))
                .as("by their sizes")
                .containsExactly(null, PressureUnit.PSI, PressureUnit.BAR);
    }

    @Test
    void aLineThatNamesTheSeparatorIsHeard() {
        CsvPlan plan = guess("sep=;\r\ndate;rear psi;note\r\n2025-04-03;24;one, two, three, four\r\n");
        assertThat(plan.separator()).isEqualTo(CsvPlan.Separator.SEMICOLON);
        assertThat(fields(plan)).containsExactly(CsvField.DATE, CsvField.REAR, CsvField.NOTE);
        assertThat(guess("\uFEFFsep=|\ndate|km\n2025-04-03|24\n").separator()).isEqualTo(CsvPlan.Separator.BAR);
    }

    /** 1,234 km are one and a bit or a thousand; nobody sets a thousand psi, and 1.234,5 says itself. */
    @ParameterizedTest
    @CsvSource(
            delimiter = ';',
            value = {
                "km; 41.5, 1200; POINT",
                "km; '41,5', 12; COMMA",
                "km; '1,234', 12; ",
                "km; 1.234, 12; ",
                "km; '1,234', 41.5; POINT_GROUPED",
                "km; 1.234, '41,5'; COMMA_GROUPED",
                "km; '1,234.5', 12; POINT_GROUPED",
                "km; '1.234.567,5', 12; COMMA_GROUPED",
                "km; 0.125, 12; POINT",
                "rear bar; 2.068, 1.931; POINT",
                "rear bar; '2,068', '1,931'; COMMA"
            })
    void howNumbersAreWrittenIsToldOrAsked(String heading, String cells, String decimal) {
        StringBuilder table = new StringBuilder("date\t" + heading + "\n");
        for (String cell : cells.split(", (?=['0-9])")) {
            table.append("2025-04-03\t").append(cell.replace("'", "")).append('\n');
        }
        CsvPlan plan = guess(table.toString());
        assertThat(plan.decimal()).isEqualTo(decimal == null ? null : CsvPlan.Decimal.valueOf(decimal));
        assertThat(plan.open().list().stream()
                        .anyMatch(problem -> problem.field().equals("decimal")))
                .isEqualTo(decimal == null);
    }

    /** Blanks between thousands as ISO 80000-1 (7.3.1) has them, and apostrophes, group digits in no other sense. */
    @ParameterizedTest
    @CsvSource(
            delimiter = ';',
            value = {
                "1 234,5; COMMA; 1234.5",
                "1\u00A0234.5; POINT; 1234.5",
                "12'345; POINT; 12345",
                "1,234.5; POINT_GROUPED; 1234.5",
                "1.234,5; COMMA_GROUPED; 1234.5",
                "\u22123.5; POINT; -3.5",
                "1,234; COMMA; 1.234",
                "1.5; COMMA; ",
                "1,5; POINT; ",
                "1,23; POINT_GROUPED; ",
                "21 psi; POINT; ",
                "1 23; POINT; "
            })
    void numbersAreReadAsSaid(String text, CsvPlan.Decimal decimal, Double number) {
        assertThat(CsvNumbers.read(text, decimal).orElse(null)).isEqualTo(number);
    }
}
