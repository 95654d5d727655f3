package org.stratopneum.web.sealant;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.stratopneum.core.check.Problem;
import org.stratopneum.core.check.Range;
import org.stratopneum.core.quantity.RiderUnit;
import org.stratopneum.core.sealant.SealantFamily;
import org.stratopneum.web.parts.shelf.ShelfItem;
import org.stratopneum.web.parts.shelf.ShelfKind;
import org.stratopneum.web.platform.wording.FormReader;

/** What goes over what is in a tire already, and how dips are written. */
class SealantRulesTest {

    private static final LocalDate TODAY = LocalDate.of(2026, 6, 1);
    private static final UUID MILK = UUID.randomUUID();

    private static ShelfItem bottle(UUID id, String name, SealantFamily family, LocalDate bestBefore) {
        return new ShelfItem(
                id,
                ShelfKind.SEALANT,
                name,
                500,
                null,
                null,
                null,
                null,
                null,
                null,
                false,
                false,
                null,
                null,
                family,
                false,
                null,
                null,
                bestBefore,
                null,
                null,
                null,
                0,
                0);
    }

    private static final ShelfItem INSIDE = bottle(MILK, "Tarn milk", SealantFamily.LATEX_AMMONIA, null);

    private static List<String> faults(ShelfItem chosen, ShelfItem inside, boolean renewed, boolean known) {
        FormReader reader = new FormReader(Map.of());
        FillingRules.check(reader, "bottle", chosen, inside, new FillingRules.Said(renewed, known), TODAY);
        return reader.problems().list().stream().map(Problem::code).toList();
    }

    @ParameterizedTest
    @CsvSource({
        "Tarn milk, LATEX_AMMONIA, false, false, ",
        "Fell milk, LATEX_AMMONIA, false, false, other-product",
        "Fell milk, LATEX_AMMONIA, false, true, ",
        "Moss gel, SYNTHETIC, false, false, other-family",
        "Moss gel, SYNTHETIC, false, true, other-family",
        "Moss gel, SYNTHETIC, true, false, ",
        "Tarn milk, LATEX_LOW_AMMONIA, false, true, other-family"
    })
    void oneProductPerTire(String name, SealantFamily family, boolean renewed, boolean known, String fault) {
        ShelfItem chosen = bottle(UUID.randomUUID(), name, family, null);
        assertThat(faults(chosen, INSIDE, renewed, known)).isEqualTo(fault == null ? List.of() : List.of(fault));
        assertThat(faults(chosen, null, renewed, known))
                .as("nobody noted what is inside")
                .isEmpty();
    }

    @Test
    void pastItsBestBeforeItWarnsUntilTheRiderSaysThatTheyKnow() {
        ShelfItem old = bottle(MILK, "Tarn milk", SealantFamily.LATEX_AMMONIA, TODAY.minusDays(1));
        assertThat(faults(old, INSIDE, false, false)).containsExactly("past-best-before");
        assertThat(faults(old, INSIDE, false, true)).isEmpty();
        ShelfItem last = bottle(MILK, "Tarn milk", SealantFamily.LATEX_AMMONIA, TODAY);
        assertThat(faults(last, INSIDE, false, false))
                .as("on its last day it is good")
                .isEmpty();
    }

    @ParameterizedTest
    @CsvSource({"12 9 10, 12;9;10", "12; 9;  10, 12;9;10", "'12 9,5', 12;9.5"})
    void dipsAreReadAsPeopleWriteThem(String text, String depths) {
        FormReader reader = new FormReader(Map.of("depths", text));
        assertThat(DipText.read(reader, "depths", RiderUnit.MM, Range.closed(0, 50, "mm"))
                        .orElseThrow())
                .containsExactlyElementsOf(
                        List.of(depths.split(";")).stream().map(Double::valueOf).toList());
    }

    /** An inch is exactly 25.4 mm (published). */
    @Test
    void dipsInInchesAreMillimetresInside() {
        FormReader reader = new FormReader(Map.of("depths", "0.5 0.4"));
        assertThat(DipText.read(reader, "depths", RiderUnit.IN, Range.closed(0, 50, "mm"))
                        .orElseThrow())
                .satisfiesExactly(
                        first -> assertThat(first).isEqualTo(12.7),
                        second -> assertThat(second).isBetween(10.159, 10.161));
    }

    @ParameterizedTest
    @CsvSource({"9, dip-again", "9 x, wrong-type", "9 70, above-maximum", "9 -2, below-minimum"})
    void whatIsNoDipIsAFault(String text, String fault) {
        FormReader reader = new FormReader(Map.of("depths", text));
        assertThat(DipText.read(reader, "depths", RiderUnit.MM, Range.closed(0, 50, "mm")))
                .isEmpty();
        assertThat(reader.problems().list()).extracting(Problem::code).containsExactly(fault);
    }
}
