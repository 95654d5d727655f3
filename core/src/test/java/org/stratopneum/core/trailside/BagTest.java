package org.stratopneum.core.trailside;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.stratopneum.core.air.HandPump;
import org.stratopneum.core.check.InvalidInputException;
import org.stratopneum.core.job.Job;
import org.stratopneum.core.quantity.GaugePressure;

/** What is in a bag, how large a hole is, and what is left to do at home. */
class BagTest {

    /** Up to a millimetre a thorn's; up to three sealant closes it, up to six a plug (common practice, no source). */
    @ParameterizedTest
    @CsvSource({
        ", NOT_SEEN",
        "0, PINHOLE",
        "1, PINHOLE",
        "1.01, UP_TO_3",
        "3, UP_TO_3",
        "3.01, UP_TO_6",
        "6, UP_TO_6",
        "6.01, OVER_6",
        "200, OVER_6"
    })
    void aHoleHasItsClass(Double mm, CutSize size) {
        assertThat(CutSize.of(mm)).isEqualTo(size);
    }

    @ParameterizedTest
    @CsvSource({"-0.1", "200.1"})
    void noHoleIsLarger(double mm) {
        assertThatThrownBy(() -> CutSize.of(mm)).isInstanceOf(InvalidInputException.class);
    }

    @Test
    void aCartridgeIsFullOrEmptyWhereNobodyCanTellTheDifference() {
        assertThat(new Charge(16, 0.991).full()).isTrue();
        assertThat(new Charge(16, 0.99).full()).isFalse();
        assertThat(new Charge(16, 0.02).isEmpty()).isFalse();
        assertThat(new Charge(16, 0.019).isEmpty()).isTrue();
        assertThat(new Charge(16, 0.5).leftG()).isEqualTo(8);
        assertThat(new Charge(16, 0.5).without(0.2).left()).isEqualTo(0.3);
        assertThat(new Charge(16, 0.5).without(0.7).left()).isZero();
        assertThatThrownBy(() -> new Charge(16, 1.1)).isInstanceOf(InvalidInputException.class);
        assertThatThrownBy(() -> new Charge(0, 1)).isInstanceOf(InvalidInputException.class);
    }

    @Test
    void onlyWhatHoldsAnythingIsCounted() {
        Bag bag = new Bag(
                Map.of(KitItem.PLUG, 2),
                new HandPump(60, GaugePressure.psi(100)),
                List.of(new Charge(16, 1), new Charge(16, 0.01)),
                true);
        assertThat(bag.count(KitItem.GAS)).isEqualTo(1);
        assertThat(bag.count(KitItem.PUMP)).isEqualTo(1);
        assertThat(bag.count(KitItem.PLUG)).isEqualTo(2);
        assertThat(bag.count(KitItem.TUBE)).isZero();
        assertThat(bag.without(KitItem.PLUG, 1).count(KitItem.PLUG)).isEqualTo(1);
        assertThat(bag.without(KitItem.PLUG, 3).count(KitItem.PLUG)).isZero();
        assertThat(bag.withoutAir().count(KitItem.GAS) + bag.withoutAir().count(KitItem.PUMP))
                .isZero();
        assertThatThrownBy(() -> new Bag(Map.of(KitItem.PLUG, 100), null, List.of(), true))
                .isInstanceOf(InvalidInputException.class);
    }

    /** Each part of the ladder from its first rung up to the next part. */
    @Test
    void everyRungHasItsPart() {
        assertThat(Chapter.of(Ladder.RUNGS.get(0))).isEqualTo(Chapter.LIQUID);
        Chapter before = Chapter.LIQUID;
        for (Rung rung : Ladder.RUNGS) {
            Chapter chapter = Chapter.of(rung);
            assertThat(chapter).isGreaterThanOrEqualTo(before);
            before = chapter;
        }
        assertThat(before).isEqualTo(Chapter.LAST);
        assertThat(Chapter.of(Ladder.rung("plug-ream").orElseThrow())).isEqualTo(Chapter.PLUG);
        assertThat(Chapter.of(Ladder.rung("bead-push").orElseThrow())).isEqualTo(Chapter.BEAD);
    }

    /** docs/handbook, page 7: gas out the next day; a tube out, and a plug patched, within a fortnight. */
    @ParameterizedTest
    @CsvSource({
        "CO2_OUT, 1, ADD_AIR",
        "PLUG_INSIDE, 14, PLUG_AND_PATCH",
        "DIP, 2, DIP",
        "RESET_TUBELESS, 14, CONVERT",
        "NEW_TIRE, 7, CONVERT",
        "NEW_TUBED_TIRE, 7, FIT_TUBE",
        "RIM_LOOK, 2, PREVENTION_LOOK",
        "STRIP_LOOK, 7, FIT_TUBE",
        "BEAD_LOOK, 2, MEND_BEAD",
        "VALVE_LOOK, 7, SERVICE_VALVE",
        "FIND_LEAK, 1,",
        "MEND, 1,",
        "RESTOCK, 2,"
    })
    void whatIsLeftToDoHasItsDayAndItsCard(Chore chore, int days, Job job) {
        assertThat(chore.days()).isEqualTo(days);
        assertThat(chore.job().orElse(null)).isEqualTo(job);
        assertThat(chore.when()).isNotEmpty();
    }
}
