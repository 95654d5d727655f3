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
        assertThat(plan.pressure()).isEqualTo(PressureUnit.PSI);
        assertThat(plan.columns()).containsExactly(CsvField.DATE, CsvField.REAR, CsvField.FRONT, CsvField.NOTE);
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
                "yesterday, 3.4.2025; "
            })
    void theOrderOfADateIsToldOrLeftOpen(String dates, String order) {
        assertThat(CsvGuess.order(List.of(dates.split(", "))))
                .isEqualTo(order == null ? null : DateOrder.valueOf(order));
    }

    /** Nobody sets 20 bar, nobody rides at 2 psi; 11 may be either (common practice, no source). */
    @ParameterizedTest
    @CsvSource({"1.6, 1.8, BAR", "24, 21, PSI", "165, 180, KPA", "11, 11.5, ", "2, 30, "})
    void theUnitOfAPressureIsToldBySizeOrLeftOpen(String one, String other, String unit) {
        CsvPlan plan = guess("day,rear\n2025-04-03," + one + "\n2025-04-04," + other + "\n");
        assertThat(plan.pressure()).isEqualTo(unit == null ? null : PressureUnit.valueOf(unit));
        assertThat(plan.open().list().stream()
                        .anyMatch(problem -> problem.field().equals("pressure")))
                .isEqualTo(unit == null);
    }

    @Test
    void aTableWithoutAHeadingAsksWhatItsColumnsHold() {
        CsvPlan plan = guess("2025-04-03\t21\n2025-04-04\t22\n");
        assertThat(plan.separator()).isEqualTo(CsvPlan.Separator.TAB);
        assertThat(plan.heading()).isFalse();
        assertThat(plan.columns()).containsExactly(CsvField.DATE, null);
        assertThat(plan.open().list()).extracting(problem -> problem.code()).containsExactly("no-value-column");
    }

    @Test
    void rideDistancesCarryTheirUnitInTheHeading() {
        assertThat(guess("date,miles\n2025-04-03,21\n").distance()).isEqualTo(RiderUnit.MI);
        assertThat(guess("date,distance (km)\n2025-04-03,21\n").distance()).isEqualTo(RiderUnit.KM);
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
        assertThat(CsvGuess.encoding(java.util.Arrays.copyOf(cut, cut.length - 1)))
                .isEqualTo(CsvPlan.Encoding.UTF_8);
        assertThat(CsvGuess.of(("\uFEFF" + text).getBytes(StandardCharsets.UTF_8), Units.metric(PressureUnit.BAR), null)
                        .columns())
                .startsWith(CsvField.DATE);
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
        return CsvGuess.encoding(text.getBytes(charset));
    }

    private static CsvPlan guess(String text) {
        return CsvGuess.of(text.getBytes(StandardCharsets.UTF_8), Units.metric(PressureUnit.PSI), BIKE);
    }
}
