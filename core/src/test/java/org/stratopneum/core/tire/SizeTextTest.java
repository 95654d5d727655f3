package org.stratopneum.core.tire;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.Arrays;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvFileSource;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.NullAndEmptySource;
import org.stratopneum.core.check.InvalidInputException;

class SizeTextTest {

    @ParameterizedTest
    @CsvFileSource(resources = "sizes.csv", delimiter = '|', quoteCharacter = '\0')
    void aSizeIsReadAsItIsPrinted(String typed, String meant) {
        List<String> wanted =
                meant == null ? List.of() : Arrays.asList(meant.strip().split(" "));
        assertThat(SizeText.read(typed))
                .extracting(TireSize::designation)
                .as(typed)
                .containsExactlyInAnyOrderElementsOf(wanted);
    }

    @ParameterizedTest
    @NullAndEmptySource
    void nothingTypedIsNoSize(String typed) {
        assertThat(SizeText.read(typed)).isEmpty();
    }

    /** Property: every designation and every trade name leads back to its own rim, and to its width within a step. */
    @Test
    void designationsAndTradeNamesLeadBack() {
        for (double diameter : new double[] {622, 584, 571, 559, 507, 406, 355, 305}) {
            for (double width = 23; width <= 110; width++) {
                TireSize size = new TireSize(width, diameter);
                assertThat(SizeText.read(size.designation())).containsExactly(size);
                assertThat(SizeText.read(size.tradeName()))
                        .as(size.tradeName())
                        .singleElement()
                        .satisfies(back -> {
                            assertThat(back.beadSeatDiameterMm()).isEqualTo(size.beadSeatDiameterMm());
                            assertThat(Math.abs(back.nominalWidthMm() - size.nominalWidthMm()))
                                    .isLessThanOrEqualTo(1);
                        });
            }
        }
    }

    /** Whatever is typed, the answer is a list and never a failure. */
    @Test
    void noTextMakesTheReaderFail() {
        Random random = new Random(7);
        String letters = "0123456789x-/ .,\"'cCbB×½⅜+";
        for (int i = 0; i < 20_000; i++) {
            StringBuilder text = new StringBuilder();
            for (int j = random.nextInt(14); j > 0; j--) {
                text.append(letters.charAt(random.nextInt(letters.length())));
            }
            assertThat(SizeText.read(text.toString())).as(text.toString()).isNotNull();
        }
        assertThat(SizeText.read("57-622".repeat(50))).isEmpty();
    }

    /** Names as they stand beside each other on tires: value from memory. */
    @ParameterizedTest
    @CsvSource({
        "57, 622, 29 x 2.25",
        "40, 622, 700 x 40C",
        "61, 584, 27.5 x 2.40",
        "47, 584, 650 x 47B",
        "55, 507, 24 x 2.15",
        "62, 406, 20 x 2.45",
        "37, 590, ''"
    })
    void theTradeNameStandsBesideTheDesignation(double width, double diameter, String name) {
        assertThat(new TireSize(width, diameter).tradeName()).isEqualTo(name);
    }

    @Test
    void aDiameterThatIsNotMadeIsNoticed() {
        assertThat(new TireSize(57, 622).isMade()).isTrue();
        assertThat(new TireSize(57, 662).isMade()).isFalse();
        assertThatThrownBy(() -> new TireSize(5, 900)).isInstanceOf(InvalidInputException.class);
    }
}
